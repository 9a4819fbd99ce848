import { statesOf, presences, inBoth } from './presence'
import type { Basis } from '../../kinds/basis'
import { openOthers } from '../../plan/schema/gear-mass'
import { FLUID_KG_PER_L, type Load } from '../../plan/schema/placement'
import type { Plan } from '../../plan/schema/plan'
import { guessFactor } from '../../plan/schema/house'
import { rootOf, turned, type Arrangement, type BarAt, type Point, type ThingAt } from '../frame/arrangement'
import { contactsKnown, contactYs } from '../mounting/contacts'
import { holdAt, NO_INFLUENCE, onSide, overBars, type Base, type Influence } from '../statics/influence'
import type { MassPoint } from './mass-point'
import { reusedMasses, type MassesBefore } from './reused-masses'
import { holderPoints, partPoints } from './part-points'
import { snowAreas } from './snow-areas'

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

/** The entry that a load's weight comes from: of people one of them; a fluid is reckoned from its volume. */
function loadEntry(placementId: string, { id, what }: Load): MassPoint['from'] {
  if (what.kind === 'fluid') return undefined
  return { entry: { of: 'load', id: placementId, field: id }, times: what.kind === 'people' ? what.count : 1 }
}

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

/** All that the masses hang on. */
export const massInputs = (
  { vehicle, use, rules }: Plan,
  { racks, things }: Arrangement,
): readonly unknown[] => [
  racks,
  things,
  vehicle.attachments,
  vehicle.tail,
  use.occupants,
  use.snowKgPerM2,
  guessFactor(rules),
]

/** Everything on the vehicle that has a mass, each at its point, with the share that every foot, bar and rack takes. */
export function massPoints(
  plan: Plan,
  arrangement: Arrangement,
  before?: MassesBefore,
): readonly MassPoint[] {
  const cached = reusedMasses(plan, arrangement, before)
  const margin = guessFactor(plan.rules)
  const factorOf = (basis: Basis | 'computed') => (basis === 'guess' || basis === 'start' ? margin : 1)
  const barById = new Map(arrangement.bars.map((at) => [at.bar.id, at]))
  const influences = new Map<ThingAt, Influence>()
  const influenceUnder = (thing: ThingAt): Influence => {
    const root = rootOf(thing)
    const found = influences.get(root)
    if (found) return found
    const influence = influenceOf(arrangement, barById, root)
    influences.set(root, influence)
    return influence
  }
  const points: MassPoint[] = []
  const present = presences()

  const parkedThings = arrangement.things.filter((thing) => present(thing).includes('parked'))
  const snow = plan.use.snowKgPerM2 > 0 ? snowAreas(arrangement, parkedThings) : undefined
  for (const thing of arrangement.things) {
    const asBefore = cached.ofThing.get(thing)
    if (asBefore) {
      points.push(...asBefore)
      continue
    }
    const { gear, placement, centre } = thing
    const states = present(thing)
    const influence = influenceUnder(thing)
    const base = { ...holdAt(influence, centre), thing, influence, base: influence.base, at: centre }
    points.push({
      ...base,
      of: 'gear',
      id: placement.id,
      label: gear.name,
      kg: gear.mass.kg,
      basis: gear.mass.basis,
      from: { entry: { of: 'gear', id: gear.id, field: 'mass' }, times: 1 },
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
        from: loadEntry(placement.id, load),
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
  for (const rack of arrangement.racks)
    points.push(...(cached.ofRack.get(rack.index) ?? partPoints(arrangement, rack, factorOf)))
  points.push(...holderPoints(plan, factorOf))
  for (const { id, name, mass, xMm, zMm } of plan.vehicle.tail ?? [])
    points.push({
      of: 'tail',
      tailId: id,
      id: `tail:${id}`,
      label: name,
      kg: mass.kg,
      basis: mass.basis,
      from: { entry: { of: 'tail', id, field: 'mass' }, times: 1 },
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
      from: { entry: { of: 'occupant', id: occupant.id, field: 'mass' }, times: 1 },
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
