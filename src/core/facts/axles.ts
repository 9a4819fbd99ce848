import { kerbOf } from '../plan/vehicle'
import { ownRearShare, rearShareOf } from '../survey/motion/standing'
import type { Survey } from '../survey/survey'
import type { Comparison } from './comparison'
import { judge, type Judgement } from './judge'
import { massUses } from './links'
import { vehicleUse } from './vehicle-figures'

export type Axle = 'front' | 'rear'

/** An axle in a driving state against its limit, kg; `countedKg` has the house's margin on guesses. */
export interface AxleJudgement {
  readonly axle: Axle
  readonly state: 'road' | 'trail'
  readonly comparison: Comparison
  readonly countedKg: number
  readonly judgement: Judgement
}

const known = new WeakMap<Survey, readonly AxleJudgement[]>()

/** Both axles in the driving states, where their limits are known and how the vehicle's own mass sits. Lever rule; handbook, from memory. */
export function axleJudgements(survey: Survey): readonly AxleJudgement[] {
  const before = known.get(survey)
  if (before) return before
  const judged = judgeAxles(survey)
  known.set(survey, judged)
  return judged
}

function judgeAxles(survey: Survey): AxleJudgement[] {
  const { plan, masses } = survey
  const { vehicle, rules } = plan
  const kerb = kerbOf(vehicle)
  const ownRear = ownRearShare(vehicle)
  if (!vehicle.axleLimitKg || kerb === undefined || ownRear === undefined || survey.racks.length === 0)
    return []
  const limits = vehicle.axleLimitKg
  return (['road', 'trail'] as const).flatMap((state) =>
    (['front', 'rear'] as const).flatMap((axle): AxleJudgement[] => {
      const limit = limits[axle]
      const shareOf = (rear: number) => (axle === 'rear' ? rear : 1 - rear)
      const there = masses.filter((mass) => mass.states.includes(state))
      const shares = there.map((mass) => [mass, shareOf(rearShareOf(vehicle, mass))] as const)
      const own = shareOf(ownRear)
      let measure = kerb * own
      let countedKg = measure
      for (const [mass, share] of shares) {
        measure += mass.kg * share
        countedKg += mass.kg * mass.factor * share
      }
      const comparison: Comparison = {
        id: `${axle} ${state}`,
        measure,
        limit,
        direction: 'atMost',
        unit: 'mass',
        states: [state],
        uses: () => [
          ...massUses(shares, rules),
          vehicleUse(plan, 'kerbKg', kerb, own),
          vehicleUse(plan, `axleLimitKg.${axle}`, limit, -1),
        ],
      }
      return [{ axle, state, comparison, countedKg, judgement: judge(comparison) }]
    }),
  )
}
