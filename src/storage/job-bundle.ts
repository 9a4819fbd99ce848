import type { LogEvent } from '@/core/api/fit'
import { MOST_STEPS, own, type PastStep, type Plan } from '@/core/api/plan'
import { type JobBundle, pictureSchema } from '@/core/api/files'
import { historyIn } from './history'
import { announceAllSaved } from './saved-elsewhere'
import { loadCarLogs } from './car-logs'
import { recordImport } from './log'
import { openPlan, planIn, revisionIn } from './plans'
import { pictureShelf } from './database'
import { whyNotSaved, type SaveResult } from './save-result'
import { transaction } from './database'

/** A job as this browser keeps it: its plan with the steps that lead back from it, and the number of its writing. */
export interface SavedCopy {
  readonly plan: Plan
  readonly steps: readonly PastStep[]
  readonly revision: number
}

/** How this browser has a job; nothing where it has none that reads. */
export async function loadCopy(id: string): Promise<SavedCopy | undefined> {
  const { stored, revision, steps } = await openPlan(id)
  return stored?.ok ? { plan: stored.plan, steps, revision } : undefined
}

/** What the log says of a job: what was written in it, and what was written of its car where that is its alone. */
const ofJob = (plan: Plan, events: readonly LogEvent[]) =>
  events.filter(
    ({ jobId, vehicleId }) => jobId === plan.id || (!plan.car.shared && vehicleId === plan.car.id),
  )

/** A job with all that belongs to it, to be taken to another device. Nothing where it is not kept here. */
export async function makeBundle(id: string, madeAt: string, by: string): Promise<JobBundle | undefined> {
  const copy = await loadCopy(id)
  if (!copy) return undefined
  const pictures = new Map<string, string>()
  for (const picture of copy.plan.job.came?.pictures ?? []) {
    const read = pictureSchema.safeParse(await pictureShelf.getItem(picture.id))
    if (read.success) pictures.set(picture.id, read.data)
  }
  return {
    madeAt,
    ...(by === '' ? {} : { by }),
    plan: copy.plan,
    steps: copy.steps.slice(-MOST_STEPS),
    events: ofJob(copy.plan, (await loadCarLogs({ cars: [copy.plan.car.id], jobs: [id] })).events),
    pictures: Object.fromEntries(pictures),
  }
}

/** What is to be written of a job bundle: the job as it then stands, where that is another, and what is not here yet. */
export interface BundleImport {
  readonly id: string
  readonly name: string
  /** The writing that was looked at; nothing where the job was not here. */
  readonly over: number | undefined
  readonly copy: { readonly plan: Plan; readonly steps: readonly PastStep[] } | undefined
  readonly events: readonly LogEvent[]
  readonly pictures: Readonly<Record<string, string>>
}

/** Puts a job bundle on the shelves, all of it or nothing, over the writing that was looked at and over no other; it can be taken back. */
export async function importBundle({
  id,
  name,
  over,
  copy,
  events,
  pictures,
}: BundleImport): Promise<SaveResult> {
  try {
    await transaction(['plans', 'revisions', 'history', 'log', 'pictures', 'removed'], async (tx) => {
      const revision = await revisionIn(tx, id)
      const there = (await tx.get('plans', id)) !== undefined
      if (there !== (over !== undefined) || (over !== undefined && over !== revision))
        throw new Error('the job was changed here meanwhile. Open the job bundle again')
      const fresh: string[] = []
      for (const key of Object.keys(pictures))
        if ((await tx.get('pictures', key)) === undefined) fresh.push(key)
      await recordImport(tx, `Job bundle imported: ${name}`, events, [
        ...(copy
          ? ([
              ['plans', id],
              ['history', id],
            ] as const)
          : []),
        ...fresh.map((key) => ['pictures', key] as const),
      ])
      if (copy) {
        planIn(tx, copy.plan, revision + 1)
        historyIn(tx, id, revision + 1, copy.steps)
      }
      for (const key of fresh) tx.put('pictures', key, own(pictures, key))
    })
    announceAllSaved([id])
    return { ok: true }
  } catch (error) {
    return { ok: false, reason: whyNotSaved(error) }
  }
}
