import { PANE_MOVES, paneMoves } from '../../kinds/obstacle'
import type { Box } from '../../geometry/boxes'
import type { Obstacle, Vehicle } from '../../plan/schema/vehicle'
import { shiftToClear, sweepAgainst, type Swept, type Swing } from '../../geometry/sweep'
import { memoOfPair } from '../../units/memo'
import { roofZ } from '../frame/arrangement'

type Of<K extends Obstacle['kind']> = Extract<Obstacle, { kind: K }>
export type Hatch = Of<'hatch'> | Of<'tailgate'>
export type Sunroof = Of<'sunroof'>

/** The side of a box as the side view sees it: x from, z from, x to, z to. mm. */
export const sideOf = (box: Box) => [box.x0, box.z0, box.x1, box.z1] as const

/** What turns when a hatch or tailgate opens: its panel, and a hatch's spoiler with it. The same list for the same vehicle. */
export const swingsOf = memoOfPair((hatch: Hatch, obstacles: readonly Obstacle[]): readonly Swing[] => {
  const hinge = [hatch.hinge.xMm, hatch.hinge.zMm] as const
  const panel = hatch.panel.map(({ xMm, zMm }) => [xMm, zMm] as const)
  const turns = {
    hinge,
    opensDeg: hatch.opensDeg,
    direction: hatch.kind === 'hatch' ? 'up' : 'down',
  } as const
  const spoilers = hatch.kind === 'hatch' ? obstacles.filter((each) => each.kind === 'spoiler') : []
  return [
    { ...turns, panel },
    ...spoilers.map((spoiler): Swing => ({
      ...turns,
      panel: [
        [spoiler.fromXMm, spoiler.topZMm],
        [spoiler.toXMm, spoiler.topZMm],
      ],
    })),
  ]
})

/** Whether a box shares width with something this wide about the centreline. */
export const sharesWidth = (box: Box, halfWidthMm: number): boolean =>
  box.y0 < halfWidthMm - 1e-6 && box.y1 > -halfWidthMm + 1e-6

/** A swing against one box. An edit leaves most boxes where they were. */
export const sweptBox = memoOfPair((swing: Swing, box: Box): Swept => sweepAgainst(swing, sideOf(box)))

/** The worst of several swings against one box: the earliest touch, else the least gap. */
export function sweptBy(swings: readonly Swing[], box: Box): Swept {
  return swings
    .map((swing) => sweptBox(swing, box))
    .reduce((nearest, each) => {
      if (nearest.kind === 'touches')
        return each.kind === 'touches' && each.atDeg < nearest.atDeg ? each : nearest
      return each.kind === 'touches' || each.gapMm < nearest.gapMm ? each : nearest
    })
}

const shiftsByGap = memoOfPair(
  (_swings: readonly Swing[], _box: Box) => new Map<number, number | undefined>(),
)

/** How far forward a box must go for every swing to pass it with a gap, mm; nothing when it cannot. */
export function forwardToClear(swings: readonly Swing[], box: Box, gapMm: number): number | undefined {
  const cached = shiftsByGap(swings, box)
  if (cached.has(gapMm)) return cached.get(gapMm)
  const shifts = swings.map((swing) => shiftToClear(swing, sideOf(box), gapMm))
  const forward = shifts.some((each) => each === undefined)
    ? undefined
    : Math.max(...shifts.map((each) => each ?? 0))
  cached.set(gapMm, forward)
  return forward
}

/** Which figure of a pane's way over the roof is missing; nothing where all that it does is known. */
export function paneLacks({ moves, tiltRiseMm, slidesOutside }: Sunroof): 'way' | 'figures' | undefined {
  if (moves === undefined) return tiltRiseMm === undefined && !slidesOutside ? 'way' : undefined
  const { tilts, slidesOver } = PANE_MOVES[moves]
  return (tilts && tiltRiseMm === undefined) || (slidesOver && !slidesOutside) ? 'figures' : undefined
}

/** A sunroof's pane as it tilts: hinged at its front edge, its rear edge rising. Nothing for one that does not. */
export const tiltOf = memoOfPair((sunroof: Sunroof, vehicle: Vehicle): Swing | undefined => {
  const roofZMm = roofZ(vehicle)
  if (!paneMoves(sunroof).tilts) return undefined
  const rise = sunroof.tiltRiseMm ?? 0
  const { fromMm, toMm } = sunroof.openingMm
  if (rise <= 0 || toMm <= fromMm) return undefined
  return {
    hinge: [fromMm, roofZMm],
    panel: [
      [fromMm, roofZMm],
      [toMm, roofZMm],
    ],
    opensDeg: (Math.asin(Math.min(1, rise / (toMm - fromMm))) * 180) / Math.PI,
    direction: 'up',
  }
})

/** The space that a pane sliding outside takes on its way, as a box. mm. */
export const slideBox = memoOfPair((sunroof: Sunroof, vehicle: Vehicle): Box | undefined => {
  const roofZMm = roofZ(vehicle)
  if (!sunroof.slidesOutside || !paneMoves(sunroof).slidesOver) return undefined
  const { travelMm, riseMm } = sunroof.slidesOutside
  return {
    x0: sunroof.openingMm.fromMm,
    x1: sunroof.openingMm.toMm + travelMm,
    y0: -sunroof.widthMm / 2,
    y1: sunroof.widthMm / 2,
    z0: roofZMm,
    z1: roofZMm + riseMm,
  }
})

/** Gap between two rectangles in the side view: 0 where they touch or overlap. mm. */
export function sideGap(a: Box, b: Box): number {
  const dx = Math.max(0, Math.max(a.x0, b.x0) - Math.min(a.x1, b.x1))
  const dz = Math.max(0, Math.max(a.z0, b.z0) - Math.min(a.z1, b.z1))
  return Math.hypot(dx, dz)
}
