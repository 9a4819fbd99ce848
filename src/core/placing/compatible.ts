import { GEAR_KINDS } from '../kinds/gear-kind'
import type { SingleCommand } from '../plan/command'
import type { Gear, Turn } from '../plan/gear'
import type { Adapter, Placement } from '../plan/placement'
import { trialThing } from './trial'
import { sizeAsPlaced, type RackAt, type ThingAt } from '../survey/frame/arrangement'
import type { Survey } from '../survey/survey'
import { hostBlockers, placeBlocker, type Blocker } from './blockers'
import { mm, type Phrase } from '../units/phrase'

/** Whether a piece of gear goes on a rack: as all stands now, with changes, or not and why. */
export type Compatible =
  | { readonly kind: 'fits'; readonly placement: Placement }
  | {
      readonly kind: 'fitsIf'
      readonly placement: Placement
      /** What must be done besides putting it on. */
      readonly commands: readonly SingleCommand[]
      readonly say: Phrase
    }
  | { readonly kind: 'cannot'; readonly why: Phrase }

/** A place that was tried, with what stands against it. */
interface Tried {
  readonly thing: ThingAt
  readonly blockers: readonly Blocker[]
}

const needsCarrier = ({ fit }: Gear) => fit.mount.kind === 'none' || fit.mount.kind === 'handle'

/** The free places of carriers on the plan, those made for such a thing first. */
function freePlaces(survey: Survey, gear: Gear): Placement['host'][] {
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

/** The bars of a rack that a thing of this length would stand on: all it reaches and may have, two at least where it can. */
function barsFor(rack: RackAt, gear: Gear, lengthMm: number): RackAt['bars'][] {
  const { bars } = rack
  const most = gear.fit.bars?.to ?? bars.length
  const runs: RackAt['bars'][] = []
  for (let count = Math.min(most, bars.length); count >= 1; count -= 1)
    for (let from = 0; from + count <= bars.length; from += 1) {
      const run = bars.slice(from, from + count)
      const span = (run.at(-1)?.bar.xMm ?? 0) - (run[0]?.bar.xMm ?? 0)
      if (span <= lengthMm) runs.push(run)
    }
  const least = gear.fit.bars?.from ?? (gear.fit.spreadMm ? 2 : 1)
  const enough = runs.filter((run) => run.length >= least)
  const widest = Math.max(0, ...enough.map((run) => run.length))
  return widest === 0 ? [[...bars]] : enough.filter((run) => run.length === widest)
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
function* placesTried(
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

/** How many places are tried for one piece of gear: beyond that a person places it better by hand. */
const MOST_TRIED = 40

function* placements(
  survey: Survey,
  rack: RackAt,
  gear: Gear,
  id: string,
  near?: HeldOver,
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
    for (const run of barsFor(rack, gear, length)) {
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
export interface HeldOver {
  readonly xMm: number
  readonly yMm: number
}

/** The same thing so far forward that the hatch passes it, when that is all that stands in its way. */
function forwarded(survey: Survey, thing: ThingAt, blocker: Blocker | undefined): ThingAt | undefined {
  if (blocker?.cure?.kind !== 'forward') return undefined
  const { placement, gear } = thing
  const moved = trialThing(survey, gear, { ...placement, xMm: placement.xMm - blocker.cure.byMm })
  return moved && placeBlocker(survey, moved) === undefined ? moved : undefined
}

function answer({ thing, blockers }: Tried): Compatible {
  if (blockers.length === 0) return { kind: 'fits', placement: thing.placement }
  const commands: SingleCommand[] = []
  let { placement } = thing
  const say: Phrase[number][] = []
  for (const { cure, message: words } of blockers) {
    if (cure?.kind === 'bars') commands.push(...cure.commands)
    if (cure?.kind === 'fitting')
      placement = { ...placement, fitting: { ...placement.fitting, ...cure.fitting } }
    say.push(...(say.length > 0 ? [' and '] : []), ...words)
  }
  return { kind: 'fitsIf', placement, commands, say }
}

/** The first good place of many, the first that would be good with a change, and what stands against the rest. */
function bestOf(survey: Survey, tries: Iterable<Placement>, gear: Gear, adapters: readonly Adapter[]) {
  // The places tried on one host share its object, and what stands against the host does not change from one to the next.
  const onHost = new Map<Placement['host'], Map<Turn, readonly Blocker[]>>()
  let withChange: Tried | undefined
  let against: Blocker | undefined
  let count = 0
  for (const placement of tries) {
    if ((count += 1) > MOST_TRIED) break
    const thing = trialThing(survey, gear, placement)
    if (!thing) continue
    const turns = onHost.get(placement.host) ?? new Map<Turn, readonly Blocker[]>()
    onHost.set(placement.host, turns)
    const blockers = turns.get(thing.turn) ?? hostBlockers(survey, thing, adapters)
    turns.set(thing.turn, blockers)
    const hopeless = blockers.find(({ cure }) => cure === undefined)
    if (hopeless || (withChange && blockers.length > 0)) {
      against ??= hopeless
      continue
    }
    const blocker = placeBlocker(survey, thing)
    const good = blocker ? forwarded(survey, thing, blocker) : thing
    if (!good) {
      against ??= blocker
      continue
    }
    if (blockers.length === 0) return { found: { thing: good, blockers }, against }
    withChange ??= { thing: good, blockers }
  }
  return { found: withChange, against }
}

/**
 * Whether gear goes on a rack of the plan and where: at the first place that suits it (nearest to `near` when a
 * hand holds it there), with what must be changed, or why not. Weight is another question.
 */
export function compatible(
  survey: Survey,
  gear: Gear,
  rackId: string,
  adapters: readonly Adapter[],
  id: string,
  near?: HeldOver,
): Compatible {
  const rack = survey.racks.find((each) => each.rack.id === rackId)
  if (!rack) return { kind: 'cannot', why: ['there is no such rack'] }
  if (rack.rack.kind === 'ladder') {
    const { xMm, yMm } = rack.rack
    return gear.kind === 'person'
      ? {
          kind: 'fits',
          placement: {
            id,
            gearId: gear.id,
            host: { on: 'ladder', rackId },
            xMm,
            yMm,
            turn: 0,
            onEdge: false,
            when: 'parked',
            loads: [],
          },
        }
      : { kind: 'cannot', why: ['a ladder carries people, parked'] }
  }
  if (gear.kind === 'person') return { kind: 'cannot', why: ['people go on a ladder or in a tent, parked'] }
  const inPlaces = needsCarrier(gear) || GEAR_KINDS[gear.kind].cradled ? freePlaces(survey, gear) : []
  const base = {
    id,
    gearId: gear.id,
    onEdge: false,
    when: gear.when,
    loads: [],
    turn: 0 as const,
    xMm: 0,
    yMm: 0,
  }
  const placed = bestOf(survey, placesTried(survey, inPlaces, gear, base), gear, adapters)
  if (placed.found && (needsCarrier(gear) || placed.found.blockers.length === 0)) return answer(placed.found)
  if (needsCarrier(gear))
    return {
      kind: 'cannot',
      why: placed.against?.message ?? ['it wants a carrier, and none here has a place free'],
    }
  const { found, against } = bestOf(survey, placements(survey, rack, gear, id, near), gear, adapters)
  if (found) return answer(found)
  if ((against?.rule === 'space' || against?.rule === 'usable-width') && !rack.deck) {
    const width = survey.fit.widths().find((each) => each.rack.rack.id === rackId)
    const across = Math.min(...gear.turns.map((turn) => sizeAsPlaced(gear, turn, false).width))
    if (width && width.widestMm < across)
      return { kind: 'cannot', why: [mm(width.widestMm), ' of bar is left, it takes ', mm(across)] }
  }
  return { kind: 'cannot', why: against?.message ?? ['no place was found'] }
}
