import { describe, expect, it } from 'vitest'
import {
  barsRack,
  carrier,
  own,
  planOf,
  RAILS,
  roofOf,
  thing,
  vehicleWith,
  weight,
} from '../plan/plans.testing'
import { mirrored } from '../plan/mirrored.testing'
import type { Plan } from '../plan/schema/plan'
import type { Rack } from '../plan/schema/rack'
import type { Rated } from '../plan/schema/rating'
import { STATES, type State } from '../units/scalars'
import { figuresSay } from '../review/checks/findings.testing'
import { review } from '../review/review'
import { survey } from './survey'

/** What the load path may say: a link is clear only with a figure that applies to what it counts. */
const ANY = { road: 900, trail: 900, parked: 900 }
const cell = (plan: Plan, layer: string, state: State) => survey(plan).loadPath.cellAt(layer, state)!
const rated = (bars: Rated, feet: Rated, eachKg = 0) => barsRack({ bars, feet, eachKg })
const states = (plan: Plan) => review(survey(plan)).states

const LADDER: Rack = {
  id: 'ladder',
  kind: 'ladder',
  name: 'Ladder',
  attachmentId: 'rails',
  when: 'always',
  parts: [{ id: 'l', role: 'ladder', name: 'Ladder', count: 1, eachKg: 8, rated: own('l', ANY) }],
  topZMm: 1600,
  bottomZMm: 600,
  xMm: 2000,
  yMm: -300,
  widthMm: 320,
}

describe('what counts on a link', () => {
  it('is a ladder too that hangs beside a rack with feet on the same rails (L2)', () => {
    const rails = { ...RAILS, rated: own('rails', ANY, { counts: 'everything' }) }
    const vehicle = vehicleWith(roofOf(ANY), [rails])
    const beside = planOf(vehicle, [rated(own('b', ANY), own('f', ANY)), LADDER])
    expect(cell(beside, 'attachment:rails', 'road').countedKg).toBeCloseTo(8, 9)
  })

  it('adds evenly no more than the tighter of a figure for the set and one for each (L3)', () => {
    const feet: Rated = {
      by: 'own',
      ratings: [
        { id: 'set', state: 'road', kg: 60, per: 'set', counts: 'load', source: { kind: 'sheet' } },
        { id: 'each', state: 'road', kg: 20, per: 'each', counts: 'load', source: { kind: 'sheet' } },
      ],
    }
    const plan = planOf(vehicleWith(roofOf(ANY)), [rated(own('b', ANY), feet)], [[thing('load', 20)]])
    // 60 − 20 leaves 40 for the set; each foot, at 5 of 20, leaves 15, four times 60.
    expect(cell(plan, 'part:rack-feet', 'road').addableKg).toBeCloseTo(40, 9)
  })

  it('is snow on everything seen from above, once: on a boat in short cradles, on an empty deck (L4)', () => {
    const cradle = carrier('cradles', 3, ANY, {
      lengthMm: 300,
      widthMm: 300,
      carries: {
        rated: own('cradles', ANY),
        places: [{ id: 'in', name: 'In it', kind: 'cradle', xMm: 0, yMm: 0, zMm: 100 }],
      },
    })
    const boat = thing('boat', 20, { kind: 'boat', lengthMm: 4000, widthMm: 600 })
    const base = planOf(
      vehicleWith(roofOf(ANY)),
      [rated(own('b', ANY), own('f', ANY))],
      [[cradle], [boat, { host: { on: 'place', placementId: 'cradles', placeId: 'in' }, xMm: 0, yMm: 0 }]],
    )
    const snowed = (plan: Plan) => ({ ...plan, use: { ...plan.use, snowKgPerM2: 10 } })
    const roof = (plan: Plan) => cell(plan, 'roof', 'parked').countedKg
    // 4 × 0.6 m of boat, and what of the two bars it does not cover: 2 × 0.7 m of 80 mm.
    expect(roof(snowed(base)) - roof(base)).toBeCloseTo(10 * (4 * 0.6 + 2 * 0.7 * 0.08), 6)
    const bars = barsRack({ bars: own('b', ANY), feet: own('f', ANY) })
    const deck = { xMm: 950, yMm: 0, lengthMm: 1400, widthMm: 1200, heightMm: 40 }
    const platform = { ...bars, kind: 'platform', deck } as Rack
    const empty = planOf(vehicleWith(roofOf(ANY)), [platform])
    expect(roof(snowed(empty)) - roof(empty)).toBeCloseTo(10 * 1.4 * 1.2, 6)
  })

  it('is a person on board as the plan says, in the sums as well (L14)', () => {
    const fitter = thing('fitter', 80, { kind: 'person', when: 'parked' })
    const plan = planOf(
      vehicleWith(roofOf(ANY)),
      [rated(own('b', ANY), own('f', ANY))],
      [[fitter, { when: 'driving' }]],
    )
    expect(cell(plan, 'roof', 'road').countedKg).toBeCloseTo(80, 9)
    expect(cell(plan, 'roof', 'parked').countedKg).toBe(0)
  })

  it('without a parked figure is what the driving one counts (L13)', () => {
    const roof = roofOf({ road: 60, trail: 60 }, { counts: 'everything' })
    const plan = planOf(vehicleWith(roof), [rated(own('b', ANY), own('f', ANY), 2)], [[thing('tent', 61)]])
    expect(cell(plan, 'roof', 'parked')).toMatchObject({ limit: { kind: 'missing' }, countedKg: 73 })
  })

  it('is shared by a foot on the centreline with both sides, and mirrors (L10)', () => {
    const rack = barsRack({ bars: own('b', ANY), feet: own('f', ANY) })
    const three = {
      ...rack,
      bars: rack.kind === 'bars' ? rack.bars.map((bar) => ({ ...bar, feetYMm: [-500, 0, 500] })) : [],
    } as Rack
    const rails = { ...RAILS, rated: own('rails', ANY, { per: 'each', counts: 'everything' }) }
    const plan = planOf(vehicleWith(roofOf(ANY), [rails]), [three], [[thing('load', 40), { yMm: 100 }]])
    expect(survey(plan).feet.map(({ side }) => side)).toEqual([
      'left',
      'middle',
      'right',
      'left',
      'middle',
      'right',
    ])
    const [here, there] = [plan, mirrored(plan)].map(
      (each) => cell(each, 'attachment:rails', 'road').countedKg,
    )
    expect(there).toBeCloseTo(here!, 9)
  })
})

describe('a figure', () => {
  it('for one kind of gear speaks for that alone: other gear beside it is unrated (L5)', () => {
    const boats = own('f', { road: 100, trail: 100, parked: 100 }, { gearKind: 'boat' })
    const racks = [rated(own('b', ANY), boats)]
    const boat = thing('boat', 20, { kind: 'boat', widthMm: 300 })
    const crate = thing('crate', 5, { widthMm: 300 })
    expect(cell(planOf(vehicleWith(roofOf(ANY)), racks, [[boat]]), 'part:rack-feet', 'road').limit.kind).toBe(
      'published',
    )
    const both = planOf(vehicleWith(roofOf(ANY)), racks, [
      [boat, { yMm: -200 }],
      [crate, { yMm: 300 }],
    ])
    expect(cell(both, 'part:rack-feet', 'road').limit.kind).toBe('missing')
    expect(states(both)).toMatchObject({ road: 'findOut', trail: 'findOut', parked: 'findOut' })
  })

  it('that is not there because bars are rated with the feet, and feet with the bars, is to be found out (L6)', () => {
    const withWhat = (what: string): Rated => ({ by: 'with', what, source: { kind: 'sheet' } })
    const circle = planOf(
      vehicleWith(roofOf(ANY)),
      [rated(withWhat('the feet'), withWhat('the bars'))],
      [[thing('load', 20)]],
    )
    expect(states(circle).road).toBe('findOut')
    const ends = planOf(
      vehicleWith(roofOf(ANY)),
      [rated(withWhat('the feet'), own('f', ANY))],
      [[thing('load', 20)]],
    )
    expect(
      review(survey(ends)).findings.some(
        ({ rule, severity }) => rule === 'unrated-layer' && severity === 'findOut',
      ),
    ).toBe(false)
    const gone = planOf(
      vehicleWith(roofOf(ANY)),
      [rated(withWhat('another part'), own('f', ANY))],
      [[thing('load', 20)]],
    )
    expect(states(gone).road).toBe('findOut')
  })

  it('of nought is a figure: whatever counts there is a Stop (L8)', () => {
    const plan = planOf(
      vehicleWith(roofOf({ ...ANY, trail: 0 })),
      [rated(own('b', ANY), own('f', ANY))],
      [[thing('load', 1)]],
    )
    expect(states(plan).trail).toBe('stop')
    expect(cell(plan, 'roof', 'trail').share).toBe(1)
  })

  it('of the gross mass at or below the kerb mass leaves no payload, and says so (L7)', () => {
    const vehicle = { ...vehicleWith(roofOf(ANY)), kerbKg: 1500, grossKg: 1500 }
    const plan = planOf(vehicle, [rated(own('b', ANY), own('f', ANY))], [[thing('load', 1)]])
    expect(review(survey(plan)).findings.find(({ id }) => id === 'payload payload road')?.severity).toBe(
      'stop',
    )
    expect(states(plan).road).toBe('stop')
  })

  it('that only a driver’s word stands for is found out where the verdict hangs on it, and a Stop stays one beside it', () => {
    const told = (kg: number) =>
      planOf(
        vehicleWith(
          roofOf({ road: 50, trail: 50, parked: 50 }).map((each) => ({
            ...each,
            source: { kind: 'told' as const },
          })),
        ),
        [rated(own('b', ANY), own('f', ANY))],
        [[thing('load', kg)]],
      )
    expect(figuresSay(told(44)).road).toBe('clear')
    expect(figuresSay(told(46)).road).toBe('findOut')
    const over = review(survey(told(54)))
    expect(over.states.road).toBe('stop')
    expect(over.findings.some(({ id }) => id === 'told-figure roof road')).toBe(true)
    expect(review(survey(told(56))).findings.some(({ id }) => id === 'told-figure roof road')).toBe(false)
  })

  it('below the driving one is no parked figure: what holds driving holds parked', () => {
    const plan = planOf(
      vehicleWith(roofOf({ road: 75, trail: 75, parked: 40 })),
      [rated(own('b', ANY), own('f', ANY))],
      [[thing('load', 20)]],
    )
    const found = review(survey(plan)).findings.find(
      ({ rule, severity }) => rule === 'parked-figure' && severity === 'findOut',
    )
    expect(found?.ask?.target).toMatchObject({ field: 'rating', state: 'parked' })
  })
})

describe('weights that a form filled in', () => {
  it('count with the house’s margin, and are found out where a quarter more of all of them decides', () => {
    const start = (kg: number) => {
      const rack = rated(own('b', ANY), own('f', ANY), kg)
      return planOf(vehicleWith(roofOf({ road: 50, trail: 50, parked: 50 })), [
        {
          ...rack,
          parts: rack.parts.map((part) => ({ ...part, known: { eachKg: { by: 'start' as const } } })),
        },
      ])
    }
    // Two bars and four feet of 7 kg: 42 counted as 46.2; all a quarter heavier make 52.5.
    expect(cell(start(7), 'roof', 'road').countedKg).toBeCloseTo(46.2, 9)
    expect(
      review(survey(start(6))).findings.some(
        ({ rule, severity }) => rule === 'guessed-mass' && severity === 'findOut',
      ),
    ).toBe(false)
    expect(states(start(6)).road).toBe('mind')
    expect(states(start(7)).road).toBe('findOut')
    expect(states(start(9)).road).toBe('stop')
  })
})

describe('the next kilo', () => {
  it('beside a thing that lifts one bar takes its own uplift off its own weight (L12)', () => {
    const behind = thing('load', 50, { lengthMm: 2400 })
    const plan = planOf(
      vehicleWith(roofOf({ road: 60, trail: 60, parked: 60 })),
      [rated(own('b', ANY), own('f', ANY))],
      [[behind, { xMm: 1600 }]],
    )
    const surveyed = survey(plan)
    const at = surveyed.statics.nextKilo(surveyed.racks[0]!, 'road', { xMm: 950, yMm: 0 })
    // The roof holds 50 of its 60 whatever the front bar is relieved of.
    expect(at.kg).toBeCloseTo(10, 6)
  })
})

describe('the height', () => {
  it('counts a mast higher than the load, and no ladder that is carried parked only (L20)', () => {
    const vehicle = vehicleWith(roofOf(ANY))
    const mast = {
      kind: 'antenna',
      id: 'mast',
      name: 'Mast',
      xMm: 300,
      yMm: 0,
      heightMm: 900,
      form: 'mast',
    } as const
    const plan = planOf({ ...vehicle, obstacles: [mast] }, [rated(own('b', ANY), own('f', ANY))])
    expect(survey(plan).drivingTop).toMatchObject({ name: 'Mast', topMm: vehicle.heightMm + 900 })
    const high = { ...LADDER, topZMm: 2600, when: 'parked' as const }
    const ladder = survey(planOf(vehicle, [rated(own('b', ANY), own('f', ANY)), high]))
    expect(ladder.drivingTop.topMm).toBeLessThan(2600)
    expect(ladder.heights.parked.topMm).toBe(2600)
  })
})

describe('what two screens say of one load', () => {
  it('counts a guess alike on the sheet and on the bench (L24)', () => {
    const box = carrier('box', 10, ANY)
    const plan = planOf(
      vehicleWith(roofOf(ANY)),
      [rated(own('b', ANY), own('f', ANY))],
      [[box, { loads: [weight('bags', 20, {}, 'guess')] }]],
    )
    const surveyed = survey(plan)
    for (const state of STATES)
      expect(surveyed.onRackKg(0, state)).toBeCloseTo(cell(plan, 'part:rack-feet', state).countedKg, 9)
  })
})
