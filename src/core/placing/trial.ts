import type { ObstacleKind } from '../kinds/obstacle'
import { endsShort } from '../facts/on-bars'
import { standsPast } from '../facts/usable-widths'
import { usableWidth } from '../review/checks/usable-width'
import { onItsBars } from '../review/checks/on-its-bars'
import type { Gear } from '../plan/schema/gear'
import type { Placement } from '../plan/schema/placement'
import type { Check } from '../review/check'
import { PLACE_CHECKS } from '../review/checks'
import { antenna } from '../review/checks/antenna'
import { hatch } from '../review/checks/hatch'
import { loadOverhang } from '../review/checks/load-overhang'
import { sideOverhang } from '../review/checks/side-overhang'
import { space } from '../review/checks/space'
import { sunroof } from '../review/checks/sunroof'
import { tent } from '../review/checks/tent'
import { placeOnHost, type FrameContext, type ThingAt } from '../survey/frame/arrangement'
import { nearThing } from '../survey/frame/space'
import { paneCollisions, swingCollisions } from '../survey/openings/collisions'
import { outOfReach } from '../geometry/sweep'
import { forwardToClear, sharesWidth, sideOf, swingsOf } from '../survey/openings/swings'
import type { Survey } from '../survey/survey'
import type { Phrase } from '../units/phrase'
import { memo } from '../units/memo'

type Asks = (survey: Survey, thing: ThingAt) => boolean
const has =
  (kind: ObstacleKind): Asks =>
  ({ plan }) =>
    plan.vehicle.obstacles.some((obstacle) => obstacle.kind === kind)

/** The first thing that shares space with this one. */
const inItsWay: (survey: Survey, thing: ThingAt) => ThingAt | undefined = ({ things }, thing) =>
  nearThing(things, thing, 0).find(({ kind }) => kind === 'overlap')?.b

/** The facts that rule most places out at once, without a sentence: a whole shelf tries thousands of places. */
interface AtOnce {
  readonly check: Check
  readonly stops: Asks
  readonly words?: (survey: Survey, thing: ThingAt) => Phrase
  /** Whether the check has other Stops, for which it is run too. */
  readonly more: boolean
}
const QUICK_RULES: readonly AtOnce[] = [
  { check: onItsBars, stops: endsShort, more: true },
  { check: usableWidth, stops: standsPast, more: false },
  {
    check: space,
    stops: (survey, thing) => inItsWay(survey, thing) !== undefined,
    words: (survey, thing) => [`${inItsWay(survey, thing)?.gear.name ?? 'something'} is in its way`],
    more: false,
  },
]

/** When there is nothing to ask a check for, which spares running it; any other is asked always. */
const ONLY_WHERE: ReadonlyMap<Check, Asks> = new Map<Check, Asks>([
  [onItsBars, (_, { placement }) => placement.host.on === 'bars'],
  [sideOverhang, (_, { gear }) => gear.fit.overhangMm !== undefined],
  [hatch, inReach],
  [sunroof, has('sunroof')],
  [antenna, has('antenna')],
  [tent, ({ things }, { gear }) => [gear, ...things.map((each) => each.gear)].some(({ opens }) => opens)],
  [loadOverhang, ({ body }, { box }) => box.x0 < body.noseXMm || box.x1 > body.tailXMm],
])

const asked = (decidesPlace: Check['decidesPlace']) =>
  PLACE_CHECKS.filter((check) => check.decidesPlace === decidesPlace)

/** What each thing is asked by itself. */
const SINGLE_RULES = asked('ofEachThing').filter((each) =>
  QUICK_RULES.every(({ check, more }) => more || check !== each),
)

/** What looks at all things together. */
const WHOLE_RULES = asked('ofAllThings')

/** Why a check stops something at a place. */
export interface Blocked {
  readonly rule: string
  words(): Phrase
}

const around = new WeakMap<Survey, FrameContext>()

function aroundOf(survey: Survey): FrameContext {
  const cached = around.get(survey)
  if (cached) return cached
  const bars = new Map(survey.bars.map((at) => [at.bar.id, at]))
  const racks = new Map(survey.racks.map((at) => [at.rack.id, at]))
  const made: FrameContext = {
    vehicle: survey.plan.vehicle,
    bar: (id) => bars.get(id),
    rack: (id) => racks.get(id),
    thing: (id) => survey.thingById.get(id),
  }
  around.set(survey, made)
  return made
}

/** A thing as it would stand, without putting it on the plan. */
export const trialThing = (survey: Survey, gear: Gear, placement: Placement): ThingAt =>
  placeOnHost(aroundOf(survey), gear, placement, survey.things.length)

/** The survey as if the thing were all that stands on the racks, but for what it may meet there. */
function about(survey: Survey, thing: ThingAt): Survey {
  const { vehicle, rules } = survey.plan
  const alone = { ...survey, things: [thing], bars: [], racks: [] }
  return {
    ...survey,
    things: [thing],
    fit: {
      ...survey.fit,
      near: memo(
        undefined,
        () => [thing],
        () => nearThing(survey.things, thing, rules.gapsMm.between),
      ),
      swings: memo(
        undefined,
        () => [thing],
        () => swingCollisions(vehicle, alone),
      ),
      panes: memo(
        undefined,
        () => [thing],
        () => paneCollisions(vehicle, alone, survey.statics.sagMm),
      ),
    },
  }
}

function stopOf(checks: readonly Check[], survey: Survey, thing: ThingAt): Blocked | undefined {
  const { gear, placement } = thing
  for (const check of checks)
    if (ONLY_WHERE.get(check)?.(survey, thing) ?? true)
      for (const { severity, rule, subject, sentence } of check.run(survey))
        if (severity === 'stop' && subject.placementIds.includes(placement.id))
          return { rule, words: () => withoutName(sentence, gear.name) }
  return undefined
}

/** A sentence that begins with the thing's name, for a line that stands under it. */
function withoutName([first, ...rest]: Phrase, name: string): Phrase {
  return typeof first === 'string' && first.startsWith(`${name} `)
    ? [first.slice(name.length + 1), ...rest]
    : [first ?? '', ...rest]
}

/** Whether any hatch may reach a thing at all: far fewer are than are swept exactly. */
function inReach({ plan: { vehicle } }: Survey, { box }: ThingAt): boolean {
  return vehicle.obstacles.some(
    (obstacle) =>
      obstacle.kind === 'hatch' &&
      sharesWidth(box, obstacle.halfWidthMm) &&
      swingsOf(obstacle, vehicle.obstacles).some((swing) => !outOfReach(swing, sideOf(box), 0)),
  )
}

/** The first Stop that the checks themselves have for a thing at a place; nothing where they have none. */
export function stopsAt(survey: Survey, thing: ThingAt): Blocked | undefined {
  const atOnce = QUICK_RULES.find(({ stops }) => stops(survey, thing))
  if (atOnce) {
    const { check, words } = atOnce
    return {
      rule: check.id,
      words: () =>
        words?.(survey, thing) ?? stopOf([check], about(survey, thing), thing)?.words() ?? [check.title],
    }
  }
  return (
    stopOf(SINGLE_RULES, about(survey, thing), thing) ??
    stopOf(WHOLE_RULES, { ...survey, things: [...survey.things, thing] }, thing)
  )
}

/** The place so far forward that the hatch passes, where the hatch is all that stands in the way. mm. */
export function forwardOfHatch(survey: Survey, thing: ThingAt, { rule }: Blocked): Placement | undefined {
  if (rule !== hatch.id) return undefined
  const { gear, placement } = thing
  const gap = survey.plan.rules.gapsMm.hatch
  const shifts = about(survey, thing)
    .fit.swings()
    .filter(
      ({ hatch: each, swept, met }) =>
        each.kind === 'hatch' && swept.kind === 'touches' && met.kind === 'thing',
    )
    .map(({ swings }) => forwardToClear(swings, thing.box, gap))
  if (shifts.length === 0 || shifts.some((by) => by === undefined)) return undefined
  const moved = { ...placement, xMm: placement.xMm - Math.ceil(Math.max(...shifts.map((by) => by ?? 0))) }
  return stopsAt(survey, trialThing(survey, gear, moved)) ? undefined : moved
}
