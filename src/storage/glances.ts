import { glanceShelf, logShelf, planShelf, revisionShelf } from './shelves'

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
  const [ids, numbers, kept, keys] = await Promise.all([
    planShelf.keys(),
    revisionNumbers(),
    allKept(),
    logShelf.keys(),
  ])
  const log = new Map<string, { count: number; last: string }>()
  for (const key of keys) {
    const car = key.slice(0, key.indexOf('/'))
    const so = log.get(car)
    log.set(car, { count: (so?.count ?? 0) + 1, last: so && so.last > key ? so.last : key })
  }
  return {
    revisions: new Map(ids.map((id) => [id, numbers.get(`plans/${id}`) ?? 0])),
    kept,
    log: new Map([...log].map(([car, { count, last }]) => [car, `${count} ${last}`])),
  }
}

async function revisionNumbers(): Promise<ReadonlyMap<string, number>> {
  const numbers = new Map<string, number>()
  await revisionShelf.iterate((revision, key) => {
    if (typeof revision === 'number') numbers.set(key, revision)
  })
  return numbers
}

async function allKept(): Promise<ReadonlyMap<string, KeptGlance>> {
  const kept = new Map<string, KeptGlance>()
  await glanceShelf.iterate((raw, id) => {
    if (isKept(raw)) kept.set(id, raw)
  })
  return kept
}

/** Keeps what was worked out; where the browser refuses, it is worked out again next time. */
export async function keepGlances(
  fresh: ReadonlyMap<string, KeptGlance>,
  gone: readonly string[],
): Promise<void> {
  try {
    for (const [id, glance] of fresh) await glanceShelf.setItem(id, glance)
    for (const id of gone) await glanceShelf.removeItem(id)
  } catch {
    // Nothing hangs on it.
  }
}
