import { type Plan, planSchema } from '@/core/api/plan'
import * as z from '@/core/units/schema'
import { dropDraft, saveDraft, loadDraft } from './drafts'
import { keysOn } from './database'

/** What one tab holds of a job that cannot stand beside what another kept, and the writing it comes from. */
export interface Undecided {
  readonly base?: Plan | undefined
  readonly plan: Plan
}

const schema = z.object({ base: z.optional(planSchema), plan: planSchema })
const TAB = 'ypsos-tab'
const before = (jobId: string) => `mine/${jobId}/`

const lockOf = (name: string) => `${TAB}/${name}`
const hasLocks = (): boolean => typeof navigator !== 'undefined' && 'locks' in navigator

/** Takes a name as long as this page is there; false where another page has it. */
const taken = (name: string): Promise<boolean> =>
  new Promise((resolve) => {
    if (!hasLocks()) {
      resolve(true)
      return
    }
    navigator.locks
      .request(lockOf(name), { ifAvailable: true }, (lock) => {
        resolve(lock !== null)
        return lock ? new Promise<never>(() => undefined) : undefined
      })
      .catch(() => resolve(true))
  })

async function newTab(): Promise<string> {
  const store = typeof sessionStorage === 'undefined' ? undefined : sessionStorage
  const before = store?.getItem(TAB) ?? undefined
  // A tab that was doubled begins with the other's name.
  if (before !== undefined && (await taken(before))) return before
  const name = crypto.randomUUID()
  await taken(name)
  store?.setItem(TAB, name)
  return name
}

let ownTab: Promise<string> | undefined

/** A name of this tab's own, which a reload leaves it. */
const tab = (): Promise<string> => (ownTab ??= newTab().catch(() => crypto.randomUUID()))

/** The tabs that are there; nothing where this browser does not say. */
async function liveTabs(): Promise<ReadonlySet<string> | undefined> {
  if (!hasLocks()) return undefined
  const { held } = await navigator.locks.query()
  return new Set((held ?? []).flatMap((lock) => lock.name ?? []))
}

const ownKey = async (jobId: string): Promise<string> => `${before(jobId)}${await tab()}`

/** Keeps what this tab holds until it is decided: no other tab's saving or deciding takes it away. */
export const saveMine = async (jobId: string, mine: Undecided): Promise<void> =>
  saveDraft(await ownKey(jobId), mine, `your version of the job ${mine.plan.job.name}`)

/** What waits to be decided of a job: this tab's own, else what a tab left that is no more; it is this tab's from then on. */
export async function loadMine(jobId: string): Promise<Undecided | undefined> {
  const own = schema.safeParse(await loadDraft(await ownKey(jobId)))
  if (own.success) return own.data
  const live = await liveTabs()
  if (!live) return undefined
  const drafts = await keysOn('settings').catch((): readonly string[] => [])
  for (const key of drafts.filter((each) => each.startsWith(`draft/${before(jobId)}`))) {
    const draft = key.slice('draft/'.length)
    if (live.has(lockOf(draft.slice(before(jobId).length)))) continue
    const left = schema.safeParse(await loadDraft(draft))
    if (!left.success) continue
    await saveMine(jobId, left.data)
    await dropDraft(draft)
    return left.data
  }
  return undefined
}

export const dropMine = async (jobId: string): Promise<void> => dropDraft(await ownKey(jobId))
