import type { Candidate } from '../candidate'
import { type Survey } from '../../survey/survey'
import { type Finding } from '../../review/finding'
import { moved, takeOffFix } from '../moves'

/** Fewer people, the tent over the middle of the feet, or off with it. */
export function sleepersFixes(survey: Survey, finding: Finding): Candidate[] {
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
          message: [`${load.name}: ${what.count - 1} instead of ${what.count}`],
          command: {
            do: 'setLoad',
            placementId: tent.placement.id,
            load: { ...load, what: { ...what, count: what.count - 1 } },
          },
          rank: what.each.kg,
        },
      ]
    }),
    takeOffFix(survey, tent),
  ])
}
