import { kerbOf } from '../plan/vehicle'
import { ownRearShare, rearShareOf } from '../survey/motion/standing'
import type { Survey } from '../survey/survey'
import { massBracket } from './bracket'
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
  return (['road', 'trail'] as const).flatMap((state) => {
    const there = masses.filter((mass) => mass.states.includes(state))
    const rear = there.map((mass) => rearShareOf(vehicle, mass))
    return (['front', 'rear'] as const).map((axle): AxleJudgement => {
      const limit = limits[axle]
      const shareOf = (ofRear: number) => (axle === 'rear' ? ofRear : 1 - ofRear)
      const own = shareOf(ownRear)
      const kerbUse = vehicleUse(plan, 'kerbKg', kerb, own)
      const limitUse = vehicleUse(plan, `axleLimitKg.${axle}`, limit, -1)
      let measure = kerb * own
      let countedKg = measure
      let swings = kerbUse.bracket * Math.abs(own) + limitUse.bracket
      there.forEach(({ kg, factor, basis }, i) => {
        const onIt = kg * shareOf(rear[i] ?? 0)
        measure += onIt
        countedKg += onIt * factor
        swings += basis === 'unknown' ? Infinity : Math.abs(onIt) * massBracket(basis, rules)
      })
      const comparison: Comparison = {
        id: `${axle} ${state}`,
        measure,
        limit,
        direction: 'atMost',
        unit: 'mass',
        states: [state],
        swings,
        uses: () => [
          ...massUses(
            there.map((mass, i) => [mass, shareOf(rear[i] ?? 0)] as const),
            rules,
          ),
          kerbUse,
          limitUse,
        ],
      }
      return { axle, state, comparison, countedKg, judgement: judge(comparison) }
    })
  })
}
