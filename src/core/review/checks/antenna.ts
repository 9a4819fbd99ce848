import { packed, rootOf, type Box } from '../../survey/arrangement'
import type { Survey } from '../../survey/survey'
import { crownDrop } from '../../survey/fit/roof-surface'
import { check, practice, type Candidate } from '../check'
import type { Finding } from '../finding'
import { mm } from '../phrase'
import { moved, takenOff, upToMm } from '../remedies/moves'

/** Half of what a fin, puck or mast takes along the roof. mm, rough, common practice, no source. */
const HALF_MM = { fin: 75, mast: 12, puck: 40 } as const

interface Over {
  readonly name: string
  readonly placementId: string | undefined
  readonly box: Box
}

function over(survey: Survey): Over[] {
  return [
    ...survey.things
      .filter(
        (thing) =>
          !packed(thing) && thing.placement.host.on !== 'ladder' && thing.placement.host.on !== 'panel',
      )
      .map(({ gear, placement, box }) => ({ name: gear.name, placementId: placement.id, box })),
    ...survey.bars.map(({ bar, box }) => ({ name: bar.name, placementId: undefined, box })),
    ...survey.racks.flatMap(({ rack, deck }) =>
      deck ? [{ name: rack.name, placementId: undefined, box: deck.box }] : [],
    ),
  ]
}

function remedies(survey: Survey, finding: Finding): Candidate[] {
  const thing = survey.thingById.get(finding.subject.placementIds[0] ?? '')
  const antenna = survey.plan.vehicle.obstacles.find(({ id }) => id === finding.subject.obstacleId)
  if (!thing || antenna?.kind !== 'antenna') return []
  const half = HALF_MM[antenna.form] + 20
  const root = rootOf(thing)
  return [
    ...moved(survey, root, -upToMm(thing.box.x1 - antenna.xMm + half), 0),
    ...moved(survey, root, upToMm(antenna.xMm + half - thing.box.x0), 0),
    ...moved(survey, root, 0, upToMm(antenna.yMm + half - thing.box.y0)),
    ...moved(survey, root, 0, -upToMm(thing.box.y1 - antenna.yMm + half)),
    takenOff(survey, root),
  ]
}

/** Does nothing touch an antenna, and does nothing lie over it? mm. */
export const antenna = check({
  id: 'antenna',
  title: 'Antenna',
  question: 'Does nothing touch an antenna, and does nothing shade it?',
  formula: 'over it in plan: lower than its top is touching, higher is shade',
  source: practice(
    'Antenna shadowed: test the radio and the position before and after. Common practice, no source.',
  ),
  law: 'notOfMass',
  nothing: 'No antenna is on the roof.',
  *run(survey) {
    const { vehicle } = survey.plan
    for (const obstacle of vehicle.obstacles) {
      if (obstacle.kind !== 'antenna') continue
      const half = HALF_MM[obstacle.form]
      const top = vehicle.heightMm - crownDrop(vehicle, obstacle.xMm, obstacle.yMm) + obstacle.heightMm
      const above = over(survey).filter(
        ({ box }) =>
          box.x0 < obstacle.xMm + half &&
          box.x1 > obstacle.xMm - half &&
          box.y0 < obstacle.yMm + 20 &&
          box.y1 > obstacle.yMm - 20,
      )
      const low = obstacle.name.toLowerCase()
      if (above.length === 0)
        yield {
          id: `antenna ${obstacle.id}`,
          severity: 'clear',
          rule: 'antenna',
          state: 'all',
          subject: { obstacleId: obstacle.id, placementIds: [] },
          sentence: [`Nothing lies over the ${low}.`],
        }
      for (const { name, placementId, box } of above) {
        const touches = box.z0 < top - 1e-6
        yield {
          id: `antenna ${obstacle.id} ${placementId ?? name}`,
          severity: touches ? 'stop' : 'mind',
          rule: 'antenna',
          state: 'all',
          subject: { obstacleId: obstacle.id, placementIds: placementId === undefined ? [] : [placementId] },
          margin: mm(box.z0 - top),
          sentence: touches
            ? [`${name} touches the ${low}: it stands `, mm(top - box.z0), ' into it.']
            : [
                `${name} lies over the ${low} with `,
                mm(box.z0 - top),
                ' between: reception and position may suffer. Test them.',
              ],
        }
      }
    }
  },
  remedies,
})
