import {
  type FieldMessage,
  mergePlans,
  type PastStep,
  type Patch,
  patchBetween,
  type Plan,
  type Trail,
} from '@/core/api/plan'
import { readPlan } from '@/core/api/files'
import * as z from '@/core/units/schema'
import { announceSaved } from './saved-elsewhere'
import { planShelf } from './database'
import { whyNotSaved, type SaveResult } from './save-result'
import { historyIn, trailIn } from './history'
import { removedIn } from './removed'
import { saveMine } from './undecided'
import { allOn, transaction, type Tx } from './database'
import { mustWait, waitsNoMore } from './waiting'

export type StoredPlan =
  | { readonly ok: true; readonly plan: Plan }
  | {
      readonly ok: false
      readonly id: string
      readonly problems: readonly FieldMessage[]
      readonly raw: unknown
    }

/** A plan this browser refused to store, with the writing that it comes from and the steps that lead to it from there. */
interface Unkept {
  readonly plan: Plan
  readonly base: Plan | undefined
  readonly revision: number
  readonly trail: Trail
  readonly reason: string
}

/** They live as long as the page does, can be downloaded, and are written with the next write that succeeds. */
const unsaved = new Map<string, Unkept>()
const waitingKey = (id: string) => `plans/${id}`

export const unsavedPlans = (): readonly Plan[] => [...unsaved.values()].map(({ plan }) => plan)

/** A plan that waits is wanted no more, or is kept. */
export function forgetUnsaved(id: string): void {
  unsaved.delete(id)
  waitsNoMore(waitingKey(id))
}

/** Holds a plan until it can be kept: `again` is how whoever has it open does that; else it is merged into what is there then. */
function holdPlan(held: Unkept, again?: () => Promise<SaveResult>): void {
  const { plan, reason } = held
  unsaved.set(plan.id, held)
  mustWait(waitingKey(plan.id), {
    what: `the job ${plan.job.name}`,
    reason,
    again: again ?? (() => saveHeld(plan.id)),
  })
}

/** Every stored plan; one that no longer reads is listed with what is wrong, never dropped. */
export async function loadPlans(): Promise<StoredPlan[]> {
  const found: StoredPlan[] = unsavedPlans().map((plan) => ({ ok: true, plan }))
  try {
    for (const [id, raw] of await allOn('plans')) if (!unsaved.has(id)) found.push(storedFrom(id, raw))
  } catch (error) {
    if (found.length === 0) throw error
  }
  return found
}

/** What is kept under an id, as a plan or with what is wrong. */
export const storedFrom = (id: string, raw: unknown): StoredPlan => {
  const read = readPlan(raw)
  return read.ok ? { ok: true, plan: read.plan } : { ok: false, id, problems: read.problems, raw }
}

export async function loadPlan(id: string): Promise<StoredPlan | undefined> {
  const inMemory = unsaved.get(id)
  if (inMemory) return { ok: true, plan: inMemory.plan }
  const raw: unknown = await planShelf.getItem(id)
  return raw === null ? undefined : storedFrom(id, raw)
}

const revisionSchema = z.catch(z.int().check(z.gte(0)), 0)
const revisionKey = (id: string) => `plans/${id}`
export const revisionIn = async ({ get }: Tx, id: string): Promise<number> =>
  revisionSchema.parse(await get('revisions', revisionKey(id)))

/** The number of each job's last writing, of all jobs. */
export async function savedRevisions(): Promise<(id: string) => number> {
  const revisions = await allOn('revisions')
  return (id) => revisionSchema.parse(revisions.get(revisionKey(id)))
}

/**
 * Raises the revisions of plans that were written again or removed, so that open copies are recognised as older. All
 * reads come before the first write, so that the writes after it are not interrupted by a read.
 */
export async function nextRevisions(tx: Tx, ids: readonly string[]): Promise<ReadonlyMap<string, number>> {
  const revisions = await Promise.all(ids.map((id) => revisionIn(tx, id)))
  const next = new Map(ids.map((id, i) => [id, (revisions[i] ?? 0) + 1]))
  for (const [id, revision] of next) tx.put('revisions', revisionKey(id), revision)
  return next
}

export function planIn({ put: write }: Tx, plan: Plan, revision: number): void {
  write('plans', plan.id, plan)
  write('revisions', revisionKey(plan.id), revision)
}

/** A plan as it is opened: with the number of the writing it is or comes from, and its past. */
export interface OpenedPlan extends Trail {
  readonly stored: StoredPlan | undefined
  readonly revision: number
  /** What is in memory alone, and the writing it comes from. */
  readonly unsaved?: { readonly base: Plan | undefined; readonly reason: string }
}

/** A plan with the number of its last writing and the steps that lead to it, all as they stand at one moment; or what waits in memory. */
export async function openPlan(id: string): Promise<OpenedPlan> {
  const held = unsaved.get(id)
  if (held)
    return {
      stored: { ok: true, plan: held.plan },
      revision: held.revision,
      ...held.trail,
      unsaved: { base: held.base, reason: held.reason },
    }
  return transaction(['plans', 'revisions', 'history'], async (tx) => {
    const raw = await tx.get('plans', id)
    const revision = await revisionIn(tx, id)
    const trail = await trailIn(tx, id, revision, raw)
    return { stored: raw === undefined ? undefined : storedFrom(id, raw), revision, ...trail }
  })
}

type KeptOver =
  | { readonly saved: 'yes'; readonly revision: number }
  /** Somebody else has written since: nothing was written over, and this is what stands there. */
  | {
      readonly saved: 'stale'
      readonly stored: StoredPlan
      readonly revision: number
      readonly steps: readonly PastStep[]
    }
  /** Somebody else has taken it away: whether it comes back is asked. */
  | { readonly saved: 'gone'; readonly revision: number }
  | { readonly saved: 'no'; readonly reason: string }

/** A plan to be kept, with where it comes from. */
export interface PlanToSave {
  readonly plan: Plan
  /** The number of the writing it comes from, and that writing where it is known. */
  readonly over: number
  readonly base?: Plan | undefined
  readonly steps?: readonly PastStep[]
  /** What leads on to what was taken back. */
  readonly ahead?: readonly Patch[]
  /** How it is kept after all by whoever has it open, where it cannot be kept now. */
  readonly again?: () => Promise<SaveResult>
}

/** Stores a plan over the writing it comes from, and over no other. One that cannot be stored waits in memory. */
export async function savePlanIfCurrent({
  plan,
  over,
  base,
  steps = [],
  ahead = [],
  again,
}: PlanToSave): Promise<KeptOver> {
  try {
    const done = await transaction(['plans', 'revisions', 'history'], async (tx): Promise<KeptOver> => {
      const revision = await revisionIn(tx, plan.id)
      const raw = await tx.get('plans', plan.id)
      if (revision !== over) {
        if (raw === undefined) return { saved: 'gone', revision }
        const others = await trailIn(tx, plan.id, revision, raw)
        return { saved: 'stale', stored: storedFrom(plan.id, raw), revision, steps: others.steps }
      }
      planIn(tx, plan, revision + 1)
      historyIn(tx, plan.id, revision + 1, steps, ahead)
      return { saved: 'yes', revision: revision + 1 }
    })
    if (done.saved === 'yes') {
      forgetUnsaved(plan.id)
      announceSaved({ shelf: 'plans', id: plan.id })
    }
    return done
  } catch (error) {
    const reason = whyNotSaved(error)
    holdPlan({ plan, base, revision: over, trail: { steps, ahead }, reason }, again)
    return { saved: 'no', reason }
  }
}

/** What waited of a job that was deleted meanwhile stands among what was removed: nobody else would find it. */
async function keptAsRemoved(plan: Plan): Promise<SaveResult> {
  try {
    await transaction(['removed'], (tx) => {
      const was = [{ shelf: 'plans' as const, key: plan.id, value: plan }]
      removedIn(
        tx,
        `Job: ${plan.job.name}, changed after it was deleted`,
        new Date().toISOString(),
        was,
        'away',
      )
      return Promise.resolve()
    })
  } catch (error) {
    return { ok: false, reason: whyNotSaved(error) }
  }
  forgetUnsaved(plan.id)
  return { ok: true }
}

/** Keeps what waits of a job that is open nowhere here: merged into what others kept meanwhile, or else to be asked when it is opened. */
export async function saveHeld(id: string): Promise<SaveResult> {
  const held = unsaved.get(id)
  if (!held) return { ok: true }
  const { plan, base, revision, trail } = held
  const done = await savePlanIfCurrent({ plan, over: revision, base, ...trail })
  if (done.saved === 'yes') return { ok: true }
  if (done.saved === 'no') return { ok: false, reason: done.reason }
  if (done.saved === 'gone') return keptAsRemoved(plan)
  const theirs = done.stored.ok ? done.stored.plan : undefined
  const merged = theirs && base ? mergePlans(base, plan, theirs) : undefined
  if (merged?.ok && theirs) {
    const back = patchBetween(merged.plan, theirs)
    const over = { plan: merged.plan, over: done.revision, base: theirs }
    const last = await savePlanIfCurrent({
      ...over,
      steps: [...done.steps, { at: new Date().toISOString(), back }],
    })
    return last.saved === 'yes' ? { ok: true } : { ok: false, reason: 'Another tab is writing the same job.' }
  }
  await saveMine(id, { base, plan })
  forgetUnsaved(id)
  return { ok: true }
}

/** Changes a job that is open nowhere here, as it is kept in that moment, by one more step of its past. */
export async function changePlan(id: string, change: (plan: Plan) => Plan | undefined): Promise<SaveResult> {
  try {
    await transaction(['plans', 'revisions', 'history'], async (tx) => {
      const raw = await tx.get('plans', id)
      const stored = storedFrom(id, raw)
      const plan = stored.ok ? change(stored.plan) : undefined
      if (!stored.ok || !plan) return
      const revision = await revisionIn(tx, id)
      const back = patchBetween(plan, stored.plan)
      const steps = [...(await trailIn(tx, id, revision, raw)).steps, { at: new Date().toISOString(), back }]
      planIn(tx, plan, revision + 1)
      historyIn(tx, id, revision + 1, steps)
    })
    announceSaved({ shelf: 'plans', id })
    return { ok: true }
  } catch (error) {
    return { ok: false, reason: whyNotSaved(error) }
  }
}

/** Stores a plan whole, whatever is there; a failed write leaves what was stored before untouched, and the plan waits in memory. */
export async function savePlan(plan: Plan): Promise<SaveResult> {
  let over = 0
  let base: Plan | undefined
  try {
    await transaction(['plans', 'revisions', 'history'], async (tx) => {
      over = await revisionIn(tx, plan.id)
      const there = storedFrom(plan.id, await tx.get('plans', plan.id))
      base = there.ok ? there.plan : undefined
      planIn(tx, plan, over + 1)
      historyIn(tx, plan.id, over + 1, [])
    })
    forgetUnsaved(plan.id)
    announceSaved({ shelf: 'plans', id: plan.id })
    return { ok: true }
  } catch (error) {
    const reason = whyNotSaved(error)
    holdPlan({ plan, base, revision: over, trail: { steps: [], ahead: [] }, reason })
    return { ok: false, reason }
  }
}

/** Stores a plan where none of its id is kept; one that is there, readable or not, stays as it is. */
export async function savePlanIfMissing(plan: Plan): Promise<SaveResult> {
  try {
    const there: unknown = await planShelf.getItem(plan.id)
    return there === null && !unsaved.has(plan.id) ? await savePlan(plan) : { ok: true }
  } catch (error) {
    return { ok: false, reason: whyNotSaved(error) }
  }
}
