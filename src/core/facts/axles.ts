import { kerbOf } from '../plan/schema/vehicle'
import { ownRearShare, rearShareOf } from '../survey/motion/tip-over'
import type { Survey } from '../survey/survey'
import { massBracket } from './bracket'
import type { Comparison } from './comparison'
import { judgeComparison, type ComparisonVerdict } from './judge-comparison'
import { massUses } from './links'
import { vehicleUse } from './vehicle-figures'

export type Axle = 'front' | 'rear'

/** An axle in a driving state against its limit, kg; `countedKg` has the house's margin on guesses. */
export interface AxleVerdict {
  readonly axle: Axle
  readonly state: 'road' | 'trail'
  readonly comparison: Comparison
  readonly countedKg: number
  readonly verdict: ComparisonVerdict
}

const cached = new WeakMap<Survey, readonly AxleVerdict[]>()

/** Both axles in the driving states, where their limits are known and how the vehicle's own mass sits. Lever rule; handbook, from memory. */
export function axleVerdicts(survey: Survey): readonly AxleVerdict[] {
  const before = cached.get(survey)
  if (before) return before
  const axleVerdict = judgeAxles(survey)
  cached.set(survey, axleVerdict)
  return axleVerdict
}

function judgeAxles(survey: Survey): AxleVerdict[] {
  const { plan, masses } = survey
  const { vehicle, rules } = plan
  const kerb = kerbOf(vehicle)
  const ownRear = ownRearShare(vehicle)
  if (!vehicle.axleLimitKg || kerb === undefined || ownRear === undefined || survey.racks.length === 0)
    return []
  const limits = vehicle.axleLimitKg
  const axleVerdict: AxleVerdict[] = []
  for (const state of ['road', 'trail'] as const) {
    const there = masses.filter((mass) => mass.states.includes(state))
    const rear = there.map((mass) => rearShareOf(vehicle, mass))
    for (const axle of ['front', 'rear'] as const) {
      const limit = limits[axle]
      const shareOf = (ofRear: number) => (axle === 'rear' ? ofRear : 1 - ofRear)
      const own = shareOf(ownRear)
      const kerbUse = vehicleUse(plan, 'kerbKg', kerb, own)
      const limitUse = vehicleUse(plan, `axleLimitKg.${axle}`, limit, -1)
      let measure = kerb * own
      let countedKg = measure
      let swings = kerbUse.bracket * Math.abs(own) + limitUse.bracket
      for (let i = 0; i < there.length; i += 1) {
        const mass = there[i]
        if (!mass) continue
        const onIt = mass.kg * shareOf(rear[i] ?? 0)
        measure += onIt
        countedKg += onIt * mass.factor
        swings += mass.basis === 'unknown' ? Infinity : Math.abs(onIt) * massBracket(mass.basis, rules)
      }
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
      axleVerdict.push({ axle, state, comparison, countedKg, verdict: judgeComparison(comparison) })
    }
  }
  return axleVerdict
}
