import { aboutOf, type JobAbout } from '@/core/api/fit'
import { carSchema, FORMAT_VERSION } from '@/core/api/plan'
import * as z from '@/core/units/schema'
import { saveGathered, readGathered } from './gathered'
import { savedRevisions, storedFrom, unsavedPlans } from './plans'
import { togetherNow } from './together-now'
import { keysOn, severalOn, slicesOf } from './database'

/** Fewer jobs than these are read one by one; else the whole shelf is, so many at a time. */
const FEW = 100
const AT_A_TIME = 50

const aboutSchema = z.object({
  id: z.string(),
  car: carSchema,
  job: z.object({ name: z.string(), number: z.optional(z.string()), customer: z.optional(z.string()) }),
  vehicle: z.object({ name: z.string() }),
})
const presentSchema = z.object({ version: z.literal(FORMAT_VERSION) })

/** What a job said of itself in its writing of a number; nothing where it did not read. */
interface Known {
  readonly id: string
  readonly revision: number
  readonly about?: JobAbout
}

/** What this program wrote of its jobs is not looked through field by field: there are thousands of them. */
const isKnown = (raw: unknown): raw is Known =>
  typeof raw === 'object' && raw !== null && 'id' in raw && 'revision' in raw
const NAME = 'jobs'

/** What a job says of itself, as it lies on its shelf; one of an older format is read whole. Nothing where it does not read. */
function aboutIn(id: string, raw: unknown): JobAbout | undefined {
  if (presentSchema.safeParse(raw).success) {
    const read = aboutSchema.safeParse(raw)
    if (read.success) return aboutOf(read.data)
  }
  const stored = storedFrom(id, raw)
  return stored.ok ? aboutOf(stored.plan) : undefined
}

/** Jobs as they lie, by their ids. */
async function* rawJobs(ids: readonly string[]): AsyncGenerator<readonly (readonly [string, unknown])[]> {
  if (ids.length <= FEW) {
    const found = await severalOn('plans', ids)
    yield ids.map((id, i) => [id, found[i]])
    return
  }
  const wanted = new Set(ids)
  for await (const slice of slicesOf('plans', AT_A_TIME)) yield slice.filter(([id]) => wanted.has(id))
}

/** The jobs of this browser, each by what it says of itself, and how many do not read. */
export interface JobAbouts {
  readonly jobs: readonly JobAbout[]
  readonly unread: number
}

/**
 * What every job says of itself. It is kept with the number of the writing it was taken from, so that a job is read only
 * where it was written since.
 */
export const loadAbouts = togetherNow(async (): Promise<JobAbouts> => {
  const waiting = unsavedPlans().map(aboutOf)
  const [ids, revisions, saved] = await Promise.all([
    keysOn('plans'),
    savedRevisions(),
    readGathered(NAME, isKnown),
  ])
  const before = new Map(saved.map((each) => [each.id, each]))
  const now = new Map<string, Known>()
  const stale: string[] = []
  for (const id of ids) {
    const there = before.get(id)
    if (there?.revision === revisions(id)) now.set(id, there)
    else stale.push(id)
  }
  for await (const slice of rawJobs(stale))
    for (const [id, raw] of slice) {
      const about = raw === undefined ? undefined : aboutIn(id, raw)
      now.set(id, { id, revision: revisions(id), ...(about && { about }) })
    }
  const all = [...now.values()]
  if (stale.length > 0 || saved.length !== all.length) await saveGathered(NAME, all)
  const held = new Set(waiting.map(({ id }) => id))
  const there = all.filter(({ id }) => !held.has(id))
  const jobs = there.flatMap(({ about }) => about ?? [])
  return { jobs: [...waiting, ...jobs], unread: there.length - jobs.length }
})

/** What the jobs said of themselves when they were last read: the latest of them may be missing. */
export const savedAbouts = async (): Promise<readonly JobAbout[]> =>
  (await readGathered(NAME, isKnown)).flatMap(({ about }) => about ?? [])

/** What every job is called: by its name, its number and its car. */
export const jobNames = async (): Promise<readonly { readonly id: string; readonly name: string }[]> =>
  (await loadAbouts()).jobs.map(({ id, job, vehicle }) => ({
    id,
    name: [job.name, job.number, vehicle.name].filter(Boolean).join(', '),
  }))
