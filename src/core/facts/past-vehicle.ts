import { presences } from '../survey/loads/presence'
import { LOCAL_RULES, localRulesOf, type LocalRules } from '../plan/schema/local-rules'
import type { ThingAt } from '../survey/frame/arrangement'
import type { Survey } from '../survey/survey'
import { mostBy } from '../units/pick'
import { atMost, fails, type Compared } from './comparison'

export type End = 'rear' | 'front' | 'side'

/** What runs furthest past an end of the vehicle, against what the local rules ask there. mm. */
interface PastVehicle {
  readonly end: End
  readonly thing: ThingAt
  readonly byMm: number
  /** The rules that the house keeps to; nothing as long as it has chosen none. */
  readonly rules: LocalRules | undefined
  /** Against the least that any rules kept here ask at that end: below it nobody is asked to choose. */
  readonly anybody: Compared
  readonly mark: Compared | undefined
  readonly most: Compared | undefined
}

const markOf = (rules: LocalRules, end: End) =>
  end === 'rear' ? rules.rearMarkMm : end === 'front' ? rules.frontMarkMm : rules.sideMarkMm
const mostOf = (rules: LocalRules, end: End) =>
  end === 'rear' ? rules.rearMostMm : end === 'front' ? rules.frontMostMm : undefined

const leastOf = (end: End) =>
  Math.min(
    ...LOCAL_RULES.flatMap((rules) =>
      [markOf(rules, end), mostOf(rules, end)].filter((each) => each !== undefined),
    ),
  )

/** What stands furthest past each end of the vehicle while driving. */
export function pastVehicle(survey: Survey): readonly PastVehicle[] {
  const { body, plan } = survey
  const half = plan.vehicle.widthMm / 2
  const present = presences()
  const driving = survey.things.filter((thing) => present(thing).includes('road'))
  const rules = localRulesOf(plan.rules.localRules)
  const past: Readonly<Record<End, (thing: ThingAt) => number>> = {
    rear: ({ box }) => box.x1 - body.tailXMm,
    front: ({ box }) => body.noseXMm - box.x0,
    side: ({ box }) => Math.max(box.y1, -box.y0) - half,
  }
  return (['rear', 'front', 'side'] as const).flatMap((end): PastVehicle[] => {
    const thing = mostBy(driving, past[end])
    const byMm = thing ? past[end](thing) : 0
    if (!thing || !fails(atMost(byMm, 0, 'gap'))) return []
    const against = (limit: number | undefined) => (limit === undefined ? undefined : atMost(byMm, limit))
    return [
      {
        end,
        thing,
        byMm,
        rules,
        anybody: atMost(byMm, leastOf(end)),
        mark: rules && against(markOf(rules, end)),
        most: rules && against(mostOf(rules, end)),
      },
    ]
  })
}
