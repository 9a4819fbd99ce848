import { rootOf } from '../../survey/arrangement'
import type { PaneMeeting } from '../../survey/fit/meetings'
import type { Survey } from '../../survey/survey'
import { check, practice, type Candidate } from '../check'
import type { Finding } from '../finding'
import { deg, mm } from '../phrase'
import { barsMoved, moved, takenOff, upToMm } from '../remedies/moves'

const idOf = ({ sunroof, way, met }: PaneMeeting) => `sunroof ${sunroof.id} ${way} ${met.kind} ${met.id}`

function remedies(survey: Survey, finding: Finding): Candidate[] {
  const meeting = survey.fit.panes().find((each) => idOf(each) === finding.id)
  if (!meeting) return []
  const { met, sunroof, way } = meeting
  if (!met.thing) return barsMoved(survey)
  const root = rootOf(met.thing)
  const gap = survey.plan.rules.gapsMm.sunroof
  const end = sunroof.openingMm.toMm + (way === 'slides' ? (sunroof.slidesOutside?.travelMm ?? 0) : 0)
  return [
    ...moved(survey, root, upToMm(end + gap - met.box.x0), 0),
    ...moved(survey, root, -upToMm(met.box.x1 + gap - sunroof.openingMm.fromMm), 0),
    takenOff(survey, met.thing),
  ]
}

/** Does a sunroof tilt and slide past everything over it? mm. */
export const sunroof = check({
  id: 'sunroof',
  title: 'Sunroof',
  question: 'Does a sunroof that tilts or slides outside pass every bar and everything over it?',
  formula:
    'tilting: the pane turned about its front edge; sliding: the space it takes on its way; each against what shares width with it',
  source: practice(
    'It clears has cases: one that slides under a bar may still hit it when it tilts. Common practice, no source.',
  ),
  nothing: 'No sunroof moves outside the roof.',
  *run(survey) {
    const wanted = survey.plan.rules.gapsMm.sunroof
    for (const meeting of survey.fit.panes()) {
      const { sunroof: pane, way, met, gapMm, touchesAtDeg } = meeting
      const moving = way === 'tilts' ? 'tilting' : 'sliding'
      const common = {
        id: idOf(meeting),
        rule: 'sunroof',
        state: 'all',
        subject: {
          obstacleId: pane.id,
          placementIds: met.thing ? [met.thing.placement.id] : [],
          ...(met.kind === 'bar' ? { barId: met.id } : {}),
        },
        measured: mm(gapMm),
        limit: mm(wanted),
        margin: mm(gapMm - wanted),
      } as const
      if (touchesAtDeg !== undefined)
        yield {
          ...common,
          severity: 'stop',
          sentence:
            way === 'tilts'
              ? [`${pane.name}, tilting, touches ${met.name} after `, deg(touchesAtDeg), '.']
              : [`${pane.name}, sliding outside, runs into ${met.name}.`],
        }
      else if (gapMm < wanted - 1e-6)
        yield {
          ...common,
          severity: 'mind',
          sentence: [
            `${pane.name}, ${moving}, passes ${met.name} with only `,
            mm(gapMm),
            '; the house wants ',
            mm(wanted),
            '.',
          ],
        }
      else
        yield {
          ...common,
          severity: 'clear',
          sentence: [`${pane.name}, ${moving}, passes ${met.name} with `, mm(gapMm), '.'],
        }
    }
  },
  remedies,
})
