'use client'
import { apply, type Command, type FieldMessage, type Plan, type State } from '@/core'
import { create } from 'zustand'
import { keepPlan, loadPlan } from '@/storage/plans'
import { whyNotKept } from '@/storage/shelves'

type Opened =
  | { readonly at: 'loading' }
  | { readonly at: 'missing'; readonly id: string }
  | { readonly at: 'unreadable'; readonly problems: readonly FieldMessage[]; readonly raw: unknown }
  | { readonly at: 'open' }

type Saving =
  { readonly at: 'saved' } | { readonly at: 'waiting' } | { readonly at: 'failed'; readonly reason: string }

/** What is picked in the drawing: a thing on the rack, or a bar of it. */
export type Picked =
  { readonly kind: 'thing'; readonly id: string } | { readonly kind: 'bar'; readonly id: string }

interface PlanStore {
  readonly opened: Opened
  readonly plan: Plan | undefined
  readonly past: readonly Plan[]
  readonly future: readonly Plan[]
  /** The plan as it stood before a drag began; the whole drag is one step of undo. */
  readonly dragFrom: Plan | undefined
  readonly saving: Saving
  readonly refusal: string | undefined
  readonly picked: Picked | undefined
  readonly state: State
  readonly cell: { readonly layerId: string; readonly state: State } | undefined
  readonly focus: string | undefined
  open(id: string): Promise<void>
  /** Takes what another tab has kept of the open job, unless something here is still to be kept. */
  follow(id: string): Promise<void>
  run(command: Command): boolean
  drag(command: Command): void
  drop(): void
  undo(): void
  redo(): void
  pick(picked: Picked | undefined): void
  showState(state: State): void
  showCell(cell: PlanStore['cell']): void
  focusFinding(id: string | undefined): void
  saveNow(): Promise<void>
}

/** Well under the second that a person may lose. */
const SAVE_AFTER_MS = 300
const UNDO_STEPS = 200
let timer: ReturnType<typeof setTimeout> | undefined

export const usePlan = create<PlanStore>((set, get) => {
  const later = () => {
    set({ saving: { at: 'waiting' } })
    clearTimeout(timer)
    timer = setTimeout(() => void get().saveNow(), SAVE_AFTER_MS)
  }
  return {
    opened: { at: 'loading' },
    plan: undefined,
    past: [],
    future: [],
    dragFrom: undefined,
    saving: { at: 'saved' },
    refusal: undefined,
    picked: undefined,
    state: 'road',
    cell: undefined,
    focus: undefined,
    async open(id) {
      if (get().saving.at === 'waiting') await get().saveNow()
      const before = get().plan
      if (before?.id === id) {
        const stored = await loadPlan(id).catch(() => undefined)
        if (stored?.ok && JSON.stringify(stored.plan) === JSON.stringify(before)) {
          set({ opened: { at: 'open' }, cell: undefined, focus: undefined })
          return
        }
      }
      set({
        opened: { at: 'loading' },
        plan: undefined,
        past: [],
        future: [],
        picked: undefined,
        cell: undefined,
        focus: undefined,
        refusal: undefined,
      })
      try {
        const stored = await loadPlan(id)
        if (!stored) set({ opened: { at: 'missing', id } })
        else if (!stored.ok) set({ opened: { at: 'unreadable', problems: stored.problems, raw: stored.raw } })
        else set({ opened: { at: 'open' }, plan: stored.plan })
      } catch (error) {
        set({ opened: { at: 'missing', id }, saving: { at: 'failed', reason: whyNotKept(error) } })
      }
    },
    async follow(id) {
      const { plan, saving, dragFrom } = get()
      if (plan?.id !== id || saving.at === 'waiting' || dragFrom) return
      const stored = await loadPlan(id).catch(() => undefined)
      const now = get()
      if (!stored?.ok || now.plan !== plan || JSON.stringify(stored.plan) === JSON.stringify(plan)) return
      set({ plan: stored.plan, past: [...now.past.slice(-UNDO_STEPS), plan], future: [], refusal: undefined })
    },
    run(command) {
      const { plan, past } = get()
      if (!plan) return false
      const applied = apply(plan, command)
      if (!applied.ok) {
        set({ refusal: applied.reason })
        return false
      }
      set({ plan: applied.plan, past: [...past.slice(-UNDO_STEPS), plan], future: [], refusal: undefined })
      later()
      return true
    },
    drag(command) {
      const { plan, dragFrom } = get()
      const from = dragFrom ?? plan
      if (!from) return
      const applied = apply(from, command)
      if (applied.ok) set({ plan: applied.plan, dragFrom: from })
    },
    drop() {
      const { dragFrom, past } = get()
      if (!dragFrom) return
      set({ dragFrom: undefined, past: [...past.slice(-UNDO_STEPS), dragFrom], future: [] })
      later()
    },
    undo() {
      const { plan, past, future } = get()
      const before = past.at(-1)
      if (!plan || !before) return
      set({ plan: before, past: past.slice(0, -1), future: [plan, ...future], refusal: undefined })
      later()
    },
    redo() {
      const { plan, past, future } = get()
      const [after, ...rest] = future
      if (!plan || !after) return
      set({ plan: after, past: [...past, plan], future: rest })
      later()
    },
    pick(picked) {
      set({ picked })
    },
    showState(state) {
      set({ state })
    },
    showCell(cell) {
      set({ cell })
    },
    focusFinding(focus) {
      set({ focus })
    },
    async saveNow() {
      clearTimeout(timer)
      const { plan } = get()
      if (!plan) return
      const kept = await keepPlan(plan)
      if (get().plan !== plan) return
      set({ saving: kept.ok ? { at: 'saved' } : { at: 'failed', reason: kept.reason } })
    },
  }
})

/** Why the last edit was refused, for the field it was typed into; nothing when it was taken. */
export const refused = (taken: boolean): string | undefined =>
  taken ? undefined : (usePlan.getState().refusal ?? 'This cannot be taken.')
