import type { BayRules } from '../plan/schema/house'
import type { Plan } from '../plan/schema/plan'
import type { LogEvent } from '../log/event'
import { jointOf } from './torque/joint'
import { notPulledAgain } from './torque/recheck'
import { countingEvents, replay } from '../log/replay'

/** Something that is due on a day (or once so far has been driven, whichever comes first). */
export interface Due {
  readonly id: string
  readonly on: string
  readonly what: string
  readonly why: string
  readonly km: number | undefined
  /** It comes again and again from a day on, every so many months. */
  readonly repeats?: { readonly from: string; readonly months: number; readonly why: string }
}

const DAY_MS = 86_400_000

/** A day so many days later, both as 2027-03-12. */
export function daysAfter(day: string, days: number): string {
  return new Date(Date.parse(`${day}T00:00:00Z`) + days * DAY_MS).toISOString().slice(0, 10)
}

/** The same day so many months later, or that month's last. */
export function monthsAfter(day: string, months: number): string {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number)
  const last = new Date(Date.UTC(year, month - 1 + months + 1, 0)).getUTCDate()
  return new Date(Date.UTC(year, month - 1 + months, Math.min(date, last))).toISOString().slice(0, 10)
}

const dayOf = (event: LogEvent) => event.at.slice(0, 10)

/** The first day of a month from a day on. */
function nextMonth(day: string, month: number): string {
  const [year = 0, now = 1] = day.split('-').map(Number)
  return `${month > now ? year : year + 1}-${String(month).padStart(2, '0')}-01`
}

/** Which of a rack's joints are looked at and not pulled again, as the end of a sentence. */
function lookedAt(plans: readonly Plan[], rackId: string, rules: BayRules): string {
  const rack = plans.flatMap(({ racks }) => racks).find(({ id }) => id === rackId)
  const names = (rack?.parts ?? []).flatMap((part) =>
    (part.fasteners ?? []).flatMap((fastener, i) => {
      const joint = jointOf({ of: 'part', rackId, partId: part.id, name: part.name }, i, fastener, rules)
      return notPulledAgain(joint) === undefined ? [] : [joint.name]
    }),
  )
  return names.length === 0
    ? ''
    : `; not pulled again but looked at, against their witness marks: ${names.join(', ')}`
}

/**
 * What is due for a vehicle: re-tightening after the first trip (from its day, once the log has that) or about so many
 * km, again whenever the load or a part
 * has changed, then at the house's interval from the last check; seasonal parts; days set by hand. Common practice,
 * no source; the maker's interval goes before it.
 */
export function dueOf(events: readonly LogEvent[], rules: BayRules, plans: readonly Plan[] = []): Due[] {
  const record = replay(events)
  const counting = countingEvents(events)
  const fitted = record.racks.filter(({ on }) => on)
  const afterRack = ({ kind }: LogEvent) => kind === 'loadChanged' || kind === 'replaced'
  const dues = fitted.flatMap(({ rackId, what, since }): Due[] => {
    const fittedAt = counting.findLastIndex(
      (event) => (event.kind === 'fitted' || event.kind === 'refitted') && event.rackId === rackId,
    )
    const later = counting.slice(Math.max(0, fittedAt))
    const checks = later.filter((event) => event.kind === 'checked' && event.what === what)
    const disturbed = later
      .filter((event) => afterRack(event) || (event.kind === 'refitted' && event.rackId === rackId))
      .at(-1)
    const lastCheck = checks.at(-1)
    const from = disturbed && dayOf(disturbed) > since.slice(0, 10) ? disturbed : undefined
    const trip = later.find((event) => event.kind === 'firstTrip' && event.what === what)
    const every = rules.thenMonths === 1 ? 'month' : `${rules.thenMonths} months`
    const look = lookedAt(plans, rackId, rules)
    const then = `re-tighten, every ${every}${look}`
    const fresh = !lastCheck || (from && later.indexOf(lastCheck) < later.indexOf(from))
    if (fresh) {
      const begin = from ? dayOf(from) : since.slice(0, 10)
      // A trip that was made is the day itself; until one is known, so many days go by at most.
      const tripOn = trip?.kind === 'firstTrip' && trip.on >= begin ? trip.on : undefined
      const on = tripOn ?? daysAfter(begin, rules.firstCheckDays)
      return [
        {
          id: `first ${rackId}`,
          on,
          what,
          why: `${
            from
              ? 're-tighten: the load or a part has changed'
              : tripOn !== undefined
                ? 're-tighten: the first trip is made'
                : 're-tighten after the first trip'
          }${look}`,
          km: rules.firstCheckKm,
          repeats: { from: monthsAfter(on, rules.thenMonths), months: rules.thenMonths, why: then },
        },
      ]
    }
    const on = monthsAfter(dayOf(lastCheck), rules.thenMonths)
    return [
      {
        id: `then ${rackId}`,
        on,
        what,
        why: then,
        km: undefined,
        repeats: { from: monthsAfter(on, rules.thenMonths), months: rules.thenMonths, why: then },
      },
    ]
  })
  const seasonal = plans.flatMap((plan) => {
    const first = fitted[0]
    if (!first) return []
    const parts = [...plan.racks.flatMap(({ parts: own }) => own), ...plan.gear]
    return parts.flatMap(({ id, name, work }): Due[] =>
      work?.season
        ? [
            {
              id: `season ${plan.id} ${id}`,
              on: nextMonth(first.since.slice(0, 10), (work.season.toMonth % 12) + 1),
              what: name,
              why: 'take off for the season',
              km: undefined,
            },
          ]
        : [],
    )
  })
  const dated = counting.flatMap((event): Due[] =>
    event.kind === 'dated'
      ? [
          {
            id: event.id,
            on: event.due,
            what: event.what,
            why: event.note ?? 'date set by hand',
            km: undefined,
          },
        ]
      : [],
  )
  const settled = new Set(counting.flatMap((event) => (event.kind === 'checked' ? [event.what] : [])))
  return [...dues, ...seasonal, ...dated.filter(({ what }) => !settled.has(what))].sort(
    (a, b) => a.on.localeCompare(b.on) || a.id.localeCompare(b.id),
  )
}

export const isOverdue = ({ on }: Due, today: string): boolean => on < today
