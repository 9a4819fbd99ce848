import type { GearKind } from '../../plan/rating'
import type { State } from '../../plan/scalars'
import type { Survey } from '../../survey/survey'
import { check, practice, type Candidate } from '../check'
import { IN_STATE, type Finding } from '../finding'
import { shortOf } from '../../units/tolerance'
import { mm } from '../phrase'

const DRIVING: readonly State[] = ['road', 'trail']

const PARKED_USE: ReadonlySet<GearKind> = new Set(['tent', 'awning', 'person'])

function candidates(survey: Survey, finding: Finding): Candidate[] {
  const id = finding.subject.placementIds[0]
  const thing = id === undefined ? undefined : survey.thingById.get(id)
  if (!thing) return []
  const { placement, gear } = thing
  const flip = gear.onEdge && (placement.onEdge ? gear.heightMm < gear.widthMm : gear.widthMm < gear.heightMm)
  const mass = survey.masses.reduce(
    (sum, point) => ('thing' in point && point.thing === thing ? sum + point.kg : sum),
    0,
  )
  const low = gear.name.toLowerCase()
  const laid: Candidate = {
    kind: 'change',
    say: [placement.onEdge ? `Lay ${low} flat` : `Stand ${low} on edge`],
    command: { do: 'setOnEdge', placementId: placement.id, onEdge: !placement.onEdge },
    rank: 0,
  }
  return [
    ...(flip ? [laid] : []),
    // What is of use only where the vehicle stands may stay off until it does; a boat is not driven anywhere by that.
    ...(PARKED_USE.has(gear.kind)
      ? [
          {
            kind: 'change' as const,
            say: [`Carry ${low} only when parked`],
            command: { do: 'setWhen' as const, placementId: placement.id, when: 'parked' as const },
            rank: mass + 0.01,
          },
        ]
      : []),
    {
      kind: 'off',
      say: [`Take off ${low}`],
      command: { do: 'takeOff', placementId: placement.id },
      rank: mass,
    },
  ]
}

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
  nothing: 'No door or garage is on the list.',
  *run(survey) {
    const { plan, heights } = survey
    const gap = plan.rules.gapsMm.ceiling
    for (const clearance of plan.clearances) {
      for (const each of DRIVING) {
        const { topMm, name, placementId } = heights[each]
        const left = clearance.heightMm - topMm
        const common = {
          id: `height-clearance ${clearance.id} ${each}`,
          rule: 'height-clearance',
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
  remedies: candidates,
})
