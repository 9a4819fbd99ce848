import type { Taped } from '../log/taped'
import Papa from 'papaparse'
import * as z from 'zod'
import { ANSWER_WORD, EVENT_WORD, logEventSchema, pullWords, type LogEvent } from '../log/event'
import { isMark, TAPED_NAME } from '../bay/squareness/taped'
import { fieldMessages, type FieldMessage } from '../plan/messages'

const logFileSchema = z.strictObject({
  format: z.literal('ypsos-log'),
  version: z.literal(1),
  events: z.array(logEventSchema).max(100_000),
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
  const read = logFileSchema.safeParse(raw)
  return read.success
    ? { ok: true, events: read.data.events }
    : { ok: false, problems: fieldMessages(read.error) }
}

/** What was typed, where it was typed in another unit than the log is kept in. */
const asTyped = (typed: string | undefined): string => (typed === undefined ? '' : ` (typed ${typed})`)

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

/** A number as people read it: what arithmetic leaves behind the second place is nobody's reading. */
const tidy = (value: number): string => String(Number(value.toFixed(2)))

/**
 * What an event says besides when and by whom, in one line. Lengths in mm, torques in N·m, masses in kg. A correction shows
 * what it corrected, where that is at hand.
 */
export function eventText(event: LogEvent, log: ReadonlyMap<string, LogEvent> = new Map()): string {
  switch (event.kind) {
    case 'fitted':
    case 'removed':
    case 'refitted':
    case 'told':
    case 'checked':
    case 'loadChanged':
      return event.what
    case 'replaced':
      return `${event.what} by ${event.with}`
    case 'lost':
    case 'found':
    case 'counted':
      return `${event.count} × ${event.what}`
    case 'stepDone':
    case 'stepReopened':
      return event.title
    case 'measured':
      return Object.entries(event.readings)
        .map(([key, list]) => {
          const taped = key as Taped
          const unit = isMark(taped) ? '' : ' mm'
          return `${TAPED_NAME[taped]} ${list.map(tidy).join(', ')}${unit}${asTyped(event.typed?.[taped])}`
        })
        .join('; ')
    case 'weighed':
      return `${event.what} ${tidy(event.kg)} kg${asTyped(event.typed)}`
    case 'torqued':
      return `${event.what}, ${event.spot}, pass ${event.pass} (${event.percent} %): ${event.nm === undefined ? pullWords(event.how) : `${tidy(event.nm)} N·m${asTyped(event.typed)}`}`
    case 'proved':
      return `${event.what}: ${{ good: 'good', notGood: 'not good', notNow: 'put off', notDriven: 'not driven' }[event.outcome]}`
    case 'channelSeen':
      return event.inside.length === 0
        ? `${event.what}: empty`
        : `${event.what}: ${event.inside.map(({ what, fromLowMm }) => `${what} at ${tidy(fromLowMm)} mm`).join(', ')}`
    case 'answered':
      return `${ANSWER_WORD[event.answer]}: ${event.title}${event.places ? `, ${event.places.join(' ')}` : ''}. ${event.reason}`
    case 'deviated':
      return `${event.title}: ${event.reason}`
    case 'signSeen':
      return `${event.what}, ${event.sign}: ${event.spots.join(' ')}`
    case 'firstTrip':
      return `${event.what}, on ${event.on}`
    case 'dated':
      return `${event.what}, due ${event.due}`
    case 'corrected': {
      const of = log.get(event.eventId)
      const what = of ? `${EVENT_WORD[of.kind].toLowerCase()} ${eventText(of)}` : `entry ${event.eventId}`
      return `${what}: ${event.reason}`
    }
  }
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
