import { type Said, check, practice } from '../check'
import { exceeds } from '../../units/tolerance'
import { footFigures, LIFTED_KG } from '../../survey/statics/evenness'
import type { Survey } from '../../survey/survey'
import { kg } from '../../units/phrase'

function* ofRack(survey: Survey, rackIndex: number): Iterable<Said> {
  const rack = survey.racks[rackIndex]
  const feet = survey.motion
    .sleepers()
    .filter(({ footIndex }) => survey.feet[footIndex]?.rackIndex === rackIndex)
  const slept = feet.filter(({ mostKg, leastKg }) => mostKg - leastKg > 1e-9)
  if (!rack || slept.length === 0) return
  const most = slept.reduce((so, each) => (each.mostKg > so.mostKg ? each : so))
  const least = slept.reduce((so, each) => (each.leastKg < so.leastKg ? each : so))
  const corner = (footIndex: number) => survey.feet[footIndex]?.corner ?? ''
  const figure = footFigures(survey.loadPath, rack.rack.id, 'parked').find(({ per }) => per === 'each')
  const over = figure !== undefined && exceeds(most.mostKg, figure.kg)
  const lifts = least.leastKg < -LIFTED_KG
  yield {
    about: rack.rack.id,
    severity: over ? 'stop' : lifts ? 'mind' : 'clear',
    state: 'parked',
    subject: { rackId: rack.rack.id, placementIds: [] },
    measured: kg(most.mostKg),
    ...(figure ? { limit: kg(figure.kg), margin: kg(figure.kg - most.mostKg) } : {}),
    sentence: [
      `${rack.rack.name}: wherever people lie, ${corner(most.footIndex)} bears up to `,
      kg(most.mostKg),
      ' (',
      kg(most.asPlacedKg),
      ' as they are placed)',
      ...(figure
        ? [
            over ? `, over ${figure.cell.layer.name}’s ` : `, of ${figure.cell.layer.name}’s `,
            kg(figure.kg),
            ' each',
          ]
        : []),
      ...(lifts ? [`; ${corner(least.footIndex)} may lift by `, kg(-least.leastKg)] : []),
      '.',
    ],
  }
}

/** Does every foot hold parked wherever on the floor people lie? kg per foot. */
export const sleepers = check({
  id: 'sleepers',
  title: 'Where people lie',
  question: 'Does each foot hold parked in the worst place where people may lie on the tent’s floor?',
  formula: 'side by side against the walls that are worst for the foot; lever rule',
  source: practice(
    'People do not lie still in the middle. What a tent’s ladder takes is not counted off. Common practice, no source.',
  ),
  law: 'balance',
  mass: 'hardly',
  stage: 'forces',
  turnedBy: {},
  nothing: 'Nobody sleeps on the roof.',
  *run(survey) {
    for (const { index } of survey.racks) yield* ofRack(survey, index)
  },
})
