'use client'
import { create } from 'zustand'
import { EVENT_WORD, logEventSchema, type LogEvent } from '@/core/bay/log/event'
import { replay, type RackRecord } from '@/core/bay/log/replay'
import type { Plan } from '@/core/plan/plan'
import { keepEvents, loadEvents } from '@/storage/log'
import { whyNotKept } from '@/storage/shelves'
import { useSettings } from '@/ui/shell/settings-store'

/** An event as a screen makes it: the store adds when, whose and by whom. */
type Unsigned<E> = E extends LogEvent ? Omit<E, 'id' | 'at' | 'vehicleId' | 'jobId' | 'by'> : never
export type NewEvent = Unsigned<LogEvent>

interface LogStore {
  readonly ready: boolean
  readonly events: readonly LogEvent[]
  readonly trouble: string | undefined
  open(): Promise<void>
  add(of: { readonly vehicleId: string; readonly jobId?: string }, events: readonly NewEvent[]): Promise<void>
}

let watching = false

/** The log as this page has read it. What is added shows at once and is stored event by event. */
export const useLog = create<LogStore>((set, get) => ({
  ready: false,
  events: [],
  trouble: undefined,
  async open() {
    if (!watching) {
      watching = true
      // Another tab may have written meanwhile.
      document.addEventListener('visibilitychange', () => {
        if (document.visibilityState === 'visible') void get().open()
      })
    }
    try {
      set({ events: await loadEvents(), ready: true })
    } catch (error) {
      set({ ready: true, trouble: whyNotKept(error) })
    }
  },
  async add({ vehicleId, jobId }, events) {
    const { fitter } = useSettings.getState().settings
    const signed = events.map((event) => ({
      ...event,
      id: crypto.randomUUID(),
      at: new Date().toISOString(),
      vehicleId,
      ...(jobId === undefined ? {} : { jobId }),
      ...(fitter === '' ? {} : { by: fitter }),
    })) as LogEvent[]
    // What could not be read back is not written: better said now than missed later.
    const odd = signed.find((event) => !logEventSchema.safeParse(event).success)
    if (odd) {
      set({
        trouble: `This was not written into the log (${EVENT_WORD[odd.kind]}): a figure or a text in it is out of bounds.`,
      })
      return
    }
    set({ events: [...get().events, ...signed], trouble: undefined })
    const kept = await keepEvents(signed)
    if (!kept.ok) set({ trouble: kept.reason })
  },
}))

const records = new WeakMap<readonly LogEvent[], Map<string, RackRecord>>()

/** What one vehicle's part of a log says; worked out once for each log as it stands. */
export function recordOf(events: readonly LogEvent[], vehicleId: string): RackRecord {
  const known = records.get(events) ?? new Map<string, RackRecord>()
  records.set(events, known)
  const record = known.get(vehicleId) ?? replay(events.filter((event) => event.vehicleId === vehicleId))
  known.set(vehicleId, record)
  return record
}

/** Writes to the log of a plan's vehicle. */
export const logFor = (plan: Plan, ...events: readonly NewEvent[]): void => {
  void useLog.getState().add({ vehicleId: plan.vehicle.id, jobId: plan.id }, events)
}
