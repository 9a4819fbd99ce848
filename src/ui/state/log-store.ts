'use client'
import {
  carsByJob,
  EVENT_WORD,
  type LogEvent,
  logEventSchema,
  nextTurn,
  ownEvents,
  perhapsSame,
  type Plan,
  type RackRecord,
  replacedBy,
  replay,
  united,
} from '@/core'
import { useEffect, useMemo } from 'react'
import { create } from 'zustand'
import { whenKept } from '@/storage/kept-elsewhere'
import { keepEvents, loadEvents, takeInEvents } from '@/storage/log'
import { whyNotKept } from '@/storage/shelves'
import { useSettings } from '@/ui/state/settings-store'
import { useStoredPlans } from './stored-plans'

/** An event as a screen makes it: the store adds when, whose and by whom. */
type Unsigned<E> = E extends LogEvent
  ? Omit<E, 'id' | 'at' | 'vehicleId' | 'jobId' | 'by' | 'turn' | 'device'>
  : never
export type NewEvent = Unsigned<LogEvent>

interface LogStore {
  readonly ready: boolean
  readonly events: readonly LogEvent[]
  readonly trouble: string | undefined
  open(): Promise<void>
  /** Takes in entries of another device as they are, from a file of a name; what is here already stays as it is. */
  takeIn(events: readonly LogEvent[], name: string): Promise<boolean>
  add(of: { readonly vehicleId: string; readonly jobId?: string }, events: readonly NewEvent[]): Promise<void>
}

/** A name of this browser's own, made once: it tells apart what two devices wrote in the same turn. */
function deviceId(): string {
  const { settings, change } = useSettings.getState()
  const device = settings.device ?? crypto.randomUUID()
  if (settings.device === undefined) change({ device })
  return device
}

/** An entry that says which earlier one it takes the place of. */
function withReplaced(event: LogEvent, before: readonly LogEvent[]): LogEvent {
  const replaced = replacedBy(event, before)
  return replaced ? { ...event, replaces: replaced.id } : event
}

let watching = false
/** What is on its way into the store: reading it again meanwhile does not lose sight of it. */
let writing: readonly LogEvent[] = []

/** The log as this page has read it. What is added shows at once and is stored event by event. */
export const useLog = create<LogStore>((set, get) => ({
  ready: false,
  events: [],
  trouble: undefined,
  async open() {
    if (!watching) {
      watching = true
      // Another tab may have written meanwhile.
      whenKept(({ shelf }) => {
        if (shelf === 'log') void get().open()
      })
      document.addEventListener('visibilitychange', () => {
        if (document.visibilityState === 'visible') void get().open()
      })
    }
    try {
      const stored = await loadEvents()
      set({ events: united(stored, writing), ready: true })
    } catch (error) {
      set({ ready: true, trouble: whyNotKept(error) })
    }
  },
  async takeIn(given, name) {
    const known = new Set(get().events.map(({ id }) => id))
    const fresh = given.filter(({ id }) => !known.has(id))
    const kept = await takeInEvents(fresh, name)
    if (kept.ok) set({ events: united(get().events, fresh), trouble: undefined })
    else set({ trouble: `${name} was not taken in: ${kept.reason}` })
    return kept.ok
  },
  async add({ vehicleId, jobId }, events) {
    const { fitter } = useSettings.getState().settings
    const first = nextTurn(get().events)
    const before = get().events
    const signed = events.map((event, i) =>
      withReplaced(
        {
          ...event,
          id: crypto.randomUUID(),
          at: new Date().toISOString(),
          turn: first + i,
          device: deviceId(),
          vehicleId,
          ...(jobId === undefined ? {} : { jobId }),
          ...(fitter === '' ? {} : { by: fitter }),
        },
        before,
      ),
    )
    // What could not be read back is not written: better said now than missed later.
    const odd = signed.find((event) => !logEventSchema.safeParse(event).success)
    if (odd) {
      set({
        trouble: `This was not written into the log (${EVENT_WORD[odd.kind]}): a figure or a text in it is out of bounds.`,
      })
      return
    }
    set({ events: [...get().events, ...signed], trouble: undefined })
    writing = [...writing, ...signed]
    const kept = await keepEvents(signed)
    writing = writing.filter((event) => !signed.includes(event))
    if (!kept.ok) set({ trouble: kept.reason })
  },
}))

const records = new WeakMap<readonly LogEvent[], RackRecord>()

/** What a list of events says; worked out once for each list. */
export function recordOf(own: readonly LogEvent[]): RackRecord {
  const known = records.get(own)
  if (known) return known
  const record = replay(own)
  records.set(own, record)
  return record
}

/** The log of a job's own car, and the other jobs of this browser that may be about it. */
export function useOwnLog(plan: Plan): {
  readonly own: readonly LogEvent[]
  readonly perhaps: readonly Plan[]
} {
  const open = useLog((store) => store.open)
  const events = useLog((store) => store.events)
  const { plans } = useStoredPlans(plan.id)
  useEffect(() => void open(), [open, plan.id])
  return useMemo(() => {
    // The open plan goes before its stored self: it may just have been parted.
    const others = plans.filter(({ id }) => id !== plan.id)
    return {
      own: ownEvents(events, plan, carsByJob([...others, plan])),
      perhaps: perhapsSame(plan, others),
    }
  }, [events, plan, plans])
}

/** Writes to the log of a plan's car. */
export const logFor = (plan: Plan, ...events: readonly NewEvent[]): void =>
  void useLog.getState().add({ vehicleId: plan.car.id, jobId: plan.id }, events)
