import type { Box } from '../../geometry/boxes'
import { packed, type Arrangement, type BarAt, type RackAt, type ThingAt } from '../frame/arrangement'

/** What of a rack lies open to the snow: its deck, or one of its bars. mm². */
interface RackArea {
  readonly rack: RackAt
  readonly bars: readonly BarAt[]
  readonly deck: boolean
  readonly box: Box
  readonly areaMm2: number
}

/** Every area seen from above, once: charged to the topmost thing, deck or bar there. mm². */
interface SnowAreas {
  readonly things: ReadonlyMap<ThingAt, number>
  readonly racks: readonly RackArea[]
}

type Cover = { readonly box: Box } & (
  | { readonly thing: ThingAt }
  | { readonly rack: RackAt; readonly bars: readonly BarAt[]; readonly deck: boolean }
)

const edges = (list: readonly number[]) => [...new Set(list)].sort((a, b) => a - b)

/** The area of each box that no higher one covers, by a grid through all their edges. mm². */
function openAreas(boxes: readonly Box[]): number[] {
  const xs = edges(boxes.flatMap(({ x0, x1 }) => [x0, x1]))
  const ys = edges(boxes.flatMap(({ y0, y1 }) => [y0, y1]))
  const column = new Map(xs.map((x, i) => [x, i]))
  const row = new Map(ys.map((y, i) => [y, i]))
  const top = new Int32Array(xs.length * ys.length).fill(-1)
  const lowestFirst = boxes
    .map((_, i) => i)
    .sort((a, b) => (boxes[a]?.z1 ?? 0) - (boxes[b]?.z1 ?? 0) || a - b)
  for (const i of lowestFirst) {
    const box = boxes[i]
    if (!box) continue
    for (let x = column.get(box.x0) ?? 0; x < (column.get(box.x1) ?? 0); x += 1)
      top.fill(i, x * ys.length + (row.get(box.y0) ?? 0), x * ys.length + (row.get(box.y1) ?? 0))
  }
  const areas = boxes.map(() => 0)
  for (let x = 0; x + 1 < xs.length; x += 1)
    for (let y = 0; y + 1 < ys.length; y += 1) {
      const i = top[x * ys.length + y] ?? -1
      if (i >= 0)
        areas[i] = (areas[i] ?? 0) + ((xs[x + 1] ?? 0) - (xs[x] ?? 0)) * ((ys[y + 1] ?? 0) - (ys[y] ?? 0))
    }
  return areas
}

/** What lies open to the snow while parked: things that are not packed away, decks, and bars without one. mm². */
export function snowAreas(arrangement: Arrangement, parked: readonly ThingAt[]): SnowAreas {
  const covers: Cover[] = [
    ...arrangement.racks.flatMap((rack): Cover[] =>
      rack.deck
        ? [{ rack, bars: rack.bars, deck: true, box: rack.deck.box }]
        : rack.bars.map((at): Cover => ({ rack, bars: [at], deck: false, box: at.box })),
    ),
    ...parked
      .filter((thing) => !packed(thing) && thing.placement.host.on !== 'ladder')
      .map((thing): Cover => ({ thing, box: thing.box })),
  ]
  const areas = openAreas(covers.map(({ box }) => box))
  const things = new Map<ThingAt, number>()
  const racks: RackArea[] = []
  covers.forEach((cover, i) => {
    const areaMm2 = areas[i] ?? 0
    if (areaMm2 <= 0) return
    if ('thing' in cover) things.set(cover.thing, areaMm2)
    else racks.push({ ...cover, areaMm2 })
  })
  return { things, racks }
}
