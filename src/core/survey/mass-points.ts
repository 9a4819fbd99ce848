import { FLUID_KG_PER_L, type Load } from '../plan/placement'
import type { Plan } from '../plan/plan'
import type { PartRole } from '../plan/rack'
import type { Basis } from '../plan/rating'
import { STATES, type State, type When } from '../plan/scalars'
import { guessFactor } from '../rules/house'
import { rootOf, type Arrangement, type Point, type RackAt, type ThingAt } from './arrangement'
import { supportShares } from './supports'

/** So much of a mass on the support of that number. */
export type Share = readonly [index: number, fraction: number]

/** Which way a load reaches its rack: over the bars, through the deck, on a side panel, up the ladder. */
export type Via = 'bars' | 'deck' | 'panel' | 'ladder'

interface Common {
  readonly id: string
  readonly label: string
  readonly kg: number
  readonly basis: Basis | 'computed'
  /** Who said so, where that is known. */
  readonly by?: string | undefined
  /** House margin on a guess; 1 for what is known. */
  readonly factor: number
  readonly states: readonly State[]
  readonly at: Point
  readonly feet: readonly Share[]
  readonly bars: readonly Share[]
  /** Share of it on each rack that holds it. */
  readonly racks: readonly Share[]
}

export type MassPoint =
  | (Common & {
      readonly of: 'gear' | 'load' | 'wet' | 'snow' | 'adapter'
      readonly thing: ThingAt
      readonly via: Via
      readonly load?: Load
    })
  | (Common & { readonly of: 'part'; readonly role: PartRole; readonly partId: string })
  | (Common & { readonly of: 'occupant'; readonly occupantId: string })

const ALL: readonly State[] = STATES
const DRIVING: readonly State[] = ['road', 'trail']
const PARKED: readonly State[] = ['parked']

/** The states in which something is there at all. */
export function statesOf(when: When): readonly State[] {
  return when === 'always' ? ALL : when === 'driving' ? DRIVING : PARKED
}

function both(a: readonly State[], b: readonly State[]): readonly State[] {
  if (a === ALL) return b
  if (b === ALL) return a
  return a.filter((state) => b.includes(state))
}

interface Hold {
  readonly via: Via
  readonly feet: readonly Share[]
  readonly bars: readonly Share[]
  readonly racks: readonly Share[]
}

const NOWHERE: Hold = { via: 'bars', feet: [], bars: [], racks: [] }

/** How a load at a point comes down through bars by statics: on each bar by x, on each of its feet by y. */
function overBars(arrangement: Arrangement, barIndices: readonly number[], at: Point, via: Via): Hold {
  const bars = barIndices.flatMap((index) => arrangement.bars[index] ?? [])
  const barShares = supportShares(
    bars.map(({ bar }) => bar.xMm),
    at.x,
  )
  const feet: Share[] = []
  const racks = new Map<number, number>()
  bars.forEach((bar, i) => {
    const share = barShares[i] ?? 0
    supportShares(bar.bar.feetYMm, at.y).forEach((part, f) => {
      const foot = bar.feet[f]
      if (foot !== undefined) feet.push([foot, share * part])
    })
    const rack = arrangement.feet[bar.feet[0] ?? 0]?.rackIndex ?? 0
    racks.set(rack, (racks.get(rack) ?? 0) + share)
  })
  return { via, feet, bars: bars.map(({ index }, i): Share => [index, barShares[i] ?? 0]), racks: [...racks] }
}

function onSide(rack: RackAt, side: 'left' | 'right', at: Point): Hold {
  const feet = rack.feet.filter((foot) => foot.side === side)
  const shares = supportShares(
    feet.map((foot) => foot.xMm),
    at.x,
  )
  return {
    via: 'panel',
    feet: feet.map(({ index }, i): Share => [index, shares[i] ?? 0]),
    bars: [],
    racks: [[rack.index, 1]],
  }
}

function holdOf(
  arrangement: Arrangement,
  barIndexById: ReadonlyMap<string, number>,
  thing: ThingAt,
  at: Point,
): Hold {
  const { host } = rootOf(thing).placement
  if (host.on === 'place') return NOWHERE
  if (host.on === 'bars') {
    const indices = host.barIds.flatMap((id) => barIndexById.get(id) ?? [])
    return overBars(arrangement, indices, at, 'bars')
  }
  const rack = arrangement.racks.find((each) => each.rack.id === host.rackId)
  if (!rack) return NOWHERE
  switch (host.on) {
    case 'deck':
      return overBars(
        arrangement,
        rack.bars.map(({ index }) => index),
        at,
        'deck',
      )
    case 'panel':
      return onSide(rack, host.side, at)
    case 'ladder':
      return { via: 'ladder', feet: [], bars: [], racks: [[rack.index, 1]] }
  }
}

function loadMass(load: Load): { kg: number; basis: Basis | 'computed'; by?: string | undefined } {
  switch (load.what.kind) {
    case 'mass':
      return load.what.mass
    case 'fluid':
      return { kg: load.what.litres * FLUID_KG_PER_L[load.what.fluid], basis: 'computed' }
    case 'people':
      return { ...load.what.each, kg: load.what.count * load.what.each.kg }
  }
}

/** Everything on the vehicle that has a mass, each at its point, with the share that every foot, bar and rack takes. */
export function massPoints(plan: Plan, arrangement: Arrangement): MassPoint[] {
  const margin = guessFactor(plan.rules)
  const factorOf = (basis: Basis | 'computed') => (basis === 'guess' ? margin : 1)
  const barIndexById = new Map(arrangement.bars.map((at) => [at.bar.id, at.index]))
  const points: MassPoint[] = []
  const presence = new Map<ThingAt, readonly State[]>()
  const present = (thing: ThingAt): readonly State[] => {
    const known = presence.get(thing)
    if (known) return known
    const own = both(statesOf(thing.placement.when), statesOf(thing.gear.when))
    const states = thing.parent ? both(own, present(thing.parent)) : own
    presence.set(thing, states)
    return states
  }

  for (const thing of arrangement.things) {
    const { gear, placement, centre } = thing
    const states = present(thing)
    const hold = holdOf(arrangement, barIndexById, thing, centre)
    const base = { thing, at: centre, ...hold }
    points.push({
      ...base,
      of: 'gear',
      id: placement.id,
      label: gear.name,
      kg: gear.mass.kg,
      basis: gear.mass.basis,
      by: gear.mass.by,
      factor: factorOf(gear.mass.basis),
      states,
    })
    const adapter = placement.fitting?.adapter
    if (adapter)
      points.push({
        ...base,
        of: 'adapter',
        id: `${placement.id}/adapter`,
        label: adapter.name,
        kg: adapter.kg,
        basis: 'maker',
        factor: 1,
        states,
      })
    for (const load of placement.loads) {
      const { kg, basis, by } = loadMass(load)
      points.push({
        ...base,
        of: 'load',
        load,
        id: `${placement.id}/${load.id}`,
        label: load.name,
        kg,
        basis,
        by,
        factor: factorOf(basis),
        states: both(states, statesOf(load.when)),
      })
    }
    if (gear.wetKg !== undefined && gear.wetKg > 0)
      points.push({
        ...base,
        of: 'wet',
        id: `${placement.id}/wet`,
        label: `${gear.name}, wet`,
        kg: gear.wetKg,
        basis: 'computed',
        factor: 1,
        states,
      })
    if (
      plan.use.snowKgPerM2 > 0 &&
      !thing.parent &&
      placement.host.on !== 'panel' &&
      placement.host.on !== 'ladder'
    ) {
      const { x0, x1, y0, y1 } = thing.box
      const kg = (plan.use.snowKgPerM2 * (x1 - x0) * (y1 - y0)) / 1e6
      points.push({
        ...base,
        of: 'snow',
        id: `${placement.id}/snow`,
        label: `Snow on ${gear.name}`,
        kg,
        basis: 'computed',
        factor: 1,
        states: both(states, PARKED),
      })
    }
  }
  for (const rack of arrangement.racks) points.push(...partPoints(arrangement, rack))
  for (const occupant of plan.use.occupants) {
    const { kg, basis } = occupant.mass
    const at = { x: 0, y: 0, z: 0 }
    points.push({
      of: 'occupant',
      occupantId: occupant.id,
      id: `occupant:${occupant.id}`,
      label: occupant.name,
      kg,
      basis,
      factor: factorOf(basis),
      states: DRIVING,
      at,
      feet: [],
      bars: [],
      racks: [],
    })
  }
  return points
}

/** A rack's own parts: each bar weighs on its own feet, the deck on the bars, the rest on all feet alike. */
function partPoints(arrangement: Arrangement, rackAt: RackAt): MassPoint[] {
  const { rack, feet, bars, deck, index } = rackAt
  const states = rack.kind === 'ladder' ? statesOf(rack.when) : ALL
  const middle: Point = {
    x:
      feet.length > 0
        ? feet.reduce((sum, foot) => sum + foot.xMm, 0) / feet.length
        : rack.kind === 'ladder'
          ? rack.xMm
          : 0,
    y: feet.length > 0 ? feet.reduce((sum, foot) => sum + foot.yMm, 0) / feet.length : 0,
    z: rackAt.topZMm,
  }
  return rack.parts.flatMap((part): MassPoint[] => {
    const common = {
      of: 'part' as const,
      role: part.role,
      partId: part.id,
      basis: 'maker' as const,
      factor: 1,
      states,
      label: part.name,
      racks: [[index, 1]] as const,
    }
    const kg = part.count * part.eachKg
    if (part.role === 'bars' && bars.length > 0)
      return bars.map((bar) => ({
        ...common,
        id: `${part.id}/${bar.bar.id}`,
        label: `${part.name}, ${bar.bar.name.toLowerCase()}`,
        kg: kg / bars.length,
        at: { x: bar.bar.xMm, y: 0, z: bar.box.z0 },
        bars: [[bar.index, 1]],
        feet: bar.feet.map((foot): Share => [foot, 1 / bar.feet.length]),
      }))
    if (part.role === 'deck' && deck && bars.length > 0) {
      const at = { x: deck.deck.xMm, y: deck.deck.yMm, z: deck.box.z0 }
      const hold = overBars(
        arrangement,
        bars.map((bar) => bar.index),
        at,
        'deck',
      )
      return [{ ...common, id: part.id, kg, at, bars: hold.bars, feet: hold.feet }]
    }
    return [
      {
        ...common,
        id: part.id,
        kg,
        at: middle,
        bars: [],
        feet: feet.map((foot): Share => [foot.index, 1 / feet.length]),
      },
    ]
  })
}
