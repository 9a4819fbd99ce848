import { describe, expect, it } from 'vitest'
import { barsRack, planOf, roofOf, thing, vehicleWith } from '../plan/plans.testing'
import { apply } from '../plan/commands/apply'
import type { Plan } from '../plan/schema/plan'
import type { Vehicle } from '../plan/schema/vehicle'
import { survey } from '../survey/survey'
import { answered } from '../remedies/answered'
import { phraseText } from '../units/phrase'
import { review } from './review'

/** A hatch that passes a box by what is left when its rear end stands at `rearEndMm`. */
const plan = (rearEndMm: number, vehicle: Partial<Vehicle> = {}): Plan =>
  planOf(
    {
      ...vehicleWith(roofOf({ road: 500, trail: 500, parked: 500 })),
      heightMm: 1690,
      obstacles: [
        {
          kind: 'hatch',
          id: 'hatch',
          name: 'Hatch',
          hinge: { xMm: 2600, zMm: 1640 },
          panel: [
            { xMm: 2600, zMm: 1640 },
            { xMm: 3065, zMm: 643 },
          ],
          halfWidthMm: 600,
          opensDeg: 85,
        },
      ],
      ...vehicle,
    },
    [barsRack({ xs: [1300, 2200] })],
    [[thing('Box', 10, { lengthMm: 1800 }), { xMm: rearEndMm - 900 }]],
  )

const ofBox = (given: Plan) =>
  review(survey(given)).findings.find(
    ({ rule, subject }) => rule === 'hatch' && subject.placementIds.includes('Box'),
  )

/** The first rear end, a centimetre at a time forward, from which on the hatch passes with the house's gap. */
const justPasses = Array.from({ length: 80 }, (_, i) => 3000 - 10 * i).find((x) => {
  const severity = ofBox(plan(x, { roof: { ...plan(x).vehicle.roof, skinZMm: 1690 } }))?.severity
  return severity === 'clear'
})

describe('the height of the roof’s skin', () => {
  it('is asked for where a hatch passes by less than it may be off, and answered in its row (L22)', () => {
    const close = plan(justPasses!)
    const finding = ofBox(close)!
    expect(finding).toMatchObject({
      severity: 'findOut',
      ask: { where: 'tape', target: { field: 'vehicle', name: 'skinZMm' } },
    })
    expect(phraseText(finding.sentence)).toContain(
      'It depends on the height of the roof’s skin, taken as the vehicle’s height: 28 mm less would turn it. Measure it.',
    )
    const command = answered(close, finding.ask!, { kind: 'number', value: 1690, typed: '1690 mm' })!
    const done = apply(close, command)
    expect(done.ok && done.plan.vehicle.typed).toMatchObject({ skinZMm: '1690 mm' })
    expect(done.ok && ofBox(done.plan)?.severity).toBe('clear')
    expect(done.ok && ofBox(done.plan)?.ask).toBeUndefined()
  })

  it('makes a Stop say what way forward is enough wherever it is, and is not asked for where there is room to spare', () => {
    const stop = ofBox(plan(3000))
    expect(stop?.severity).toBe('stop')
    expect(phraseText(stop!.sentence)).toMatch(/ as long as the roof’s skin is not measured\.$/)
    expect(ofBox(plan(justPasses! - 300))).toMatchObject({ severity: 'clear' })
    expect(ofBox(plan(justPasses! - 300))?.ask).toBeUndefined()
  })

  it('moves what stands by it: a skin below the overall height lowers bars and load', () => {
    const low = plan(2700, { roof: { ...plan(2700).vehicle.roof, skinZMm: 1600 } })
    expect(survey(low).bars[0]!.box.z1).toBeCloseTo(survey(plan(2700)).bars[0]!.box.z1 - 90, 6)
  })
})

describe('a length that somebody guessed', () => {
  /** A box under a door that the vehicle passes by little, its skin known in a way. */
  const under = (by?: 'start' | 'guess' | 'measured') => {
    const base = planOf(
      vehicleWith(roofOf({ road: 500, trail: 500, parked: 500 })),
      [barsRack({ xs: [500, 1300] })],
      [[thing('Box', 10), {}]],
    )
    const topMm = survey(base).heights.road.topMm
    const door = { id: 'door', name: 'Door', heightMm: Math.ceil(topMm) + base.rules.gapsMm.ceiling + 10 }
    const vehicle = {
      ...base.vehicle,
      roof: { ...base.vehicle.roof, skinZMm: base.vehicle.heightMm },
      ...(by && { known: { 'roof.skinZMm': { by } } }),
    }
    return review(survey({ ...base, vehicle, clearances: [door] })).findings.find(
      ({ rule, severity }) => rule === 'height-clearance' && severity !== 'nothing',
    )?.severity
  }

  it('is asked for where a verdict hangs on it, as one that a form filled in is: knowing less is never better', () => {
    expect([under('measured'), under()]).toEqual(['clear', 'clear'])
    expect([under('start'), under('guess')]).toEqual(['findOut', 'findOut'])
  })
})

describe('the width of a bar that a form filled in', () => {
  /** A box on the front bar, so far before the higher rear bar. mm */
  const before = (mm: number) => {
    const rack = barsRack({ xs: [500, 1400] })
    if (rack.kind !== 'bars') throw new Error('a rack of bars')
    const [front, rear] = rack.bars
    const wide = { ...rear!, riseMm: 65, known: { 'profile.widthMm': { by: 'start' } } } as const
    const plan = planOf(
      { ...vehicleWith(roofOf({ road: 500, trail: 500, parked: 500 })) },
      [{ ...rack, bars: [front!, wide] }],
      [[thing('Box', 10, { lengthMm: 800 }), { xMm: 1360 - mm - 400 }]],
    )
    const placements = plan.placements.map((each) => ({
      ...each,
      host: { on: 'bars' as const, barIds: [front!.id] },
    }))
    return review(survey({ ...plan, placements })).findings.find(({ rule }) => rule === 'over-roof')
  }

  it('is asked for where the thing before it would stand in it', () => {
    expect(before(10)?.severity).toBe('findOut')
    expect(phraseText(before(10)!.sentence)).toContain('width')
    expect(before(60)?.severity).toBe('clear')
  })
})
