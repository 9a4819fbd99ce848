import { statesOf, presences, inBoth } from './presence'
import type { PartRole } from '../../kinds/part-role'
import type { Basis } from '../../kinds/basis'
import { HOWS } from '../../kinds/how-known'
import { openOthers, type OtherMass } from '../../plan/gear-mass'
import { howKnown } from '../../plan/known'
import type { Bar, Part } from '../../plan/rack'
import { FLUID_KG_PER_L, type Load } from '../../plan/placement'
import type { Plan } from '../../plan/plan'
import { STATES, type State } from '../../units/scalars'
import { guessFactor } from '../../plan/house'
import {
  rootOf,
  turned,
  type Arrangement,
  type BarAt,
  type Point,
  type RackAt,
  type ThingAt,
} from '../frame/arrangement'
import { contactsKnown, contactYs } from '../mounting/contacts'
import {
  footLines,
  holdAt,
  NO_INFLUENCE,
  onSide,
  overBars,
  type Base,
  type Holding,
  type Influence,
  type Share,
  type Via,
} from '../statics/influence'
import { snowAreas } from './snow-areas'
import { shareAt } from '../statics/supports'

interface Common {
  readonly id: string
  readonly label: string
  readonly kg: number
  readonly basis: Basis | 'computed'
  /** Who said so, where that is known. */
  readonly by?: string | undefined
  /** Other weights that somebody has for it, as long as nobody said which one holds. kg. */
  readonly others?: readonly OtherMass[] | undefined
  /** House margin on a guess; 1 for what is known. */
  readonly factor: number
  readonly states: readonly State[]
  readonly at: Point
  readonly feet: readonly Share[]
  readonly bars: readonly Share[]
  /** Share of it on each rack that holds it. */
  readonly racks: readonly Share[]
  /** How it stands on its bars, where it does. */
  readonly base?: Base | undefined
}

export type MassPoint =
  | (Common & {
      readonly of: 'gear' | 'load' | 'wet' | 'snow' | 'adapter'
      readonly thing: ThingAt
      readonly via: Via
      /** How a load on its rack comes down, wherever it may shift to. */
      readonly influence: Influence
      readonly load?: Load
    })
  | (Common & {
      readonly of: 'rackSnow'
      readonly rackId: string
      readonly via: Via
      readonly influence: Influence
    })
  | (Common & {
      readonly of: 'part'
      readonly role: PartRole
      readonly partId: string
      readonly partName: string
    })
  /** What is on the vehicle and holds a rack in its turn: a canopy. */
  | (Common & { readonly of: 'holder'; readonly attachmentId: string })
  | (Common & { readonly of: 'occupant'; readonly occupantId: string })
  | (Common & { readonly of: 'tail'; readonly tailId: string })

/** Whether something weighs, as far as anybody knows: what nobody knows yet is never nothing. */
export const weighs = ({ kg, basis }: MassPoint): boolean => kg > 0 || basis === 'unknown'

/** What each thing comes to with all that is in it and on it, by whatever is counted of a mass. */
export function withContents(
  masses: readonly MassPoint[],
  counted: (mass: MassPoint) => number,
): ReadonlyMap<ThingAt, number> {
  const sums = new Map<ThingAt, number>()
  for (const mass of masses) {
    if (!('thing' in mass)) continue
    const kg = counted(mass)
    for (let up: ThingAt | undefined = mass.thing; up; up = up.parent) sums.set(up, (sums.get(up) ?? 0) + kg)
  }
  return sums
}

/** How a thing touches the bars under it: its own contacts, or its whole base where nobody gave any, as on a deck's slats. */
function baseOf(root: ThingAt): Base {
  if (root.placement.host.on === 'bars' && contactsKnown(root)) return { kind: 'points', ys: contactYs(root) }
  return { kind: 'line', fromMm: root.box.y0, toMm: root.box.y1 }
}

/** How what hangs on the rack under a thing comes down. */
function influenceOf(
  arrangement: Arrangement,
  barById: ReadonlyMap<string, BarAt>,
  root: ThingAt,
): Influence {
  const { host } = root.placement
  if (host.on === 'place') return NO_INFLUENCE
  if (host.on === 'bars') {
    const bars = host.barIds.flatMap((id) => barById.get(id) ?? [])
    return overBars(bars, arrangement.feet, baseOf(root), 'bars')
  }
  const rack = arrangement.racks.find((each) => each.rack.id === host.rackId)
  if (!rack) return NO_INFLUENCE
  switch (host.on) {
    case 'deck':
      return overBars(rack.bars, arrangement.feet, baseOf(root), 'deck')
    case 'panel':
      return onSide(rack, host.side)
    case 'ladder':
      return { ...NO_INFLUENCE, via: 'ladder', rackIndex: rack.index }
  }
}

/**
 * Where a load acts: at the thing's centre of gravity unless it was placed. On a tent's floor that is opened past
 * the box and stands on its ladder, what lies outside comes down at the box's edge; what the ladder takes is not
 * counted off.
 */
function loadPoint({ box, centre, gear, turn }: ThingAt, load: Load): Point {
  if (!load.atMm) return centre
  const [dx, dy] = turned(load.atMm.xMm, load.atMm.yMm, turn)
  const x = (box.x0 + box.x1) / 2 + dx
  const y = (box.y0 + box.y1) / 2 + dy
  if (!gear.opens?.ladder) return { x, y, z: centre.z }
  return { x: within(x, box.x0, box.x1), y: within(y, box.y0, box.y1), z: centre.z }
}

const within = (value: number, from: number, to: number) => Math.min(to, Math.max(from, value))

function loadMass(load: Load): Pick<MassPoint, 'kg' | 'basis' | 'by' | 'others'> {
  switch (load.what.kind) {
    case 'mass':
      return load.what.mass.others
        ? { ...load.what.mass, others: openOthers(load.what.mass) }
        : load.what.mass
    case 'fluid':
      return { kg: load.what.litres * FLUID_KG_PER_L[load.what.fluid], basis: 'computed' }
    case 'people':
      return { ...load.what.each, kg: load.what.count * load.what.each.kg }
  }
}

/** Everything on the vehicle that has a mass, each at its point, with the share that every foot, bar and rack takes. */
export function massPoints(plan: Plan, arrangement: Arrangement): MassPoint[] {
  const margin = guessFactor(plan.rules)
  const factorOf = (basis: Basis | 'computed') => (basis === 'guess' || basis === 'start' ? margin : 1)
  const barById = new Map(arrangement.bars.map((at) => [at.bar.id, at]))
  const influences = new Map<ThingAt, Influence>()
  const influenceUnder = (thing: ThingAt): Influence => {
    const root = rootOf(thing)
    const known = influences.get(root)
    if (known) return known
    const influence = influenceOf(arrangement, barById, root)
    influences.set(root, influence)
    return influence
  }
  const points: MassPoint[] = []
  const present = presences()

  const parkedThings = arrangement.things.filter((thing) => present(thing).includes('parked'))
  const snow = plan.use.snowKgPerM2 > 0 ? snowAreas(arrangement, parkedThings) : undefined
  for (const thing of arrangement.things) {
    const { gear, placement, centre } = thing
    const states = present(thing)
    const influence = influenceUnder(thing)
    const base = { thing, influence, base: influence.base, at: centre, ...holdAt(influence, centre) }
    points.push({
      ...base,
      of: 'gear',
      id: placement.id,
      label: gear.name,
      kg: gear.mass.kg,
      basis: gear.mass.basis,
      by: gear.mass.by,
      others: openOthers(gear.mass),
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
      const { kg, basis, by, others } = loadMass(load)
      const at = loadPoint(thing, load)
      points.push({
        ...(load.atMm ? { ...base, at, ...holdAt(influence, at) } : base),
        of: 'load',
        load,
        id: `${placement.id}/${load.id}`,
        label: load.name,
        kg,
        basis,
        by,
        others,
        factor: factorOf(basis),
        states: inBoth(states, statesOf(load.when)),
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
    const underSnowMm2 = snow?.things.get(thing) ?? 0
    if (underSnowMm2 > 0)
      points.push({
        ...base,
        of: 'snow',
        id: `${placement.id}/snow`,
        label: `Snow on ${gear.name}`,
        kg: (plan.use.snowKgPerM2 * underSnowMm2) / 1e6,
        basis: 'computed',
        factor: 1,
        states: inBoth(states, statesOf('parked')),
      })
  }
  for (const { rack, bars, deck, areaMm2, box } of snow?.racks ?? []) {
    const at = { x: (box.x0 + box.x1) / 2, y: (box.y0 + box.y1) / 2, z: box.z1 }
    const base: Base = { kind: 'line', fromMm: box.y0, toMm: box.y1 }
    const influence = overBars(bars, arrangement.feet, base, deck ? 'deck' : 'bars')
    points.push({
      of: 'rackSnow',
      rackId: rack.rack.id,
      id: `${deck ? rack.rack.id : (bars[0]?.bar.id ?? '')}/snow`,
      label: `Snow on ${deck ? rack.rack.name : (bars[0]?.bar.name ?? '')}`,
      kg: (plan.use.snowKgPerM2 * areaMm2) / 1e6,
      basis: 'computed',
      factor: 1,
      states: statesOf('parked'),
      at,
      influence,
      base,
      ...holdAt(influence, at),
    })
  }
  for (const rack of arrangement.racks) points.push(...partPoints(arrangement, rack, factorOf))
  points.push(...holderPoints(plan))
  for (const { id, name, mass, xMm, zMm } of plan.vehicle.tail ?? [])
    points.push({
      of: 'tail',
      tailId: id,
      id: `tail:${id}`,
      label: name,
      kg: mass.kg,
      basis: mass.basis,
      by: mass.by,
      factor: factorOf(mass.basis),
      states: statesOf('driving'),
      at: { x: xMm, y: 0, z: zMm },
      feet: [],
      bars: [],
      racks: [],
    })
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
      states: statesOf('driving'),
      at,
      feet: [],
      bars: [],
      racks: [],
    })
  }
  return points
}

/** What holds a rack and has a mass of its own, over the middle of what feet may use of it. */
function holderPoints({ vehicle }: Plan): MassPoint[] {
  return vehicle.attachments.flatMap((attachment): MassPoint[] => {
    if (!('canopyKg' in attachment)) return []
    const { id, name, canopyKg, ranges, topZMm } = attachment
    const from = Math.min(...ranges.map(({ fromMm }) => fromMm))
    const to = Math.max(...ranges.map(({ toMm }) => toMm))
    return [
      {
        of: 'holder',
        attachmentId: id,
        id: `holder:${id}`,
        label: name,
        kg: canopyKg,
        basis: 'told',
        factor: 1,
        states: STATES,
        at: { x: (from + to) / 2, y: 0, z: topZMm },
        feet: [],
        bars: [],
        racks: [],
      },
    ]
  })
}

/** How a part's weight is known, as masses say it, and that of a bar with its own. What nobody said was told. */
const partBasis = (part: Part): Basis => HOWS[howKnown(part, 'eachKg') ?? 'told'].basis
const barBasis = (bar: Bar): Basis => HOWS[howKnown(bar, 'kg') ?? 'told'].basis

/** A rack's own parts: each bar weighs on its own feet, the deck on the bars, the rest on all feet alike. */
function partPoints(
  arrangement: Arrangement,
  rackAt: RackAt,
  factorOf: (basis: Basis) => number,
): MassPoint[] {
  const { rack, feet, bars, deck, index } = rackAt
  const states = rack.kind === 'ladder' ? statesOf(rack.when) : STATES
  const knownAs = (basis: Basis) => ({ basis, factor: factorOf(basis) })
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
      partName: part.name,
      ...knownAs(partBasis(part)),
      states,
      label: part.name,
      racks: [[index, 1]] as const,
    }
    const kg = part.count * part.eachKg
    if (part.role === 'bars' && bars.length > 0)
      return bars.map((bar) => {
        const half = bar.bar.lengthMm / 2
        const alongIt: Base = { kind: 'line', fromMm: -half, toMm: half }
        const lines = footLines(bar.bar.feetYMm, alongIt)
        return {
          ...common,
          id: `${part.id}/${bar.bar.id}`,
          label: `${part.name}, ${bar.bar.name}`,
          ...(bar.bar.kg === undefined
            ? { kg: kg / bars.length }
            : { kg: bar.bar.kg, ...knownAs(barBasis(bar.bar)) }),
          at: { x: bar.bar.xMm, y: 0, z: bar.box.z0 },
          base: alongIt,
          bars: [[bar.index, 1]],
          feet: bar.feet.map((foot, i): Share => [foot, shareAt(lines[i] ?? { at0: 0, perMm: 0 }, 0)]),
        }
      })
    if (part.role === 'deck' && deck && bars.length > 0) {
      const at = { x: deck.deck.xMm, y: deck.deck.yMm, z: deck.box.z0 }
      const base: Base = { kind: 'line', fromMm: deck.box.y0, toMm: deck.box.y1 }
      const hold: Holding = holdAt(overBars(bars, arrangement.feet, base, 'deck'), at)
      return [{ ...common, id: part.id, kg, at, base, bars: hold.bars, feet: hold.feet }]
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
