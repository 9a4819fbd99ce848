import type { BarAt, RackAt } from '../../survey/arrangement'
import type { Survey } from '../../survey/survey'
import type { Taped } from '../taped'
import type { PairAsk } from './step'

const SPREADS: readonly Taped[] = ['spreadLeft', 'spreadRight']
const DIAGONALS: readonly Taped[] = ['diagonalLeft', 'diagonalRight']
const OVERHANGS: readonly Taped[] = ['frontOverLeft', 'frontOverRight', 'rearOverLeft', 'rearOverRight']
const LEGS: readonly Taped[] = ['legLF', 'legRF', 'legLR', 'legRR']

const across = ({ bar }: BarAt) => (bar.feetYMm.at(-1) ?? 0) - (bar.feetYMm[0] ?? 0)

/**
 * Which bars are taped against which: front against rear by spreads and diagonals, so that its corners are LHF to RHR;
 * bars between against the front one by their spreads. Overhangs where bars are loose on feet, legs where they adjust.
 */
export function pairsOf(survey: Survey, { rack, bars, attachment }: RackAt): PairAsk[] {
  const { tolerancesMm } = survey.plan.rules
  const [front, ...others] = bars
  const spreadLocked = attachment !== undefined && ('points' in attachment || attachment.kind === 'bareRoof')
  const legs = rack.parts.some(({ role }) => role === 'legs')
  if (!front) return []
  const end = ({ bar }: BarAt) => ({
    id: bar.id,
    name: bar.name,
    lengthMm: bar.lengthMm,
    profileMm: bar.profile.widthMm,
  })
  return others.toReversed().map((rear, i): PairAsk => ({
    id: `${front.bar.id}~${rear.bar.id}`,
    pair: {
      front: end(front),
      rear: end(rear),
      spreadMm: rear.bar.xMm - front.bar.xMm,
      acrossFrontMm: across(front),
      acrossRearMm: across(rear),
      footWidthMm: rack.footWidthMm ?? 0,
      capMm: { front: front.bar.capMm ?? 0, rear: rear.bar.capMm ?? 0 },
      toleranceMm: tolerancesMm.parallel,
      legsToleranceMm: tolerancesMm.legs,
      spreadLocked,
    },
    taped:
      i > 0
        ? SPREADS
        : [...SPREADS, ...DIAGONALS, ...(rack.kind === 'bars' ? OVERHANGS : []), ...(legs ? LEGS : [])],
  }))
}
