import { assess, review } from '@/core/api/assess'
import { bayRulesOf } from '@/core/api/plan'
import { dueOf, isOverdue, logEventSchema, replay } from '@/core/api/fit'
import { expect, it } from 'vitest'
import { demoLog } from './demo-log'
import { bedTentJob, yardVan } from './plans'

it('has two racks on, readings, something due and something overdue, whenever it is made', () => {
  for (const today of ['2026-11-26', '2028-03-01']) {
    const log = demoLog(today)
    for (const event of log) expect(logEventSchema.safeParse(event).error).toBeUndefined()
    expect(new Set(log.map(({ id }) => id)).size).toBe(log.length)
    expect(log.every(({ at }) => at.slice(0, 10) <= today)).toBe(true)
    const of = (id: string) => log.filter(({ vehicleId }) => vehicleId === id)
    const [van, tent] = [of(yardVan.car.id), of(bedTentJob.car.id)]
    expect([van, tent].map((each) => replay(each).racks.every(({ on }) => on))).toEqual([true, true])
    expect(van.some(({ kind }) => kind === 'torqued')).toBe(true)
    const due = (events: typeof log, plan: typeof yardVan) => dueOf(events, bayRulesOf(plan.rules))
    expect(due(van, yardVan).some((each) => isOverdue(each, today))).toBe(true)
    expect(due(tent, bedTentJob).some((each) => !isOverdue(each, today))).toBe(true)
    expect(log.length).toBeLessThan(400)
  }
  // Nobody has handed over what does not leave.
  for (const plan of [yardVan, bedTentJob])
    expect(['clear', 'mind']).toContain(review(assess(plan).survey).verdict)
})
