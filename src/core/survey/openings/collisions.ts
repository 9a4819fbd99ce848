import type { Box } from '../../geometry/boxes'
import type { Obstacle, Vehicle } from '../../plan/schema/vehicle'
import { packed, type Arrangement, type BarAt, type ThingAt } from '../frame/arrangement'
import type { Swept, Swing } from '../../geometry/sweep'
import type { SagMm } from '../mounting/offers'
import {
  sharesWidth,
  sideGap,
  slideBox,
  sweptBox,
  sweptBy,
  swingsOf,
  tiltOf,
  type Hatch,
  type Sunroof,
} from './swings'
import { onVehicle } from '../frame/on-vehicle'
import { openedTent } from './tent'

/** Something that a moving part of the vehicle may meet. */
interface Met {
  readonly kind: 'thing' | 'bar' | 'deck' | 'tentFloor' | 'tentLadder' | 'tail'
  readonly id: string
  readonly name: string
  readonly box: Box
  readonly thing: ThingAt | undefined
}

/** A hatch or tailgate on its whole way, against one thing. */
export interface SwingCollision {
  readonly hatch: Hatch
  readonly swings: readonly Swing[]
  readonly met: Met
  readonly swept: Swept
}

/** A sunroof's pane, tilting or sliding outside, against one thing. Gap in mm. */
export interface PaneCollision {
  readonly sunroof: Sunroof
  readonly opens: 'tilts' | 'slides'
  readonly met: Met
  readonly touchesAtDeg: number | undefined
  readonly gapMm: number
}

/** Everything that stands about the roof: things in the open, bars and decks. */
function standing(arrangement: Arrangement, barBox: (at: BarAt) => Box = (at) => at.box): Met[] {
  const things = arrangement.things
    .filter((thing) => thing.placement.host.on !== 'ladder' && !packed(thing))
    .map((thing): Met => ({
      kind: 'thing',
      id: thing.placement.id,
      name: thing.gear.name,
      box: thing.outer,
      thing,
    }))
  const bars = arrangement.bars.map((at): Met => ({
    kind: 'bar',
    id: at.bar.id,
    name: at.bar.name,
    box: barBox(at),
    thing: undefined,
  }))
  const decks = arrangement.racks.flatMap(({ rack, deck }): Met[] =>
    deck ? [{ kind: 'deck', id: rack.id, name: rack.name, box: deck.box, thing: undefined }] : [],
  )
  return [...things, ...bars, ...decks]
}

/** What opened tents take besides: their floor and their ladder. */
function opened(arrangement: Arrangement): Met[] {
  return arrangement.things.flatMap((thing): Met[] => {
    const tent = openedTent(thing)
    if (!tent) return []
    const common = { id: thing.placement.id, name: thing.gear.name, thing }
    return [
      { ...common, kind: 'tentFloor', box: tent.floor },
      ...(tent.ladder ? [{ ...common, kind: 'tentLadder' as const, box: tent.ladder }] : []),
    ]
  })
}

/** Load at the tail, where it has a size. */
const atTail = (vehicle: Vehicle): Met[] =>
  onVehicle(vehicle)
    .filter(({ where }) => where === 'tail')
    .map(({ id, name, box }) => ({ kind: 'tail', id, name, box, thing: undefined }))

const isHatch = (obstacle: Obstacle): obstacle is Hatch =>
  obstacle.kind === 'hatch' || obstacle.kind === 'tailgate'

/** Every hatch and tailgate against everything that shares width with it. A rack's own ladder depends on the hatch and turns with it. */
export function swingCollisions(vehicle: Vehicle, arrangement: Arrangement): SwingCollision[] {
  const hatches = vehicle.obstacles.filter(isHatch)
  if (hatches.length === 0) return []
  const all = [...standing(arrangement), ...opened(arrangement), ...atTail(vehicle)]
  return hatches.flatMap((hatch) => {
    const swings = swingsOf(hatch, vehicle.obstacles)
    return all
      .filter((met) => sharesWidth(met.box, hatch.halfWidthMm))
      .map((met) => ({ hatch, swings, met, swept: sweptBy(swings, met.box) }))
  })
}

const lastBent = new WeakMap<BarAt, Box>()

/** A bar as low as it comes under its load: by what it bends in the middle or a quarter of its length beside it. The same box while it bends no other way. */
function bent(at: BarAt, sagMm: SagMm): Box {
  const { box, index } = at
  const quarter = (box.y1 - box.y0) / 4
  const z0 = box.z0 - Math.max(...[-quarter, 0, quarter].map((y) => sagMm(index, y)))
  const before = lastBent.get(at)
  if (before?.z0 === z0) return before
  const low = { ...box, z0 }
  lastBent.set(at, low)
  return low
}

/** Every sunroof that moves outside against everything over it, bars bent by their load. */
export function paneCollisions(vehicle: Vehicle, arrangement: Arrangement, sagMm: SagMm): PaneCollision[] {
  if (!vehicle.obstacles.some(({ kind }) => kind === 'sunroof')) return []
  const all = standing(arrangement, (at) => bent(at, sagMm))
  return vehicle.obstacles.flatMap((sunroof): PaneCollision[] => {
    if (sunroof.kind !== 'sunroof') return []
    const over = all.filter((met) => sharesWidth(met.box, sunroof.widthMm / 2))
    const tilt = tiltOf(sunroof, vehicle)
    const slide = slideBox(sunroof, vehicle)
    return over.flatMap((met): PaneCollision[] => {
      const swept = tilt && sweptBox(tilt, met.box)
      const gap = slide && sideGap(slide, met.box)
      return [
        ...(swept
          ? [
              {
                sunroof,
                opens: 'tilts' as const,
                met,
                touchesAtDeg: swept.kind === 'touches' ? swept.atDeg : undefined,
                gapMm: swept.kind === 'touches' ? 0 : swept.gapMm,
              },
            ]
          : []),
        ...(gap === undefined
          ? []
          : [{ sunroof, opens: 'slides' as const, met, touchesAtDeg: gap <= 0 ? 0 : undefined, gapMm: gap }]),
      ]
    })
  })
}
