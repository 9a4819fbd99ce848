import { describe, expect, it } from 'vitest'
import { barsRack, own, planOf, RAILS, roofOf, thing, vehicleWith } from '../plan/plans.testing'
import { planSchema } from '../plan/schema/plan-schema'
import { brokenReferences } from '../plan/schema/integrity'
import type { Plan } from '../plan/schema/plan'
import type { Rack } from '../plan/schema/rack'
import { cabAndBed } from '../review/checks/cab-and-bed'
import { run, sentences } from '../review/checks/findings.testing'
import type { Attachment } from '../plan/schema/vehicle'
import { survey } from './survey'

const BED: Attachment = {
  kind: 'bedRail',
  id: 'bed',
  name: 'Bed rails',
  ratings: roofOf({ road: 200 }),
  gaugeMm: 1300,
  ranges: [{ fromMm: 1300, toMm: 2600 }],
  topZMm: 1000,
}

/** Front bar on the roof's rails, rear bar on the bed; a weight in the middle between them. */
function overBoth(slides?: boolean): Plan {
  const rack = barsRack({ bars: own('bars', { road: 100 }), eachKg: 2 }) as Extract<Rack, { kind: 'bars' }>
  const [front, rear] = rack.bars
  const split: Rack = {
    ...rack,
    bars: [front!, { ...rear!, attachmentId: 'bed', ...(slides === undefined ? {} : { slides }) }],
  }
  return planOf(vehicleWith(roofOf({ road: 60 }), [RAILS, BED]), [split], [[thing('weight', 40)]])
}

const counted = (plan: Plan, layerId: string) =>
  survey(plan).loadPath.cells.find(({ layer, state }) => layer.id === layerId && state === 'road')

describe('a rack with bars on two attachments (L9)', () => {
  it('stands on each at its own height', () => {
    const [rack] = survey(overBoth()).racks
    expect(rack?.attachments.map(({ id }) => id)).toEqual(['rails', 'bed'])
    const [front, rear] = rack?.bars ?? []
    expect(rear?.box.z0).toBe(1060)
    expect(front?.box.z0).toBeGreaterThan(1400)
    expect([front?.onRoof, rear?.onRoof]).toEqual([true, false])
  })

  it('brings the roof and the bed what their own feet bear, and both together all of it', () => {
    const plan = overBoth()
    const [roof, bed] = [counted(plan, 'roof'), counted(plan, 'attachment:bed')]
    // Half of 40 kg, half of four feet at 2 kg and one bar of 2 kg each.
    expect(roof?.kg).toBeCloseTo(20 + 4 + 2, 6)
    expect(bed?.kg).toBeCloseTo(20 + 4 + 2, 6)
    const whole = survey(plan).masses.reduce((sum, { kg, racks }) => (racks.length > 0 ? sum + kg : sum), 0)
    expect((roof?.kg ?? 0) + (bed?.kg ?? 0)).toBeCloseTo(whole, 6)
  })

  it('takes the seat of each bar from what it stands on itself', () => {
    const { racks, fit } = survey(overBoth())
    const [front, rear] = fit.spreads().problem.windows.filter(({ by }) => by === 'vehicle')
    expect(racks).toHaveLength(1)
    expect(front?.within[0]?.[0]).toBe(100)
    expect(rear?.within).toEqual([[1300, 2600]])
  })

  it('asks which end may slide, is Clear once one may, and a Stop where none may', () => {
    expect(run(cabAndBed, overBoth()).map(({ severity }) => severity)).toEqual(['findOut', 'mind'])
    expect(run(cabAndBed, overBoth(true))[0]?.severity).toBe('clear')
    const none = overBoth(false)
    const all = {
      ...none,
      racks: none.racks.map((rack) => ({
        ...rack,
        bars: 'bars' in rack ? rack.bars.map((bar) => ({ ...bar, slides: false })) : [],
      })),
    } as Plan
    expect(run(cabAndBed, all)[0]?.severity).toBe('stop')
    expect(sentences(cabAndBed, overBoth())[0]).toContain('which bar is left free to slide')
  })

  it('must stand on something the vehicle has', () => {
    const plan = overBoth()
    const lost = { ...plan, vehicle: { ...plan.vehicle, attachments: [RAILS] } }
    expect(brokenReferences(lost).map(({ message }) => message)).toContain(
      'The vehicle has no attachment "bed".',
    )
    expect(planSchema.safeParse(plan).success).toBe(true)
  })
})
