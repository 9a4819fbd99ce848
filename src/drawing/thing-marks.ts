import { sizeAsPlaced, type ThingAt } from '@/core/api/assess'
import type { ThingPaths } from './hull-paths'
import type { ViewName } from './layout'
import type { Mark } from './mark'
import { boxPath } from './path'
import { thingPaths } from './thing-paths'

/** The middle of a thing in a view's own mm, u right and v up. */
export function middleOf({ box }: ThingAt, view: ViewName): readonly [number, number] {
  const x = (box.x0 + box.x1) / 2
  const y = (box.y0 + box.y1) / 2
  const z = (box.z0 + box.z1) / 2
  return view === 'side' ? [x, z] : view === 'plan' ? [x, y] : [y, z]
}

/** Length and height of a thing's box in a view, mm. */
export function sizeIn({ box }: ThingAt, view: ViewName): readonly [number, number] {
  const length = box.x1 - box.x0
  const width = box.y1 - box.y0
  const height = box.z1 - box.z0
  return view === 'side' ? [length, height] : view === 'plan' ? [length, width] : [width, height]
}

/** A thing's outline and details in a view, about its middle. */
export function pathsOf(thing: ThingAt, view: ViewName): ThingPaths {
  const [width, height] = sizeIn(thing, view)
  const { onEdge } = thing.placement
  const lying = thing.turn === 0 || thing.turn === 180
  if (view === 'plan') {
    const own = sizeAsPlaced(thing.gear, 0, onEdge)
    return thingPaths(thing.gear, 'above', own.length, own.width, onEdge)
  }
  return thingPaths(thing.gear, (view === 'side') === lying ? 'along' : 'across', width, height, onEdge)
}

/** What hangs under a thing and stands over it, of which only the reach is known: a narrow box at its middle, in its own mm. */
function reachPath({ box, outer }: ThingAt, view: ViewName): string {
  if (view === 'plan' || outer === box) return ''
  const half = (view === 'side' ? box.x1 - box.x0 : box.y1 - box.y0) / 8
  const height = (box.z1 - box.z0) / 2
  const [under, over] = [box.z0 - outer.z0, outer.z1 - box.z1]
  return [
    under > 0 ? boxPath(-half, -height - under, half, -height) : '',
    over > 0 ? boxPath(-half, height, half, height + over) : '',
  ].join('')
}

/** Where a thing is drawn in a view, and how it is turned there. */
export function placedAt(thing: ThingAt, view: ViewName): string {
  const [u, v] = middleOf(thing, view)
  const mirrored = view === 'side' && thing.turn === 180 ? ' scale(-1 1)' : ''
  return `translate(${u} ${v})${view === 'plan' ? ` rotate(${thing.turn})` : mirrored}`
}

/** A thing in one view, about its own middle. */
export function thingMarks(thing: ThingAt, view: ViewName): readonly Mark[] {
  const { outline, detail } = pathsOf(thing, view)
  return [
    { d: outline, variant: 'draw-thing' },
    ...[reachPath(thing, view), detail].filter((d) => d !== '').map((d) => ({ d, variant: 'draw-detail' })),
  ]
}
