import { distanceMm, type Box, overlap, reachInto } from '../geometry/boxes'
import type { Vehicle } from '../plan/schema/vehicle'
import { packed, rootOf, type BarAt, type ThingAt } from '../survey/frame/arrangement'
import { onVehicle } from '../survey/frame/on-vehicle'
import { bodyTopUnder } from '../survey/frame/roof-surface'
import type { Survey } from '../survey/survey'
import { atLeast, atMost, spareOf, type Compared } from './comparison'

/** Something in whose space another thing stands, and how far. mm. */
interface Into {
  readonly what: string
  readonly into: Compared
  readonly box: Box
}

const beds = new WeakMap<Vehicle, ReturnType<typeof onVehicle>>()

/** What stands in the vehicle's bed. Each thing asks for it, so it is kept with the vehicle. */
function inBed({ plan: { vehicle } }: Survey): ReturnType<typeof onVehicle> {
  const cached = beds.get(vehicle) ?? onVehicle(vehicle).filter(({ where }) => where === 'bed')
  beds.set(vehicle, cached)
  return cached
}

/** The bars, the decks and what is in the bed that a thing does not stand on, and that it shares space with. */
export function standsIn(survey: Survey, thing: ThingAt): readonly Into[] {
  const found: Into[] = []
  const meets = (what: string, own: Box, box: Box) => {
    if (!overlap(own, box)) return
    const { x, y, z } = reachInto(own, box)
    found.push({ what, into: atMost(Math.min(x, y, z), 0), box })
  }
  for (const { bar, box } of survey.bars) meets(bar.name, thing.box, box)
  for (const { rack, deck } of survey.racks) if (deck) meets(rack.name, thing.outer, deck.box)
  for (const { name, box } of inBed(survey)) meets(name, thing.outer, box)
  return found
}

/** What is nearer than this and does not hold a thing is told of. mm */
const CLOSE_MM = 60

/** Whether what does not hold a thing is near enough to be told of: nearer than the body under it. mm */
export const isClose = (nearMm: number, overBody: Compared): boolean =>
  nearMm < Math.min(spareOf(overBody), CLOSE_MM)

/** The bar, deck or thing in the bed that a thing is nearest to standing in, of those that do not hold it. mm */
export function nearestToStandIn(
  survey: Survey,
  thing: ThingAt,
): { readonly what: string; readonly mm: number } | undefined {
  const { host } = thing.placement
  const heldBy = 'rackId' in host ? host.rackId : undefined
  let nearest: { readonly what: string; readonly mm: number } | undefined
  const meets = (what: string, own: Box, box: Box) => {
    const mm = distanceMm(own, box)
    if (!nearest || mm < nearest.mm) nearest = { what, mm }
  }
  for (const { bar, rack, box } of survey.bars)
    if (rack.id !== heldBy && !(host.on === 'bars' && host.barIds.includes(bar.id)))
      meets(bar.name, thing.box, box)
  for (const { rack, deck } of survey.racks)
    if (deck && rack.id !== heldBy) meets(rack.name, thing.outer, deck.box)
  for (const { name, box } of inBed(survey)) meets(name, thing.outer, box)
  return nearest
}

/** Bars that stand in something in the bed: the bar's underside against the other's top. mm over the ground. */
export const barsIn = (
  survey: Survey,
): readonly { readonly at: BarAt; readonly name: string; readonly compared: Compared }[] =>
  survey.bars.flatMap((at) =>
    inBed(survey).flatMap(({ name, box }) =>
      overlap(at.box, box) ? [{ at, name, compared: atLeast(at.box.z0, box.z1) }] : [],
    ),
  )

/** Things on panels and ladders hang beside the body; what lies in a closed thing hangs out of nothing. */
function overBody(thing: ThingAt): boolean {
  const { host } = rootOf(thing).placement
  return !packed(thing) && (host.on === 'bars' || host.on === 'deck')
}

/** A thing's underside against the vehicle's own roof or body under it; nothing where it is not over it. mm over the ground. */
export function overTheBody(survey: Survey, thing: ThingAt): Compared | undefined {
  const top = overBody(thing) ? bodyTopUnder(survey.plan.vehicle, survey.body, thing.box) : undefined
  return top === undefined ? undefined : atLeast(thing.outer.z0, top, 'gap')
}
