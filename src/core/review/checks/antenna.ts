import { overAntennas } from '../../facts/antennas'
import { fails, overBy, spareOf } from '../../facts/comparison'
import { mm, missing, toSpare } from '../../units/phrase'
import { any } from '../../units/pick'
import { check, practice } from '../check'
import { BOXES, GEAR_SIZES } from '../length-groups'

/** Does nothing touch an antenna, and does nothing lie over it? mm. */
export const antenna = check({
  id: 'antenna',
  title: 'Antenna',
  question: 'Is the antenna clear, and its view of the sky?',
  formula: 'over it in plan: lower than its top is touching, higher is shade',
  source: practice(
    'Antenna shadowed: test the radio and the position before and after. Common practice, no source.',
  ),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'ofEachThing',
  houseLook: 'none',
  turnedBy: { lengths: { of: { ...BOXES, obstacle: /^(heightMm|xMm|yMm)$/, gear: GEAR_SIZES }, reach: 1 } },
  nothing: 'No antenna is on the roof.',
  *run(survey) {
    for (const { antenna: at, over } of overAntennas(survey)) {
      const low = at.name
      if (!any(over))
        yield {
          about: at.id,
          severity: 'clear',
          state: 'all',
          subject: { obstacleId: at.id, placementIds: [] },
          nearStop: { mm: Infinity },
          sentence: [`Nothing covers the ${low}.`],
        }
      for (const { name, placementId, compared } of over) {
        const touches = fails(compared)
        yield {
          about: `${at.id} ${placementId ?? name}`,
          severity: touches ? 'stop' : 'mind',
          state: 'all',
          subject: { obstacleId: at.id, placementIds: placementId === undefined ? [] : [placementId] },
          margin: mm(spareOf(compared)),
          sentence: touches
            ? [`${name} touches the ${low}: it stands `, missing(mm(overBy(compared))), ' into it.']
            : [
                `${name} lies over the ${low} with `,
                toSpare(mm(spareOf(compared))),
                ' between: reception and position may suffer. Test them.',
              ],
        }
      }
    }
  },
})
