import { planSchema } from '../../plan/schema/plan-schema'
import { describe, expect, it } from 'vitest'
import { VEHICLES } from '@/demo/vehicles'
import { newPlan } from '../../plan/starting/new-plan'
import { barsOf, rackSchema } from '../../plan/schema/rack'
import { rackKindsFor, startingRack } from './starting-rack'
import { barSeats } from '../../facts/bar-seats'
import { fails } from '../../facts/comparison'
import { survey } from '../survey'

describe('a rack to start from', () => {
  it('stands on every attachment of every vehicle, in every kind it takes, with no figure guessed', () => {
    let racks = 0
    for (const vehicle of VEHICLES)
      for (const attachment of vehicle.attachments)
        for (const kind of rackKindsFor(attachment)) {
          const rack = startingRack(vehicle, attachment, kind, 'own')
          racks += 1
          expect(rackSchema.safeParse(rack).error).toBeUndefined()
          const plan = newPlan({ id: 'plan', job: { name: 'Job' }, vehicle, racks: [rack] })
          expect(planSchema.safeParse(plan).success).toBe(true)
          expect(rack.parts.every((part) => part.rated.by === 'own' && part.rated.ratings.length === 0)).toBe(
            true,
          )
          expect(survey(plan).allowances.every((each) => each.kind === 'unknown')).toBe(true)
        }
    expect(racks).toBeGreaterThan(10)
  })

  it('keeps bars where the vehicle lets feet stand', () => {
    for (const vehicle of VEHICLES)
      for (const attachment of vehicle.attachments) {
        const kind = rackKindsFor(attachment)[0]!
        const xs = barsOf(startingRack(vehicle, attachment, kind, 'own')).map((bar) => bar.xMm)
        if ('ranges' in attachment)
          for (const x of xs)
            expect(attachment.ranges.some((range) => x >= range.fromMm && x <= range.toMm)).toBe(true)
        // Bars come in pairs: the outermost of more places.
        if ('points' in attachment)
          expect(xs).toEqual(
            attachment.points
              .map((point) => point.xMm)
              .filter((_, i, all) => kind !== 'bars' || i === 0 || i === all.length - 1),
          )
      }
  })

  it('begins each bar within its own stretch, and clear of posts', () => {
    const vehicle = VEHICLES.find(({ attachments }) => attachments.some(({ kind }) => kind === 'bedRail'))!
    const rail = vehicle.attachments.find(({ kind }) => kind === 'bedRail')!
    const stretches = [
      { fromMm: 2060, toMm: 2300, bar: 'front' as const },
      { fromMm: 2840, toMm: 3360, bar: 'rear' as const },
    ]
    const posts = [{ fromMm: 2280, toMm: 2310 }]
    const on = { ...rail, ranges: stretches, posts } as typeof rail
    const rack = startingRack({ ...vehicle, attachments: [on] }, on, 'bed', 'own')
    expect(barsOf(rack).map(({ xMm }) => xMm)).toEqual([2280, 3074])
    const plan = newPlan({
      id: 'p',
      job: { name: 'Job' },
      vehicle: { ...vehicle, attachments: [on] },
      racks: [rack],
    })
    expect(barSeats(survey(plan)).every(({ off }) => !fails(off))).toBe(true)
  })
})
