import { describe, expect, it } from 'vitest'
import { ratings } from '../plan/starting/templates'
import { barsRack, carrier, own, planOf, roofOf, thing, vehicleWith, weight } from '../plan/plans.testing'
import type { Plan } from '../plan/schema/plan'
import type { Obstacle, Vehicle } from '../plan/schema/vehicle'
import { survey } from '../survey/survey'
import { phraseText } from '../units/phrase'
import { review } from './review'

const ANY = { road: 900, trail: 900, parked: 900 }
const ROOF = roofOf(ANY)
const rack = barsRack({ bars: own('bars', ANY), feet: own('feet', ANY) })
const findings = (plan: Plan, rule: string) =>
  review(survey(plan)).findings.filter((each) => each.rule === rule && each.severity !== 'nothing')
const texts = (plan: Plan, rule: string) => findings(plan, rule).map(({ sentence }) => phraseText(sentence))

describe('what one spot still takes', () => {
  it('is at most where something of unknown weight stands on its way', () => {
    const plan = planOf(
      vehicleWith(ROOF),
      [rack],
      [[carrier('box', 15, ANY), { loads: [weight('tools', 0, {}, 'unknown')] }]],
    )
    const at = (of: Plan) => {
      const surveyed = survey(of)
      return surveyed.statics.nextKilo(surveyed.racks[0]!, 'road', { xMm: 950, yMm: 0 }).unweighed
    }
    expect(at(plan)).toContain('Roof')
    expect(at(planOf(vehicleWith(ROOF), [rack], [[thing('box', 15)]]))).toEqual([])
  })
})

describe('the height', () => {
  it('counts a canopy that stands higher than the roof', () => {
    const vehicle = vehicleWith(ROOF, [
      {
        kind: 'canopyTrack',
        id: 'canopy',
        name: 'Canopy',
        ratings: ratings('canopy', ANY, { kind: 'sheet' }),
        canopyKg: 80,
        topZMm: 2100,
        gaugeMm: 1200,
        ranges: [{ fromMm: 2400, toMm: 3800 }],
      },
    ])
    expect(survey(planOf(vehicle, [])).heights.road).toMatchObject({ topMm: 2100, name: 'Canopy' })
  })
})

describe('what rests on something that comes off', () => {
  it('is said, whether it stands on a rack or in a carrier that leaves', () => {
    const base = planOf(vehicleWith(ROOF), [rack], [[thing('box', 15)]])
    const off: Plan = { ...base, racks: base.racks.map((each) => ({ ...each, status: 'comesOff' as const })) }
    expect(findings(base, 'on-its-bars').map(({ severity }) => severity)).toEqual(['clear'])
    expect(findings(off, 'on-its-bars')).toMatchObject([
      { severity: 'stop', subject: { placementIds: ['box'] } },
    ])
    expect(texts(off, 'on-its-bars')[0]).toContain('rests on something that comes off')
    const both = {
      ...off,
      placements: off.placements.map((each) => ({ ...each, status: 'comesOff' as const })),
    }
    expect(findings(both, 'on-its-bars')).toEqual([])
  })
})

describe('what moves over the roof', () => {
  const sunroof: Obstacle = {
    kind: 'sunroof',
    id: 'pane',
    name: 'Sunroof',
    openingMm: { fromMm: 300, toMm: 900 },
    widthMm: 800,
    moves: 'tilts',
    tiltRiseMm: 60,
  }
  const plan = (skinZMm: number) => {
    const vehicle: Vehicle = {
      ...vehicleWith(ROOF),
      heightMm: 1600,
      obstacles: [
        sunroof,
        { kind: 'antenna', id: 'fin', name: 'Fin', xMm: 950, yMm: 0, heightMm: 60, form: 'fin' },
      ],
    }
    return planOf({ ...vehicle, roof: { ...vehicle.roof, skinZMm } }, [rack], [[thing('box', 10), {}]])
  }

  it('is reckoned from the roof’s skin: rails that make the overall height lift no pane and no antenna', () => {
    const gaps = (skinZMm: number) =>
      findings(plan(skinZMm), 'sunroof').map(({ measured }) => measured?.value)
    expect(gaps(1500)).toEqual(gaps(1600))
    const antenna = (skinZMm: number) =>
      findings(plan(skinZMm), 'antenna').map(({ margin }) => margin?.value ?? NaN)
    expect(antenna(1500)[0]).toBeCloseTo(antenna(1600)[0]!, 9)
    expect(antenna(1500).length).toBeGreaterThan(0)
  })
})

describe('a computed gap', () => {
  it('has no tolerance of reading: 4.7 mm is not the 5 mm that are wanted', () => {
    const plan = (gapMm: number): Plan => {
      const base = planOf(vehicleWith(ROOF), [rack], [[thing('a', 5)], [thing('b', 5), { yMm: 600 + gapMm }]])
      return { ...base, rules: { ...base.rules, gapsMm: { ...base.rules.gapsMm, between: 5 } } }
    }
    expect(findings(plan(4.7), 'space').map(({ severity }) => severity)).toEqual(['mind'])
    expect(findings(plan(5), 'space').map(({ severity }) => severity)).toEqual(['clear'])
  })
})

describe('what lies in a carrier', () => {
  it('is held against the roof where it hangs out of it', () => {
    const cradle = thing('cradle', 5, {
      carries: {
        rated: own('cradle', ANY),
        places: [{ id: 'a', name: 'A', kind: 'deck', xMm: 0, yMm: 0, zMm: -400 }],
      },
    })
    const base = planOf(vehicleWith(ROOF), [rack], [[cradle], [thing('low', 5)]])
    const plan: Plan = {
      ...base,
      placements: base.placements.map((each) =>
        each.id === 'low'
          ? { ...each, xMm: 0, host: { on: 'place', placementId: 'cradle', placeId: 'a' } }
          : each,
      ),
    }
    expect(
      findings(plan, 'over-roof').filter(({ subject }) => subject.placementIds.includes('low')),
    ).toMatchObject([{ severity: 'stop' }])
  })
})

describe('a sentence', () => {
  it('says of a part that only stands where it stands no word of a sheet', () => {
    const suited = {
      ...rack,
      parts: rack.parts.map((part) => ({ ...part, suits: ['raisedRail' as const] })),
    }
    expect(texts(planOf(vehicleWith(ROOF), [suited], []), 'kit-fit').join()).not.toContain('sheet agrees')
  })

  it('compares no single reading with anything', () => {
    const base = planOf(vehicleWith(ROOF), [rack], [])
    const read = (...readingsMm: number[]): Plan => ({
      ...base,
      measurements: [
        {
          kind: 'length',
          id: 'm',
          of: { about: 'underBar', barId: 'rack-bar-1' },
          datum: 'skin to bar',
          readingsMm,
        },
      ],
    })
    expect(texts(read(60), 'measured-facts').join()).not.toContain('apart')
    expect(texts(read(60, 60.5), 'measured-facts').join()).toContain('2 readings, 0.5 mm apart')
  })

  it('of every foot speaks of the others where one is lifted at rest', () => {
    const plan = planOf(
      vehicleWith(ROOF),
      [barsRack({ bars: own('b', ANY), feet: own('f', ANY), xs: [500, 1400] })],
      [
        [thing('far', 40, { contactsMm: { along: [], across: [0] } }), { xMm: 950, yMm: 700 }],
        [thing('heavy', 60), {}],
      ],
    )
    const found = texts(plan, 'uplift-in-motion').filter((text) => text.includes('keeps at least'))
    const lifted = findings(plan, 'uplift').some(({ severity }) => severity === 'mind')
    for (const text of found) expect(text.includes('every other foot')).toBe(lifted)
  })
})

describe('figures that disagree', () => {
  it('are asked about though another Stop stands: each Stop more is another outcome', () => {
    const parts = rack.parts.map((part) =>
      part.role === 'feet'
        ? {
            ...part,
            eachKg: 2,
            count: 4,
            known: { eachKg: { by: 'sheet' as const, others: [{ value: 4, by: 'label' as const }] } },
          }
        : part,
    )
    const plan = planOf(
      vehicleWith(roofOf({ road: 30, trail: 30, parked: 30 })),
      [{ ...rack, parts }],
      [[thing('box', 20)]],
    )
    const asks = (of: Plan) =>
      findings(of, 'figures-disagree').filter(({ severity }) => severity === 'findOut')
    const low: Plan = { ...plan, clearances: [{ id: 'door', name: 'Door', heightMm: 1000 }] }
    expect(asks(plan)).toHaveLength(1)
    expect(findings(low, 'height-clearance').some(({ severity }) => severity === 'stop')).toBe(true)
    expect(asks(low)).toHaveLength(1)
  })

  it('in a fit sheet’s spread change both its ends where it is but one figure', () => {
    const rows = (others: boolean) => ({
      ...rack,
      fitSheet: {
        source: { kind: 'sheet' as const },
        rows: [{ profile: 'aero' as const, spreadMm: { fromMm: 900, toMm: 900 } }],
      },
      ...(others && {
        known: {
          'fitSheet.rows.0.spreadMm.fromMm': {
            by: 'sheet' as const,
            others: [{ value: 760, by: 'manual' as const }],
          },
        },
      }),
    })
    const asks = (others: boolean) =>
      findings(planOf(vehicleWith(ROOF), [rows(others)], [[thing('box', 10)]]), 'figures-disagree').filter(
        ({ severity }) => severity === 'findOut',
      )
    expect(asks(false)).toEqual([])
    expect(asks(true)).toHaveLength(1)
  })
})

describe('a Stop that a length may clear', () => {
  it('says so, and keeps its question: a thing sinks into the body by a starting room under its bar', () => {
    const plan = (by?: 'start'): Plan => {
      const bars =
        rack.kind === 'bars'
          ? rack.bars.map((bar) => ({ ...bar, ...(by && { known: { riseMm: { by } } }) }))
          : []
      const hanging = thing('planks', 10, { hangsMm: 100 })
      return planOf(vehicleWith(ROOF), [{ ...rack, bars } as typeof rack], [[hanging]])
    }
    const stop = (of: Plan) => findings(of, 'over-roof').find(({ severity }) => severity === 'stop')
    expect(stop(plan())).toBeDefined()
    expect(stop(plan())?.ask).toBeUndefined()
    const asked = stop(plan('start'))
    expect(asked?.severity).toBe('stop')
    expect(phraseText(asked!.sentence)).toMatch(
      /It depends on .* Measure it\.$|It depends on lengths that nobody measured/,
    )
    expect(asked?.ask).toMatchObject({ where: 'tape', target: { open: 'rack' } })
  })

  it('asks nothing of a stretch that nobody uses, where notches are given', () => {
    const [rails] = vehicleWith(ROOF).attachments
    if (!rails || !('ranges' in rails)) throw new Error('rails have stretches')
    const notched = {
      ...rails,
      notchesXMm: [500, 1400],
      ranges: [{ fromMm: 495, toMm: 1405 }],
      known: { 'ranges.0.fromMm': { by: 'start' as const }, 'ranges.0.toMm': { by: 'start' as const } },
    }
    const { notchesXMm: _, ...free } = notched
    const seats = (compared: typeof free) =>
      findings(planOf(vehicleWith(ROOF, [compared]), [rack]), 'bar-seat').map(({ severity }) => severity)
    expect(seats(notched)).toEqual(['clear', 'clear'])
    expect(seats(free)).toEqual(['findOut', 'findOut'])
  })
})
