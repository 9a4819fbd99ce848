import { ATTACHMENTS, type HeldBy } from '../../kinds/attachment'
import type { Taped } from '../../log/taped'
import type { BarAt, RackAt } from '../../survey/frame/arrangement'
import type { Survey } from '../../survey/survey'
import type { PairBar } from '../squareness/taped'
import type { PairAsk } from './step'

const SPREADS: readonly Taped[] = ['spreadLeft', 'spreadRight']
const DIAGONALS: readonly Taped[] = ['diagonalLeft', 'diagonalRight']
const OVERHANGS: readonly Taped[] = ['frontOverLeft', 'frontOverRight', 'rearOverLeft', 'rearOverRight']
const LEGS: readonly Taped[] = ['legLF', 'legRF', 'legLR', 'legRR']
const MARKS: readonly Taped[] = ['markLF', 'markRF', 'markLR', 'markRR']
const ACROSS: readonly Taped[] = ['frontAcross', 'rearAcross']

const heldBy = (attachment: RackAt['attachment']): HeldBy =>
  attachment === undefined
    ? 'rail'
    : 'notchesXMm' in attachment && (attachment.notchesXMm?.length ?? 0) > 0
      ? 'notch'
      : ATTACHMENTS[attachment.kind].holds

const across = ({ bar }: BarAt) => (bar.feetYMm.at(-1) ?? 0) - (bar.feetYMm[0] ?? 0)

/**
 * Which bars are taped against which: front against rear by spreads and diagonals, so that its corners are LHF to RHR;
 * bars between against the front one by their spreads. Overhangs where bars are loose on feet, legs where they adjust.
 */
export function pairsOf(survey: Survey, { rack, bars, attachment }: RackAt): PairAsk[] {
  const { tolerancesMm } = survey.plan.rules
  const [front, ...others] = bars
  const legs = rack.parts.some(({ role }) => role === 'legs')
  if (!front) return []
  const end = (at: BarAt): PairBar => ({
    id: at.bar.id,
    name: at.bar.name,
    lengthMm: at.bar.lengthMm,
    profileMm: at.bar.profile.widthMm,
    capMm: at.bar.capMm,
    acrossMm: across(at),
  })
  return others.toReversed().map((rear, i): PairAsk => ({
    id: `${front.bar.id}~${rear.bar.id}`,
    pair: {
      front: end(front),
      rear: end(rear),
      spreadMm: rear.bar.xMm - front.bar.xMm,
      footWidthMm: rack.footWidthMm ?? 0,
      toleranceMm: tolerancesMm.parallel,
      legsToleranceMm: tolerancesMm.legs,
      heldBy: heldBy(attachment),
    },
    taped:
      i > 0
        ? SPREADS
        : [
            ...SPREADS,
            ...DIAGONALS,
            ...(rack.kind === 'bars' ? OVERHANGS : []),
            ...ACROSS,
            ...(legs ? [...LEGS, ...MARKS] : []),
          ],
  }))
}
