import { describe, expect, it } from 'vitest'
import { boatAndBox } from '@/demo/plans'
import { readPlan } from '../formats/plan-file'
import { apply } from '../plan/commands/apply'
import { sameCar } from '../plan/schema/car'
import type { Plan } from '../plan/schema/plan'
import type { LogEvent } from './event'
import { carsByJob, ownEvents, perhapsSame } from './whose'

const { car: _, ...before } = boatAndBox
/** A job as version 2 kept it: its vehicle has the id of the stock entry. */
const old = (id: string): Plan => {
  const read = readPlan({ ...before, version: 2, id })
  if (!read.ok) throw new Error(read.problems[0]?.text)
  return read.plan
}
const event = (id: string, jobId?: string): LogEvent => ({
  kind: 'checked',
  id,
  at: '2027-03-01T10:00:00Z',
  vehicleId: boatAndBox.vehicle.id,
  what: 'Aero bars',
  ...(jobId === undefined ? {} : { jobId }),
})
const log = [event('one', 'a'), event('two', 'b'), event('nobody')]
const own = (plan: Plan, plans: readonly Plan[]) => ownEvents(log, plan, carsByJob(plans)).map(({ id }) => id)
const settled = (plan: Plan, id: string): Plan => {
  const applied = apply(plan, { do: 'setCar', car: { id, stockId: plan.vehicle.id } })
  if (!applied.ok) throw new Error(applied.reason)
  return applied.plan
}

describe('whose car it is (S9)', () => {
  it('two jobs of old on one stock entry know nothing of each other until somebody says', () => {
    const [a, b] = [old('a'), old('b')]
    expect(own(a, [a, b])).toEqual(['one'])
    expect(own(b, [a, b])).toEqual(['two'])
    expect(perhapsSame(a, [a, b]).map(({ id }) => id)).toEqual(['b'])
  })

  it('said to be the same car, they have one log; parted, each has its own', () => {
    const [a, b] = [old('a'), old('b')]
    const one = [settled(a, a.car.id), settled(b, b.car.id)] as const
    expect(own(one[0], one)).toEqual(['one', 'two', 'nobody'])
    const two = [settled(a, a.car.id), settled(b, 'car-b')] as const
    expect(own(two[0], two)).toEqual(['one', 'nobody'])
    expect(own(two[1], two)).toEqual(['two'])
    expect(perhapsSame(two[0], two)).toEqual([])
  })

  it('is found again by plate or by the shop’s number, however they are written; not given is never the same', () => {
    expect(sameCar({ plate: 'gq 417' }, { plate: 'GQ-417' })).toBe(true)
    expect(sameCar({ plate: 'GQ 417' }, { plate: 'GQ 418' })).toBe(false)
    expect(sameCar({ number: 'F 12' }, { number: 'f12', plate: 'X' })).toBe(true)
    expect(sameCar({}, {})).toBe(false)
    expect(sameCar({ plate: ' ' }, { plate: '-' })).toBe(false)
  })
})
