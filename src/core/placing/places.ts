import { mountTraits } from '../kinds/mount'
import { GEAR_KINDS } from '../kinds/gear-kind'
import type { Gear, Turn } from '../plan/schema/gear'
import type { Placement } from '../plan/schema/placement'
import { sizeAsPlaced, type RackAt } from '../survey/frame/arrangement'
import type { Survey } from '../survey/survey'

/** Whether something lies in a carrier and never on bars. */
export const needsCarrier = ({ fit }: Gear) => mountTraits(fit.mount.kind).fitted === 'inCarrier'

/** The free places of carriers on the plan, those made for such a thing first. */
export function freePlaces(survey: Survey, gear: Gear): Placement['host'][] {
  const taken = new Set(
    survey.things.flatMap(({ placement: { host } }) =>
      host.on === 'place' ? [`${host.placementId} ${host.placeId}`] : [],
    ),
  )
  const wanted = GEAR_KINDS[gear.kind].cradled ? ['cradle'] : ['tray', 'clamp', 'inside', 'deck']
  return survey.things
    .flatMap(({ gear: carrier, placement }) =>
      (carrier.carries?.places ?? []).map((place) => ({ place, placementId: placement.id })),
    )
    .filter(
      ({ place, placementId }) =>
        wanted.includes(place.kind) &&
        (place.kind === 'deck' || place.kind === 'inside' || !taken.has(`${placementId} ${place.id}`)),
    )
    .toSorted((a, b) => wanted.indexOf(a.place.kind) - wanted.indexOf(b.place.kind))
    .map(({ place, placementId }) => ({ on: 'place', placementId, placeId: place.id }))
}

/** The bars of a rack that a thing of this length stands on: as many as it reaches and may have, or fewer where a hand holds it. */
function barsFor(rack: RackAt, gear: Gear, lengthMm: number, atPointer: boolean): RackAt['bars'][] {
  const { bars } = rack
  const atMost = gear.fit.bars?.to ?? bars.length
  const runs: RackAt['bars'][] = []
  for (let count = Math.min(atMost, bars.length); count >= 1; count -= 1)
    for (let from = 0; from + count <= bars.length; from += 1) {
      const run = bars.slice(from, from + count)
      const span = (run.at(-1)?.bar.xMm ?? 0) - (run[0]?.bar.xMm ?? 0)
      if (span <= lengthMm) runs.push(run)
    }
  const least = gear.fit.bars?.from ?? (gear.fit.spreadMm ? 2 : 1)
  const enough = runs.filter((run) => run.length >= least)
  const most = enough[0]?.length
  if (most === undefined) return [[...bars]]
  return atPointer ? enough : enough.filter((run) => run.length === most)
}

/** Middles across the vehicle worth trying on a rack: its middle, beside what stands there, and at either end. mm. */
function middlesAcross(survey: Survey, rack: RackAt, widthMm: number, near: number | undefined): number[] {
  const width = survey.fit.widths().find((each) => each.rack.rack.id === rack.rack.id)
  const deck = rack.deck?.box
  const half = widthMm / 2
  const stretches = deck ? [[deck.y0, deck.y1] as const] : (width?.free ?? [])
  const gap = survey.plan.rules.gapsMm.between
  const beside = survey.things
    .filter(({ parent }) => !parent)
    .flatMap(({ box }) => [box.y0 - gap - half, box.y1 + gap + half])
  const inside = stretches
    .filter(([from, to]) => to - from >= widthMm - 1e-6)
    .flatMap(([from, to]) => {
      const [low, high] = [from + half, to - half]
      return [Math.min(Math.max(near ?? 0, low), high), low, high]
    })
  const all = near === undefined ? [0, ...inside, ...beside] : [near, ...inside, ...beside, 0]
  return [...new Set(all.map((y) => Math.round(y * 10) / 10))].toSorted(
    (a, b) => Math.abs(a - (near ?? 0)) - Math.abs(b - (near ?? 0)),
  )
}

/** Where in free places a thing is tried: in the middle, and on a deck also at its corners and sides. */
export function* placesTried(
  survey: Survey,
  hosts: readonly Placement['host'][],
  gear: Gear,
  base: Omit<Placement, 'host'>,
): Iterable<Placement> {
  for (const host of hosts) {
    if (host.on !== 'place') continue
    const parent = survey.thingById.get(host.placementId)
    const place = parent?.gear.carries?.places.find((each) => each.id === host.placeId)
    if (place?.kind !== 'deck' || !parent) {
      yield { ...base, host }
      continue
    }
    const x = Math.max(0, (parent.gear.lengthMm - gear.lengthMm) / 2)
    const y = Math.max(0, (parent.gear.widthMm - gear.widthMm) / 2)
    for (const xMm of [...new Set([0, -x, x])])
      for (const yMm of [...new Set([0, -y, y])]) yield { ...base, host, xMm, yMm }
  }
}

export function* placements(
  survey: Survey,
  rack: RackAt,
  gear: Gear,
  id: string,
  near?: PointerPlace,
): Iterable<Placement> {
  // Thousands are made for a whole shelf: written out, they are all of one shape and made at once.
  const placed = (turn: Turn, host: Placement['host'], xMm: number, yMm: number): Placement => ({
    id,
    gearId: gear.id,
    onEdge: false,
    when: gear.when,
    loads: [],
    turn,
    host,
    xMm,
    yMm,
  })
  const turns: readonly Turn[] = [0, 90, 180, 270]
  const allowed = turns.filter(
    (turn) => gear.turns.includes(turn) && (turn < 180 || !gear.turns.includes((turn - 180) as Turn)),
  )
  for (const turn of allowed) {
    const { length, width } = sizeAsPlaced(gear, turn, false)
    const ys = middlesAcross(survey, rack, width, near?.yMm)
    if (rack.deck) {
      const { box } = rack.deck
      const middle = (box.x0 + box.x1) / 2
      const xs =
        near === undefined
          ? [middle, box.x0 + length / 2, box.x1 - length / 2]
          : [near.xMm, Math.min(Math.max(near.xMm, box.x0 + length / 2), box.x1 - length / 2)]
      const gap = survey.plan.rules.gapsMm.between
      const along = survey.things
        .filter(({ parent, placement }) => !parent && placement.host.on === 'deck')
        .flatMap(({ box: other }) => [other.x0 - gap - length / 2, other.x1 + gap + length / 2])
        .filter((x) => x - length / 2 >= box.x0 && x + length / 2 <= box.x1)
      const host: Placement['host'] = { on: 'deck', rackId: rack.rack.id }
      for (const xMm of new Set([...xs, ...along].map((x) => Math.round(x * 10) / 10)))
        for (const yMm of ys) yield placed(turn, host, xMm, yMm)
      continue
    }
    for (const run of barsFor(rack, gear, length, near !== undefined)) {
      const [front, rear] = [run[0]?.bar.xMm ?? 0, run.at(-1)?.bar.xMm ?? 0]
      const host: Placement['host'] = { on: 'bars', barIds: run.map(({ bar }) => bar.id) }
      const middle = (front + rear) / 2
      const reach = [rear - length / 2, front + length / 2] as const
      const xMm =
        near === undefined || reach[0] > reach[1] ? middle : Math.min(Math.max(near.xMm, reach[0]), reach[1])
      for (const yMm of ys) yield placed(turn, host, xMm, yMm)
    }
  }
}

/** Where a hand holds a thing over the drawing: its middle, mm. */
export interface PointerPlace {
  readonly xMm: number
  readonly yMm: number
}
