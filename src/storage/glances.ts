import { printsOf } from './car-logs'
import { allOn, inOneGo, keysOn } from './transaction'

/** What is kept of a job's card, with what it was worked out from. */
export interface KeptGlance {
  readonly judgedBy: string
  readonly revision: number
  /** How far the log had come of each car whose entries were read. */
  readonly log: Readonly<Record<string, string>>
  readonly card: unknown
}

const isKept = (raw: unknown): raw is KeptGlance =>
  typeof raw === 'object' &&
  raw !== null &&
  'judgedBy' in raw &&
  'revision' in raw &&
  'log' in raw &&
  'card' in raw

/** Which jobs are kept, the number of each one's last writing, what is known of them, and how far each car's log has come. */
export async function readGlances(): Promise<{
  readonly revisions: ReadonlyMap<string, number>
  readonly kept: ReadonlyMap<string, KeptGlance>
  readonly log: ReadonlyMap<string, string>
}> {
  const [ids, numbers, glances, keys] = await Promise.all([
    keysOn('plans'),
    allOn('revisions'),
    allOn('glances'),
    keysOn('log'),
  ])
  const kept = new Map<string, KeptGlance>()
  for (const [id, raw] of glances) if (isKept(raw)) kept.set(id, raw)
  return {
    revisions: new Map(ids.map((id) => [id, Number(numbers.get(`plans/${id}`) ?? 0)])),
    kept,
    log: printsOf(keys),
  }
}

/** Keeps what was worked out, all at once; where the browser refuses, it is worked out again next time. */
export async function keepGlances(
  fresh: ReadonlyMap<string, KeptGlance>,
  gone: readonly string[],
): Promise<void> {
  try {
    await inOneGo(['glances'], ({ put, remove }) => {
      for (const [id, glance] of fresh) put('glances', id, glance)
      for (const id of gone) remove('glances', id)
      return Promise.resolve()
    })
  } catch {
    // Nothing hangs on it.
  }
}
