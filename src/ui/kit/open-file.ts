'use client'
import { isParcel, type Parcel, parsePlanText, type Plan, planFileName, printPlan, readParcel } from '@/core'
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

const LARGEST_BYTES = 4 * 1024 * 1024
/** A parcel has pictures in it. */
const LARGEST_PARCEL_BYTES = 64 * 1024 * 1024

function decoded(text: string): unknown {
  try {
    return JSON.parse(text.replace(/^\uFEFF/, ''))
  } catch {
    return undefined
  }
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
    if (file.size > LARGEST_PARCEL_BYTES) {
      fail(['The file is larger than 64 MB.'])
      return undefined
    }
    const text = await file.text()
    const raw = decoded(text)
    if (isParcel(raw)) {
      const parcel = readParcel(raw)
      if (parcel.ok) set({ problem: undefined, parcel: parcel.parcel })
      else fail(parcel.problems.slice(0, 8).map((problem) => problem.text))
      return undefined
    }
    if (file.size > LARGEST_BYTES) {
      fail(['plan is larger than 4 MB.'])
      return undefined
    }
    const read = parsePlanText(text)
    if (!read.ok) {
      fail(read.problems.slice(0, 8).map((problem) => problem.text))
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
