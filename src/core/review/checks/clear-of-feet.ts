import { type Said, check, practice } from '../check'
import type { ThingAt } from '../../survey/frame/arrangement'
import { contactsKnown, contactYs } from '../../survey/mounting/contacts'
import type { Survey } from '../../survey/survey'
import { shortOf } from '../../units/tolerance'
import { mm } from '../../units/phrase'

/** Only what closes round a bar collides with its feet; what sits in the channel may stand over one. */
const closesRound = ({ gear, placement }: ThingAt) => {
  const kind = (placement.fitting?.adapter?.mount ?? gear.fit.mount).kind
  return kind === 'wrapClamp' || kind === 'uBolt'
}

/** No foot and no clamp is taken to be wider than this where nobody measured it. Common practice, no source. mm. */
const WIDEST_FOOT_MM = 300
const WIDEST_CLAMP_MM = 160

interface Nearest {
  readonly rackId: string
  readonly barId: string
  readonly barName: string
  readonly contactY: number
  readonly footY: number
  readonly awayMm: number
  readonly footMm: number | undefined
  readonly clampMm: number | undefined
}

/** The contact of a thing that stands nearest to a foot. */
export function nearestFoot(survey: Survey, thing: ThingAt): Nearest | undefined {
  const { host } = thing.placement
  if (host.on !== 'bars') return undefined
  let found: Nearest | undefined
  for (const { bar, rack } of survey.bars) {
    if (!host.barIds.includes(bar.id)) continue
    for (const footY of bar.feetYMm)
      for (const contactY of contactYs(thing)) {
        const awayMm = Math.abs(contactY - footY)
        if (found && awayMm >= found.awayMm) continue
        found = {
          rackId: rack.id,
          barId: bar.id,
          barName: bar.name,
          contactY,
          footY,
          awayMm,
          footMm: rack.footWidthMm,
          clampMm: thing.gear.fit.baseMm,
        }
      }
  }
  return found
}

export const wanted = ({ footMm, clampMm }: Nearest, foot: number, clamp: number) =>
  ((footMm ?? foot) + (clampMm ?? clamp)) / 2

function findingOf(thing: ThingAt, near: Nearest): Said {
  const { name, id: gearId } = thing.gear
  const common = {
    about: thing.placement.id,
    state: 'all',
    subject: { placementIds: [thing.placement.id], barId: near.barId },
  } as const
  const [least, most] = [wanted(near, 0, 0), wanted(near, WIDEST_FOOT_MM, WIDEST_CLAMP_MM)]
  if (shortOf(near.awayMm, least))
    return {
      ...common,
      severity: 'stop',
      margin: mm(near.awayMm - least),
      sentence: [
        `${name}’s clamp stands on a foot of ${near.barName}: it must go `,
        mm(least - near.awayMm),
        ' further from it.',
      ],
    }
  if (!shortOf(near.awayMm, most))
    return {
      ...common,
      severity: 'clear',
      margin: mm(near.awayMm - most),
      sentence: [`${name}’s clamps stand at least `, mm(near.awayMm - most), ' clear of the feet.'],
    }
  const foot = near.footMm === undefined
  return {
    ...common,
    severity: 'findOut',
    sentence: [
      `${name}’s clamp stands `,
      mm(near.awayMm),
      ` from the middle of a foot on ${near.barName}: find out how wide ${foot ? 'the foot is' : 'its clamp is along the bar'}, with a tape.`,
    ],
    ask: foot
      ? {
          where: 'tape',
          label: 'Width of a foot, along the bar',
          target: { field: 'footWidth', rackId: near.rackId },
        }
      : {
          where: 'tape',
          label: `Width of ${name}’s clamp, along the bar`,
          target: { field: 'base', gearId },
        },
  }
}

/** Do clamps that close round a bar stand clear of its feet? mm. */
export const clearOfFeet = check({
  id: 'clear-of-feet',
  title: 'Clear of the feet',
  question: 'Does every clamp that goes round a bar stand clear of the feet?',
  formula:
    'distance from contact to foot ≥ half the foot’s width and half the clamp’s; mounts in the channel may stand over a foot',
  source: practice('Common practice, no source.'),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  lengths: { of: { bar: /^feetYMm/, rack: /^footWidthMm$/, gear: /Mm$/ }, reach: 1 },
  nothing: 'No clamp that stands on a bar with feet goes round it.',
  *run(survey) {
    for (const thing of survey.things) {
      if (!closesRound(thing)) continue
      const near = nearestFoot(survey, thing)
      if (!near) continue
      if (contactsKnown(thing)) {
        yield findingOf(thing, near)
        continue
      }
      yield {
        about: thing.placement.id,
        state: 'all',
        subject: { placementIds: [thing.placement.id], barId: near.barId },
        severity: 'findOut',
        sentence: [
          `${thing.gear.name}’s clamps go round the bar, and nobody has said where they touch it: whether they stand clear of the feet hangs on that.`,
        ],
        ask: {
          where: 'tape',
          label: `${thing.gear.name}: from one clamp to the other, across`,
          target: { field: 'contacts', gearId: thing.gear.id },
        },
      }
    }
  },
})
