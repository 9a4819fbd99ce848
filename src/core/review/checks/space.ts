import { rootOf, type ThingAt } from '../../survey/arrangement'
import type { Near } from '../../survey/fit/space'
import type { Survey } from '../../survey/survey'
import { check, practice, type Candidate } from '../check'
import type { Finding } from '../finding'
import { mm } from '../phrase'
import { flipped, moved, takenOff, turnedAbout, upToMm } from '../remedies/moves'

const idOf = ({ a, b }: Near) => `space ${a.placement.id} ${b.placement.id}`

/** The four ways out of another thing's way, with the house's gap between them. */
function waysOut(survey: Survey, thing: ThingAt, other: ThingAt): Candidate[] {
  const gap = survey.plan.rules.gapsMm.between
  const [a, b] = [thing.box, other.box]
  return [
    ...moved(survey, thing, 0, upToMm(b.y1 + gap - a.y0)),
    ...moved(survey, thing, 0, -upToMm(a.y1 + gap - b.y0)),
    ...moved(survey, thing, upToMm(b.x1 + gap - a.x0), 0),
    ...moved(survey, thing, -upToMm(a.x1 + gap - b.x0), 0),
  ]
}

function remedies(survey: Survey, finding: Finding): Candidate[] {
  const near = survey.fit.near().find((each) => idOf(each) === finding.id)
  if (!near) return []
  const [a, b] = [near.a, near.b]
  const apart = rootOf(a) === rootOf(b) ? [a, b] : [rootOf(a), rootOf(b)]
  const [first, second] = apart
  if (!first || !second) return []
  return [
    ...waysOut(survey, first, second),
    ...waysOut(survey, second, first),
    ...apart.flatMap(turnedAbout),
    ...apart.flatMap(flipped),
    ...apart.map((thing) => takenOff(survey, thing)),
  ]
}

/** Does nothing stand where something else is, and is the house's gap kept? mm. */
export const space = check({
  id: 'space',
  title: 'Space',
  question: 'Does nothing stand where something else is, with the house’s gap between things?',
  formula:
    'upright boxes, turned or on edge, with finer outlines where given; touching is not overlapping; nearer than the gap is Mind',
  source: practice('The gap is a house rule. Common practice, no source.'),
  law: 'notOfMass',
  nothing: 'There are no two things on the plan.',
  *run(survey) {
    const gap = survey.plan.rules.gapsMm.between
    const all = survey.fit.near()
    if (all.length === 0 && survey.things.length > 1)
      yield {
        id: 'space all',
        rule: 'space',
        state: 'all',
        subject: { placementIds: [] },
        severity: 'clear',
        sentence: [`None of ${survey.things.length} things is nearer to another than `, mm(gap), '.'],
      }
    for (const near of all) {
      const [a, b] = [near.a.gear.name, near.b.gear.name]
      const common = {
        id: idOf(near),
        rule: 'space',
        state: 'all',
        subject: { placementIds: [near.a.placement.id, near.b.placement.id] },
      } as const
      if (near.kind === 'overlap')
        yield {
          ...common,
          severity: 'stop',
          margin: mm(-near.intoMm),
          sentence: [`${a} and ${b} are in each other’s way by `, mm(near.intoMm), '.'],
        }
      else
        yield {
          ...common,
          severity: 'mind',
          measured: mm(near.gapMm),
          limit: mm(gap),
          margin: mm(near.gapMm - gap),
          sentence: [`${a} and ${b} stand `, mm(near.gapMm), ' apart; the house wants ', mm(gap), '.'],
        }
    }
  },
  remedies,
})
