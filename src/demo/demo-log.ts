import { bayRulesOf, type Plan } from '@/core/api/plan'
import { daysAfter, type LogEvent, type WorkedEvent, workedEvents } from '@/core/api/fit'
import { assess } from '@/core/api/assess'
import { bedTentJob, yardVan } from './plans'

/** When a job of the demo was done, so many days before today, by whom, and what came after. */
interface Past {
  readonly plan: Plan
  readonly daysAgo: number
  readonly by: string
  readonly then: (
    rack: string,
    day: (daysAgo: number) => string,
  ) => readonly (WorkedEvent & { readonly daysAgo: number })[]
}

const PASTS: readonly Past[] = [
  {
    // Checked once, and then forgotten: overdue by now.
    plan: yardVan,
    daysAgo: 160,
    by: 'Wren',
    then: (what, day) => [
      { kind: 'firstTrip', what, on: day(158), daysAgo: 158 },
      { kind: 'checked', what, daysAgo: 152 },
      { kind: 'lost', what: 'End cap', count: 1, daysAgo: 40 },
    ],
  },
  { plan: bedTentJob, daysAgo: 5, by: 'Imre', then: () => [] },
]

const OPENS_AT_MINUTE = 8 * 60
const MINUTES_APART = 2

/** What the demo's workshop has in its log: two jobs done as their sheets have it, one due soon and one overdue. */
export function demoLog(today: string): LogEvent[] {
  const back = (days: number) => daysAfter(today, -days)
  const at = (days: number, i: number) => {
    const minute = OPENS_AT_MINUTE + Math.floor((i * MINUTES_APART) / 2)
    return `${back(days)}T${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}:00Z`
  }
  let turn = 0
  return PASTS.flatMap(({ plan, daysAgo, by, then }) => {
    const signed = (event: WorkedEvent, day: number, i: number) => {
      turn += 1
      return {
        ...event,
        id: `demo-log-${turn}`,
        at: at(day, i),
        vehicleId: plan.car.id,
        jobId: plan.id,
        by,
        turn,
        device: 'demo',
      } as LogEvent
    }
    const rack = plan.racks[0]?.name ?? ''
    return [
      ...workedEvents(assess(plan).survey, bayRulesOf(plan.rules)).map((event, i) =>
        signed(event, daysAgo, i),
      ),
      ...then(rack, back).map(({ daysAgo: day, ...event }, i) => signed(event, day, i)),
    ]
  })
}
