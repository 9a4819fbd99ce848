import type { LogEvent } from './event'
import { NOTHING_DONE, type BayProgress } from './record'
import { replay } from './replay'

type Unsigned<E> = E extends LogEvent ? Omit<E, 'id' | 'at' | 'vehicleId' | 'jobId' | 'turn'> : never
/** An entry as a test writes it: when, whose and of which job is added. */
export type UnsignedEvent = Unsigned<LogEvent>

/** What one job's log says after these entries, in their order. */
export const progressAfter = (...events: readonly UnsignedEvent[]): BayProgress =>
  replay(
    events.map((event, i): LogEvent => ({
      ...event,
      id: `e${i}`,
      at: '2027-03-12T09:00:00Z',
      turn: i + 1,
      vehicleId: 'v',
      jobId: 'j',
    })),
  ).jobs.get('j') ?? NOTHING_DONE
