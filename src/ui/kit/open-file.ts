'use client'
import { type Parcel, type Plan, planFileName, printPlan } from '@/core'
import { create } from 'zustand'
import { keepPlan, loadPlan } from '@/storage/plans'
import { downloadText } from './download'

/** Why a file was not opened; each time it is said anew. */
interface Unopened {
  readonly time: number
  readonly file: string
  readonly lines: readonly string[]
}

let times = 0

interface OpenFile {
  readonly problem: Unopened | undefined
  readonly opened: number
  /** A parcel that was opened and is looked at before anything of it is written. */
  readonly parcel: Parcel | undefined
  open(file: File): Promise<string | undefined>
  /** Puts away what was shown; by then another file may have been dropped, and stays. */
  dismiss(shown: Unopened | Parcel): void
}

/** A plan that came from a file gets a new id when another plan has its own already. */
async function withFreeId(plan: Plan): Promise<Plan> {
  const there = await loadPlan(plan.id).catch(() => undefined)
  if (!there || (there.ok && JSON.stringify(there.plan) === JSON.stringify(plan))) return plan
  return {
    ...plan,
    id: `plan-${crypto.randomUUID()}`,
    job: { ...plan.job, name: `${plan.job.name} (from file)`.slice(0, 120) },
  }
}

/** Opening plan files, by button or by drop: a bad one says what is wrong where, and changes nothing. */
export const useOpenFile = create<OpenFile>((set, get) => ({
  problem: undefined,
  opened: 0,
  parcel: undefined,
  async open(file) {
    const fail = (lines: readonly string[]) =>
      set({ problem: { time: (times += 1), file: file.name, lines } })
    const { readOpened } = await import('./read-opened')
    const read = await readOpened(file)
    if (read.is === 'wrong') {
      fail(read.problems)
      return undefined
    }
    if (read.is === 'parcel') {
      set({ problem: undefined, parcel: read.parcel })
      return undefined
    }
    const plan = await withFreeId(read.plan)
    const kept = await keepPlan(plan)
    if (!kept.ok) {
      fail([kept.reason])
      return undefined
    }
    set({ problem: undefined, opened: get().opened + 1 })
    return plan.id
  },
  dismiss(shown) {
    if (get().problem === shown) set({ problem: undefined })
    if (get().parcel === shown) set({ parcel: undefined })
  },
}))

/** Hands a plan to the browser as a file. */
export function downloadPlan(plan: Plan): void {
  downloadText(planFileName(plan), printPlan(plan), 'application/json')
}
