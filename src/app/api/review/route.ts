import { LONGEST_MS, reviewQueue } from '@/workers/review-queue'

const LARGEST_BYTES = 4 * 1024 * 1024
const SLOWEST_BODY_MS = 10_000

const ask = reviewQueue()

type Body = { readonly text: string } | { readonly refused: Response }

function refuse(status: number, text: string, headers: Record<string, string> = {}): Response {
  return Response.json({ error: text, problems: [{ path: 'plan', text }] }, { status, headers })
}

const TOO_LARGE = 'plan is larger than 4 MB.'
const TOO_SLOW = `plan did not arrive within ${SLOWEST_BODY_MS / 1000} s.`

/** The body as text; refused as soon as it is larger than what a plan may be, or takes too long to come. */
async function readBody(request: Request): Promise<Body> {
  if (Number(request.headers.get('content-length') ?? 0) > LARGEST_BYTES)
    return { refused: refuse(413, TOO_LARGE) }
  const reader = request.body?.getReader()
  if (!reader) return { text: '' }
  const slow = new Promise<'slow'>((resolve) => setTimeout(resolve, SLOWEST_BODY_MS, 'slow').unref())
  const chunks: Uint8Array[] = []
  let size = 0
  for (;;) {
    const read = await Promise.race([reader.read(), slow])
    if (read === 'slow') {
      void reader.cancel()
      return { refused: refuse(408, TOO_SLOW) }
    }
    if (read.done) break
    size += read.value.byteLength
    if (size > LARGEST_BYTES) {
      void reader.cancel()
      return { refused: refuse(413, TOO_LARGE) }
    }
    chunks.push(read.value)
  }
  // A file may begin with the mark of its byte order.
  return {
    text: Buffer.concat(chunks)
      .toString('utf8')
      .replace(/^\uFEFF/, ''),
  }
}

/** A plan in, its review out; with `?fixes=1` what would clear each finding too. Nothing is stored. */
export async function POST(request: Request): Promise<Response> {
  const type = request.headers.get('content-type') ?? ''
  // Only what no other page can send from a visitor's browser without asking first.
  if (!/^application\/(?:[\w.-]+\+)?json\s*(?:;|$)/i.test(type))
    return refuse(415, 'plan has to be sent as application/json.')
  const body = await readBody(request)
  if ('refused' in body) return body.refused
  const fixes = new URL(request.url).searchParams.get('fixes') === '1'
  const reviewed = await ask({ text: body.text, fixes }, request.signal)
  switch (reviewed.kind) {
    case 'answered':
      return new Response(reviewed.answer.body, {
        status: reviewed.answer.status,
        headers: { 'content-type': 'application/json' },
      })
    case 'tooLong':
      return refuse(422, `plan takes longer than ${LONGEST_MS / 1000} s to review: take things off it.`)
    case 'full':
      return refuse(503, `Too many plans are waiting: send it again in ${reviewed.againInS} s.`, {
        'retry-after': String(reviewed.againInS),
      })
    case 'gone':
      return new Response(null, { status: 499 })
    case 'failed':
      return refuse(500, 'plan could not be reviewed.')
  }
}
