import { describe, expect, it } from 'vitest'
import { CAUTIONS, cautionTraits, type CautionKind, type Moment } from '../../kinds/caution'
import { kindsOf } from '../../kinds/kind'
import { barsRack, planOf, roofOf, SECTION, thing, vehicleWith, weight } from '../../plan/plans.testing'
import type { Gear } from '../../plan/schema/gear'
import type { Fastener } from '../../plan/schema/fastening'
import type { HouseCautions } from '../../plan/schema/house-cautions'
import { USUAL_BAY } from '../../plan/schema/house'
import type { Plan } from '../../plan/schema/plan'
import type { Bar } from '../../plan/schema/rack'
import { cautionsByMoment } from '../../review/cautions'
import { survey } from '../../survey/survey'
import { jobSteps } from './job-steps'
import { plainJob } from './plain-job.testing'

const ANY = { road: 500, trail: 500, parked: 500 }
const SCREW: Fastener = { name: 'Clamp screw', thread: 'M6', count: 4, torqueNm: { from: 5, to: 5 } }

const withBars = (plan: Plan, change: Partial<Bar>): Plan => ({
  ...plan,
  racks: plan.racks.map((rack) =>
    rack.kind === 'bars' ? { ...rack, bars: rack.bars.map((bar) => ({ ...bar, ...change })) } : rack,
  ),
})

/** Bars on rails of a car that is worked on from the ground, with nothing on them that anybody has to be warned of. */
function plain(change: (plan: Plan) => Plan = (plan) => plan): Plan {
  const vehicle = { ...vehicleWith(roofOf(ANY)), heightMm: 1450 }
  return change(withBars(planOf(vehicle, [barsRack({})]), { lengthMm: 1000 }))
}

const withThing =
  (...given: NonNullable<Parameters<typeof planOf>[2]>[number]) =>
  (plan: Plan): Plan => {
    const made = planOf(plan.vehicle, plan.racks, [given])
    return { ...plan, gear: made.gear, placements: made.placements }
  }

const withFastener =
  (fastener: Partial<Fastener>) =>
  (plan: Plan): Plan => ({
    ...plan,
    racks: plan.racks.map((rack) => ({
      ...rack,
      parts: rack.parts.map((part) =>
        part.role === 'feet' ? { ...part, fasteners: [{ ...SCREW, ...fastener }] } : part,
      ),
    })),
  })

const CLAMPED: Gear['fit'] = {
  mount: {
    kind: 'wrapClamp',
    sectionWidthMm: { fromMm: 20, toMm: 90 },
    sectionHeightMm: { fromMm: 15, toMm: 50 },
    underBarMm: 10,
  },
}

const channelled = (plan: Plan): Plan =>
  withBars(plan, { profile: { ...SECTION, channel: { slotMm: 20, headRoomMm: 8 } } })

const fluid = (kind: 'petrol' | 'water') => ({
  loads: [{ ...weight('fluid', 1), what: { kind: 'fluid' as const, fluid: kind, litres: 5 } }],
})

interface Said {
  /** A job in which it is said, and one like it without what it belongs to. */
  readonly job: Plan
  readonly without: Plan | undefined
  readonly steps: readonly string[]
  readonly sheet: Moment | undefined
}

const LADDER = plainJob('hatchSeam', 'ladder')
const ladder: Plan = {
  ...LADDER,
  vehicle: {
    ...LADDER.vehicle,
    obstacles: [
      {
        kind: 'hatch',
        id: 'rear',
        name: 'hatch',
        hinge: { xMm: 2000, zMm: 1500 },
        panel: [
          { xMm: 2000, zMm: 1500 },
          { xMm: 2300, zMm: 900 },
        ],
        halfWidthMm: 500,
        opensDeg: 80,
      },
    ],
  },
}
const JOINT_STEPS = ['rack/start-by-hand', 'rack/torque-rack-feet-0']
const poles = (rest: Parameters<typeof thing>[2]) => withThing(thing('poles', 5, { shape: 'poles', ...rest }))
const torqueSteps = (plan: Plan) =>
  stepsOf(plan).flatMap(({ id, key, group }) => (key === 'torque' && group === 'rack' ? [id] : []))
const onBed = plainJob('bedRail', 'bed')
const hooks = channelled(plainJob('hookPoint', 'bars'))
const DRILLED = plainJob('drilledTop', 'bars')
const drilled: Plan = {
  ...DRILLED,
  racks: DRILLED.racks.map((rack) => ({
    ...rack,
    parts: rack.parts.map((part) =>
      part.role === 'feet' ? { ...part, kit: { drills: { holes: 2, reversible: false } } } : part,
    ),
  })),
}

/** Where each is said: what was written down by hand, by what craft knows of each. Common practice, no source. */
const SAID: Readonly<Record<CautionKind, Said>> = {
  'lowest-rating': { job: plain(), without: undefined, steps: [], sheet: 'loading' },
  'high-load': { job: plain(withThing(thing('bag', 5))), without: plain(), steps: [], sheet: 'driving' },
  'behind-you': { job: plain(withThing(thing('bag', 5))), without: plain(), steps: [], sheet: 'driving' },
  'long-lines': {
    job: plain(withThing(thing('boat', 5, { shape: 'hull' }))),
    without: plain(withThing(thing('boat', 5))),
    steps: [],
    sheet: 'loading',
  },
  'side-stops': {
    job: plain(poles({})),
    without: plain(poles({ fit: { mount: { kind: 'none' } } })),
    steps: [],
    sheet: 'loading',
  },
  fuel: {
    job: plain(withThing(thing('can', 5), fluid('petrol'))),
    without: plain(withThing(thing('can', 5), fluid('water'))),
    steps: [],
    sheet: 'loading',
  },
  battery: {
    job: plain(withThing(thing('cell', 5, { stored: { energyWh: 500 } }))),
    without: plain(withThing(thing('cell', 5))),
    steps: [],
    sheet: 'loading',
  },
  vessel: {
    job: plain(withThing(thing('flask', 5, { stored: { pressureBar: 8 } }))),
    without: plain(withThing(thing('flask', 5))),
    steps: [],
    sheet: 'loading',
  },
  lifting: {
    job: plain(withThing(thing('crate', 20, { fit: CLAMPED }))),
    without: plain(withThing(thing('crate', 19.9, { fit: CLAMPED }))),
    steps: ['gear:crate/set'],
    sheet: 'loading',
  },
  sleeping: {
    job: plain(withThing(thing('tent', 5, { kind: 'tent' }))),
    without: plain(withThing(thing('tent', 5, { kind: 'awning' }))),
    steps: [],
    sheet: 'standing',
  },
  'parked-sway': {
    job: plain(withThing(thing('shade', 5, { kind: 'awning' }))),
    without: plain(withThing(thing('shade', 5))),
    steps: [],
    sheet: 'standing',
  },
  climbing: { job: ladder, without: plain(), steps: [], sheet: 'standing' },
  'hatch-ladder': {
    job: ladder,
    without: { ...plain(), vehicle: { ...plain().vehicle, obstacles: ladder.vehicle.obstacles } },
    steps: ['prove/hatch-rear'],
    sheet: 'driving',
  },
  heads: {
    job: plain((plan) => withBars(plan, { lengthMm: 1400 })),
    without: plain(),
    steps: ['prove/doors'],
    sheet: 'loading',
  },
  glass: {
    job: hooks,
    without: plain(),
    steps: [
      'rack/hook-posts',
      'rack/lift-on',
      'rack/press-down',
      'rack/start-by-hand',
      ...torqueSteps(hooks),
      'rack/caps',
      'rack/covers',
    ],
    sheet: 'apart',
  },
  'hand-screws': {
    job: plain(withFastener({ handOnly: true })),
    without: plain(withFastener({ handOnly: true, washers: ['lock'] })),
    steps: ['rack/torque-rack-feet-0'],
    sheet: 'driving',
  },
  'permanent-lock': {
    job: plain(withFastener({ threadlocker: 'permanent' })),
    without: plain(withFastener({ threadlocker: 'medium' })),
    steps: JOINT_STEPS,
    sheet: 'apart',
  },
  galling: {
    job: plain(withFastener({ grade: 'A2-70' })),
    without: plain(withFastener({ grade: '8.8' })),
    steps: JOINT_STEPS,
    sheet: 'apart',
  },
  'first-click': {
    job: plain(withFastener({ signs: [{ kind: 'clicks', count: 2 }] })),
    without: plain(withFastener({ signs: [{ kind: 'clicks', count: 1 }] })),
    steps: JOINT_STEPS,
    sheet: 'loading',
  },
  prying: {
    job: plain(channelled),
    without: undefined,
    steps: ['rack/prepare', 'rack/caps', 'rack/covers'],
    sheet: undefined,
  },
  blades: {
    job: plain(channelled),
    without: undefined,
    steps: ['rack/prepare', 'rack/strips'],
    sheet: undefined,
  },
  footing: {
    job: onBed,
    without: plain(),
    steps: ['rack/lift-on', 'rack/bars-in', 'rack/start-by-hand', 'rack/place', ...torqueSteps(onBed)],
    sheet: undefined,
  },
  drilling: {
    job: drilled,
    without: DRILLED,
    steps: stepsOf(drilled).flatMap(({ id }) => (id.includes('/drill/') ? [id] : [])),
    sheet: undefined,
  },
}

function stepsOf(plan: Plan) {
  const order = jobSteps(survey(plan), USUAL_BAY)
  if (!order.ok) throw new Error(order.reason)
  return order.steps
}

const saidOn = (plan: Plan, words: string): string[] =>
  stepsOf(plan).flatMap(({ id, cautions = [] }) => (cautions.includes(words) ? [id] : []))

const saidBefore = (plan: Plan, words: string): Moment[] =>
  cautionsByMoment(survey(plan)).flatMap(({ before, says }) => (says.includes(words) ? [before] : []))

describe('a caution', () => {
  it.each(kindsOf(CAUTIONS))('%s: is said on its steps and on the sheet, and nowhere else', (kind) => {
    const { job, without, steps, sheet } = SAID[kind]
    const words = cautionTraits(kind).say
    expect(saidOn(job, words).toSorted()).toEqual(steps.toSorted())
    expect(saidBefore(job, words)).toEqual(sheet === undefined ? [] : [sheet])
    expect(steps.length + (sheet === undefined ? 0 : 1)).toBeGreaterThan(0)
    if (without === undefined) return
    expect(saidOn(without, words)).toEqual([])
    expect(saidBefore(without, words)).toEqual([])
  })

  it('is said once on a step whatever it belongs to, and to the driver once', () => {
    const heavy = thing('crate', 30, { fit: CLAMPED })
    const job = planOf(plain().vehicle, plain().racks, [
      [heavy],
      [{ ...heavy, id: 'other', name: 'other' }, { yMm: 400 }],
    ])
    const words = cautionTraits('lifting').say
    expect(saidOn(job, words)).toEqual(['gear:crate/set', 'gear:other/set'])
    for (const { cautions = [] } of stepsOf(job)) expect(new Set(cautions).size).toBe(cautions.length)
    expect(cautionsByMoment(survey(job)).flatMap(({ says }) => says.filter((say) => say === words))).toEqual([
      words,
    ])
  })

  it('of what comes off is said where it is taken off', () => {
    const job = planOf(plain().vehicle, plain().racks, [[thing('bag', 5), { status: 'comesOff' }]])
    expect(saidOn(job, cautionTraits('prying').say)).toContain('off/bag')
  })

  it('is worded by the house and never left out, and the house has some of its own', () => {
    const house =
      (cautions: HouseCautions) =>
      (plan: Plan): Plan => ({
        ...plan,
        rules: { ...plan.rules, cautions },
      })
    const worded = plain(house({ words: [{ caution: 'lowest-rating', say: 'The sheet rules.' }] }))
    expect(saidBefore(worded, 'The sheet rules.')).toEqual(['loading'])
    expect(saidBefore(worded, cautionTraits('lowest-rating').say)).toEqual([])
    const own: HouseCautions = {
      own: [
        { say: 'Mind the lamp.', step: 'lift-on' },
        { say: 'Shut the valve.', before: 'loading', gear: 'can' },
        { say: 'Call us.' },
        { say: 'Lift it with the can off.', step: 'lift-on', gear: 'can' },
      ],
    }
    const job = plain((plan) => house(own)(withThing(thing('can', 5, { kind: 'can' }))(plan)))
    expect(saidOn(job, 'Mind the lamp.')).toEqual(['rack/lift-on'])
    expect(saidBefore(job, 'Mind the lamp.')).toEqual([])
    expect(saidOn(job, 'Lift it with the can off.')).toEqual(['rack/lift-on'])
    expect(saidOn(plain(house(own)), 'Lift it with the can off.')).toEqual([])
    expect(saidBefore(job, 'Shut the valve.')).toEqual(['loading'])
    expect(saidBefore(job, 'Call us.')).toEqual(['driving'])
    expect(saidBefore(plain(house(own)), 'Shut the valve.')).toEqual([])
  })
})
