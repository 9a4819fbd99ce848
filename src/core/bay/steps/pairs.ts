import { hasNotches } from '../../plan/schema/attachment-traits'
import { ATTACHMENTS, type HeldBy } from '../../kinds/attachment'
import { PLACES, type Taped } from '../../log/taped'
import type { BarAt, RackAt } from '../../survey/frame/arrangement'
import { towerSpacing } from '../../survey/bars/tower-spacing'
import type { Survey } from '../../survey/survey'
import type { PairBar } from '../squareness/taped'
import type { PairAsk } from './step'
import { bayRulesOf } from '../../plan/schema/house'
import { RACK_KINDS } from '../../kinds/rack-kind'
import { standsByItself, waysOf } from './schools'

const SPREADS: readonly Taped[] = ['spreadLeft', 'spreadRight']
const DIAGONALS: readonly Taped[] = ['diagonalLeft', 'diagonalRight']
const OVERHANGS: readonly Taped[] = ['frontOverLeft', 'frontOverRight', 'rearOverLeft', 'rearOverRight']
const LEGS: readonly Taped[] = ['legLF', 'legRF', 'legLR', 'legRR']
const MARKS: readonly Taped[] = ['markLF', 'markRF', 'markLR', 'markRR']
const ALONG: readonly Taped[] = [...PLACES.front, ...PLACES.rear]
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
 * bars between against the front one by their spreads. Bars that notches, points or sockets place, and those that stand square by
 * themselves, are taped against nothing unless somebody asks for it. Overhangs where bars are loose on feet, legs where they adjust.
 */
export function pairsOf(survey: Survey, at: RackAt): PairAsk[] {
  const { rack, bars } = at
  const { tolerancesMm } = survey.plan.rules
  const [front, ...others] = bars
  const legs = rack.parts.some(({ role }) => role === 'legs')
  if (!front) return []
  const isTaped = waysOf(at, bayRulesOf(survey.plan.rules)).squaring === 'taped'
  // Where the sheet gives a mark, the front bar's place is read from it, whatever holds the bar.
  const fromMark = rack.sheetMark !== undefined
  const along = isTaped ? SPREADS : []
  const crossed = isTaped ? [...DIAGONALS, ...ACROSS] : []
  const ends = RACK_KINDS[rack.kind].barsSlideAcross && (isTaped || !standsByItself(at)) ? OVERHANGS : []
  const end = (own: BarAt): PairBar => ({
    id: own.bar.id,
    name: own.bar.name,
    xMm: own.bar.xMm,
    lengthMm: own.bar.lengthMm,
    profileMm: own.bar.profile.widthMm,
    capMm: own.bar.capMm,
    acrossMm: across(own),
    mark: markOf(at, own),
  })
  const asks = others.toReversed().map((rear, i): PairAsk => ({
    id: `${front.bar.id}~${rear.bar.id}`,
    pair: {
      front: end(front),
      rear: end(rear),
      spreadMm: rear.bar.xMm - front.bar.xMm,
      footWidthMm: rack.footWidthMm ?? 0,
      toleranceMm: tolerancesMm.parallel,
      legsToleranceMm: tolerancesMm.legs,
      heldBy: heldBy(front.attachment),
      rearEdgeMm: survey.plan.vehicle.roof.toXMm,
      tapeZeroMm: rack.tapeZeroMm,
      sheetMark: rack.sheetMark,
      onLegs: legs,
      heightMark: rack.kind === 'bed' ? rack.raising?.mark : undefined,
    },
    taped:
      i > 0
        ? along
        : [
            ...along,
            ...crossed,
            ...ends,
            ...(isTaped || fromMark ? ALONG : []),
            ...(legs || isTaped || fromMark ? LEGS : []),
            ...(legs || markOf(at, front) !== undefined ? MARKS : []),
          ],
  }))
  return asks.filter(({ taped }) => taped.length > 0)
}

/** What has to be read, the first of these that is asked at all, in words. */
const WANTED = [
  { names: SPREADS, say: 'Measure at least both spreads' },
  { names: OVERHANGS, say: 'Measure both ends of each bar' },
  { names: LEGS, say: 'Measure every leg' },
] as const
const FROM_MARK = { names: PLACES.front, say: 'Measure the front bar’s place at both feet' } as const

interface MustTape {
  readonly names: readonly Taped[]
  readonly say: string
}

/**
 * What of a pair has to be read before it is done: the front bar's place where its sheet names a mark for it, and both spreads,
 * or where nobody tapes those the ends of the bars; legs where nothing else is read.
 */
export function mustTape({ taped, pair }: PairAsk): readonly MustTape[] {
  const fromMark = pair.sheetMark === undefined ? [] : [FROM_MARK]
  const usual = WANTED.filter(({ names }) => names.some((name) => taped.includes(name))).slice(0, 1)
  return [...usual.filter(({ names }) => names !== LEGS || fromMark.length === 0), ...fromMark].map(
    ({ names, say }) => ({ say, names: names.filter((name) => taped.includes(name)) }),
  )
}
