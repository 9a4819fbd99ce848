import type { State } from '../../units/scalars'
import { check, practice } from '../check'
import { GEAR_SIZES, HEIGHTS } from '../length-groups'
import { IN_STATE } from '../finding'
import { shortOf } from '../../units/tolerance'
import { mm } from '../../units/phrase'

const DRIVING: readonly State[] = ['road', 'trail']

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
  lengths: { of: { ...HEIGHTS, obstacle: /^heightMm$/, gear: GEAR_SIZES }, reach: 1 },
  nothing: 'No door or garage is on the list.',
  *run(survey) {
    const { plan, heights } = survey
    const gap = plan.rules.gapsMm.ceiling
    for (const clearance of plan.clearances) {
      for (const each of DRIVING) {
        const { topMm, name, placementId } = heights[each]
        const left = clearance.heightMm - topMm
        const common = {
          about: `${clearance.id} ${each}`,
          state: each,
          subject: {
            clearanceId: clearance.id,
            placementIds: placementId === undefined ? [] : [placementId],
          },
          measured: mm(topMm),
          limit: mm(clearance.heightMm - gap),
          margin: mm(left - gap),
        } as const
        if (shortOf(left, gap))
          yield {
            ...common,
            severity: 'stop',
            sentence:
              left < 0
                ? [
                    `${clearance.name}: `,
                    mm(clearance.heightMm),
                    ' high; ',
                    `${name} stands at `,
                    mm(topMm),
                    ` ${IN_STATE[each]}, `,
                    mm(-left),
                    ' too high; with the ',
                    mm(gap),
                    ' wanted over it ',
                    mm(gap - left),
                    ' have to go.',
                  ]
                : [
                    `${clearance.name}: `,
                    mm(clearance.heightMm),
                    ' high; ',
                    `${name} stands at `,
                    mm(topMm),
                    ` ${IN_STATE[each]} and leaves `,
                    mm(left),
                    ', less than the ',
                    mm(gap),
                    ' wanted.',
                  ],
          }
        else
          yield {
            ...common,
            severity: 'clear',
            sentence: [
              `${clearance.name}: passes ${IN_STATE[each]} with `,
              mm(left),
              ' to spare under ',
              mm(clearance.heightMm),
              ', ',
              mm(left - gap),
              ' beyond the gap wanted.',
            ],
          }
      }
    }
  },
})
