import { describe, expect, it } from 'vitest'
import { apply } from '../plan/commands/apply'
import { at, barsRack, own, planOf, RAILS, roofOf, thing, vehicleWith, weight } from '../plan/plans.testing'
import type { Attachment } from '../plan/schema/vehicle'
import type { ProvenanceByField } from '../plan/schema/provenance'
import type { Plan } from '../plan/schema/plan'
import type { Rack } from '../plan/schema/rack'
import { answered } from '../remedies/answered'
import { survey } from '../survey/survey'
import { phraseText } from '../units/phrase'
import { review } from './review'

const rack = barsRack({ bars: own('bars', { road: 100, trail: 100, parked: 100 }), eachKg: 5 }) as Extract<
  Rack,
  { kind: 'bars' }
>

/** A door that the load passes by 20 mm more than the house wants, and somebody who says the bar stands higher. */
function withRise(riseMm: number | undefined): Plan {
  const known: ProvenanceByField = {
    riseMm: {
      by: 'told',
      ...(riseMm === undefined ? {} : { others: [{ value: riseMm, by: 'measured', says: 'Ida' }] }),
    },
  }
  const bars = rack.bars.map((bar, i) => (i === 0 ? { ...bar, known } : bar))
  const plan = planOf(
    vehicleWith(roofOf({ road: 200, trail: 200, parked: 200 })),
    [{ ...rack, bars }],
    [[thing('box', 10)]],
  )
  const top = survey(plan).heights.road.topMm
  return {
    ...plan,
    clearances: [{ id: 'door', name: 'Door', heightMm: top + plan.rules.gapsMm.ceiling + 20 }],
  }
}

const asked = (plan: Plan) =>
  review(survey(plan)).findings.filter(
    ({ rule, severity }) => rule === 'figures-disagree' && severity === 'findOut',
  )
const done = (plan: Plan, value: string): Plan => {
  const [finding] = asked(plan)
  const command = answered(plan, finding!.ask!, { kind: 'choice', value })
  const applied = apply(plan, command!)
  if (!applied.ok) throw new Error(applied.reason)
  return applied.plan
}

describe('two lengths of one field', () => {
  it('are asked about where a verdict would be another with the other one, by its label and both with their source', () => {
    const [finding, ...more] = asked(withRise(120))
    expect(more).toEqual([])
    expect(phraseText(finding?.sentence ?? [])).toBe(
      'Bar 1: room under it, 60 mm (told) and 120 mm (measured, Ida) differ by 60 mm. The first is in use; with the other the verdict on the road, on the trail and parked is another. Say which one holds.',
    )
    expect(asked(withRise(65))).toEqual([])
    expect(asked(withRise(undefined))).toEqual([])
  })

  it('are settled in the row: what holds is in use and known by its source, the other stays with the reason', () => {
    const bar = (plan: Plan) => (plan.racks[0] as typeof rack).bars[0]
    const kept = done(withRise(120), '0')
    expect(asked(kept)).toEqual([])
    expect(bar(kept)).toMatchObject({
      riseMm: 60,
      known: { riseMm: { by: 'told', others: [{ value: 120, unused: 'looked at again: told holds' }] } },
    })
    const other = done(withRise(120), '1')
    expect(asked(other)).toEqual([])
    expect(bar(other)).toMatchObject({
      riseMm: 120,
      known: {
        riseMm: {
          by: 'measured',
          others: [{ value: 60, by: 'told', unused: 'looked at again: measured holds' }],
        },
      },
    })
  })
})

describe('two weights of a part and of a load', () => {
  it('a part: the roof is asked about by it', () => {
    const parts = rack.parts.map((part, i) =>
      i === 0
        ? {
            ...part,
            known: { eachKg: { by: 'sheet' as const, others: [{ value: 25, by: 'weighed' as const }] } },
          }
        : part,
    )
    const plan = planOf(vehicleWith(roofOf({ road: 60, trail: 60, parked: 60 })), [{ ...rack, parts }], [])
    expect(phraseText(asked(plan)[0]?.sentence ?? [])).toContain(
      'Bars: weight of each, 5 kg (maker’s sheet)'.replace('’', "'"),
    )
    expect(asked(done(plan, '1'))).toEqual([])
  })

  it('a load: in its own row, and weighing it keeps both beside', () => {
    const load = weight('tools', 20)
    const heavy = {
      ...load,
      what: {
        kind: 'mass' as const,
        mass: { kg: 20, basis: 'told' as const, others: [{ kg: 90, basis: 'weighed' as const }] },
      },
    }
    const base = planOf(
      vehicleWith(roofOf({ road: 100, trail: 100, parked: 100 })),
      [rack],
      [[thing('box', 10)]],
    )
    const plan = { ...base, placements: [at('box', { loads: [heavy] })] }
    expect(asked(plan).map(({ ask }) => ask?.label)).toContain('Which weight of tools holds')
    const after = done(plan, '1')
    const kept = after.placements[0]?.loads[0]?.what
    expect(kept).toMatchObject({ mass: { kg: 90, basis: 'weighed', others: [{ kg: 20, basis: 'told' }] } })
    expect(asked(after)).toEqual([])
  })
})

describe('a fit sheet’s spread against the vehicle’s points', () => {
  const points: Attachment = {
    kind: 'fixedPoint',
    id: 'rails',
    name: 'Points',
    rated: { by: 'own', ratings: [] },
    points: [500, 1280].map((xMm) => ({ xMm, yMm: 500 })),
  }
  const plan = (spread: number, on: Attachment = points): Plan => {
    const row = { profile: 'aero' as const, towerMm: { front: 1000, rear: 1000 } }
    const sheet = {
      source: { kind: 'sheet' as const },
      rows: [{ ...row, spreadMm: { fromMm: spread, toMm: spread } }],
    }
    const bars = rack.bars.map((bar, i) => ({ ...bar, xMm: i === 0 ? 500 : 1280 }))
    return planOf(vehicleWith(roofOf({ road: 100 }), [on]), [{ ...rack, bars, fitSheet: sheet }], [])
  }
  const aboutSpread = (of: Plan) => asked(of).filter(({ id }) => id.includes('spread'))

  it('is Find out with both named, and nothing where they agree', () => {
    expect(aboutSpread(plan(780))).toEqual([])
    expect(phraseText(aboutSpread(plan(800))[0]?.sentence ?? [])).toContain(
      'wants a spread of 800 mm, and the vehicle’s points are 780 mm apart',
    )
  })

  it('is settled either way: the sheet is put aside with its reason, or the rear points and the bar go where it has them', () => {
    const aside = done(plan(800), 'points')
    expect(aboutSpread(aside)).toEqual([])
    expect(aside.racks[0]).toMatchObject({
      fitSheet: { rows: [{ spreadUnused: 'looked at again: the points hold' }] },
    })
    const moved = done(plan(800), 'sheet')
    expect(aboutSpread(moved)).toEqual([])
    expect(moved.vehicle.attachments[0]).toMatchObject({
      points: [{ xMm: 500 }, { xMm: 1300 }],
      known: { 'points.at': { by: 'sheet' } },
    })
    expect(survey(moved).bars.map(({ bar }) => bar.xMm)).toEqual([500, 1300])
  })

  it('on rails that leave the bars free is a wish like any other: a Stop that a fix moves', () => {
    const free = review(survey(plan(800, RAILS))).findings.filter(
      ({ rule, severity }) => rule === 'spread' && severity === 'stop',
    )
    expect(phraseText(free[0]?.sentence ?? [])).toContain(
      'the fit sheet of Test rack needs 800 mm: 20 mm too narrow',
    )
    expect(aboutSpread(plan(800, RAILS))).toEqual([])
  })
})
