import { isInChannel, mountTraits } from '../../kinds/mount'
import { PART_ROLES } from '../../kinds/part-role'
import { toFit } from '../../units/scalars'
import type { BayRules } from '../../plan/schema/house'
import { cornerName, rootOf, type RackAt, type ThingAt } from '../../survey/frame/arrangement'
import { contactYs } from '../../survey/mounting/contacts'
import type { Survey } from '../../survey/survey'
import { aimNm, jointOf } from '../torque/joint'
import { passList, type Spot } from '../torque/passes'
import type { JointGroup } from './step'

function footSpots(rack: RackAt): Spot[] {
  const rows = [...new Set(rack.feet.map(({ barIndex }) => barIndex))]
  return rack.feet.map((foot) => ({ name: foot.corner, side: foot.side, row: rows.indexOf(foot.barIndex) }))
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

const placesOf = (places: readonly (readonly [string, number, number])[]): JointGroup['at'] =>
  new Map(places.map(([name, xMm, yMm]) => [name, { xMm, yMm }]))

/**
 * The joints of a rack's parts, each at its feet where it belongs to feet. What holds a rack at its feet and whose sheet
 * says nothing has one unknown joint there: a rack entered as a whole is held by itself.
 */
export function rackJoints(rack: RackAt, rules: BayRules): JointGroup[] {
  const feet = footSpots(rack)
  const bySomething = rack.rack.parts.some(({ role }) => PART_ROLES[role].atFeet && role !== 'fitKit')
  return rack.rack.parts.flatMap((part) => {
    const holds = PART_ROLES[part.role].atFeet || (part.role === 'whole' && !bySomething)
    const onFeet = holds && feet.length > 0
    const silent = onFeet && part.role !== 'fitKit' && (part.fasteners ?? []).length === 0
    const fasteners = silent ? [{ thread: 'unsaid', count: feet.length }] : (part.fasteners ?? [])
    return fasteners.map((fastener, i): JointGroup => {
      const name = silent ? `clamp of ${part.name}` : undefined
      const owner = { of: 'part', rackId: rack.rack.id, partId: part.id, name: part.name } as const
      const joint = jointOf(owner, i, name === undefined ? fastener : { ...fastener, name }, rules)
      const spots = onFeet ? feet : spreadSpots(part.name, Math.min(fastener.count, 12))
      return {
        joint,
        spots: spots.map(({ name: spot }) => spot),
        at: placesOf(onFeet ? rack.feet.map(({ corner, xMm, yMm }) => [corner, xMm, yMm] as const) : []),
        perSpot: fastener.count / Math.max(1, spots.length),
        pulls: passList(spots, aimNm(joint.torque), fastener.passesPercent ?? rules.passesPercent),
      }
    })
  })
}

/** What holds a piece of gear to its bars or deck, at each bar and side; a mount whose torque nobody gave is a joint too. */
export function gearJoints(survey: Survey, thing: ThingAt, rules: BayRules): JointGroup[] {
  const { gear, placement } = thing
  const { mount } = gear.fit
  const held = mountTraits(mount.kind).tightened
  const thread = isInChannel(mount) ? mount.thread : 'unsaid'
  const fasteners = gear.fasteners ?? (held ? [{ thread, count: 4, name: `mounts of ${gear.name}` }] : [])
  const host = placement.host
  const bars = host.on === 'bars' ? survey.bars.filter(({ bar }) => host.barIds.includes(bar.id)) : []
  const rows = host.on === 'bars' ? bars.length : 2
  // Its own corners, and on which bar each is: what is pulled is found on the drawing by both.
  const spots = Array.from({ length: rows }, (_, row) =>
    (['left', 'right'] as const).map((side): Spot => {
      const corner = rows === 1 ? side : cornerName(side, row, rows)
      const bar = bars[row]?.bar.name
      return { name: bar === undefined ? corner : `${corner} (${bar})`, side, row }
    }),
  ).flat()
  const owner = { of: 'gear', placementId: placement.id, name: gear.name } as const
  return fasteners.map((fastener, i) => {
    const joint = jointOf(owner, i, fastener, rules)
    return {
      joint,
      spots: spots.map(({ name }) => name),
      at: placesOf(
        bars.flatMap(({ bar }, row) => {
          const ys = contactYs(thing)
          return (['left', 'right'] as const).map((_, side) => {
            const y = (side === 0 ? ys[0] : ys.at(-1)) ?? 0
            return [spots[row * 2 + side]?.name ?? '', bar.xMm, y] as const
          })
        }),
      ),
      perSpot: fastener.count / Math.max(1, spots.length),
      pulls: passList(spots, aimNm(joint.torque), fastener.passesPercent ?? rules.passesPercent),
    }
  })
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
