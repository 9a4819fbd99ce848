'use client'
import { type JobBundle, planFileName, printPlan } from '@/core/api/files'
import type { Plan } from '@/core/api/plan'
import { create } from 'zustand'
import { savePlan, loadPlan } from '@/storage/plans'
import { downloadText } from '@/ui/kit/download'

/** Why a file was not opened; each time it is said again. */
interface Unopened {
  readonly time: number
  readonly file: string
  readonly lines: readonly string[]
}

let times = 0

interface OpenFile {
  readonly problem: Unopened | undefined
  readonly opened: number
  /** A job bundle that was opened and is looked at before anything of it is written. */
  readonly bundle: JobBundle | undefined
  open(file: File): Promise<string | undefined>
  /** Puts away what was shown; by then another file may have been dropped, and stays. */
  dismiss(shown: Unopened | JobBundle): void
}

/**
 * Keeps a plan that came from a file, and gives the id under which it is here: a new one when another has its own already;
 * one that is here as it is stays, with its past. What this browser refuses to keep is opened all the same, and waits.
 */
async function keepOpened(plan: Plan): Promise<string> {
  const { id } = plan
  const there = await loadPlan(id).catch(() => undefined)
  if (!there) {
    await savePlan(plan)
    return id
  }
  if (there.ok && JSON.stringify(there.plan) === JSON.stringify(plan)) return id
  const other = `plan-${crypto.randomUUID()}`
  const name = `${plan.job.name} (from file)`.slice(0, 120)
  await savePlan({ ...plan, id: other, job: { ...plan.job, name } })
  return other
}

/** Opening plan files, by button or by drop: a bad one says what is wrong where, and changes nothing. */
export const useOpenFile = create<OpenFile>((set, get) => ({
  problem: undefined,
  opened: 0,
  bundle: undefined,
  async open(file) {
    const fail = (lines: readonly string[]) =>
      set({ problem: { time: (times += 1), file: file.name, lines } })
    const { readOpened } = await import('./read-opened')
    const read = await readOpened(file)
    if (read.is === 'wrong') {
      fail(read.problems)
      return undefined
    }
    if (read.is === 'bundle') {
      set({ problem: undefined, bundle: read.bundle })
      return undefined
    }
    const id = await keepOpened(read.plan)
    set({ problem: undefined, opened: get().opened + 1 })
    return id
  },
  dismiss(shown) {
    if (get().problem === shown) set({ problem: undefined })
    if (get().bundle === shown) set({ bundle: undefined })
  },
}))

/** Hands a plan to the browser as a file. */
export function downloadPlan(plan: Plan): void {
  downloadText(planFileName(plan), printPlan(plan), 'application/json')
}
