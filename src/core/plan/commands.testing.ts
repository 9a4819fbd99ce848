import type { RatingOwner } from './commands/rating-commands'
import fc from 'fast-check'
import { madePlans } from './made-plans.testing'
import { DEFAULT_HOUSE_RULES } from './schema/house'
import type { Command, SingleCommand } from './commands/command'
import type { Host } from './schema/placement'
import type { Plan } from './schema/plan'
import { barsOf } from './schema/rack'

/**
 * What an edit is made from, drawn before anybody knows the plan: numbers to pick with, and values within and outside
 * what a field takes. So a failing sequence of edits shrinks like any other list.
 */
export interface Recipe {
  readonly kind: SingleCommand['do']
  readonly picks: readonly number[]
  readonly mm: number
  readonly kg: number
  readonly yes: boolean
}

/** A shop's shelves, the same at every run. */
const SHELVES = fc.sample(madePlans, { numRuns: 12, seed: 7 })
const STOCK = {
  vehicles: SHELVES.map(({ vehicle }) => vehicle),
  racks: SHELVES.flatMap(({ racks }) => racks),
  gear: SHELVES.flatMap(({ gear }) => gear),
  parts: SHELVES.flatMap(({ racks }) => racks).flatMap(({ parts }) => parts),
}

type Maker = (plan: Plan, recipe: Recipe, pick: <T>(list: readonly T[], which?: number) => T) => SingleCommand

const WHEN = ['always', 'driving', 'parked'] as const
const BASIS = ['weighed', 'maker', 'guess'] as const
const STATE = ['road', 'trail', 'parked'] as const
const idsOf = (list: readonly { readonly id: string }[]) => [...list.map(({ id }) => id), 'nothing-such']
const barsIn = (plan: Plan) => plan.racks.flatMap(barsOf)
const partsIn = (plan: Plan) => plan.racks.flatMap((rack) => rack.parts)

const massOf = ({ kg, picks }: Recipe) => ({ kg, basis: BASIS[(picks[5] ?? 0) % 3] ?? 'guess' })

function ownerOf(plan: Plan, pick: Parameters<Maker>[2]): RatingOwner {
  return pick<RatingOwner>([
    { of: 'roof' },
    { of: 'attachment', id: pick(idsOf(plan.vehicle.attachments), 1) },
    { of: 'part', id: pick(idsOf(partsIn(plan)), 1) },
    { of: 'gear', id: pick(idsOf(plan.gear), 1) },
  ])
}

function hostOf(plan: Plan, { yes }: Recipe, pick: Parameters<Maker>[2]): Host {
  const rackId = pick(idsOf(plan.racks), 2)
  const bars = barsIn(plan).map(({ id }) => id)
  const from = bars.indexOf(pick([...bars, ''], 3))
  return pick<Host>(
    [
      { on: 'bars', barIds: bars.slice(Math.max(0, from), Math.max(0, from) + (yes ? 2 : 1)) },
      { on: 'deck', rackId },
      { on: 'ladder', rackId },
      { on: 'panel', rackId, side: yes ? 'left' : 'right', zMm: 100 },
      {
        on: 'place',
        placementId: pick(idsOf(plan.placements), 2),
        placeId: pick(['inside', 'floor', 'saddle', 'tray'], 3),
      },
    ],
    4,
  )
}

const placementOf = (plan: Plan, pick: Parameters<Maker>[2]) => pick(idsOf(plan.placements))
const rating = (recipe: Recipe, pick: Parameters<Maker>[2]) => ({
  id: pick(['a', 'b'], 2),
  state: pick(STATE, 3),
  kg: recipe.kg,
  per: recipe.yes ? ('set' as const) : ('each' as const),
  source: { kind: 'told' as const },
})

/** One way to make each edit there is: the compiler asks for every one. */
const MAKE: Readonly<Record<SingleCommand['do'], Maker>> = {
  setJob: (_, { yes }) => ({ do: 'setJob', job: { name: yes ? 'Another job' : ' ' } }),
  move: (plan, { mm, kg }, pick) => ({
    do: 'move',
    placementId: placementOf(plan, pick),
    xMm: mm,
    yMm: kg,
  }),
  turn: (plan, _, pick) => ({
    do: 'turn',
    placementId: placementOf(plan, pick),
    turn: pick([0, 90, 180, 270] as const, 1),
  }),
  setOnEdge: (plan, { yes }, pick) => ({
    do: 'setOnEdge',
    placementId: placementOf(plan, pick),
    onEdge: yes,
  }),
  setWhen: (plan, _, pick) => ({
    do: 'setWhen',
    placementId: placementOf(plan, pick),
    when: pick(WHEN, 1),
  }),
  mount: (plan, recipe, pick) => {
    const gear = pick(STOCK.gear)
    return {
      do: 'mount',
      gear,
      placement: {
        id: pick(['new-1', 'new-2', 'new-3'], 1),
        gearId: gear.id,
        host: hostOf(plan, recipe, pick),
        xMm: 900,
        yMm: 0,
        turn: 0,
        onEdge: false,
        when: 'always',
        loads: [],
      },
    }
  },
  rehost: (plan, recipe, pick) => ({
    do: 'rehost',
    placementId: placementOf(plan, pick),
    host: hostOf(plan, recipe, pick),
    xMm: recipe.mm,
    yMm: recipe.kg,
  }),
  takeOff: (plan, _, pick) => ({ do: 'takeOff', placementId: placementOf(plan, pick) }),
  setLoad: (plan, recipe, pick) => ({
    do: 'setLoad',
    placementId: placementOf(plan, pick),
    load: {
      id: pick(['contents', 'extra', 'sleepers'], 1),
      name: pick(['Contents', 'Extra', ' '], 2),
      when: pick(WHEN, 3),
      what: pick(
        [
          { kind: 'mass' as const, mass: massOf(recipe) },
          { kind: 'fluid' as const, fluid: 'petrol' as const, litres: recipe.kg },
          { kind: 'people' as const, count: (recipe.picks[4] ?? 0) % 4, each: massOf(recipe) },
        ],
        4,
      ),
    },
  }),
  removeLoad: (plan, _, pick) => ({
    do: 'removeLoad',
    placementId: placementOf(plan, pick),
    loadId: pick(['contents', 'extra'], 1),
  }),
  setFitting: (plan, { yes, mm }, pick) => ({
    do: 'setFitting',
    placementId: placementOf(plan, pick),
    fitting: yes ? { boltMm: mm } : {},
  }),
  setLines: (plan, { yes }, pick) => ({
    do: 'setLines',
    placementId: placementOf(plan, pick),
    lines: { bow: yes, stern: !yes },
  }),
  setOpening: (plan, _, pick) => ({
    do: 'setOpening',
    placementId: placementOf(plan, pick),
    toward: pick(['left', 'right', 'front', 'rear'] as const, 1),
  }),
  setStraps: (plan, { kg, picks, yes }, pick) => ({
    do: 'setStraps',
    placementId: placementOf(plan, pick),
    straps: { count: (picks[1] ?? 0) % 6, ...(yes ? { eachKg: kg } : {}) },
  }),
  setMeasurement: (plan, { mm }, pick) => ({
    do: 'setMeasurement',
    measurement: {
      kind: 'length',
      id: pick(['m1', 'm2']),
      of: { about: 'underBar', barId: pick(idsOf(barsIn(plan)), 1) },
      datum: 'roof to underside',
      readingsMm: [mm],
    },
  }),
  removeMeasurement: (_, __, pick) => ({ do: 'removeMeasurement', measurementId: pick(['m1', 'm2']) }),
  setGear: (_, __, pick) => ({ do: 'setGear', gear: pick(STOCK.gear) }),
  setGearMass: (plan, recipe, pick) => ({
    do: 'setGearMass',
    gearId: pick(idsOf(plan.gear)),
    mass: massOf(recipe),
  }),
  setVehicle: (_, __, pick) => ({ do: 'setVehicle', vehicle: pick(STOCK.vehicles) }),
  addRack: (_, __, pick) => ({ do: 'addRack', rack: pick(STOCK.racks) }),
  setRack: (_, __, pick) => ({ do: 'setRack', rack: pick(STOCK.racks) }),
  removeRack: (plan, _, pick) => ({ do: 'removeRack', rackId: pick(idsOf(plan.racks)) }),
  moveBar: (plan, { mm }, pick) => ({ do: 'moveBar', barId: pick(idsOf(barsIn(plan))), xMm: mm }),
  setBar: (plan, { mm }, pick) => {
    const bar = pick([...barsIn(plan), ...STOCK.racks.flatMap(barsOf)])
    return { do: 'setBar', bar: { ...bar, lengthMm: mm } }
  },
  swapPart: (plan, _, pick) => {
    const partId = pick(idsOf(partsIn(plan)))
    return { do: 'swapPart', partId, part: { ...pick(STOCK.parts, 1), id: partId } }
  },
  setRating: (plan, recipe, pick) => ({
    do: 'setRating',
    owner: ownerOf(plan, pick),
    rating: rating(recipe, pick),
  }),
  removeRating: (plan, _, pick) => ({
    do: 'removeRating',
    owner: ownerOf(plan, pick),
    ratingId: pick(['a', 'b'], 2),
  }),
  setClearance: (_, { mm, yes }, pick) => ({
    do: 'setClearance',
    clearance: { id: pick(['c1', 'c2']), name: yes ? 'Gate' : '', heightMm: mm },
  }),
  removeClearance: (_, __, pick) => ({ do: 'removeClearance', clearanceId: pick(['c1', 'c2']) }),
  setUse: (plan, { kg }) => ({ do: 'setUse', use: { ...plan.use, roadKmH: kg } }),
  setRules: (_, { yes }) => ({
    do: 'setRules',
    rules: { ...DEFAULT_HOUSE_RULES, parkedMissing: yes ? 'ruleOfThree' : 'strict' },
  }),
  setCar: (plan, { yes }) => ({
    do: 'setCar',
    car: { id: plan.car.id, ...(yes ? { plate: 'GQ 417' } : {}) },
  }),
  setStatus: (plan, { yes }, pick) => ({
    do: 'setStatus',
    of: yes ? 'rack' : 'placement',
    id: pick(idsOf(yes ? plan.racks : plan.placements)),
    status: pick(['toFit', 'alreadyOn', 'comesOff'] as const, 1),
  }),
  setAside: (_, { yes }, pick) => ({
    do: 'setAside',
    aside: {
      findingId: pick(['unrated-layer roof road', 'gates ladder seam']),
      said: 'no figure',
      by: yes ? 'Ida' : ' ',
      reason: 'The manual is not to be had.',
      on: '2027-03-01',
    },
  }),
  askAgain: (_, __, pick) => ({
    do: 'askAgain',
    findingId: pick(['unrated-layer roof road', 'gates ladder seam']),
  }),
  confirm: (plan, _, pick) => ({
    do: 'confirm',
    starts: [{ of: 'part', id: pick(idsOf(partsIn(plan))), field: 'eachKg' }],
  }),
}

export const COMMAND_KINDS = Object.keys(MAKE) as SingleCommand['do'][]

const recipe: fc.Arbitrary<Recipe> = fc.record({
  kind: fc.constantFrom(...COMMAND_KINDS),
  picks: fc.array(fc.nat(), { minLength: 6, maxLength: 6 }),
  mm: fc.double({ min: -4000, max: 6000, noNaN: true }),
  kg: fc.double({ min: -10, max: 300, noNaN: true }),
  yes: fc.boolean(),
})

/** Sequences of edits, now and then several taken as one. */
export const recipes: fc.Arbitrary<Recipe[][]> = fc.array(
  fc.oneof(
    { weight: 6, arbitrary: recipe.map((one) => [one]) },
    { weight: 1, arbitrary: fc.array(recipe, { minLength: 2, maxLength: 3 }) },
  ),
  { minLength: 1, maxLength: 8 },
)

function singleFrom(plan: Plan, from: Recipe): SingleCommand {
  return MAKE[from.kind](plan, from, (list, which = 0) => {
    const found = list[(from.picks[which] ?? 0) % list.length]
    if (found === undefined) throw new Error('There is nothing to pick from.')
    return found
  })
}

/** The edit that a recipe means on this plan: it mostly makes sense there, and sometimes names what is not there. */
export function commandFrom(plan: Plan, from: readonly Recipe[]): Command {
  const [first, ...rest] = from.map((each) => singleFrom(plan, each))
  if (!first) throw new Error('A command is made from one recipe at least.')
  return rest.length === 0 ? first : { do: 'together', commands: [first, ...rest] }
}
