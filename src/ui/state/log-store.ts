'use client'
import {
  carsByJob,
  EVENT_WORD,
  type JobAbout,
  type LogEvent,
  logEventSchema,
  nextTurn,
  ownEvents,
  perhapsSame,
  type RackRecord,
  replacedBy,
  replay,
  united,
} from '@/core/api/fit'
import type { Plan } from '@/core/api/plan'
import { useEffect } from 'react'
import { createStore, useStore } from 'zustand'
import { glimpseCarLogs, loadCarLogs, type Whose } from '@/storage/car-logs'
import { onSaved } from '@/storage/saved-elsewhere'
import { saveEvents, importEvents } from '@/storage/log'
import { whyNotSaved } from '@/storage/save-result'
import { settingsStore } from '@/ui/state/settings-store'

/** An event as a screen makes it: the store adds when, whose and by whom. */
type Unsigned<E> = E extends LogEvent
  ? Omit<E, 'id' | 'at' | 'vehicleId' | 'jobId' | 'by' | 'turn' | 'device'>
  : never
export type NewEvent = Unsigned<LogEvent>

/** Whose log is asked for: that of one car, with a job of it where one is open. */
interface LogOf {
  readonly carId: string
  readonly jobId?: string
}

interface LogStore {
  /** Whose entries are here. */
  readonly of: Whose
  /** Cars of which what stands under their own name is here, while the rest is looked for. */
  readonly glimpsed: readonly string[]
  readonly events: readonly LogEvent[]
  /** The jobs of this browser, by what each says of itself, and how many do not read. */
  readonly jobs: readonly JobAbout[]
  readonly unread: number
  readonly trouble: string | undefined
  /** How often this page has written to the log. */
  readonly writes: number
  open(of: LogOf): Promise<void>
  /** Takes in entries of another device as they are, from a file of a name; what is here already stays as it is. */
  takeIn(events: readonly LogEvent[], name: string): Promise<boolean>
  add(of: { readonly vehicleId: string; readonly jobId?: string }, events: readonly NewEvent[]): Promise<void>
}

/** Whether a log is here. */
export const isLogHere = ({ cars, jobs }: Whose, { carId, jobId }: LogOf): boolean =>
  cars.includes(carId) && (jobId === undefined || jobs.includes(jobId))

/** So many cars and jobs are kept in sight at a time. */
const IN_SIGHT = 8
const withLast = (list: readonly string[], last: string): readonly string[] =>
  [...list.filter((each) => each !== last), last].slice(-IN_SIGHT)

/** A name of this browser's own, made once: it tells apart what two devices wrote in the same turn. */
function deviceId(): string {
  const { settings, change } = settingsStore.getState()
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
/** What this page has written: a reading that began before it was stored does not lose sight of it. */
let ours: readonly LogEvent[] = []
/** The turn of what is written next: past all that this browser has seen, of whichever car. */
let turn = 1

/** The log of the cars that are looked at, as this page has read it. What is added shows at once and is stored event by event. */
export const logStore = createStore<LogStore>((set, get) => {
  let asked: Whose = { cars: [], jobs: [] }
  const read = async () => {
    const of = asked
    if (of.cars.length === 0) return
    try {
      const stored = await loadCarLogs(of)
      turn = Math.max(turn, stored.nextTurn, nextTurn(ours))
      // Another was asked for meanwhile: it is read after this.
      if (asked !== of) return
      const { jobs, unread } = stored
      set({ of, events: united(stored.events, ours), jobs, unread })
    } catch (error) {
      if (asked === of) set({ of, trouble: whyNotSaved(error) })
    }
  }
  /** What stands under a car's own name is there long before all others were looked through for more. */
  const glimpse = async (carId: string) => {
    try {
      const { events, jobs } = await glimpseCarLogs([carId])
      if (isLogHere(get().of, { carId }) || !jobs.some(({ car }) => car.id === carId)) return
      const store = get()
      const cached = new Set(store.jobs.map(({ id }) => id))
      set({
        events: united(store.events, events),
        jobs: [...store.jobs, ...jobs.filter(({ id }) => !cached.has(id))],
        glimpsed: withLast(store.glimpsed, carId),
      })
    } catch {
      // The whole reading says what is wrong.
    }
  }
  return {
    of: asked,
    glimpsed: [],
    events: [],
    jobs: [],
    unread: 0,
    trouble: undefined,
    writes: 0,
    async open({ carId, jobId }) {
      asked = {
        cars: withLast(asked.cars, carId),
        jobs: jobId === undefined ? asked.jobs : withLast(asked.jobs, jobId),
      }
      if (!watching) {
        watching = true
        // Another tab may have written meanwhile.
        onSaved(({ shelf }) => {
          if (shelf === 'log' || shelf === 'plans') void read()
        })
        document.addEventListener('visibilitychange', () => {
          if (document.visibilityState === 'visible') void read()
        })
      }
      if (!isLogHere(get().of, { carId })) await glimpse(carId)
      await read()
    },
    async takeIn(given, name) {
      const saved = await importEvents(given, name)
      if (!saved.ok) {
        set({ trouble: `${name} was not imported: ${saved.reason}` })
        return false
      }
      turn = Math.max(turn, nextTurn(given))
      set({ trouble: undefined, writes: get().writes + 1 })
      await read()
      return true
    },
    async add({ vehicleId, jobId }, events) {
      // What an entry comes after, and which one it replaces, is known only with the whole log of its car.
      if (!isLogHere(get().of, { carId: vehicleId })) await get().open({ carId: vehicleId })
      const { fitter } = settingsStore.getState().settings
      const before = get().events
      const first = Math.max(turn, nextTurn(before))
      turn = first + events.length
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
      ours = [...ours, ...signed]
      const saved = await saveEvents(signed)
      set(saved.ok ? { writes: get().writes + 1 } : { trouble: saved.reason })
    },
  }
})

export const useLog = <Part>(part: (store: LogStore) => Part): Part => useStore(logStore, part)

const records = new WeakMap<readonly LogEvent[], RackRecord>()

/** What a list of events says; worked out once for each list. */
export function recordOf(own: readonly LogEvent[]): RackRecord {
  const cached = records.get(own)
  if (cached) return cached
  const record = replay(own)
  records.set(own, record)
  return record
}

/** Reads the log of a job's car, and tells whether it is there. */
export function useJobLog({ id, car }: Plan): boolean {
  const open = useLog((store) => store.open)
  const ready = useLog((store) => isLogHere(store.of, { carId: car.id, jobId: id }))
  useEffect(() => {
    if (!ready) void open({ carId: car.id, jobId: id })
  }, [ready, open, id, car.id])
  return ready
}

/** The log of a job's own car, and the other jobs of this browser that may be about it. */
export function useOwnLog(plan: Plan): {
  readonly ready: boolean
  readonly own: readonly LogEvent[]
  readonly perhaps: readonly JobAbout[]
} {
  const ready = useJobLog(plan)
  const events = useLog((store) => store.events)
  const jobs = useLog((store) => store.jobs)
  // The open plan goes before its stored self: it may just have been parted.
  const others = jobs.filter(({ id }) => id !== plan.id)
  return {
    ready,
    own: ownEvents(events, plan, carsByJob([...others, plan])),
    perhaps: perhapsSame(plan, others),
  }
}

/** Writes to the log of a plan's car. */
export const logFor = (plan: Plan, ...events: readonly NewEvent[]): void =>
  void logStore.getState().add({ vehicleId: plan.car.id, jobId: plan.id }, events)
