import { hasSpacing } from '../kinds/mount'
import type { Gear } from '../plan/schema/gear'
import { distanceMm, overlap } from '../geometry/boxes'
import { rootOf, type ThingAt } from '../survey/frame/arrangement'
import { gapToCab, openedTent, opensToward, type Side } from '../survey/openings/tent'
import type { Survey } from '../survey/survey'
import { atLeast, atMost, between, type Compared } from './comparison'

/** A tent as it opens, held against all that it has to suit. mm. */
interface TentFacts {
  readonly thing: ThingAt
  readonly side: Side
  readonly opens: NonNullable<Gear['opens']>
  /** How far its floor stands over the ground, against what its ladder spans. */
  readonly ladder: { readonly compared: Compared; readonly fromMm: number; readonly toMm: number } | undefined
  /** What it opens into, brings its ladder down on, or passes closely. */
  readonly meets: readonly {
    readonly other: ThingAt
    readonly with: 'floor' | 'ladder' | 'neither'
    /** How near its opened floor comes to it; below nought it is in it. */
    readonly floorMm: number
  }[]
  /** Its ladder spans so far and so far, and nobody knows how high its floor stands. */
  readonly floorUnknown: boolean
  /** What is left to the cab, against what its cover takes. */
  readonly cover: Compared | undefined
  /** What the shorter of its bars offers, where its brackets lie across the vehicle. */
  readonly brackets: Compared | undefined
  /** How far its middle is off the centreline, against what the house leaves alone. */
  readonly centred: Compared
  readonly offTo: 'left' | 'right'
}

/** What an opened floor passes nearer than this is told of. mm */
const CLOSE_MM = 150

export const middleY = ({ box }: ThingAt) => (box.y0 + box.y1) / 2

function bracketsOf(survey: Survey, thing: ThingAt): Compared | undefined {
  const { mount } = thing.gear.fit
  const { host } = thing.placement
  const across = thing.turn === 90 || thing.turn === 270
  if (!hasSpacing(mount) || (mount.direction === 'across') === across || host.on !== 'bars') return undefined
  const usable = survey.bars.filter(({ bar }) => host.barIds.includes(bar.id)).map(({ bar }) => bar.usableMm)
  return atLeast(Math.min(...usable), mount.spacingMm.fromMm)
}

function factsOf(survey: Survey, thing: ThingAt): TentFacts | undefined {
  const { opens } = thing.gear
  const opened = openedTent(thing)
  const side = opensToward(thing)
  if (!opens || !opened || side === undefined) return undefined
  const { rules, vehicle } = survey.plan
  const drop = opens.ladder?.dropMm
  const others = survey.things.filter((other) => rootOf(other) !== rootOf(thing))
  const gap = opens.coverGapMm === undefined ? undefined : gapToCab(vehicle, survey.body, thing.box)
  return {
    thing,
    side,
    opens,
    ladder:
      drop && opened.dropMm !== undefined
        ? { compared: between(opened.dropMm, drop.fromMm, drop.toMm), ...drop }
        : undefined,
    floorUnknown: drop !== undefined && opened.dropMm === undefined,
    meets: others.flatMap((other): TentFacts['meets'] => {
      const floorMm = distanceMm(opened.floor, other.box)
      if (overlap(opened.floor, other.box)) return [{ other, with: 'floor', floorMm }]
      if (opened.ladder && overlap(opened.ladder, other.box)) return [{ other, with: 'ladder', floorMm }]
      return floorMm < CLOSE_MM ? [{ other, with: 'neither', floorMm }] : []
    }),
    cover: opens.coverGapMm === undefined || gap === undefined ? undefined : atLeast(gap, opens.coverGapMm),
    brackets: bracketsOf(survey, thing),
    centred: atMost(Math.abs(middleY(thing)), rules.tolerancesMm.parallel, 'exact'),
    offTo: middleY(thing) < 0 ? 'left' : 'right',
  }
}

/** Every tent that says how it opens. */
export const tents = (survey: Survey): readonly TentFacts[] =>
  survey.things.flatMap((thing) => factsOf(survey, thing) ?? [])
