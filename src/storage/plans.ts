import { type FieldMessage, type Plan, readPlan } from '@/core'
import { tellKept } from './kept-elsewhere'
import { planShelf, whyNotKept, type Kept } from './shelves'

export type StoredPlan =
  | { readonly ok: true; readonly plan: Plan }
  | {
      readonly ok: false
      readonly id: string
      readonly problems: readonly FieldMessage[]
      readonly raw: unknown
    }

/** Plans this browser refused to store: they live as long as the page does, and can be downloaded. */
const unkept = new Map<string, Plan>()

/** Every stored plan; one that no longer reads is listed with what is wrong, never dropped. */
export async function loadPlans(): Promise<StoredPlan[]> {
  const found: StoredPlan[] = [...unkept.values()].map((plan) => ({ ok: true, plan }))
  try {
    await planShelf.iterate((raw, id) => {
      if (unkept.has(id)) return
      const read = readPlan(raw)
      found.push(read.ok ? { ok: true, plan: read.plan } : { ok: false, id, problems: read.problems, raw })
    })
  } catch (error) {
    if (found.length === 0) throw error
  }
  return found
}

export async function loadPlan(id: string): Promise<StoredPlan | undefined> {
  const inMemory = unkept.get(id)
  if (inMemory) return { ok: true, plan: inMemory }
  const raw: unknown = await planShelf.getItem(id)
  if (raw === null) return undefined
  const read = readPlan(raw)
  return read.ok ? { ok: true, plan: read.plan } : { ok: false, id, problems: read.problems, raw }
}

/** Stores a plan whole; a failed write leaves what was stored before untouched. */
export async function keepPlan(plan: Plan): Promise<Kept> {
  try {
    await planShelf.setItem(plan.id, plan)
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

export async function dropPlan(id: string): Promise<Kept> {
  unkept.delete(id)
  try {
    await planShelf.removeItem(id)
    return { ok: true }
  } catch (error) {
    return { ok: false, reason: whyNotKept(error) }
  }
}
