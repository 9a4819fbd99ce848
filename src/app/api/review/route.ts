import { assess, readPlan, reviewReport } from '@/core'

/** What parts the shop that asks has is not known here, so none is proposed. */
const NO_STOCK = { parts: [] }
const LARGEST_BYTES = 4 * 1024 * 1024

/** The body as text, or undefined as soon as it is larger than what a plan may be. */
async function readBody(request: Request): Promise<string | undefined> {
  if (Number(request.headers.get('content-length') ?? 0) > LARGEST_BYTES) return undefined
  const reader = request.body?.getReader()
  if (!reader) return ''
  const chunks: Uint8Array[] = []
  let size = 0
  for (;;) {
    const { done, value } = await reader.read()
    if (done) break
    size += value.byteLength
    if (size > LARGEST_BYTES) {
      await reader.cancel()
      return undefined
    }
    chunks.push(value)
  }
  return Buffer.concat(chunks).toString('utf8')
}

function refuse(status: number, problems: readonly { path: string; text: string }[]): Response {
  return Response.json({ error: problems[0]?.text ?? 'The plan cannot be read.', problems }, { status })
}

/** A plan in, its review out. Nothing is stored. */
export async function POST(request: Request): Promise<Response> {
  const text = await readBody(request)
  if (text === undefined) return refuse(413, [{ path: 'plan', text: 'plan is larger than 4 MB.' }])
  let raw: unknown
  try {
    raw = JSON.parse(text)
  } catch {
    return refuse(400, [{ path: 'plan', text: 'plan is not JSON.' }])
  }
  const read = readPlan(raw)
  if (!read.ok) return refuse(400, read.problems)
  const { survey, review, remedies } = assess(read.plan)
  return Response.json(reviewReport(survey, review, (finding) => remedies(finding, NO_STOCK)))
}
