import { fails, overBy, spareOf } from '../../facts/comparison'
import { underDoors } from '../../facts/heights'
import { mm, missing, toSpare } from '../../units/phrase'
import { check, practice } from '../check'
import { marginWords } from '../margin-words'
import { IN_STATE } from '../finding'
import { GEAR_SIZES, HEIGHTS } from '../length-groups'

/** Does the highest point pass under every door it must pass, with the house's gap? Heights in mm. */
export const heightClearance = check({
  id: 'height-clearance',
  title: 'Height',
  question:
    'Does the highest point pass every door, garage and car park on the list, with the gap to a ceiling?',
  formula: 'highest point + house gap ≤ height of the door; driving states only',
  source: practice(
    'Height forgotten at the garage door. The gap is a house rule. Common practice, no source.',
  ),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: { lengths: { of: { ...HEIGHTS, obstacle: /^heightMm$/, gear: GEAR_SIZES }, reach: 1 } },
  nothing: 'No door or garage is on the list.',
  *run(survey) {
    for (const { clearance, state, topMm, name, placementId, left, strikes } of underDoors(survey)) {
      const common = {
        about: `${clearance.id} ${state}`,
        state,
        subject: {
          clearanceId: clearance.id,
          placementIds: placementId === undefined ? [] : [placementId],
        },
        measured: mm(topMm),
        limit: mm(clearance.heightMm - left.limit),
        margin: mm(spareOf(left)),
      } as const
      if (!fails(left))
        yield {
          ...common,
          severity: 'clear',
          sentence: [
            `${clearance.name}: passes ${IN_STATE[state]} with `,
            toSpare(mm(left.measure)),
            ' to spare under ',
            mm(clearance.heightMm),
            ', ',
            toSpare(mm(spareOf(left))),
            ' beyond the gap wanted.',
          ],
        }
      else
        yield {
          ...common,
          severity: 'stop',
          sentence: [
            `${clearance.name}: `,
            mm(clearance.heightMm),
            ' high; ',
            `${name} stands at `,
            mm(topMm),
            ...(fails(strikes)
              ? ([
                  ` ${IN_STATE[state]}, `,
                  missing(mm(overBy(strikes))),
                  ' too high; with the ',
                  mm(left.limit),
                  ' wanted over it ',
                  missing(mm(overBy(left))),
                  ' have to go.',
                ] as const)
              : ([
                  ` ${IN_STATE[state]} and leaves `,
                  toSpare(mm(left.measure)),
                  ' of the ',
                  mm(left.limit),
                  ' wanted',
                  ...marginWords(left),
                ] as const)),
          ],
        }
    }
  },
})
