import { factText } from './fact-print'
import { compareEvents } from './sequence'
import type { LogEvent } from './event'

/** What taking a log in would do, before anything is written. */
export interface LogImportPreview {
  /** Entries that are not here yet, in their order. */
  readonly fresh: readonly LogEvent[]
  /** How many are here already, word for word. */
  readonly known: number
  /** Entries that are here under the same name and say something else: what is here stays. */
  readonly differing: readonly LogEvent[]
  /** Of how many entries each car's log would grow, by the car. */
  readonly byCar: ReadonlyMap<string, number>
}

/** Compares a log with what is here. It only ever adds: nothing that is here is written over. */
export function previewLogImport(
  here: readonly LogEvent[],
  given: readonly LogEvent[],
  carOf: (event: LogEvent) => string,
): LogImportPreview {
  const own = new Map(here.map((event) => [event.id, event]))
  const unique = new Map<string, LogEvent>()
  for (const event of given) if (!unique.has(event.id)) unique.set(event.id, event)
  const fresh: LogEvent[] = []
  const differing: LogEvent[] = []
  const byCar = new Map<string, number>()
  for (const event of unique.values()) {
    const same = own.get(event.id)
    if (same === undefined) {
      fresh.push(event)
      byCar.set(carOf(event), (byCar.get(carOf(event)) ?? 0) + 1)
    } else if (printed(same) !== printed(event)) differing.push(event)
  }
  return {
    fresh: fresh.sort(compareEvents),
    known: unique.size - fresh.length - differing.length,
    differing,
    byCar,
  }
}

/** An entry's text, whatever the order of its fields. */
const printed = (event: LogEvent): string => factText(event)
