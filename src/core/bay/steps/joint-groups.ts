import { isInChannel, mountTraits } from '../../kinds/mount'
import { PART_ROLES } from '../../kinds/part-role'
import { toFit } from '../../units/scalars'
import type { BayRules } from '../../plan/schema/house'
import { boltsAt, type Fastener } from '../../plan/schema/fastening'
import { cornerName, rootOf, turned, type RackAt, type ThingAt } from '../../survey/frame/arrangement'
import { contactYs } from '../../survey/mounting/contacts'
import type { Survey } from '../../survey/survey'
import { aimNm, jointOf, type Joint } from '../torque/joint'
import { passList, type Spot } from '../torque/passes'
import { withMount } from '../mount-fastener'
import type { JointGroup } from './step'

/** The feet of a rack's bars: of those that this job fits, or of those that were on when the vehicle came. */
function footSpots(rack: RackAt, on: boolean): PlacedSpot[] {
  const rows = [...new Set(rack.feet.map(({ barIndex }) => barIndex))]
  return rack.feet
    .map(({ corner, side, barIndex, xMm, yMm }) => ({
      name: corner,
      side,
      row: rows.indexOf(barIndex),
      at: { xMm, yMm },
      ...(rack.bars.some(({ bar, index }) => index === barIndex && bar.fixedEnd === side) && {
        fixed: true as const,
      }),
      on: rack.bars.some(({ bar, index }) => index === barIndex && bar.alreadyOn === true),
    }))
    .filter((each) => each.on === on)
    .map(({ on: _, ...spot }) => spot)
}

/**
 * Places along a part that stands on no feet of its own: so many a side, from the front, by their corners as long as there
 * are three rows at most.
 */
function spreadSpots(name: string, count: number): Spot[] {
  const rows = Math.ceil(count / 2)
  const placeName = (side: 'left' | 'right', row: number): string => {
    if (count === 1) return name
    if (rows === 1) return side
    if (rows <= 3) return cornerName(side, row, rows)
    const end = row === 0 ? ', foremost' : row === rows - 1 ? ', rearmost' : ''
    return `${side} ${row + 1} of ${rows}${end}`
  }
  return Array.from({ length: count }, (_, i) => {
    const side = i % 2 === 0 ? ('left' as const) : ('right' as const)
    const row = Math.floor(i / 2)
    return { name: placeName(side, row), side, row }
  })
}

/** A place of a joint, and where it is in the vehicle's frame as far as that is known, mm. */
interface PlacedSpot extends Spot {
  readonly at?: { readonly xMm: number; readonly yMm: number } | undefined
}

/** The places that a joint's own sheet names, else those where such a joint usually is. A place that is named like a usual one is that one. */
function spotsOf(
  { places }: Fastener,
  usual: readonly PlacedSpot[],
  toVehicle: (xMm: number, yMm: number) => { readonly xMm: number; readonly yMm: number },
): readonly PlacedSpot[] {
  if (places === undefined || places.length === 0) return usual
  const xs = [...new Set(places.flatMap(({ xMm }) => xMm ?? []))].sort((a, b) => a - b)
  return places.map(({ name, xMm, yMm }, i): PlacedSpot => {
    const like = usual.find((each) => each.name === name)
    if (xMm === undefined || yMm === undefined) {
      const side = yMm === undefined ? (i % 2 === 0 ? 'left' : 'right') : sideOf(yMm)
      return like ?? { name, side, row: Math.floor(i / 2) }
    }
    return { name, side: sideOf(yMm), row: xs.indexOf(xMm), at: toVehicle(xMm, yMm) }
  })
}

/** How many of a joint's fasteners are at some of its places: as its sheet says of each, else shared alike. */
function countedAt(
  { count, places }: Fastener,
  of: number,
  spots: readonly PlacedSpot[],
): Pick<JointGroup, 'count' | 'perSpot'> {
  const each = count / Math.max(1, of)
  const said = (spot: PlacedSpot) => places?.find(({ name }) => name === spot.name)?.count ?? each
  const here = Math.round(spots.reduce((sum, spot) => sum + said(spot), 0))
  return { count: here, perSpot: here / Math.max(1, spots.length) }
}

/** Most places that a joint is told apart in without a sheet that names them. */
const SPREAD_MOST = 12

/** The corners of a thing, or, where its fasteners are no even share of them, so many places along its sides. */
const cornersOr = (usual: readonly PlacedSpot[], name: string, count: number): readonly PlacedSpot[] =>
  count % Math.max(1, usual.length) === 0 || count > SPREAD_MOST ? usual : spreadSpots(name, count)

const sideOf = (yMm: number): Spot['side'] => (yMm < 0 ? 'left' : yMm > 0 ? 'right' : 'middle')

const placesOf = (spots: readonly PlacedSpot[]): JointGroup['at'] =>
  new Map(spots.flatMap(({ name, at }) => (at === undefined ? [] : [[name, at] as const])))

/** What is tight already is tried once, at its whole figure. Percent */
const WHOLE = [100]

interface Placed {
  readonly fastener: Fastener
  readonly joint: Joint
  /** All its places, and those at which it was on already by the bar or the sheet. */
  readonly spots: readonly PlacedSpot[]
  readonly wasOn: ReadonlySet<string>
}

/** What is told by its sign alone, a click or a notch, is done at once: only a figure is reached in passes. Percent */
const passesOf = ({ torque, fastener }: Joint, { passesPercent }: BayRules): readonly number[] =>
  aimNm(torque) === undefined ? WHOLE : (fastener.passesPercent ?? passesPercent)

/** One joint by what this job does at its places: it is fitted, it was on and is looked at; what comes off is neither. */
function groupsOf({ fastener, joint, spots, wasOn }: Placed, rules: BayRules): JointGroup[] {
  const statusAt = ({ name }: PlacedSpot) =>
    fastener.places?.find((place) => place.name === name)?.status ?? (wasOn.has(name) ? 'alreadyOn' : 'toFit')
  const groupOf = (group: Joint, at: readonly PlacedSpot[], percents: readonly number[]): JointGroup => ({
    joint: group,
    spots: at.map((spot) => spot.name),
    at: placesOf(at),
    ...countedAt(fastener, spots.length, at),
    pulls: passList(at, aimNm(joint.torque), percents),
  })
  const fitted = spots.filter((spot) => statusAt(spot) === 'toFit')
  const there = spots.filter((spot) => statusAt(spot) === 'alreadyOn')
  const found = { ...joint, id: `${joint.id}/on`, name: `${joint.name}, already on` }
  return [
    ...(fitted.length > 0 || spots.length === 0 ? [groupOf(joint, fitted, passesOf(joint, rules))] : []),
    ...(there.length > 0 ? [{ ...groupOf(found, there, WHOLE), alreadyOn: true as const }] : []),
  ]
}

/**
 * The joints of a rack's parts, each at its feet where it belongs to feet. What holds a rack at its feet and whose sheet
 * says nothing has one unknown joint there: a rack entered as a whole is held by itself. Where a bar was on already, the
 * joints at its feet are a group of their own: they are looked at, and not started.
 */
export function rackJoints(rack: RackAt, rules: BayRules): JointGroup[] {
  const feet = footSpots(rack, false)
  const feetOn = footSpots(rack, true)
  const bySomething = rack.rack.parts.some(({ role }) => PART_ROLES[role].atFeet && role !== 'fitKit')
  return rack.rack.parts.flatMap((part) => {
    const holds = PART_ROLES[part.role].atFeet || (part.role === 'whole' && !bySomething)
    const onFeet = holds && rack.feet.length > 0
    const silent = onFeet && part.role !== 'fitKit' && (part.fasteners ?? []).length === 0
    const fasteners = silent ? [{ thread: 'unsaid', count: rack.feet.length }] : (part.fasteners ?? [])
    return fasteners.flatMap((fastener, i): JointGroup[] => {
      const name = silent ? `clamp of ${part.name}` : undefined
      const owner = { of: 'part', rackId: rack.rack.id, partId: part.id, name: part.name } as const
      const joint = jointOf(owner, i, name === undefined ? fastener : { ...fastener, name }, rules)
      const all = [...feet, ...feetOn]
      const usual = onFeet ? all : spreadSpots(part.name, Math.min(fastener.count, SPREAD_MOST))
      const spots = spotsOf(fastener, usual, (xMm, yMm) => ({ xMm, yMm }))
      const wasOn = new Set(onFeet ? feetOn.map((spot) => spot.name) : [])
      return groupsOf({ fastener, joint, spots, wasOn }, rules)
    })
  })
}

/** The fasteners of a thing: those of its sheet, each with what its mount says of it; without any, what its mount takes. */
function fastenersOf({ gear, placement }: ThingAt, places: number): readonly Fastener[] {
  const { mount } = gear.fit
  if (gear.fasteners) return gear.fasteners.map((each) => withMount(each, gear.fit))
  if (!mountTraits(mount.kind).tightened) return []
  const count = placement.host.on === 'bars' && isInChannel(mount) ? Math.max(4, places) : 4
  return [withMount({ thread: 'unsaid', count, name: `mounts of ${gear.name}` }, gear.fit)]
}

/** What holds a piece of gear to its bars or deck, at each bar and side or at places of its own; a mount whose torque nobody gave is a joint too. */
export function gearJoints(survey: Survey, thing: ThingAt, rules: BayRules): JointGroup[] {
  const { gear, placement, box, turn } = thing
  const host = placement.host
  const bars = host.on === 'bars' ? survey.bars.filter(({ bar }) => host.barIds.includes(bar.id)) : []
  const rows = host.on === 'bars' ? bars.length : 2
  const ys = contactYs(thing)
  // Its own corners, and on which bar each is: what is pulled is found on the drawing by both.
  const usual = Array.from({ length: rows }, (_, row) =>
    (['left', 'right'] as const).map((side): PlacedSpot => {
      const corner = rows === 1 ? side : cornerName(side, row, rows)
      const bar = bars[row]?.bar
      const yMm = (side === 'left' ? ys[0] : ys.at(-1)) ?? 0
      return {
        name: bar === undefined ? corner : `${corner} (${bar.name})`,
        side,
        row,
        at: bar && { xMm: bar.xMm, yMm },
      }
    }),
  ).flat()
  const middle = { x: (box.x0 + box.x1) / 2, y: (box.y0 + box.y1) / 2 }
  const toVehicle = (xMm: number, yMm: number) => {
    const [dx, dy] = turned(xMm, yMm, turn)
    return { xMm: middle.x + dx, yMm: middle.y + dy }
  }
  const owner = { of: 'gear', placementId: placement.id, name: gear.name } as const
  return fastenersOf(thing, usual.length).flatMap((fastener, i) =>
    groupsOf(
      {
        fastener,
        joint: jointOf(owner, i, fastener, rules),
        spots: spotsOf(fastener, cornersOr(usual, gear.name, fastener.count), toVehicle),
        wasOn: new Set(),
      },
      rules,
    ),
  )
}

export const tighteningTitle = ({ alreadyOn, joint }: JointGroup): string =>
  alreadyOn
    ? `Check what is on: ${joint.name}`
    : `${joint.torque.kind === 'latch' ? 'Close' : 'Tighten'}: ${joint.name}`

/** What is said first of a joint that was on already. */
export const tighteningLead = ({ alreadyOn }: JointGroup): readonly string[] =>
  alreadyOn
    ? ['Nobody here has seen it tightened: look at its seat and its parts, then try it with the wrench. ']
    : []

/** Where a joint comes off in this job, by name: the places of its sheet that say so, with how many bolts. */
export function comingOff(fastener: Fastener): { readonly names: readonly string[]; readonly bolts: number } {
  const off = (fastener.places ?? []).filter(({ status }) => status === 'comesOff')
  return {
    names: off.map(({ name }) => name),
    bolts: off.reduce((sum, place) => sum + boltsAt(fastener, place), 0),
  }
}

/** Things that are to be fitted with tools: carriers, and what is bolted by itself; not what is strapped or put into another. */
export const fittedThings = (survey: Survey): ThingAt[] =>
  survey.things.filter(
    (thing) =>
      rootOf(thing) === thing &&
      toFit(thing.placement) &&
      thing.gear.kind !== 'person' &&
      (thing.gear.carries !== undefined || mountTraits(thing.gear.fit.mount.kind).fitted === 'tools'),
  )

/** How a joint is gone about: how many, in which order, with what. */
export const tighteningWords = ({ count, joint }: JointGroup): string =>
  joint.torque.kind === 'latch'
    ? `${count} in all, ${joint.tool}: each until it has clicked as often as it must.`
    : `${count} in all, corner to corner in passes, with ${joint.tool}${joint.handOnly ? ', by hand only' : ''}.`
