import Papa from 'papaparse'
import * as z from '../units/schema'
import { EVENT_WORD, EVENTS, logEventSchema, type LogEvent } from '../log/event'
import { fieldMessages, type FieldMessage } from '../plan/schema/messages'
import { unopened } from './opened'

const logFileSchema = z.strictObject({
  format: z.literal('ypsos-log'),
  version: z.literal(1),
  events: z.array(logEventSchema).check(z.maxLength(100_000)),
})

/** A log as a file of its own. */
export function printLog(events: readonly LogEvent[]): string {
  return `${JSON.stringify({ format: 'ypsos-log', version: 1, events }, null, 2)}\n`
}

export type ReadLog =
  | { readonly ok: true; readonly events: readonly LogEvent[] }
  | { readonly ok: false; readonly problems: readonly FieldMessage[] }

/** Reads such a file back; what is wrong is named by field. */
export function readLog(raw: unknown): ReadLog {
  const shut = unopened(raw, 'log', 1)
  if (shut) return { ok: false, problems: [shut] }
  const read = logFileSchema.safeParse(raw)
  return read.success
    ? { ok: true, events: read.data.events }
    : { ok: false, problems: fieldMessages(read.error) }
}

/** Reads the text of a log file; a text that is none is said to be that. */
export function parseLogText(text: string): ReadLog {
  try {
    return readLog(JSON.parse(text.replace(/^\uFEFF/, '')))
  } catch {
    return {
      ok: false,
      problems: [{ path: 'log', text: 'log is not JSON: it is no log file, or it was cut short.' }],
    }
  }
}

/** What an event says besides when and by whom, in one line. A correction shows what it corrected, where that is at hand. */
export function eventText(event: LogEvent, log: ReadonlyMap<string, LogEvent> = new Map()): string {
  const of = event.kind === 'corrected' ? log.get(event.eventId) : undefined
  return event.kind === 'corrected' && of
    ? `${EVENT_WORD[of.kind].toLowerCase()} ${eventText(of)}: ${event.reason}`
    : EVENTS[event.kind].line(event)
}

/** A text that a spreadsheet would run as a formula is kept a text. */
const asText = (text: string) => (/^[=+\-@\t\r]/.test(text) ? `'${text}` : text)

/** The log as CSV. Published: RFC 4180; one line an event, in order. */
export function logCsv(events: readonly LogEvent[]): string {
  const head = ['id', 'at', 'vehicle', 'job', 'event', 'what', 'by', 'note']
  const byId = new Map(events.map((event) => [event.id, event]))
  const rows = events.map((event) => [
    event.id,
    event.at,
    event.vehicleId,
    event.jobId ?? '',
    EVENT_WORD[event.kind],
    asText(eventText(event, byId)),
    asText(event.by ?? ''),
    asText(event.note ?? ''),
  ])
  return `${Papa.unparse([head, ...rows], { newline: '\r\n' })}\r\n`
}
