import { type FieldMessage, type PastStep, patchBetween, type Plan, readPlan } from '@/core'
import * as z from '@/core/units/schema'
import { tellKept } from './kept-elsewhere'
import { planShelf, whyNotKept, type Kept } from './shelves'
import { historyIn, stepsIn } from './history'
import { allOn, inOneGo, type Going } from './transaction'

export type StoredPlan =
  | { readonly ok: true; readonly plan: Plan }
  | {
      readonly ok: false
      readonly id: string
      readonly problems: readonly FieldMessage[]
      readonly raw: unknown
    }

/** Plans this browser refused to store: they live as long as the page does, and can be downloaded. */
export const unkept = new Map<string, Plan>()

/** Every stored plan; one that no longer reads is listed with what is wrong, never dropped. */
export async function loadPlans(): Promise<StoredPlan[]> {
  const found: StoredPlan[] = [...unkept.values()].map((plan) => ({ ok: true, plan }))
  try {
    for (const [id, raw] of await allOn('plans')) if (!unkept.has(id)) found.push(storedFrom(id, raw))
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
  const inMemory = unkept.get(id)
  if (inMemory) return { ok: true, plan: inMemory }
  const raw: unknown = await planShelf.getItem(id)
  return raw === null ? undefined : storedFrom(id, raw)
}

const revisionSchema = z.catch(z.int().check(z.gte(0)), 0)
const revisionKey = (id: string) => `plans/${id}`
export const revisionIn = async ({ get }: Going, id: string): Promise<number> =>
  revisionSchema.parse(await get('revisions', revisionKey(id)))

/**
 * Says that plans were written once more, or taken away: what anybody has open of them is an older writing. It reads
 * before it writes, so that what is written after it is written in one breath.
 */
export async function nextRevisions(
  going: Going,
  ids: readonly string[],
): Promise<ReadonlyMap<string, number>> {
  const revisions = await Promise.all(ids.map((id) => revisionIn(going, id)))
  const next = new Map(ids.map((id, i) => [id, (revisions[i] ?? 0) + 1]))
  for (const [id, revision] of next) going.put('revisions', revisionKey(id), revision)
  return next
}

export function planIn({ put: write }: Going, plan: Plan, revision: number): void {
  write('plans', plan.id, plan)
  write('revisions', revisionKey(plan.id), revision)
}

/** A plan with the number of its last writing, both as they stand at one moment. */
export async function loadWithRevision(
  id: string,
): Promise<{ readonly stored: StoredPlan | undefined; readonly revision: number }> {
  const inMemory = unkept.get(id)
  const reading = inOneGo(['plans', 'revisions'], async (going) => ({
    raw: await going.get('plans', id),
    revision: await revisionIn(going, id),
  }))
  // What is in memory alone is there even where the browser lets nothing be read.
  if (inMemory)
    return {
      stored: { ok: true, plan: inMemory },
      revision: await reading.then(
        ({ revision }) => revision,
        () => 0,
      ),
    }
  const { raw, revision } = await reading
  return { stored: raw === undefined ? undefined : storedFrom(id, raw), revision }
}

type KeptOver =
  | { readonly kept: 'yes'; readonly revision: number }
  /** Somebody else has written since: nothing was written over, and this is what stands there. */
  | { readonly kept: 'stale'; readonly stored: StoredPlan; readonly revision: number }
  | { readonly kept: 'no'; readonly reason: string }

/** Stores a plan over the writing it comes from, and over no other. */
export async function keepPlanOver(
  plan: Plan,
  over: number,
  steps: readonly PastStep[] = [],
): Promise<KeptOver> {
  try {
    const done = await inOneGo(['plans', 'revisions', 'history'], async (going): Promise<KeptOver> => {
      const revision = await revisionIn(going, plan.id)
      const raw = await going.get('plans', plan.id)
      if (revision !== over && raw !== undefined)
        return { kept: 'stale', stored: storedFrom(plan.id, raw), revision }
      planIn(going, plan, revision + 1)
      historyIn(going, plan.id, revision + 1, steps)
      return { kept: 'yes', revision: revision + 1 }
    })
    if (done.kept === 'yes') {
      unkept.delete(plan.id)
      tellKept({ shelf: 'plans', id: plan.id })
    }
    return done
  } catch (error) {
    unkept.set(plan.id, plan)
    return { kept: 'no', reason: whyNotKept(error) }
  }
}

/** Changes a job that is open nowhere here, as it is kept in that moment, by one more step of its past. */
export async function changePlan(id: string, change: (plan: Plan) => Plan | undefined): Promise<Kept> {
  try {
    await inOneGo(['plans', 'revisions', 'history'], async (going) => {
      const stored = storedFrom(id, await going.get('plans', id))
      const plan = stored.ok ? change(stored.plan) : undefined
      if (!stored.ok || !plan) return
      const revision = await revisionIn(going, id)
      const back = patchBetween(plan, stored.plan)
      const steps = [...(await stepsIn(going, id, revision)), { at: new Date().toISOString(), back }]
      planIn(going, plan, revision + 1)
      historyIn(going, id, revision + 1, steps)
    })
    tellKept({ shelf: 'plans', id })
    return { ok: true }
  } catch (error) {
    return { ok: false, reason: whyNotKept(error) }
  }
}

/** Stores a plan whole, whatever is there; a failed write leaves what was stored before untouched. */
export async function keepPlan(plan: Plan): Promise<Kept> {
  try {
    await inOneGo(['plans', 'revisions'], async (going) => {
      planIn(going, plan, (await revisionIn(going, plan.id)) + 1)
    })
    unkept.delete(plan.id)
    tellKept({ shelf: 'plans', id: plan.id })
    return { ok: true }
  } catch (error) {
    unkept.set(plan.id, plan)
    return { ok: false, reason: whyNotKept(error) }
  }
}

/** Stores a plan where none of its id is kept; one that is there, readable or not, stays as it is. */
export async function keepPlanIfMissing(plan: Plan): Promise<Kept> {
  try {
    const there: unknown = await planShelf.getItem(plan.id)
    return there === null && !unkept.has(plan.id) ? await keepPlan(plan) : { ok: true }
  } catch (error) {
    return { ok: false, reason: whyNotKept(error) }
  }
}
