import type { RatingOwner } from '../plan/command'
import type { Plan } from '../plan/plan'
import type { Part, PartRole } from '../plan/rack'
import type { Rating } from '../plan/rating'
import { STATES, type State } from '../plan/scalars'
import type { AttachmentKind } from '../plan/vehicle'
import type { Arrangement, RackAt, ThingAt } from './arrangement'
import type { MassPoint } from './mass-points'

export type Counting = 'load' | 'everything'
export type LayerRole = PartRole | 'carrier' | 'attachment' | 'roof' | 'payload'

/** A mass on one unit of a layer (one bar, one foot, one side, or the set), and how much of it. */
export interface Member {
  readonly mass: MassPoint
  readonly unit: number
  readonly fraction: number
}

/** One link of the load path: something with ratings of its own, and the masses that hang on it. */
export interface Layer {
  readonly id: string
  readonly group: 'carrier' | 'rack' | 'vehicle'
  readonly role: LayerRole
  readonly name: string
  readonly detail: string
  readonly rackIds: readonly string[]
  readonly owner: RatingOwner | undefined
  readonly ratings: readonly Rating[]
  readonly units: readonly string[]
  readonly states: readonly State[]
  /** What a rating of this layer counts when its source is silent. Common practice, no source. */
  readonly usualCounting: Counting
  /** What stands on it. */
  readonly load: readonly Member[]
  /** What a rating that counts everything counts besides: the part itself and what is between. */
  readonly own: readonly Member[]
  /** Whether it may be named as what governs a state. */
  readonly governs: boolean
}

/** The parts of a rack from the top down: a rating that counts everything counts what stands above it here. */
const STACK: Readonly<Record<PartRole, number>> = {
  deck: 1,
  panels: 1,
  bars: 2,
  ladder: 2,
  trusses: 3,
  legs: 3,
  feet: 4,
  fitKit: 5,
  rails: 6,
  whole: 9,
}

const ROLE_WORD: Readonly<Record<PartRole, string>> = {
  deck: 'deck',
  panels: 'side panels',
  bars: 'bars',
  ladder: 'ladder',
  trusses: 'trusses',
  legs: 'legs',
  feet: 'feet',
  fitKit: 'fit kit',
  rails: 'rails',
  whole: 'whole rack',
}

const ATTACHMENT_WORD: Readonly<Record<AttachmentKind, string>> = {
  raisedRail: 'raised rails',
  flushRail: 'flush rails',
  roofChannel: 'roof channels',
  gutter: 'gutters',
  fixedPoint: 'fixed points',
  hookPoint: 'hook points',
  bareRoof: 'door frames',
  drilledTop: 'drilled mounts',
  framePoint: 'frame points',
  bedRail: 'bed rails',
  bedChannel: 'bed channels',
  bedSocket: 'bed sockets',
  hatchSeam: 'hatch',
}

const POINT_KINDS: ReadonlySet<AttachmentKind> = new Set([
  'fixedPoint',
  'hookPoint',
  'framePoint',
  'bedSocket',
  'drilledTop',
  'bareRoof',
])
const SIDES = ['left', 'right'] as const

/** How a mass spreads over the units of a layer. */
type Spread = (mass: MassPoint) => readonly { readonly unit: number; readonly fraction: number }[]

function members(masses: readonly MassPoint[], spread: Spread): Member[] {
  const list: Member[] = []
  for (const mass of masses)
    for (const { unit, fraction } of spread(mass)) if (fraction !== 0) list.push({ mass, unit, fraction })
  return list
}

function byFoot(feet: RackAt['feet']): Spread {
  const unitOf = new Map(feet.map((foot, unit) => [foot.index, unit]))
  return ({ feet: shares }) =>
    shares.flatMap(([foot, fraction]) => {
      const unit = unitOf.get(foot)
      return unit === undefined ? [] : [{ unit, fraction }]
    })
}

function bySide(feet: RackAt['feet']): Spread {
  const unitOf = new Map(feet.map((foot) => [foot.index, foot.side === 'left' ? 0 : 1]))
  return ({ feet: shares }) => {
    const sides = [0, 0]
    for (const [foot, fraction] of shares) {
      const unit = unitOf.get(foot)
      if (unit !== undefined) sides[unit] = (sides[unit] ?? 0) + fraction
    }
    return sides.map((fraction, unit) => ({ unit, fraction }))
  }
}

function byBar(rack: RackAt): Spread {
  const unitOf = new Map(rack.bars.map((bar, unit) => [bar.index, unit]))
  return ({ bars }) =>
    bars.flatMap(([bar, fraction]) => {
      const unit = unitOf.get(bar)
      return unit === undefined ? [] : [{ unit, fraction }]
    })
}

const onRacks =
  (racks: ReadonlySet<number>): Spread =>
  (mass) => {
    let fraction = 0
    for (const [rack, share] of mass.racks) if (racks.has(rack)) fraction += share
    return [{ unit: 0, fraction }]
  }

function rolePlan(
  part: Part,
  rack: RackAt,
): { units: string[]; spread: Spread; holds: (mass: MassPoint) => boolean } {
  const cargo = (mass: MassPoint) => mass.of !== 'part' && mass.of !== 'occupant'
  const footUnits = rack.feet.map((foot) => foot.corner)
  if (rack.feet.length === 0) return { units: ['set'], spread: onRacks(new Set([rack.index])), holds: cargo }
  switch (part.role) {
    case 'bars':
      return {
        units: rack.bars.map(({ bar }) => bar.name),
        spread: byBar(rack),
        holds: (mass) => cargo(mass) && 'via' in mass && (mass.via === 'bars' || mass.via === 'deck'),
      }
    case 'deck':
      return {
        units: ['deck'],
        spread: onRacks(new Set([rack.index])),
        holds: (mass) => 'via' in mass && mass.via === 'deck',
      }
    case 'panels':
      return {
        units: [...SIDES],
        spread: bySide(rack.feet),
        holds: (mass) => 'via' in mass && mass.via === 'panel',
      }
    case 'trusses':
    case 'rails':
      return { units: [...SIDES], spread: bySide(rack.feet), holds: cargo }
    case 'feet':
    case 'fitKit':
    case 'legs':
      return { units: footUnits, spread: byFoot(rack.feet), holds: cargo }
    case 'ladder':
    case 'whole':
      return { units: ['set'], spread: onRacks(new Set([rack.index])), holds: cargo }
  }
}

function rackLayers(rack: RackAt, masses: readonly MassPoint[]): Layer[] {
  return rack.rack.parts
    .filter((part) => part.rated.by === 'own')
    .toSorted((a, b) => STACK[a.role] - STACK[b.role])
    .map((part): Layer => {
      const { units, spread, holds } = rolePlan(part, rack)
      const above = (mass: MassPoint) =>
        mass.of === 'part' && STACK[mass.role] <= STACK[part.role] && mass.racks[0]?.[0] === rack.index
      return {
        id: `part:${part.id}`,
        group: 'rack',
        role: part.role,
        name: part.name,
        detail: part.count > 1 ? `${ROLE_WORD[part.role]}, set of ${part.count}` : ROLE_WORD[part.role],
        rackIds: [rack.rack.id],
        owner: { of: 'part', id: part.id },
        ratings: part.rated.by === 'own' ? part.rated.ratings : [],
        units,
        states: STATES,
        usualCounting: part.role === 'rails' ? 'everything' : 'load',
        load: members(masses.filter(holds), spread),
        own: members(masses.filter(above), spread),
        governs: part.role !== 'panels',
      }
    })
}

function carrierLayer(
  thing: ThingAt,
  under: ReadonlyMap<ThingAt, readonly MassPoint[]>,
  self: readonly MassPoint[],
): Layer | undefined {
  const { carries } = thing.gear
  if (!carries || carries.rated.by === 'with') return undefined
  const places = carries.places
  const units = places.length > 1 ? places.map((place) => place.name) : ['set']
  const spread: Spread = (mass) => {
    const slot = units.length > 1 ? placeUnder(mass, thing) : undefined
    const unit = slot === undefined ? -1 : places.findIndex((place) => place.id === slot)
    return unit >= 0
      ? [{ unit, fraction: 1 }]
      : units.map((_, each) => ({ unit: each, fraction: 1 / units.length }))
  }
  return {
    id: `carrier:${thing.placement.id}`,
    group: 'carrier',
    role: 'carrier',
    name: thing.gear.name,
    detail: thing.gear.carries?.sleeps === undefined ? 'what it holds' : 'who and what is in it',
    rackIds: [],
    owner: { of: 'gear', id: thing.gear.id },
    ratings: carries.rated.ratings,
    units,
    states: STATES,
    usualCounting: 'load',
    load: members(under.get(thing) ?? [], spread),
    own: members(self, spread),
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
    else add(self, mass.thing, mass)
    for (let thing = mass.thing.parent; thing; thing = thing.parent) add(under, thing, mass)
  }
  const depth = (thing: ThingAt): number => (thing.parent ? 1 + depth(thing.parent) : 0)
  const carriers = arrangement.things
    .filter((thing) => thing.gear.carries)
    .toSorted((a, b) => depth(b) - depth(a) || a.index - b.index)
    .flatMap((thing) => carrierLayer(thing, under, self.get(thing) ?? []) ?? [])

  return [
    ...carriers,
    ...arrangement.racks.flatMap((rack) => rackLayers(rack, masses)),
    ...attachmentLayers(plan, arrangement, masses),
    ...roofLayer(plan, arrangement, masses),
    ...payloadLayer(plan, arrangement, masses),
  ]
}

const isCargo = (mass: MassPoint) => mass.of !== 'part' && mass.of !== 'occupant'
const isPart = (mass: MassPoint) => mass.of === 'part'

function attachmentLayers(plan: Plan, arrangement: Arrangement, masses: readonly MassPoint[]): Layer[] {
  return plan.vehicle.attachments.flatMap((attachment): Layer[] => {
    const racks = arrangement.racks.filter((rack) => rack.attachment === attachment)
    if (racks.length === 0) return []
    const rated =
      'rated' in attachment ? attachment.rated : { by: 'own' as const, ratings: attachment.ratings }
    if (rated.by === 'with') return []
    const feet = racks.flatMap((rack) => rack.feet)
    const indices = new Set(racks.map((rack) => rack.index))
    const pointwise = POINT_KINDS.has(attachment.kind)
    const spread = feet.length === 0 ? onRacks(indices) : pointwise ? byFoot(feet) : bySide(feet)
    const here = (mass: MassPoint) => mass.racks.some(([rack]) => indices.has(rack))
    return [
      {
        id: `attachment:${attachment.id}`,
        group: 'vehicle',
        role: 'attachment',
        name: attachment.name,
        detail: ATTACHMENT_WORD[attachment.kind],
        rackIds: racks.map((rack) => rack.rack.id),
        owner: { of: 'attachment', id: attachment.id },
        ratings: rated.ratings,
        units: feet.length === 0 ? ['set'] : pointwise ? feet.map((foot) => foot.corner) : [...SIDES],
        states: STATES,
        usualCounting: 'everything',
        load: members(
          masses.filter((mass) => isCargo(mass) && here(mass)),
          spread,
        ),
        own: members(
          masses.filter((mass) => isPart(mass) && here(mass)),
          spread,
        ),
        governs: true,
      },
    ]
  })
}

function roofLayer(plan: Plan, arrangement: Arrangement, masses: readonly MassPoint[]): Layer[] {
  const racks = arrangement.racks.filter((rack) => rack.onRoof)
  if (racks.length === 0) return []
  const spread = onRacks(new Set(racks.map((rack) => rack.index)))
  return [
    {
      id: 'roof',
      group: 'vehicle',
      role: 'roof',
      name: 'Roof',
      detail: 'what the manual allows',
      rackIds: racks.map((rack) => rack.rack.id),
      owner: { of: 'roof' },
      ratings: plan.vehicle.roof.ratings,
      units: ['roof'],
      states: STATES,
      usualCounting: plan.rules.roofCounts,
      load: members(masses.filter(isCargo), spread),
      own: members(masses.filter(isPart), spread),
      governs: true,
    },
  ]
}

/** What the vehicle may carry in all while it drives, when both its masses are known. */
function payloadLayer(plan: Plan, arrangement: Arrangement, masses: readonly MassPoint[]): Layer[] {
  const { grossKg, kerbKg, source } = plan.vehicle
  if (grossKg === undefined || kerbKg === undefined || grossKg <= kerbKg || arrangement.racks.length === 0)
    return []
  const whole: Spread = () => [{ unit: 0, fraction: 1 }]
  const states: readonly State[] = ['road', 'trail']
  return [
    {
      id: 'payload',
      group: 'vehicle',
      role: 'payload',
      name: 'Payload',
      detail: 'gross less kerb mass',
      rackIds: arrangement.racks.map((rack) => rack.rack.id),
      owner: undefined,
      ratings: states.map((state) => ({
        id: `payload-${state}`,
        state,
        kg: grossKg - kerbKg,
        per: 'set',
        counts: 'everything',
        source: source ?? { kind: 'manual', text: 'gross less kerb mass' },
      })),
      units: ['vehicle'],
      states,
      usualCounting: 'everything',
      load: members(
        masses.filter((mass) => !isPart(mass)),
        whole,
      ),
      own: members(masses.filter(isPart), whole),
      governs: false,
    },
  ]
}
