import { ATTACHMENTS } from '../../kinds/attachment'
import type { Box } from '../../geometry/boxes'
import type { Gear, Turn } from '../../plan/schema/gear'
import type { Placement } from '../../plan/schema/placement'
import type { Plan } from '../../plan/schema/plan'
import { barsOf, deckOf, type Bar, type Deck, type Rack } from '../../plan/schema/rack'
import { bearsOnRoof, type Attachment, type Vehicle } from '../../plan/schema/vehicle'
import { reuseList } from '../../units/memo'
import { TOLERANCE } from '../../units/tolerance'
import { bodyOutline } from './body/outline'

export interface Point {
  readonly x: number
  readonly y: number
  readonly z: number
}

export interface BarAt {
  readonly bar: Bar
  readonly rack: Rack
  /** What its own feet stand on, and whether that bears on the roof. */
  readonly attachment: Attachment | undefined
  readonly onRoof: boolean
  readonly index: number
  readonly box: Box
  readonly usableY: readonly [number, number]
  readonly feet: readonly number[]
}

export type FootSide = 'left' | 'middle' | 'right'

export interface FootAt {
  readonly id: string
  readonly index: number
  readonly rackIndex: number
  readonly barIndex: number
  /** The corner as parts are marked: LHF, RHF, LHR, RHR; M for bars between, C for a foot on the centreline. */
  readonly corner: string
  /** By place: a foot on the centreline belongs to neither side alone. */
  readonly side: FootSide
  readonly xMm: number
  readonly yMm: number
  readonly seatZMm: number
  readonly topZMm: number
}

export interface RackAt {
  readonly rack: Rack
  readonly index: number
  /** What it stands on, and what else some of its bars stand on. */
  readonly attachment: Attachment | undefined
  readonly attachments: readonly Attachment[]
  /** Whether any of it bears on the roof. */
  readonly onRoof: boolean
  readonly bars: readonly BarAt[]
  readonly feet: readonly FootAt[]
  readonly deck: { readonly deck: Deck; readonly box: Box } | undefined
  readonly topZMm: number
}

/** A placed piece of gear in the vehicle frame. */
export interface ThingAt {
  readonly placement: Placement
  readonly gear: Gear
  readonly index: number
  readonly parent: ThingAt | undefined
  readonly turn: Turn
  readonly box: Box
  /** The same with what hangs under it and stands over it. */
  readonly outer: Box
  readonly centre: Point
}

export interface Arrangement {
  readonly racks: readonly RackAt[]
  readonly bars: readonly BarAt[]
  readonly feet: readonly FootAt[]
  readonly things: readonly ThingAt[]
  readonly thingById: ReadonlyMap<string, ThingAt>
}

/** Each rack with each of what it stands on. */
export const standsOnEach = (racks: readonly RackAt[]): readonly (readonly [Rack, Attachment, RackAt])[] =>
  racks.flatMap((at) => at.attachments.map((attachment) => [at.rack, attachment, at] as const))

/** The thing on the rack that holds this one, or itself. */
export function rootOf(thing: ThingAt): ThingAt {
  let root = thing
  while (root.parent) root = root.parent
  return root
}

/** What lies inside a closed thing is packed by hand and meets nothing outside. */
export function packed({ placement, parent }: ThingAt): boolean {
  const { host } = placement
  if (host.on !== 'place' || !parent) return false
  const place = parent.gear.carries?.places.find((each) => each.id === host.placeId)
  return place?.kind === 'inside' || packed(parent)
}

/** The roof's skin over the ground: the vehicle's height, unless that is of something else. mm. */
export const roofZ = ({ roof, heightMm }: Vehicle): number => roof.skinZMm ?? heightMm

/** Height of what a rack's rises are measured from: the roof's top, or the top of the bed side. mm. */
function riseDatumZ(vehicle: Vehicle, attachment: Attachment | undefined): number {
  return attachment && 'topZMm' in attachment ? attachment.topZMm : roofZ(vehicle)
}

/** How far a gutter's bottom lies under the roof's edge. Rough, common practice, no source. mm. */
const GUTTER_UNDER_MM = 30

/** Where the foot stands: the rail, gutter or edge beside the crowned roof, or the bed side. mm. */
export function footSeatZ(vehicle: Vehicle, attachment: Attachment | undefined): number {
  if (!attachment || 'topZMm' in attachment) return riseDatumZ(vehicle, attachment)
  const edge = roofZ(vehicle) - vehicle.roof.crownMm
  switch (ATTACHMENTS[attachment.kind].seat) {
    case 'rise':
      return edge + ('riseMm' in attachment ? attachment.riseMm : 0)
    case 'frame':
      return ('seatZMm' in attachment ? attachment.seatZMm : undefined) ?? bodyOutline(vehicle).sillZMm
    case 'gutter':
      return edge - GUTTER_UNDER_MM
    case 'top':
    case 'edge':
      return edge
  }
}

/** A point turned right-handed about z: with the front to the left, counter-clockwise seen from above. */
export function turned(x: number, y: number, turn: Turn): readonly [number, number] {
  switch (turn) {
    case 0:
      return [x, y]
    case 90:
      return [-y, x]
    case 180:
      return [-x, -y]
    case 270:
      return [y, -x]
  }
}

/** Length, width and height of a piece of gear as it lies: quarter turned, on edge or both. mm. */
export function sizeAsPlaced(
  gear: Gear,
  turn: Turn,
  onEdge: boolean,
): { length: number; width: number; height: number } {
  const across = onEdge ? gear.heightMm : gear.widthMm
  const height = onEdge ? gear.widthMm : gear.heightMm
  return turn === 90 || turn === 270
    ? { length: across, width: gear.lengthMm, height }
    : { length: gear.lengthMm, width: across, height }
}

function centreOffset(gear: Gear, turn: Turn, onEdge: boolean): Point {
  const own = gear.centreOfGravity ?? { xMm: 0, yMm: 0, zMm: gear.heightMm / 2 }
  const across = onEdge ? own.zMm - gear.heightMm / 2 : own.yMm
  const up = onEdge ? gear.widthMm / 2 - own.yMm : own.zMm
  const [x, y] = turned(own.xMm, across, turn)
  return { x, y, z: up }
}

const TURNS: readonly Turn[] = [0, 90, 180, 270]

/** Two quarter turns one after the other. */
export function addTurns(a: Turn, b: Turn): Turn {
  return TURNS[((a + b) % 360) / 90] ?? 0
}

const SIDE_LETTERS: Readonly<Record<FootSide, string>> = { left: 'LH', middle: 'C', right: 'RH' }

const sideAt = (yMm: number): FootSide =>
  Math.abs(yMm) <= TOLERANCE.lengthMm ? 'middle' : yMm < 0 ? 'left' : 'right'

export function cornerName(side: FootSide, index: number, count: number): string {
  const row = index === 0 ? 'F' : index === count - 1 ? 'R' : count === 3 ? 'M' : `M${index}`
  return `${SIDE_LETTERS[side]}${row}`
}

/** A thing whose middle is at x and y and whose underside is at z. mm. */
function thingAt(
  { gear, placement, parent, turn, index }: Omit<ThingAt, 'box' | 'outer' | 'centre'>,
  { x, y, z }: Point,
): ThingAt {
  const size = sizeAsPlaced(gear, turn, placement.onEdge)
  const offset = centreOffset(gear, turn, placement.onEdge)
  const box = {
    x0: x - size.length / 2,
    x1: x + size.length / 2,
    y0: y - size.width / 2,
    y1: y + size.width / 2,
    z0: z,
    z1: z + size.height,
  }
  const { hangsMm = 0, risesMm = 0 } = placement.onEdge ? {} : gear
  return {
    placement,
    gear,
    index,
    parent,
    turn,
    box,
    outer: hangsMm === 0 && risesMm === 0 ? box : { ...box, z0: box.z0 - hangsMm, z1: box.z1 + risesMm },
    centre: { x: x + offset.x, y: y + offset.y, z: z + offset.z },
  }
}

/** What a thing may be put on: bars, racks and other things, by their ids. */
export interface FrameContext {
  readonly vehicle: Vehicle
  bar(id: string): BarAt | undefined
  rack(id: string): RackAt | undefined
  thing(id: string): ThingAt | undefined
}

const opening = new WeakMap<Placement, { readonly sheet: Gear; readonly here: Gear }>()

/** A thing as it is used at its place: it opens to the side that was chosen there. The same as long as both stay. */
function asUsed(sheet: Gear, placement: Placement): Gear {
  const { opensToward } = placement
  if (opensToward === undefined || !sheet.opens || sheet.opens.toward === opensToward) return sheet
  const before = opening.get(placement)
  if (before?.sheet === sheet) return before.here
  const here = { ...sheet, opens: { ...sheet.opens, toward: opensToward } }
  opening.set(placement, { sheet, here })
  return here
}

/** Where a piece of gear stands on its host: the one way from a placement to a place, for what is on the plan and for what is tried. */
export function placeOnHost(around: FrameContext, sheet: Gear, placement: Placement, index: number): ThingAt {
  const { host } = placement
  const gear = asUsed(sheet, placement)
  const stand = (gear.standMm ?? 0) + (placement.fitting?.adapter?.heightMm ?? 0)
  const at = (z: number): ThingAt =>
    thingAt(
      { gear, placement, parent: undefined, turn: placement.turn, index },
      { x: placement.xMm, y: placement.yMm, z },
    )
  const roof = roofZ(around.vehicle)
  switch (host.on) {
    case 'bars':
      return at(host.barIds.reduce((top, id) => Math.max(top, around.bar(id)?.box.z1 ?? 0), 0) + stand)
    case 'deck':
      return at((around.rack(host.rackId)?.topZMm ?? roof) + stand)
    case 'panel':
      return at(riseDatumZ(around.vehicle, around.rack(host.rackId)?.attachment) + host.zMm)
    case 'ladder': {
      const rack = around.rack(host.rackId)?.rack
      return at(rack?.kind === 'ladder' ? rack.bottomZMm : roof)
    }
    case 'place': {
      const parent = around.thing(host.placementId)
      const slot = parent?.gear.carries?.places.find((each) => each.id === host.placeId)
      if (!parent || !slot) return { ...at(roof), parent }
      const [dx, dy] = turned(slot.xMm + placement.xMm, slot.yMm + placement.yMm, parent.turn)
      return thingAt(
        { gear, placement, parent, turn: addTurns(parent.turn, placement.turn), index },
        {
          x: (parent.box.x0 + parent.box.x1) / 2 + dx,
          y: (parent.box.y0 + parent.box.y1) / 2 + dy,
          z: parent.box.z0 + slot.zMm + stand,
        },
      )
    }
  }
}

const sameBox = (a: Box, b: Box): boolean =>
  a.x0 === b.x0 && a.x1 === b.x1 && a.y0 === b.y0 && a.y1 === b.y1 && a.z0 === b.z0 && a.z1 === b.z1

/**
 * Where everything is: racks, bars, feet and gear in the vehicle frame (mm), feet numbered over the whole plan. What stands
 * just where it stood before is the very same object, so that what is drawn of it need not be drawn again.
 */
export function arrange(plan: Plan, before?: Arrangement & { readonly plan: Plan }): Arrangement {
  const { vehicle } = plan
  const sameVehicle = before?.plan.vehicle === vehicle
  const attachments = new Map(vehicle.attachments.map((attachment) => [attachment.id, attachment]))
  const allBars: BarAt[] = []
  const allFeet: FootAt[] = []
  const racks = plan.racks.map((rack, rackIndex): RackAt => {
    const was = sameVehicle ? before.racks[rackIndex] : undefined
    if (
      was?.rack === rack &&
      (was.bars[0]?.index ?? allBars.length) === allBars.length &&
      (was.feet[0]?.index ?? allFeet.length) === allFeet.length
    ) {
      allBars.push(...was.bars)
      allFeet.push(...was.feet)
      return was
    }
    const attachment = attachments.get(rack.attachmentId)
    const datum = riseDatumZ(vehicle, attachment)
    const sorted = barsOf(rack).toSorted((a, b) => a.xMm - b.xMm)
    const feetFrom = allFeet.length
    const bars = sorted.map((bar, row): BarAt => {
      const own = bar.attachmentId === undefined ? attachment : attachments.get(bar.attachmentId)
      const z0 = riseDatumZ(vehicle, own) + bar.riseMm
      const seat = footSeatZ(vehicle, own)
      const barIndex = allBars.length
      const feet = bar.feetYMm.map((yMm, i): number => {
        const side = sideAt(yMm)
        allFeet.push({
          id: `${bar.id}:${i}`,
          index: allFeet.length,
          rackIndex,
          barIndex,
          corner: cornerName(side, row, sorted.length),
          side,
          xMm: bar.xMm,
          yMm,
          seatZMm: Math.min(seat, z0),
          topZMm: z0,
        })
        return allFeet.length - 1
      })
      const half = bar.lengthMm / 2
      const at: BarAt = {
        bar,
        rack,
        attachment: own,
        onRoof: own !== undefined && bearsOnRoof(own),
        index: barIndex,
        box: {
          x0: bar.xMm - bar.profile.widthMm / 2,
          x1: bar.xMm + bar.profile.widthMm / 2,
          y0: -half,
          y1: half,
          z0,
          z1: z0 + bar.profile.heightMm,
        },
        usableY: [-bar.usableMm / 2, bar.usableMm / 2],
        feet,
      }
      allBars.push(at)
      return at
    })
    const barTop = bars.reduce(
      (top, { box }) => Math.max(top, box.z1),
      rack.kind === 'ladder' ? rack.topZMm : datum,
    )
    const deck = deckOf(rack)
    const deckFrom =
      deck?.from === 'barUnderside' ? Math.min(barTop, ...bars.map(({ box }) => box.z0)) : barTop
    const deckBox = deck && {
      x0: deck.xMm - deck.lengthMm / 2,
      x1: deck.xMm + deck.lengthMm / 2,
      y0: deck.yMm - deck.widthMm / 2,
      y1: deck.yMm + deck.widthMm / 2,
      z0: deckFrom,
      z1: deckFrom + deck.heightMm,
    }
    const stoodOn = [...new Set(bars.length > 0 ? bars.map((at) => at.attachment) : [attachment])].filter(
      (each) => each !== undefined,
    )
    return {
      rack,
      index: rackIndex,
      attachment,
      attachments: stoodOn,
      onRoof: stoodOn.some(bearsOnRoof),
      bars,
      feet: allFeet.slice(feetFrom),
      deck: deck && deckBox && { deck, box: deckBox },
      topZMm: Math.max(barTop, deckBox?.z1 ?? barTop),
    }
  })

  const gearById = new Map(plan.gear.map((gear) => [gear.id, gear]))
  const placementById = new Map(plan.placements.map((placement) => [placement.id, placement]))
  const indexOf = new Map(plan.placements.map((placement, index) => [placement.id, index]))
  const barById = new Map(allBars.map((at) => [at.bar.id, at]))
  const rackById = new Map(racks.map((at) => [at.rack.id, at]))
  const thingById = new Map<string, ThingAt>()
  const around: FrameContext = {
    vehicle,
    bar: (id) => barById.get(id),
    rack: (id) => rackById.get(id),
    thing: (id) => {
      const placement = placementById.get(id)
      return placement && place(placement)
    },
  }
  const place = (placement: Placement): ThingAt | undefined => {
    const cached = thingById.get(placement.id)
    const gear = gearById.get(placement.gearId)
    if (cached || !gear) return cached
    const stands = placeOnHost(around, gear, placement, indexOf.get(placement.id) ?? 0)
    const was = before?.thingById.get(placement.id)
    const thing =
      was?.placement === placement &&
      was.gear === gear &&
      was.parent === stands.parent &&
      was.index === stands.index &&
      was.turn === stands.turn &&
      sameBox(was.box, stands.box)
        ? was
        : stands
    thingById.set(placement.id, thing)
    return thing
  }
  const things = reuseList(
    before?.things,
    plan.placements.flatMap((placement) => place(placement) ?? []),
  )
  const [rackList, barList, footList] = [
    reuseList(before?.racks, racks),
    reuseList(before?.bars, allBars),
    reuseList(before?.feet, allFeet),
  ]
  return { racks: rackList, bars: barList, feet: footList, things, thingById }
}
