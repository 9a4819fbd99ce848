import { inUse } from '../../plan/schema/rating'
import type { Plan } from '../../plan/schema/plan'
import { STATES } from '../../units/scalars'
import type { Arrangement, ThingAt } from '../frame/arrangement'
import { layerOf, type Layer, type Link } from './layer'
import { weighs, type MassPoint } from '../loads/mass-point'
import { rackLayers } from './rack-layers'
import { followRated } from './rated-with'
import { members, type Sharing } from '../loads/spreading'
import { attachmentLayers, payloadLayer, roofLayer } from './vehicle-layers'

function carrierLayer(
  thing: ThingAt,
  under: ReadonlyMap<ThingAt, readonly MassPoint[]>,
  self: readonly MassPoint[],
): Link | undefined {
  const { carries } = thing.gear
  if (!carries) return undefined
  const places = carries.places
  const units = places.length > 1 ? places.map((place) => place.name) : ['set']
  const evenly: Sharing = () => units.map((_, unit) => ({ unit, fraction: 1 / units.length }))
  const spread = (mass: MassPoint) => {
    const slot = units.length > 1 ? placeUnder(mass, thing) : undefined
    const unit = slot === undefined ? -1 : places.findIndex((place) => place.id === slot)
    return unit >= 0 ? [{ unit, fraction: 1 }] : evenly(mass)
  }
  return {
    id: `carrier:${thing.placement.id}`,
    group: 'carrier',
    role: 'carrier',
    name: thing.gear.name,
    detail: thing.gear.carries?.sleeps === undefined ? 'what it holds' : 'who and what is in it',
    rackIds: [],
    owner: { of: 'gear', id: thing.gear.id },
    names: [thing.gear.name],
    rated: carries.rated,
    ratings: carries.rated.by === 'own' ? inUse(carries.rated.ratings) : [],
    units,
    states: STATES,
    usualCounting: 'load',
    load: members(under.get(thing) ?? [], spread),
    own: members(self, spread),
    spread: evenly,
    takes: () => false,
    governs: false,
  }
}

/** The adapter under a thing: it holds the thing and all that is in it, on each place alike. */
function adapterLayer(
  thing: ThingAt,
  above: readonly MassPoint[],
  masses: readonly MassPoint[],
): Link | undefined {
  const adapter = thing.placement.fitting?.adapter
  if (!adapter) return undefined
  const spread: Sharing = () => [{ unit: 0, fraction: 1 }]
  const itself = masses.filter((mass) => mass.of === 'adapter' && mass.thing === thing)
  return {
    id: `adapter:${thing.placement.id}`,
    group: 'carrier',
    role: 'carrier',
    name: adapter.name,
    detail: `under ${thing.gear.name}`,
    rackIds: [],
    owner: undefined,
    names: [adapter.name],
    rated: adapter.rated,
    ratings: adapter.rated.by === 'own' ? inUse(adapter.rated.ratings) : [],
    units: ['set'],
    states: STATES,
    usualCounting: 'load',
    load: members(above, spread),
    own: members(itself, spread),
    spread,
    takes: () => false,
    governs: false,
  }
}

/** The place of `carrier` in which a mass ends up, however deep. */
function placeUnder(mass: MassPoint, carrier: ThingAt): string | undefined {
  if (!('thing' in mass)) return undefined
  let thing: ThingAt | undefined = mass.thing
  while (thing && thing.parent !== carrier) thing = thing.parent
  return thing?.placement.host.on === 'place' ? thing.placement.host.placeId : undefined
}

/** Whether all that hangs on one link hangs on the other too, so that the other's figure speaks for it. */
function bearsAllOf(other: Link, link: Link): boolean {
  const there = new Set(other.load.map(({ mass }) => mass))
  return link.load.every(({ mass }) => !weighs(mass) || there.has(mass))
}

/**
 * Links rated with another: judged there, and so not here, where that ends at a part that bears all of it; else they
 * stay as links without a figure of their own.
 */
function settled(links: readonly Link[]): Link[] {
  return links.flatMap((link): Link[] => {
    if (link.rated.by === 'own') return [link]
    const near = (other: Link) =>
      link.group === 'carrier' || other.rackIds.some((id) => link.rackIds.includes(id))
    const end = followRated(
      link,
      links.filter((other) => other !== link && near(other)),
    )
    const judgedThere =
      (end.kind === 'figures' || end.kind === 'noFigure') &&
      links.some((other) => other === end.at && bearsAllOf(other, link))
    return judgedThere ? [] : [{ ...link, ratedWith: end }]
  })
}

/** Every link of the load path in physical order, from the innermost carrier down to the roof, bed or frame. */
export function layersOf(plan: Plan, arrangement: Arrangement, masses: readonly MassPoint[]): Layer[] {
  const under = new Map<ThingAt, MassPoint[]>()
  const self = new Map<ThingAt, MassPoint[]>()
  const add = (map: Map<ThingAt, MassPoint[]>, thing: ThingAt, mass: MassPoint) => {
    const list = map.get(thing)
    if (list) list.push(mass)
    else map.set(thing, [mass])
  }
  for (const mass of masses) {
    if (!('thing' in mass)) continue
    if (mass.of === 'load') add(under, mass.thing, mass)
    else if (mass.of !== 'adapter') add(self, mass.thing, mass)
    for (let thing = mass.thing.parent; thing; thing = thing.parent) add(under, thing, mass)
  }
  const depth = (thing: ThingAt): number => (thing.parent ? 1 + depth(thing.parent) : 0)
  const carriers = arrangement.things
    .filter((thing) => thing.gear.carries)
    .toSorted((a, b) => depth(b) - depth(a) || a.index - b.index)
    .flatMap((thing) => carrierLayer(thing, under, self.get(thing) ?? []) ?? [])

  const adapters = arrangement.things.flatMap((thing) => {
    const above = [...(self.get(thing) ?? []), ...(under.get(thing) ?? [])]
    return adapterLayer(thing, above, masses) ?? []
  })

  const links: Link[] = [
    ...carriers,
    ...adapters,
    ...arrangement.racks.flatMap((rack) => rackLayers(rack, masses)),
    ...attachmentLayers(plan, arrangement, masses),
    ...roofLayer(plan, arrangement, masses),
    ...payloadLayer(plan, arrangement, masses),
  ]
  return settled(links).map(layerOf)
}
