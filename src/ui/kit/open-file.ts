'use client'
import { type Parcel, type Plan, planFileName, printPlan } from '@/core'
import { create } from 'zustand'
import { keepPlan, loadPlan } from '@/storage/plans'
import { downloadText } from './download'

interface OpenFile {
  readonly problem: { readonly file: string; readonly lines: readonly string[] } | undefined
  readonly opened: number
  /** A parcel that was opened and is looked at before anything of it is written. */
  readonly parcel: Parcel | undefined
  open(file: File): Promise<string | undefined>
  dismiss(): void
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
    const fail = (lines: readonly string[]) => set({ problem: { file: file.name, lines } })
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
  dismiss() {
    set({ problem: undefined, parcel: undefined })
  },
}))

/** Hands a plan to the browser as a file. */
export function downloadPlan(plan: Plan): void {
  downloadText(planFileName(plan), printPlan(plan), 'application/json')
}
