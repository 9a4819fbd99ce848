import { describe, expect, it } from 'vitest'
import { ratings } from '../plan/starting/templates'
import { barsRack, carrier, own, planOf, roofOf, thing, vehicleWith, weight } from '../plan/plans.testing'
import type { Plan } from '../plan/schema/plan'
import type { Rack } from '../plan/schema/rack'
import type { Vehicle } from '../plan/schema/vehicle'
import { survey } from '../survey/survey'
import type { State } from '../units/scalars'
import { phraseText } from '../units/phrase'
import type { Severity } from './finding'
import { review } from './review'

const ANY = { road: 900, trail: 900, parked: 900 }
const ROOF = roofOf(ANY)
const each = { per: 'each', counts: 'load' } as const

const figures = (id: string, of: Parameters<typeof ratings>[1], terms: Parameters<typeof ratings>[3] = {}) =>
  ratings(id, of, { kind: 'sheet' }, terms)

const findings = (plan: Plan) => review(survey(plan)).findings
/** What a link is on the road: the gravest that is said of it. */
function link(plan: Plan, layerId: string, state: State = 'road'): Severity | undefined {
  const order: Severity[] = ['stop', 'findOut', 'mind', 'clear']
  const found = findings(plan).filter((one) => one.subject.layerId === layerId && one.state === state)
  return order.find((severity) => found.some((one) => one.severity === severity))
}
const asked = (plan: Plan, rule: string, state: State = 'road') =>
  findings(plan).filter((one) => one.rule === rule && one.severity === 'findOut' && one.state === state)

const rack = (parts: Parameters<typeof barsRack>[0]) =>
  barsRack({ bars: own('bars', ANY), feet: own('feet', ANY), ...parts })

/** A thing right over one foot: all of it stands there. */
const overFoot = (left: boolean, front: boolean) => ({ xMm: front ? 500 : 1400, yMm: left ? -500 : 500 })
const at = (
  id: string,
  kg: number,
  basis: 'maker' | 'told' | 'guess',
  where: { readonly xMm: number; readonly yMm: number },
) => [thing(id, kg, { contactsMm: { along: [], across: [0] } }, basis), where] as const

describe('every unit of a figure for each', () => {
  it('is judged under doubt, not the fullest alone', () => {
    const feet = own('feet', { road: 40, trail: 40, parked: 40 }, each)
    const two = (secondKg: number) =>
      planOf(
        vehicleWith(ROOF),
        [rack({ feet })],
        [at('sure', 38, 'maker', overFoot(true, true)), at('said', secondKg, 'told', overFoot(false, false))],
      )
    expect(link(two(37), 'part:rack-feet')).toBe('findOut')
    const [finding] = asked(two(37), 'guessed-mass')
    expect(phraseText(finding!.sentence)).toMatch(
      /^Feet: 37 kg .*said, told, not weighed: it may be 40\.7 kg against 40 kg each/,
    )
    expect(phraseText(finding!.sentence)).toContain('said 3 kg heavier would turn it')
    expect(link(two(36), 'part:rack-feet')).toBe('clear')
  })

  it('that is certainly over is a Stop, though another is only perhaps', () => {
    const feet = own('feet', { road: 40, trail: 40, parked: 40 }, each)
    const plan = planOf(
      vehicleWith(ROOF),
      [rack({ feet })],
      [at('over', 41, 'maker', overFoot(true, true)), at('perhaps', 39, 'guess', overFoot(false, false))],
    )
    expect(link(plan, 'part:rack-feet')).toBe('stop')
  })

  it('is a Stop where it is certainly over and the set is over by a guess’s margin alone', () => {
    const feet = {
      by: 'own' as const,
      ratings: [...figures('set', { road: 100 }), ...figures('each', { road: 40 }, each)],
    }
    const plan = planOf(
      vehicleWith(ROOF),
      [rack({ feet })],
      [at('over', 41, 'maker', overFoot(true, true)), at('guess', 56, 'guess', { xMm: 950, yMm: 0 })],
    )
    expect(link(plan, 'part:rack-feet')).toBe('stop')
  })
})

describe('every figure in force', () => {
  const both = (setKg: number, eachKg: number) => ({
    by: 'own' as const,
    ratings: [
      ...figures('set', { road: setKg, trail: setKg, parked: setKg }),
      ...figures('each', { road: eachKg, trail: eachKg, parked: eachKg }, each),
    ],
  })

  it('is judged under doubt: the set’s where the each is tighter', () => {
    // 57 certain on one bar of 60; 118 of 120 in all, of which 61 is told: it may be 124.1.
    const plan = planOf(
      vehicleWith(ROOF),
      [rack({ bars: both(120, 68) })],
      [
        [thing('sure', 57), { xMm: 500 }],
        [thing('said', 61, {}, 'told'), { xMm: 1400 }],
      ],
    )
    expect(link(plan, 'part:rack-bars')).toBe('findOut')
    expect(asked(plan, 'guessed-mass').some((one) => phraseText(one.sentence).includes('124.1'))).toBe(true)
  })

  it('is judged as told where it is only told: each 30, with 28 on it', () => {
    const told = {
      by: 'own' as const,
      ratings: figures('b', { road: 30, trail: 30, parked: 30 }, each).map((one) => ({
        ...one,
        source: { kind: 'told' },
      })) as never[],
    }
    const plan = planOf(vehicleWith(ROOF), [rack({ bars: told })], [[thing('a', 28), { xMm: 500 }]])
    expect(asked(plan, 'told-figure')).toHaveLength(1)
    expect(phraseText(asked(plan, 'told-figure')[0]!.sentence)).toContain('at 27 kg the verdict would change')
  })
})

describe('one entry of the plan', () => {
  it('is one fact though it stands in two mass points: two bars told 7 kg each', () => {
    const bars = rack({ bars: own('bars', ANY) })
    const told = (eachKg: number): Rack => ({
      ...bars,
      parts: bars.parts.map((part) =>
        part.role === 'bars' ? { ...part, eachKg, count: 2, known: { eachKg: { by: 'told' } } } : part,
      ),
    })
    const on = (kg: number) => planOf(vehicleWith(roofOf({ road: kg, trail: kg, parked: kg })), [told(7)])
    // 14 told may be 15.4: one bar alone would make 14.7.
    expect(link(on(15), 'roof')).toBe('findOut')
    expect(link(on(15.5), 'roof')).toBe('clear')
  })

  it('is one fact wherever the thing stands: one boat placed twice, told 25 each', () => {
    const boat = thing('boat', 25, {}, 'told')
    const plan = planOf(vehicleWith(roofOf({ road: 53, trail: 53, parked: 53 })), [rack({})], [[boat]])
    const twice = {
      ...plan,
      placements: [...plan.placements, { ...plan.placements[0]!, id: 'second', yMm: 900 }],
    }
    expect(link(twice, 'roof')).toBe('findOut')
    expect(asked(twice, 'guessed-mass').filter(({ subject }) => subject.layerId === 'roof')).toHaveLength(1)
  })

  it('that is a guess moves with all other guesses, and what was told by itself', () => {
    const of = (basis: 'told' | 'guess') =>
      planOf(
        vehicleWith(roofOf({ road: 60, trail: 60, parked: 60 })),
        [rack({})],
        [[thing('a', 28, {}, basis)], [thing('b', 28, {}, basis), { yMm: 900 }]],
      )
    // 56 and a tenth of both is 61.6; of one 58.8.
    expect(link(of('guess'), 'roof')).toBe('findOut')
    expect(link(of('told'), 'roof')).toBe('mind')
  })
})

describe('all facts at once, where none alone turns a verdict', () => {
  const told = (kg: number, limit: number) =>
    planOf(
      vehicleWith(roofOf({ road: limit, trail: limit, parked: limit })),
      [rack({})],
      [[thing('a', kg, {}, 'told')], [thing('b', kg, {}, 'told'), { yMm: 900 }]],
    )
  const minds = (plan: Plan) =>
    findings(plan).filter(({ rule, severity }) => rule === 'facts-together' && severity === 'mind')

  it('are one Mind of the state, with how many and by how much', () => {
    const found = minds(told(28, 60))
    expect(found.map(({ state }) => state)).toEqual(['road', 'trail', 'parked'])
    expect(phraseText(found[0]!.sentence)).toMatch(/^2 facts .*Roof would be 1\.6 kg over on the road\.$/)
  })

  it('add nothing where one alone turns it, nor where all of them do not', () => {
    expect(minds(told(28, 57))).toEqual([])
    expect(link(told(28, 57), 'roof')).toBe('findOut')
    expect(minds(told(28, 62))).toEqual([])
    expect(link(told(28, 62), 'roof')).toBe('clear')
  })
})

describe('what counts otherwise', () => {
  it('is asked for only where it turns a verdict: under the rule of three a lighter load is no graver than a heavier', () => {
    const silent = {
      by: 'own' as const,
      ratings: figures('b', { road: 50 }),
    }
    const parked = (kg: number) => {
      const plan = planOf(vehicleWith(ROOF), [rack({ bars: silent, eachKg: 2 })], [[thing('load', kg)]])
      return {
        ...plan,
        rules: { ...plan.rules, parkedMissing: 'ruleOfThree' as const },
        placements: plan.placements.map((one) => ({ ...one, when: 'parked' as const })),
      }
    }
    const of = (kg: number) => link(parked(kg), 'part:rack-bars', 'parked')
    // 48 with the bars' own 4 is over 50, and far under three times 50.
    expect([of(48), of(55), of(149)]).toEqual(['clear', 'mind', 'findOut'])
    expect(of(151)).toBe('stop')
  })
})

describe('the vehicle’s own figures', () => {
  const heavy = (vehicle: Partial<Vehicle>) =>
    planOf(
      { ...vehicleWith(ROOF), kerbKg: 1500, grossKg: 1700, ...vehicle },
      [rack({})],
      [[thing('load', 120)]],
    )

  it('turn the payload: a kerb mass that is only told, and says so in its question', () => {
    expect(link(heavy({}), 'payload')).toBe('findOut')
    expect(asked(heavy({}), 'told-figure')[0]).toMatchObject({
      ask: { target: { open: 'vehicle', at: 'grossKg' } },
    })
    const read = { known: { kerbKg: { by: 'manual' as const }, grossKg: { by: 'label' as const } } }
    expect(link(heavy(read), 'payload')).toBe('clear')
    const guessed = { known: { ...read.known, kerbKg: { by: 'guess' as const } } }
    expect(asked(heavy(guessed), 'told-figure')[0]).toMatchObject({
      ask: { target: { open: 'vehicle', at: 'kerbKg' } },
    })
  })

  it('turn an axle, and so does what stands on it', () => {
    const known = {
      kerbKg: { by: 'manual' as const },
      grossKg: { by: 'label' as const },
      'axleLimitKg.front': { by: 'label' as const },
      'axleLimitKg.rear': { by: 'label' as const },
    }
    const own = {
      centreOfGravity: { known: 'stability', frontShare: 0.6, staticStabilityFactor: 1.3 },
    } as const
    const axle = (rear: number, basis: 'maker' | 'told') =>
      findings(
        planOf(
          { ...vehicleWith(ROOF), kerbKg: 1500, ...own, known, axleLimitKg: { front: 2000, rear } },
          [rack({})],
          [[thing('load', 100, {}, basis)]],
        ),
      ).filter(({ rule, state }) => rule === 'axles' && state === 'road')
    const bears = axle(5000, 'maker').find(({ id }) => id.includes('rear'))!.measured!.value
    expect(axle(bears + 1, 'maker').map(({ severity }) => severity)).toEqual(['clear', 'clear'])
    const found = axle(bears + 1, 'told').find(({ severity }) => severity === 'findOut')
    expect(found).toMatchObject({ ask: { target: { field: 'gearMass', gearId: 'load' } } })
  })
})

describe('a canopy’s mass', () => {
  const canopy = (by: 'weighed' | 'guess' | undefined) => {
    const vehicle: Vehicle = {
      ...vehicleWith(ROOF, [
        {
          kind: 'bedRail',
          id: 'bed',
          name: 'Bed rails',
          ratings: figures('bed', { road: 100, trail: 100, parked: 100 }, { counts: 'everything' }),
          topZMm: 1000,
          gaugeMm: 1300,
          ranges: [{ fromMm: 2400, toMm: 3800 }],
        },
        {
          kind: 'canopyTrack',
          id: 'canopy',
          name: 'Canopy',
          ratings: figures('canopy', ANY),
          canopyKg: 80,
          topZMm: 1500,
          gaugeMm: 1200,
          ranges: [{ fromMm: 2400, toMm: 3800 }],
          ...(by && { known: { canopyKg: { by } } }),
        },
      ]),
      body: 'pickup',
    }
    const bars = barsRack({ bars: own('b', ANY), feet: own('f', ANY), xs: [2600, 3400] })
    return planOf(vehicle, [{ ...bars, attachmentId: 'canopy' }], [[thing('load', 15), { xMm: 3000 }]])
  }

  it('is known as it is said to be: weighed it is not asked for, guessed it takes the margin', () => {
    expect(link(canopy('weighed'), 'attachment:bed')).toBe('clear')
    expect(link(canopy(undefined), 'attachment:bed')).toBe('findOut')
    expect(link(canopy('guess'), 'attachment:bed')).toBe('findOut')
    const counted = (by: 'weighed' | 'guess') =>
      survey(canopy(by)).loadPath.cellAt('attachment:bed', 'road')!.countedKg
    expect(counted('guess') - counted('weighed')).toBeCloseTo(8, 9)
  })
})

describe('a drilled mount', () => {
  it('that is not reinforced loads the roof, whatever is said of what bears it', () => {
    const drilled = (reinforced: boolean) =>
      planOf(
        vehicleWith(roofOf({ road: 50, trail: 50, parked: 50 }), [
          {
            kind: 'drilledTop',
            id: 'rails',
            name: 'Mounts',
            rated: { by: 'own', ratings: figures('m', ANY) },
            points: [
              { xMm: 500, yMm: 500 },
              { xMm: 1400, yMm: 500 },
            ],
            reinforced,
            roofBears: false,
          },
        ]),
        [rack({})],
        [[thing('load', 80)]],
      )
    expect(link(drilled(true), 'roof')).toBeUndefined()
    expect(link(drilled(false), 'roof')).toBe('stop')
  })
})

describe('a load in a carrier', () => {
  it('of which nobody knows the weight leaves every figure on its way open', () => {
    const plan = planOf(
      vehicleWith(ROOF),
      [rack({})],
      [[carrier('box', 15, ANY), { loads: [weight('tools', 0, {}, 'unknown')] }]],
    )
    expect(link(plan, 'roof')).toBe('findOut')
    expect(link(plan, 'carrier:box')).toBe('findOut')
  })
})
