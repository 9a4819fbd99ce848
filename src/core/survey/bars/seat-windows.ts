import { pointsOf, type Attachment } from '../../plan/vehicle'
import { ATTACHMENTS } from '../../kinds/attachment'
import type { Arrangement, BarAt, RackAt } from '../frame/arrangement'
import { normal, subtract, type Intervals } from '../../geometry/intervals'

/** Where feet may stand along an attachment: anywhere in its ranges but at the posts, only in notches, or only at points. */
interface Seats {
  readonly locked: boolean
  /** x in mm; nothing where the attachment leaves the bars free, as a frame's legs do. */
  readonly within: Intervals | undefined
}

const exactly = (xs: readonly number[]): Intervals => normal(xs.map((x) => [x, x] as const))

/** Where an attachment lets feet stand. */
function seatsOf(attachment: Attachment): Seats {
  if ('ranges' in attachment) {
    if (attachment.notchesXMm && attachment.notchesXMm.length > 0)
      return { locked: true, within: exactly(attachment.notchesXMm) }
    const ranges = attachment.ranges.map(({ fromMm, toMm }) => [fromMm, toMm] as const)
    const posts = (attachment.posts ?? []).map(({ fromMm, toMm }) => [fromMm, toMm] as const)
    return { locked: false, within: subtract(normal(ranges), posts) }
  }
  const { on, feet } = ATTACHMENTS[attachment.kind]
  if (on === 'frame' || feet === 'seam') return { locked: false, within: undefined }
  const points = pointsOf(attachment)
  return { locked: true, within: exactly(points.map(({ xMm }) => xMm)) }
}

/** The row of a rack's fit sheet for the profile that its bars have; `other` names the profiles it has rows for. */
export function fitSheetRow({ rack }: RackAt, profile: BarAt['bar']['profile']['kind']) {
  const rows = rack.fitSheet?.rows ?? []
  return { row: rows.find((each) => each.profile === profile), others: rows.map((each) => each.profile) }
}

/** Where a bar's feet may stand: what its attachment allows, and what its rack's fit sheet says of it. */
export function seatsOfBar(arrangement: Arrangement, at: BarAt): Seats | undefined {
  const rack = arrangement.racks.find((each) => each.rack.id === at.rack.id)
  if (!rack?.attachment) return undefined
  const seats = seatsOf(rack.attachment)
  const place = fitSheetRow(rack, at.bar.profile.kind).row?.xMm
  if (!place || rack.bars.length !== 2) return seats
  const x = rack.bars[0]?.bar.id === at.bar.id ? place.front : place.rear
  return { locked: true, within: [[x - place.within, x + place.within]] }
}
