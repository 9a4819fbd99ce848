import type { FieldMessage, Plan } from '@/core/api/plan'
import { isBundle, type JobBundle, parsePlanText, readBundle } from '@/core/api/files'
import { sha256 } from '@/storage/sha256'

const LARGEST_BYTES = 4 * 1024 * 1024
/** A job bundle has pictures in it. */
const LARGEST_PARCEL_BYTES = 64 * 1024 * 1024
/** So many things that are wrong are named. */
const NAMED = 8

function decoded(text: string): unknown {
  try {
    return JSON.parse(text.replace(/^\uFEFF/, ''))
  } catch {
    return undefined
  }
}

type Opened =
  | { readonly is: 'plan'; readonly plan: Plan }
  | { readonly is: 'bundle'; readonly bundle: JobBundle }
  | { readonly is: 'wrong'; readonly problems: readonly string[] }

const wrong = (problems: readonly FieldMessage[]): Opened => ({
  is: 'wrong',
  problems: problems.slice(0, NAMED).map(({ text }) => text),
})

/** What a chosen or dropped file is: a plan, a job bundle, or neither and why. */
export async function readOpened(file: File): Promise<Opened> {
  if (file.size > LARGEST_PARCEL_BYTES) return { is: 'wrong', problems: ['The file is larger than 64 MB.'] }
  const text = await file.text()
  const raw = decoded(text)
  if (isBundle(raw)) {
    const read = readBundle(raw)
    if (!read.ok) return wrong(read.problems)
    if (read.sum && (await sha256(read.sum.of)) !== read.sum.sha256)
      return {
        is: 'wrong',
        problems: [
          'The check sum of this job bundle does not fit its content: the file was changed or damaged.',
        ],
      }
    return { is: 'bundle', bundle: read.bundle }
  }
  if (file.size > LARGEST_BYTES) return { is: 'wrong', problems: ['plan is larger than 4 MB.'] }
  const read = parsePlanText(text)
  return read.ok ? { is: 'plan', plan: read.plan } : wrong(read.problems)
}
