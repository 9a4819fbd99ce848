import { expect, it } from 'vitest'
import { boatAndBox } from '@/demo/plans'
import { apply } from '../plan/commands/apply'
import type { Plan } from '../plan/schema/plan'
import type { Rating } from '../plan/schema/rating'
import { askMass } from '../review/ask-mass'
import { review } from '../review/review'
import { survey } from '../survey/survey'
import { answered } from './answered'

const withRoof = (change: (ratings: Rating[]) => Rating[]): Plan => ({
  ...boatAndBox,
  vehicle: {
    ...boatAndBox.vehicle,
    roof: { ...boatAndBox.vehicle.roof, ratings: change(boatAndBox.vehicle.roof.ratings) },
  },
})
const unstated = (plan: Plan) =>
  review(survey(plan)).findings.filter(
    ({ rule, severity, state }) => rule === 'counts-unsaid' && severity === 'findOut' && state === 'road',
  )

it('what a figure counts is answered for the same figure entered twice', () => {
  const plan = withRoof((ratings) =>
    ratings.flatMap(({ counts: _, ...rating }) => [rating, { ...rating, id: `${rating.id}-again` }]),
  )
  const [question] = unstated(plan)
  const command = answered(plan, question!.ask!, { kind: 'choice', value: 'load' })
  const done = apply(plan, command!)
  if (!done.ok) throw new Error(done.reason)
  expect(unstated(done.plan)).toEqual([])
  const road = done.plan.vehicle.roof.ratings.filter(({ state }) => state === 'road')
  expect(road.map(({ counts }) => counts)).toEqual(['load', 'load'])
})

it('the weight of a bar that has one of its own is asked where that is, of other bars where the set’s is', () => {
  const [rack] = boatAndBox.racks
  if (rack?.kind !== 'bars') throw new Error('the demo has no bars')
  const bars = rack.bars.map((bar, i) => (i === 1 ? { ...bar, kg: 3.1 } : bar))
  const { masses } = survey({ ...boatAndBox, racks: [{ ...rack, bars }] })
  const targets = masses.flatMap((mass) =>
    mass.of === 'part' && mass.role === 'bars' ? [askMass(mass)?.target] : [],
  )
  expect(targets).toEqual([
    { field: 'partMass', partId: expect.any(String) },
    { open: 'rack', rackId: rack.id, at: 'bars.1.kg' },
  ])
})
