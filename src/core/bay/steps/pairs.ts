import { hasNotches } from '../../plan/schema/attachment-traits'
import { ATTACHMENTS, type HeldBy } from '../../kinds/attachment'
import type { Taped } from '../../log/taped'
import type { BarAt, RackAt } from '../../survey/frame/arrangement'
import { towerSpacing } from '../../survey/bars/tower-spacing'
import type { Survey } from '../../survey/survey'
import type { PairBar } from '../squareness/taped'
import type { PairAsk } from './step'

const SPREADS: readonly Taped[] = ['spreadLeft', 'spreadRight']
const DIAGONALS: readonly Taped[] = ['diagonalLeft', 'diagonalRight']
const OVERHANGS: readonly Taped[] = ['frontOverLeft', 'frontOverRight', 'rearOverLeft', 'rearOverRight']
const LEGS: readonly Taped[] = ['legLF', 'legRF', 'legLR', 'legRR']
const MARKS: readonly Taped[] = ['markLF', 'markRF', 'markLR', 'markRR']
const ACROSS: readonly Taped[] = ['frontAcross', 'rearAcross']

const heldBy = (attachment: BarAt['attachment']): HeldBy =>
  attachment === undefined ? 'rail' : hasNotches(attachment) ? 'notch' : ATTACHMENTS[attachment.kind].holds

/** The mark on a bar that its row of the fit sheet names. */
function markOf(rack: RackAt, own: BarAt): string | undefined {
  const spacing = towerSpacing(rack, own)
  return spacing.kind === 'marks' ? spacing.mark : undefined
}

const across = ({ bar }: BarAt) => (bar.feetYMm.at(-1) ?? 0) - (bar.feetYMm[0] ?? 0)

/**
 * Which bars are taped against which: front against rear by spreads and diagonals, so that its corners are LHF to RHR;
 * bars between against the front one by their spreads. Overhangs where bars are loose on feet, legs where they adjust.
 */
export function pairsOf(survey: Survey, at: RackAt): PairAsk[] {
  const { rack, bars } = at
  const { tolerancesMm } = survey.plan.rules
  const [front, ...others] = bars
  const legs = rack.parts.some(({ role }) => role === 'legs')
  if (!front) return []
  const end = (own: BarAt): PairBar => ({
    id: own.bar.id,
    name: own.bar.name,
    lengthMm: own.bar.lengthMm,
    profileMm: own.bar.profile.widthMm,
    capMm: own.bar.capMm,
    acrossMm: across(own),
    mark: markOf(at, own),
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
      heldBy: heldBy(front.attachment),
    },
    taped:
      i > 0
        ? SPREADS
        : [
            ...SPREADS,
            ...DIAGONALS,
            ...(rack.kind === 'bars' ? OVERHANGS : []),
            ...ACROSS,
            ...(legs ? LEGS : []),
            ...(legs || markOf(at, front) !== undefined ? MARKS : []),
          ],
  }))
}
