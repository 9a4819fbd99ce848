import { exceeds } from '../../units/tolerance'
import { footFigures, LIFTED_KG } from '../../survey/statics/evenness'
import type { Survey } from '../../survey/survey'
import { check, practice, type Candidate } from '../check'
import type { Finding } from '../finding'
import { kg } from '../phrase'
import { moved, takenOff } from '../remedies/moves'

function* ofRack(survey: Survey, rackIndex: number): Iterable<Finding> {
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
    id: `sleepers ${rack.rack.id}`,
    rule: 'sleepers',
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
            over
              ? `, over ${figure.cell.layer.name.toLowerCase()}’s `
              : `, of ${figure.cell.layer.name.toLowerCase()}’s `,
            kg(figure.kg),
            ' each',
          ]
        : []),
      ...(lifts ? [`; ${corner(least.footIndex)} may lift by `, kg(-least.leastKg)] : []),
      '.',
    ],
  }
}

/** Fewer people, the tent over the middle of the feet, or off with it. */
function remedies(survey: Survey, finding: Finding): Candidate[] {
  const rack = survey.racks.find((each) => each.rack.id === finding.subject.rackId)
  if (!rack) return []
  const tents = new Set(
    survey.masses.flatMap((mass) =>
      mass.of === 'load' &&
      mass.load?.what.kind === 'people' &&
      mass.racks.some(([index]) => index === rack.index)
        ? [mass.thing]
        : [],
    ),
  )
  const xs = rack.feet.map((foot) => foot.xMm)
  const middle = (Math.min(...xs) + Math.max(...xs)) / 2
  return [...tents].flatMap((tent) => [
    ...(tent.parent ? [] : moved(survey, tent, Math.round(middle - (tent.box.x0 + tent.box.x1) / 2), 0)),
    ...(tent.parent ? [] : moved(survey, tent, 0, -Math.round((tent.box.y0 + tent.box.y1) / 2))),
    ...tent.placement.loads.flatMap((load): Candidate[] => {
      const { what } = load
      if (what.kind !== 'people' || what.count < 2) return []
      return [
        {
          kind: 'less',
          say: [`${load.name}: ${what.count - 1} instead of ${what.count}`],
          command: {
            do: 'setLoad',
            placementId: tent.placement.id,
            load: { ...load, what: { ...what, count: what.count - 1 } },
          },
          rank: what.each.kg,
        },
      ]
    }),
    takenOff(survey, tent),
  ])
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
  nothing: 'Nobody sleeps on the roof.',
  *run(survey) {
    for (const { index } of survey.racks) yield* ofRack(survey, index)
  },
  remedies,
})
