import { whose } from '../../units/words'
import { mountTraits } from '../../kinds/mount'
import { fails, overBy, spareOf } from '../../facts/comparison'
import { nearestFoot } from '../../facts/foot-clearances'
import { type FindingDraft, check, practice } from '../check'
import type { ThingAt } from '../../survey/frame/arrangement'
import { contactsKnown } from '../../survey/mounting/contacts'
import { mm, missing, toSpare } from '../../units/phrase'

/** Only a mount that closes round a bar collides with its feet; one in the channel may be over a foot. */
const closesRound = ({ gear, placement }: ThingAt) =>
  mountTraits((placement.fitting?.adapter?.mount ?? gear.fit.mount).kind).closesRound === true

function findingOf(thing: ThingAt, near: NonNullable<ReturnType<typeof nearestFoot>>): FindingDraft {
  const { name, id: gearId } = thing.gear
  const common = {
    about: thing.placement.id,
    state: 'all',
    subject: { placementIds: [thing.placement.id], barId: near.barId },
  } as const
  const { least, most } = near
  if (fails(least))
    return {
      ...common,
      severity: 'stop',
      margin: mm(-overBy(least)),
      sentence: [
        `${whose(name)} clamp stands on a foot of ${near.barName}: it must go `,
        missing(mm(overBy(least))),
        ' further from it.',
      ],
    }
  if (!fails(most))
    return {
      ...common,
      severity: 'clear',
      margin: mm(spareOf(most)),
      sentence: [`${whose(name)} clamps stand at least `, toSpare(mm(spareOf(most))), ' clear of the feet.'],
    }
  const foot = near.footMm === undefined
  return {
    ...common,
    severity: 'findOut',
    sentence: [
      `${whose(name)} clamp stands `,
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
          label: `Width of ${whose(name)} clamp, along the bar`,
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
  decidesPlace: 'ofEachThing',
  houseLook: 'none',
  turnedBy: { lengths: { of: { bar: /^feetYMm/, rack: /^footWidthMm$/, gear: /Mm$/ }, reach: 1 } },
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
          `${whose(thing.gear.name)} clamps go round the bar, and their contacts with it are not known, so their clearance from the feet is unknown.`,
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
