import { pointsOf, type Attachment } from '../../plan/schema/vehicle'
import { ATTACHMENTS } from '../../kinds/attachment'
import { rangeEnds } from '../../kinds/mount'
import type { Arrangement, BarAt, RackAt } from '../frame/arrangement'
import { normal, subtract, type Intervals } from '../../geometry/intervals'

/** Where feet may stand along an attachment: anywhere in its ranges but at the posts, only in notches, or only at points. */
interface Seats {
  readonly locked: boolean
  /** x in mm; nothing where the attachment leaves the bars free, as a frame's legs do. */
  readonly within: Intervals | undefined
  /** Where a fit sheet puts the bar, of all that it lets pass. x in mm */
  readonly atMm?: number
}

const exactly = (xs: readonly number[]): Intervals => normal(xs.map((x) => [x, x] as const))

/** What a cleat takes of a channel, mm. Rough, common practice, no source. */
const CLEAT_MM = 60

type Ranges = Extract<Attachment, { ranges: unknown }>['ranges']

/** The stretches for a bar: those for its end alone where there are such, else those for any bar. */
function rangesFor(ranges: Ranges, endOf: () => 'front' | 'rear' | undefined): Ranges {
  if (ranges.every(({ bar }) => bar === undefined)) return ranges
  const end = endOf()
  const own = ranges.filter(({ bar }) => bar !== undefined && bar === end)
  return own.length > 0 ? own : ranges.filter(({ bar }) => bar === undefined)
}

/** The notches for a bar: those for its end alone where there are such, else those for any bar. mm. */
function notchesFor(
  { notchesXMm = [], frontNotchesXMm = [], rearNotchesXMm = [] }: Extract<Attachment, { ranges: unknown }>,
  endOf: () => 'front' | 'rear' | undefined,
): readonly number[] {
  if (frontNotchesXMm.length + rearNotchesXMm.length === 0) return notchesXMm
  const end = endOf()
  const own = end === 'front' ? frontNotchesXMm : end === 'rear' ? rearNotchesXMm : []
  return own.length > 0 ? own : notchesXMm
}

/** Where an attachment lets the feet of a bar stand: some stretches are for the foremost or the rearmost bar alone. */
export function seatsOf(attachment: Attachment, endOf: () => 'front' | 'rear' | undefined): Seats {
  if ('ranges' in attachment) {
    const notches = notchesFor(attachment, endOf)
    if (notches.length > 0) return { locked: true, within: exactly(notches) }
    const ranges = rangesFor(attachment.ranges, endOf).map(({ fromMm, toMm }) => [fromMm, toMm] as const)
    const posts = (attachment.posts ?? []).map(({ fromMm, toMm }) => [fromMm, toMm] as const)
    const cleats = ('inside' in attachment ? (attachment.inside ?? []) : [])
      .filter(({ stays }) => stays)
      .map(({ xMm }) => [xMm - CLEAT_MM / 2, xMm + CLEAT_MM / 2] as const)
    return { locked: false, within: subtract(normal(ranges), [...posts, ...cleats]) }
  }
  const { on, feet } = ATTACHMENTS[attachment.kind]
  if (on === 'frame' || feet === 'seam') return { locked: false, within: undefined }
  const points = pointsOf(attachment)
  return { locked: true, within: exactly(points.map(({ xMm }) => xMm)) }
}

/** The row of a rack's fit sheet for the profile that its bars have; `other` names the profiles it has rows for. */
export function fitSheetRow({ rack }: Pick<RackAt, 'rack'>, profile: BarAt['bar']['profile']['kind']) {
  const rows = rack.fitSheet?.rows ?? []
  return { row: rows.find((each) => each.profile === profile), others: rows.map((each) => each.profile) }
}

/** Where a bar's feet may stand: what its attachment allows, and what its rack's fit sheet says of it. */
export function seatsOfBar(arrangement: Pick<Arrangement, 'racks'>, at: BarAt): Seats | undefined {
  const rack = arrangement.racks.find((each) => each.rack.id === at.rack.id)
  if (!rack || !at.attachment) return undefined
  const seats = seatsOf(at.attachment, () => {
    const ofRack = rack.bars.filter((each) => each.attachment === at.attachment)
    return ofRack[0] === at ? 'front' : ofRack.at(-1) === at ? 'rear' : undefined
  })
  const place = fitSheetRow(rack, at.bar.profile.kind).row?.xMm
  if (!place || rack.bars.length !== 2) return seats
  const x = rack.bars[0]?.bar.id === at.bar.id ? place.front : place.rear
  if (x === undefined) return seats
  const { within = 0 } = place
  return { locked: true, within: [[x - within, x + within]], atMm: x }
}

/** The spread that a rack's fit sheet wants between its front and its rear bar, mm; `locked` where points settle it. */
export interface SheetSpread {
  readonly front: BarAt
  readonly rear: BarAt
  readonly spread: readonly [number, number]
  readonly nowMm: number
  readonly locked: boolean
}

/** What a rack's fit sheet wants of its spread, where it says one and nobody has set it aside. */
export function sheetSpread(rack: RackAt): SheetSpread | undefined {
  const [front, rear] = [rack.bars[0], rack.bars.at(-1)]
  if (!front || !rear || front === rear) return undefined
  const { row } = fitSheetRow(rack, front.bar.profile.kind)
  if (!row?.spreadMm || row.spreadUnused !== undefined) return undefined
  const locked = [front, rear].every(
    ({ attachment }) => attachment && seatsOf(attachment, () => undefined).locked,
  )
  return { front, rear, spread: rangeEnds(row.spreadMm), nowMm: rear.bar.xMm - front.bar.xMm, locked }
}
