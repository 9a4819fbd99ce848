import { createEvents, type EventAttributes } from 'ics'
import type { Due } from '../bay/due'

/** The writer takes the time it was made as well, though its types leave it out. */
type Stamped = EventAttributes & { readonly timestamp: number }

/** Whose dates they are, for the words of each entry. */
interface CalendarOf {
  readonly vehicle: string
  readonly jobId: string
  /** When the file was made, UTC, as 2027-03-12T09:30:00Z: the same dues made at the same time are the same file. */
  readonly madeAt: string
}

const parts = (text: string): number[] =>
  text
    .split(/[^\d]/)
    .filter((each) => each !== '')
    .map(Number)

function dayOf(day: string): [number, number, number] {
  const [year = 1970, month = 1, date = 1] = parts(day)
  return [year, month, date]
}

/**
 * Due dates as a calendar file. Published: RFC 5545. Whole days, an alarm the morning before, what repeats as
 * an event that does; the same due keeps its
 * UID, so that a later file replaces it.
 */
export function calendarFile(dues: readonly Due[], { vehicle, jobId, madeAt }: CalendarOf): string {
  const [year = 1970, month = 1, date = 1, hour = 0, minute = 0] = parts(madeAt)
  const event = (due: Due, id: string, on: string, why: string): Stamped => ({
    uid: `${jobId}-${id.replace(/[^A-Za-z0-9-]+/g, '-')}@ypsos.invalid`,
    timestamp: Date.UTC(year, month - 1, date, hour, minute),
    start: dayOf(on),
    duration: { days: 1 },
    title: `${vehicle}: ${due.what}`,
    description: `${why}. The maker’s own interval goes before this one.`,
    productId: 'ypsos',
    busyStatus: 'FREE',
    alarms: [
      { action: 'display', description: `${vehicle}: ${due.what}`, trigger: { hours: 15, before: true } },
    ],
  })
  const events = dues.flatMap((due): Stamped[] => {
    const km = due.km === undefined ? '' : `; or after ${due.km} km, whichever comes first`
    const once = event(due, due.id, due.on, `${due.why}${km}`)
    const { repeats } = due
    return repeats
      ? [
          once,
          {
            ...event(due, `${due.id} again`, repeats.from, repeats.why),
            recurrenceRule: `FREQ=MONTHLY;INTERVAL=${repeats.months}`,
          },
        ]
      : [once]
  })
  if (events.length === 0)
    return ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:ypsos', 'END:VCALENDAR', ''].join('\r\n')
  const { error, value } = createEvents(events)
  if (!value) throw error ?? new Error('no calendar was made')
  return folded(value)
}

const MOST_OCTETS = 75
const octets = new TextEncoder()

/** Lines of at most 75 octets, never broken inside a character. Published: RFC 5545, 3.1. */
function folded(text: string): string {
  return text
    .replace(/\r\n[ \t]/g, '')
    .split('\r\n')
    .map((line) => {
      const lines: string[] = []
      let now = ''
      for (const letter of line) {
        if (octets.encode(now + letter).length > MOST_OCTETS) {
          lines.push(now)
          now = ' '
        }
        now += letter
      }
      return [...lines, now].join('\r\n')
    })
    .join('\r\n')
}
