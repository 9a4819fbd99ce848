import { idSchema } from '@/core'
import * as z from '@/core/units/schema'
import { unkeptPlans } from './plans'
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
  const log = new Map<string, { count: number; last: string }>()
  for (const key of keys) {
    const car = key.slice(0, key.indexOf('/'))
    const so = log.get(car)
    log.set(car, { count: (so?.count ?? 0) + 1, last: so && so.last > key ? so.last : key })
  }
  return {
    revisions: new Map(ids.map((id) => [id, Number(numbers.get(`plans/${id}`) ?? 0)])),
    kept,
    log: new Map([...log].map(([car, { count, last }]) => [car, `${count} ${last}`])),
  }
}

const namedSchema = z.object({
  card: z.object({
    ok: z.literal(true),
    id: idSchema,
    glance: z.object({ name: z.string(), number: z.optional(z.string()), vehicle: z.string() }),
  }),
})

/** What each job of the board is called, as its card last said it; nothing where the browser keeps none. */
export async function jobNames(): Promise<readonly { readonly id: string; readonly name: string }[]> {
  const kept = await allOn('glances').catch(() => new Map<string, unknown>())
  return [...kept.values()].flatMap((raw) => {
    const read = namedSchema.safeParse(raw)
    if (!read.success) return []
    const { id, glance } = read.data.card
    return [{ id, name: [glance.name, glance.number, glance.vehicle].filter(Boolean).join(', ') }]
  })
}

const jobNameSchema = z.object({ job: z.object({ name: z.string(), number: z.optional(z.string()) }) })

/** What every job is called: as its card said it last, or, where it has none yet, by the job itself. */
export async function namesOfJobs(): Promise<readonly { readonly id: string; readonly name: string }[]> {
  const known = new Map((await jobNames()).map((each) => [each.id, each]))
  const ids = await keysOn('plans').catch((): readonly string[] => [])
  const unknown = ids.filter((id) => !known.has(id))
  const raw = unknown.length === 0 ? new Map<string, unknown>() : await allOn('plans')
  const kept = ids.flatMap((id) => {
    const there = known.get(id)
    if (there) return [there]
    const read = jobNameSchema.safeParse(raw.get(id))
    if (!read.success) return []
    const { name, number } = read.data.job
    return [{ id, name: [name, number].filter(Boolean).join(', ') }]
  })
  const waiting = unkeptPlans().map(({ id, job }) => ({ id, name: job.name }))
  return [...kept.filter(({ id }) => waiting.every((each) => each.id !== id)), ...waiting]
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
