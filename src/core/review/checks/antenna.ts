import { ANTENNA_FORMS } from '../../kinds/obstacle'
import type { Box } from '../../geometry/boxes'
import { packed } from '../../survey/frame/arrangement'
import type { Survey } from '../../survey/survey'
import { antennaTopZ } from '../../survey/frame/roof-surface'
import { check, practice } from '../check'
import { GEAR_SIZES, HEIGHTS } from '../length-groups'
import { mm } from '../../units/phrase'

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
  mass: 'matters',
  stage: 'load',
  lengths: { of: { ...HEIGHTS, obstacle: /^(heightMm|xMm|yMm)$/, gear: GEAR_SIZES }, reach: 1 },
  nothing: 'No antenna is on the roof.',
  *run(survey) {
    const { vehicle } = survey.plan
    for (const obstacle of vehicle.obstacles) {
      if (obstacle.kind !== 'antenna') continue
      const half = ANTENNA_FORMS[obstacle.form].halfMm
      const top = antennaTopZ(vehicle, obstacle)
      const above = over(survey).filter(
        ({ box }) =>
          box.x0 < obstacle.xMm + half &&
          box.x1 > obstacle.xMm - half &&
          box.y0 < obstacle.yMm + 20 &&
          box.y1 > obstacle.yMm - 20,
      )
      const low = obstacle.name
      if (above.length === 0)
        yield {
          about: obstacle.id,
          severity: 'clear',
          state: 'all',
          subject: { obstacleId: obstacle.id, placementIds: [] },
          toStop: Infinity,
          sentence: [`Nothing lies over the ${low}.`],
        }
      for (const { name, placementId, box } of above) {
        const touches = box.z0 < top - 1e-6
        yield {
          about: `${obstacle.id} ${placementId ?? name}`,
          severity: touches ? 'stop' : 'mind',
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
})
