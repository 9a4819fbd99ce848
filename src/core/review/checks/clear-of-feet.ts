import type { ThingAt } from '../../survey/arrangement'
import { contactsKnown, contactYs } from '../../survey/fit/contacts'
import type { Survey } from '../../survey/survey'
import { check, practice, type Candidate } from '../check'
import type { Finding } from '../finding'
import { mm } from '../phrase'
import { moved, takenOff, upToMm } from '../remedies/moves'

/** Only what closes round a bar collides with its feet; what sits in the channel may stand over one. */
const closesRound = ({ gear, placement }: ThingAt) => {
  const kind = (placement.fitting?.adapter?.mount ?? gear.fit.mount).kind
  return kind === 'wrapClamp' || kind === 'uBolt'
}

/** Half of what an unmeasured foot is taken to be wide, for asking only. Common practice, no source. mm. */
const LIKELY_HALF_FOOT_MM = 50

interface Collision {
  readonly barId: string
  readonly barName: string
  readonly contactY: number
  readonly footY: number
  readonly halfFootMm: number | undefined
}

/** The contact of a thing that stands nearest to a foot. */
function nearestFoot(survey: Survey, thing: ThingAt): Collision | undefined {
  const { host } = thing.placement
  if (host.on !== 'bars') return undefined
  const ys = contactYs(thing)
  let found: Collision | undefined
  for (const { bar, rack } of survey.bars) {
    if (!host.barIds.includes(bar.id)) continue
    for (const footY of bar.feetYMm)
      for (const contactY of ys)
        if (!found || Math.abs(contactY - footY) < Math.abs(found.contactY - found.footY))
          found = {
            barId: bar.id,
            barName: bar.name,
            contactY,
            footY,
            halfFootMm: rack.footWidthMm === undefined ? undefined : rack.footWidthMm / 2,
          }
  }
  return found
}

function remedies(survey: Survey, finding: Finding): Candidate[] {
  const thing = survey.thingById.get(finding.subject.placementIds[0] ?? '')
  const near = thing && nearestFoot(survey, thing)
  if (!thing || near?.halfFootMm === undefined) return []
  const inward = near.footY - near.halfFootMm - near.contactY
  const outward = near.footY + near.halfFootMm - near.contactY
  return [
    ...moved(survey, thing, 0, -upToMm(-inward)),
    ...moved(survey, thing, 0, upToMm(outward)),
    takenOff(survey, thing),
  ]
}

/** Do clamps that close round a bar stand clear of its feet? mm. */
export const clearOfFeet = check({
  id: 'clear-of-feet',
  title: 'Clear of the feet',
  question: 'Does every clamp that goes round a bar stand clear of the feet?',
  formula:
    'distance from contact to foot ≥ half the foot’s width; mounts in the channel may stand over a foot',
  source: practice('Common practice, no source.'),
  nothing: 'No clamp goes round a bar.',
  *run(survey) {
    for (const thing of survey.things) {
      if (!closesRound(thing) || !contactsKnown(thing)) continue
      const near = nearestFoot(survey, thing)
      if (!near) continue
      const away = Math.abs(near.contactY - near.footY)
      const common = {
        id: `clear-of-feet ${thing.placement.id}`,
        rule: 'clear-of-feet',
        state: 'all',
        subject: { placementIds: [thing.placement.id], barId: near.barId },
      } as const
      const { name } = thing.gear
      if (near.halfFootMm === undefined && away < LIKELY_HALF_FOOT_MM)
        yield {
          ...common,
          severity: 'findOut',
          sentence: [
            `${name}’s clamp stands `,
            mm(away),
            ` from a foot on ${near.barName.toLowerCase()}: find out how wide the foot is, with a tape.`,
          ],
        }
      else if (near.halfFootMm !== undefined && away < near.halfFootMm - 1e-6)
        yield {
          ...common,
          severity: 'stop',
          margin: mm(away - near.halfFootMm),
          sentence: [
            `${name}’s clamp stands on a foot of ${near.barName.toLowerCase()}: it must go `,
            mm(near.halfFootMm - away),
            ' further from it.',
          ],
        }
      else
        yield {
          ...common,
          severity: 'clear',
          margin: mm(away - (near.halfFootMm ?? 0)),
          sentence: [
            `${name}’s clamps stand at least `,
            mm(away - (near.halfFootMm ?? 0)),
            ' clear of the feet.',
          ],
        }
    }
  },
  remedies,
})
