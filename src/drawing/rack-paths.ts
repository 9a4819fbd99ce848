import { bodyOutline, type RackAt, footSeatZ } from '@/core/api/assess'
import {
  ATTACHMENTS,
  type Attachment,
  pointsOf,
  type Vehicle,
  type AttachmentWith,
  isRaised,
} from '@/core/api/plan'
import type { ViewName } from './layout'
import { boxPath, linePath, polygonPath, type PlanePoint } from './path'

/** A rack in one view: what is solid ink, what is outlined, and what is a thin line. */
interface RackPaths {
  readonly ink: string
  readonly plate: string
  readonly line: string
}

type Draw = { readonly ink: string[]; readonly plate: string[]; readonly line: string[] }

const FOOT_HALF_MM = 55

function drawFeet(draw: Draw, rack: RackAt, view: ViewName): void {
  for (const foot of rack.feet) {
    if (view === 'plan') {
      draw.ink.push(boxPath(foot.xMm - FOOT_HALF_MM, foot.yMm - 40, foot.xMm + FOOT_HALF_MM, foot.yMm + 40))
      continue
    }
    const at = view === 'side' ? foot.xMm : foot.yMm
    const tall = foot.topZMm - foot.seatZMm
    if (tall > 350) {
      draw.line.push(
        linePath([
          [at - 25, foot.seatZMm],
          [at - 25, foot.topZMm],
          [at + 25, foot.topZMm],
          [at + 25, foot.seatZMm],
        ]),
      )
      draw.ink.push(boxPath(at - 60, foot.seatZMm - 20, at + 60, foot.seatZMm + 30))
    } else
      draw.ink.push(
        polygonPath([
          [at - FOOT_HALF_MM * 1.2, foot.seatZMm - 15],
          [at - FOOT_HALF_MM * 0.75, foot.topZMm + 8],
          [at + FOOT_HALF_MM * 0.75, foot.topZMm + 8],
          [at + FOOT_HALF_MM * 1.2, foot.seatZMm - 15],
        ]),
      )
  }
}

function drawDeck(draw: Draw, rack: RackAt, view: ViewName): void {
  if (!rack.deck) return
  const { x0, x1, y0, y1, z0, z1 } = rack.deck.box
  if (view === 'side') draw.plate.push(boxPath(x0, z0, x1, z1, 20))
  else if (view === 'rear') draw.plate.push(boxPath(y0, z0, y1, z1, 20))
  else {
    draw.plate.push(boxPath(x0, y0, x1, y1, 60))
    const slats = Math.max(3, Math.round((x1 - x0) / 230))
    for (let i = 1; i < slats; i += 1) {
      const x = x0 + ((x1 - x0) * i) / slats
      draw.line.push(
        linePath([
          [x, y0 + 30],
          [x, y1 - 30],
        ]),
      )
    }
  }
}

function drawSides(draw: Draw, rack: RackAt, view: ViewName): void {
  if (rack.rack.kind !== 'bed') return
  const xs = rack.feet.map((foot) => foot.xMm)
  const seat = Math.min(...rack.feet.map((foot) => foot.seatZMm))
  const top = Math.min(...rack.bars.map(({ box }) => box.z0))
  const panelTop = Math.min(seat + rack.rack.sideHeightMm, top)
  const x0 = Math.min(...xs)
  const x1 = Math.max(...xs)
  if (view === 'side') {
    draw.line.push(
      boxPath(x0, seat + 60, x1, panelTop),
      linePath([
        [x0, top - 30],
        [x1, top - 30],
      ]),
    )
    const columns = 4
    for (let i = 1; i < columns; i += 1) {
      const x = x0 + ((x1 - x0) * i) / columns
      draw.line.push(
        linePath([
          [x, seat + 60],
          [x, panelTop],
        ]),
      )
    }
  }
}

function drawLadder(draw: Draw, rack: RackAt, view: ViewName): void {
  if (rack.rack.kind !== 'ladder') return
  const { bottomZMm, topZMm, xMm, yMm, widthMm } = rack.rack
  if (view === 'side')
    draw.line.push(
      linePath([
        [xMm, bottomZMm],
        [xMm - 120, topZMm - 60],
        [xMm - 260, topZMm],
      ]),
    )
  const left = yMm - widthMm / 2
  const right = yMm + widthMm / 2
  if (view === 'plan') draw.line.push(boxPath(xMm - 260, left, xMm + 30, right))
  if (view === 'rear') {
    draw.line.push(boxPath(left, bottomZMm, right, topZMm))
    for (let z = bottomZMm + 180; z < topZMm - 40; z += 260)
      draw.line.push(
        linePath([
          [left, z],
          [right, z],
        ]),
      )
  }
}

/** A rack from one side: bars and feet solid, decks and panels in outline. */
export function rackPaths(rack: RackAt, view: ViewName): RackPaths {
  const draw: Draw = { ink: [], plate: [], line: [] }
  drawDeck(draw, rack, view)
  drawSides(draw, rack, view)
  drawLadder(draw, rack, view)
  drawFeet(draw, rack, view)
  for (const { box } of rack.bars) {
    if (view === 'side') draw.ink.push(boxPath(box.x0, box.z0, box.x1, box.z1, 10))
    else if (view === 'rear') draw.ink.push(boxPath(box.y0, box.z0, box.y1, box.z1, 10))
    else draw.ink.push(boxPath(box.x0, box.y0, box.x1, box.y1, 10))
  }
  return { ink: draw.ink.join(' '), plate: draw.plate.join(' '), line: draw.line.join(' ') }
}

type Canopy = AttachmentWith<{ on: 'canopy' }>

/** How far a canopy reaches past its tracks at either end and to either side: drawn, never reckoned with. mm. */
const PAST_TRACKS_MM = 90
const EDGE_MM = 14

/** A canopy from its tracks down to the bed's sides, in outline. */
function canopyPath(vehicle: Vehicle, { ranges, gaugeMm, topZMm }: Canopy, view: ViewName): string {
  const from = Math.min(...ranges.map(({ fromMm }) => fromMm)) - PAST_TRACKS_MM
  const to = Math.max(...ranges.map(({ toMm }) => toMm)) + PAST_TRACKS_MM
  const half = gaugeMm / 2 + PAST_TRACKS_MM
  const under = vehicle.attachments.find((each) => ATTACHMENTS[each.kind].on === 'bed')
  const foot = under && 'topZMm' in under ? under.topZMm : (bodyOutline(vehicle).bed?.topZMm ?? topZMm)
  const [x0, y0, x1, y1] =
    view === 'side'
      ? [from, foot, to, topZMm]
      : view === 'plan'
        ? [from, -half, to, half]
        : [-half, foot, half, topZMm]
  // Its edges alone: what is behind it or in it stays to be seen.
  return [
    boxPath(x0, y0, x1, y0 + EDGE_MM),
    boxPath(x0, y1 - EDGE_MM, x1, y1),
    boxPath(x0, y0, x0 + EDGE_MM, y1),
    boxPath(x1 - EDGE_MM, y0, x1, y1),
  ].join(' ')
}

/** What the vehicle offers to hold a rack, so that rails can be told from bars: thin, along the vehicle. */
export function attachmentPath(vehicle: Vehicle, attachment: Attachment, view: ViewName): string {
  const parts: string[] = []
  if ('ranges' in attachment) {
    const half = attachment.gaugeMm / 2
    const z = footSeatZ(vehicle, attachment)
    for (const { fromMm, toMm } of attachment.ranges) {
      if (view === 'plan')
        for (const y of [-half, half]) parts.push(boxPath(fromMm, y - 18, toMm, y + 18, 18))
      if (view === 'side' && isRaised(attachment)) {
        const roof = vehicle.heightMm - vehicle.roof.crownMm - 40
        const rail: PlanePoint[] = [
          [fromMm - 90, roof],
          [fromMm, z],
          [toMm, z],
          [toMm + 90, roof],
        ]
        parts.push(linePath(rail))
        for (const post of attachment.posts ?? []) parts.push(boxPath(post.fromMm, roof, post.toMm, z))
      } else if (view === 'side')
        parts.push(
          linePath([
            [fromMm, z],
            [toMm, z],
          ]),
        )
    }
    if (view === 'rear') for (const y of [-half, half]) parts.push(boxPath(y - 18, z - 34, y + 18, z))
    if ('canopyKg' in attachment) parts.push(canopyPath(vehicle, attachment, view))
    return parts.join(' ')
  }
  const points = pointsOf(attachment)
  const z = footSeatZ(vehicle, attachment)
  for (const { xMm, yMm } of points) {
    if (view === 'side') parts.push(boxPath(xMm - 22, z - 22, xMm + 22, z + 22))
    else
      for (const y of [-yMm, yMm])
        parts.push(
          view === 'plan'
            ? boxPath(xMm - 22, y - 22, xMm + 22, y + 22)
            : boxPath(y - 22, z - 22, y + 22, z + 22),
        )
  }
  return parts.join(' ')
}
