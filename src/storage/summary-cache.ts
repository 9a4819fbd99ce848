import { printsOf } from './car-logs'
import { allOn, transaction, keysOn } from './database'

/** What is kept of a job's card, with what it was worked out from. */
export interface SavedSummary {
  readonly assessedBy: string
  readonly revision: number
  /** How far the log had come of each car whose entries were read. */
  readonly log: Readonly<Record<string, string>>
  readonly card: unknown
}

const isSavedSummary = (raw: unknown): raw is SavedSummary =>
  typeof raw === 'object' &&
  raw !== null &&
  'assessedBy' in raw &&
  'revision' in raw &&
  'log' in raw &&
  'card' in raw

/** Which jobs are kept, the number of each one's last writing, what is known of them, and how far each car's log has come. */
export async function readSummaries(): Promise<{
  readonly revisions: ReadonlyMap<string, number>
  readonly saved: ReadonlyMap<string, SavedSummary>
  readonly log: ReadonlyMap<string, string>
}> {
  const [ids, numbers, summaries, keys] = await Promise.all([
    keysOn('plans'),
    allOn('revisions'),
    allOn('glances'),
    keysOn('log'),
  ])
  const saved = new Map<string, SavedSummary>()
  for (const [id, raw] of summaries) if (isSavedSummary(raw)) saved.set(id, raw)
  return {
    revisions: new Map(ids.map((id) => [id, Number(numbers.get(`plans/${id}`) ?? 0)])),
    saved,
    log: printsOf(keys),
  }
}

/** Keeps what was worked out, all at once; where the browser refuses, it is worked out again next time. */
export async function saveSummaries(
  fresh: ReadonlyMap<string, SavedSummary>,
  gone: readonly string[],
): Promise<void> {
  try {
    await transaction(['glances'], ({ put, remove }) => {
      for (const [id, summary] of fresh) put('glances', id, summary)
      for (const id of gone) remove('glances', id)
      return Promise.resolve()
    })
  } catch {
    // Nothing depends on it.
  }
}
