'use client'
import {
  apply,
  type Clash,
  type Command,
  type FieldMessage,
  mergePlans,
  type PastStep,
  type Phrase,
  type Plan,
  type State,
} from '@/core/api/plan'
import { createStore, useStore } from 'zustand'
import { forgetUnsaved, saveHeld, savePlanIfCurrent, openPlan } from '@/storage/plans'
import { whyNotSaved, type SaveResult } from '@/storage/save-result'
import { dropMine, saveMine, loadMine } from '@/storage/undecided'
import { futureOnto, pastOnto, type Theirs } from './onto-theirs'
import { savedAhead, futureOf, pastOf, statesSince, savedSteps } from './past'
import { withoutOwnStep } from './whose-step'

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

/** What somebody else has kept of the open job that cannot stand beside what is here: both are kept until one is chosen. */
export interface Conflict extends Theirs {
  readonly clashes: readonly Clash[]
  readonly reason: string
}

interface PlanStore {
  readonly opened: Opened
  readonly plan: Plan | undefined
  /** The writing that the open plan comes from, as it is kept, and its number. */
  readonly base: Plan | undefined
  readonly revision: number
  readonly conflict: Conflict | undefined
  /** Somebody else has deleted the open job: the number of that writing. Whether it comes back is asked. */
  readonly deleted: { readonly revision: number } | undefined
  readonly past: readonly Plan[]
  readonly future: readonly Plan[]
  /** The plan as it stood before a drag began; the whole drag is one step of undo. */
  readonly dragFrom: Plan | undefined
  /** The plan in which the hand that drags last paused. */
  readonly pausedAt: Plan | undefined
  readonly saving: Saving
  readonly refusal: string | undefined
  /** What the last edit did besides what was asked of it: until the next one. */
  readonly notice: Phrase | undefined
  readonly picked: Picked | undefined
  readonly state: State
  readonly cell: { readonly layerId: string; readonly state: State } | undefined
  readonly focus: string | undefined
  open(id: string): Promise<void>
  /** Takes what another tab has kept of the open job, unless something here is still to be kept. */
  follow(id: string): Promise<void>
  run(command: Command): boolean
  drag(command: Command): void
  pause(): void
  drop(): void
  undo(): void
  redo(): void
  /** Makes an earlier state the newest step. */
  goBackTo(earlier: Plan): void
  say(notice: Phrase): void
  pick(picked: Picked | undefined): void
  showState(state: State): void
  showCell(cell: PlanStore['cell']): void
  focusFinding(id: string | undefined): void
  saveNow(): Promise<void>
  /** Chooses between what is here and what somebody else kept; undo brings back the other. */
  settle(holds: 'mine' | 'theirs'): Promise<void>
  /** Puts a job that somebody else deleted back, as it stands here. */
  putBack(): Promise<void>
  /** Closes a job that is deleted, with what was done here since. */
  letGo(id: string): void
}

/** Well under the second that a person may lose. */
const SAVE_AFTER_MS = 300
/** Two that write at once take turns: after so many the next edit tries again. */
const MOST_ROUNDS = 8

/** Two jobs of one id that do not come from each other. */
const NO_BASE = { ok: false, clashes: [], reason: 'Another tab keeps a job of the same name.' } as const

const NOTHING_OPEN = {
  plan: undefined,
  base: undefined,
  conflict: undefined,
  deleted: undefined,
  past: [],
  future: [],
  dragFrom: undefined,
  pausedAt: undefined,
  picked: undefined,
  cell: undefined,
  focus: undefined,
  refusal: undefined,
  notice: undefined,
} as const

let timer: ReturnType<typeof setTimeout> | undefined

export const planStore = createStore<PlanStore>((set, get) => {
  const later = () => {
    set({ saving: { at: 'waiting' } })
    clearTimeout(timer)
    timer = setTimeout(() => void get().saveNow(), SAVE_AFTER_MS)
  }
  /** Goes on from what somebody else has kept. */
  const onto = (plan: Plan, theirs: Theirs) => {
    const past = pastOnto(get(), theirs)
    const future = futureOnto(get(), theirs.theirs)
    set({ plan, base: theirs.theirs, revision: theirs.revision, past, future, refusal: undefined })
  }
  /** What was typed here before a reload, and could not stand beside what somebody else had kept, is asked again. */
  const takeUpMine = async (id: string, steps: readonly PastStep[]) => {
    const mine = await loadMine(id)
    const { plan: theirs, revision } = get()
    if (!mine || theirs?.id !== id) return
    const { base, plan } = mine
    const merged = base ? mergePlans(base, plan, theirs) : NO_BASE
    if (merged.ok) {
      set({ plan: merged.plan, past: [...get().past, theirs] })
      await get().saveNow()
    } else
      set({
        plan,
        base,
        conflict: { theirs, revision, steps, clashes: merged.clashes, reason: merged.reason },
        saving: { at: 'waiting' },
      })
  }
  /** Keeps what waits of a job: if it is open here with all that was done since, else as it was left. */
  const keptAfterAll = async (id: string): Promise<SaveResult> => {
    if (get().plan?.id !== id) return saveHeld(id)
    await get().saveNow()
    const { saving } = get()
    return saving.at === 'failed' ? { ok: false, reason: saving.reason } : { ok: true }
  }
  return {
    ...NOTHING_OPEN,
    opened: { at: 'loading' },
    revision: 0,
    saving: { at: 'saved' },
    state: 'road',
    async open(id) {
      if (get().saving.at !== 'saved') await get().saveNow()
      const before = get().plan
      if (before?.id === id) {
        const found = await openPlan(id).catch(() => undefined)
        if (found?.stored?.ok && JSON.stringify(found.stored.plan) === JSON.stringify(before)) {
          set({ opened: { at: 'open' }, cell: undefined, focus: undefined })
          return
        }
      }
      set({ ...NOTHING_OPEN, opened: { at: 'loading' } })
      try {
        const { stored, revision, steps, ahead, unsaved } = await openPlan(id)
        if (!stored) {
          set({ opened: { at: 'missing', id } })
          const mine = await loadMine(id)
          if (mine)
            set({
              ...mine,
              opened: { at: 'open' },
              revision,
              deleted: { revision },
              saving: { at: 'waiting' },
            })
        } else if (!stored.ok)
          set({ opened: { at: 'unreadable', problems: stored.problems, raw: stored.raw } })
        else {
          const { plan } = stored
          const past = pastOf(plan, steps)
          const future = futureOf(plan, ahead)
          const base = unsaved ? unsaved.base : plan
          const saving: Saving = unsaved ? { at: 'failed', reason: unsaved.reason } : { at: 'saved' }
          set({ opened: { at: 'open' }, plan, base, revision, past, future, saving })
          await takeUpMine(id, steps)
        }
      } catch (error) {
        set({ opened: { at: 'missing', id }, saving: { at: 'failed', reason: whyNotSaved(error) } })
      }
    },
    async follow(id) {
      const { plan, saving, dragFrom, conflict } = get()
      if (plan?.id !== id || saving.at === 'waiting' || dragFrom || conflict) return
      // What could not be kept here goes onto what came, and is never laid over it.
      if (saving.at === 'failed') {
        await get().saveNow()
        return
      }
      const found = await openPlan(id).catch(() => undefined)
      const now = get()
      if (!found || now.plan !== plan || now.saving.at !== 'saved') return
      if (!found.stored) set({ deleted: { revision: found.revision } })
      if (!found.stored?.ok) return
      set({ deleted: undefined })
      const { stored, revision, steps } = found
      if (JSON.stringify(stored.plan) === JSON.stringify(plan)) set({ base: plan, revision })
      else {
        onto(stored.plan, { theirs: stored.plan, revision, steps })
      }
    },
    run(command) {
      const { plan, past } = get()
      if (!plan) return false
      const applied = apply(plan, command)
      if (!applied.ok) {
        set({ refusal: applied.reason, notice: undefined })
        return false
      }
      set({ plan: applied.plan, past: [...past, plan], future: [], refusal: undefined, notice: undefined })
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
    pause() {
      const { plan, dragFrom } = get()
      if (dragFrom) set({ pausedAt: plan })
    },
    drop() {
      const { dragFrom, past } = get()
      if (!dragFrom) return
      set({
        dragFrom: undefined,
        pausedAt: undefined,
        past: [...past, dragFrom],
        future: [],
        notice: undefined,
      })
      later()
    },
    undo() {
      const { plan, past, future } = get()
      const back = plan && withoutOwnStep(plan, past)
      if (!back) return
      set({ ...back, future: [plan, ...future], refusal: undefined, notice: undefined })
      later()
    },
    redo() {
      const { plan, past, future } = get()
      const [after, ...rest] = future
      if (!plan || !after) return
      set({ plan: after, past: [...past, plan], future: rest, notice: undefined })
      later()
    },
    goBackTo(earlier) {
      const { plan, past } = get()
      if (!plan || earlier === plan) return
      set({ plan: earlier, past: [...past, plan], future: [], refusal: undefined, notice: undefined })
      later()
    },
    say(notice) {
      set({ notice })
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
      for (let round = 0; round < MOST_ROUNDS; round += 1) {
        const { plan, past, future, revision, base } = get()
        if (!plan) return
        const steps = savedSteps(past, plan)
        const ahead = savedAhead(plan, future)
        const done = await savePlanIfCurrent({
          plan,
          over: revision,
          base,
          steps,
          ahead,
          again: () => keptAfterAll(plan.id),
        })
        const now = get()
        if (now.plan?.id !== plan.id) return
        if (done.saved === 'no') {
          set({ saving: { at: 'failed', reason: done.reason } })
          return
        }
        if (done.saved === 'yes') {
          void dropMine(plan.id)
          const saving: Saving = now.plan === plan ? { at: 'saved' } : now.saving
          set({ base: plan, revision: done.revision, conflict: undefined, deleted: undefined, saving })
          return
        }
        if (done.saved === 'gone') {
          void saveMine(plan.id, { base, plan: now.plan })
          forgetUnsaved(plan.id)
          set({ deleted: { revision: done.revision }, saving: { at: 'waiting' } })
          return
        }
        if (!done.stored.ok) {
          set({ saving: { at: 'failed', reason: 'The saved version of this job cannot be read.' } })
          return
        }
        const theirs = done.stored.plan
        const merged = mergePlans(base ?? theirs, now.plan, theirs)
        if (!merged.ok) {
          const { clashes, reason } = merged
          void saveMine(plan.id, { base: base ?? theirs, plan: now.plan })
          forgetUnsaved(plan.id)
          const { revision: number, steps: others } = done
          set({
            conflict: { theirs, revision: number, steps: others, clashes, reason },
            saving: { at: 'waiting' },
          })
          return
        }
        onto(merged.plan, { theirs, revision: done.revision, steps: done.steps })
      }
    },
    async settle(holds) {
      const { plan, conflict, past, base } = get()
      if (!plan || !conflict) return
      const { theirs, revision, steps } = conflict
      const since = statesSince(base, past, theirs, steps)
      set({
        plan: holds === 'mine' ? plan : theirs,
        base: theirs,
        revision,
        conflict: undefined,
        past: [...past, ...(holds === 'mine' ? [...since, theirs] : [plan, ...since])],
        future: [],
      })
      void dropMine(plan.id)
      await get().saveNow()
    },
    async putBack() {
      const { deleted } = get()
      if (!deleted) return
      set({ revision: deleted.revision, deleted: undefined })
      await get().saveNow()
    },
    letGo(id) {
      if (get().plan?.id !== id) return
      clearTimeout(timer)
      void dropMine(id)
      forgetUnsaved(id)
      set({ ...NOTHING_OPEN, opened: { at: 'missing', id }, saving: { at: 'saved' } })
    },
  }
})

export const usePlan = <Part>(part: (store: PlanStore) => Part): Part => useStore(planStore, part)

/** Why the last edit was refused, for the field it was typed into; nothing when it was taken. */
export const refused = (taken: boolean): string | undefined =>
  taken ? undefined : (planStore.getState().refusal ?? 'This cannot be taken.')
