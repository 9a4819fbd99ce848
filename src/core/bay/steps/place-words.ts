import type { BarAt, RackAt } from '../../survey/frame/arrangement'
import { evenFeet, towerSpacing } from '../../survey/bars/tower-spacing'
import { mm, type Phrase } from '../../units/phrase'
import { isStart } from '../../plan/schema/provenance'
import { vehiclePlace } from './vehicle-place'

const spaced = (phrases: readonly Phrase[]): Phrase =>
  phrases.flatMap((phrase, i) => (i === 0 ? [...phrase] : [' ', ...phrase]))

/** The end that is set first, where a bar's foot is fixed at one of its ends. */
const firstEnd = ({ bar: { fixedEnd } }: BarAt): string =>
  fixedEnd === undefined ? '' : ` Its ${fixedEnd} end is fixed: set that one first.`

const PLACE_START = 'xMm'
const FEET_STARTS = ['lengthMm', 'feetYMm.apart']

/** The bars whose place along only a form has filled in: of one at a notch, a point or a socket nobody asks it. */
const unplaced = ({ bars }: RackAt): readonly BarAt[] =>
  bars.filter((at) => vehiclePlace(at) === undefined && isStart(at.bar, PLACE_START))

/** The bars along which nobody has said where the feet stand: their length or their tower spacing is what a form filled in. */
const unsetFeet = (rack: RackAt, bars: readonly BarAt[]): readonly BarAt[] =>
  bars.filter(
    (at) => markOfFeet(rack, at) === undefined && FEET_STARTS.some((field) => isStart(at.bar, field)),
  )

/** What has to be found out before the bars are placed along the vehicle. */
export const askedAlong = (rack: RackAt): readonly string[] =>
  unplaced(rack).map(
    ({ bar }) =>
      `${bar.name}: nobody has said where it stands along the vehicle. Type its place on the rack’s sheet, or confirm the starting value.`,
  )

/** What has to be found out before feet are set along these bars. */
export const askedOfFeet = (rack: RackAt, bars: readonly BarAt[]): readonly string[] =>
  unsetFeet(rack, bars).map(
    ({ bar }) =>
      `${bar.name}: its length or its tower spacing is a starting value. Measure both and type them on the rack’s sheet, or confirm them.`,
  )

function barPlace(rack: RackAt, at: BarAt, i: number): Phrase {
  const place = vehiclePlace(at)
  if (place !== undefined) return [`${at.bar.name}: ${place}.${firstEnd(at)}`]
  const before = rack.bars[i - 1]
  const asked = unplaced(rack)
  if (asked.includes(at) || (before !== undefined && asked.includes(before)))
    return [`${at.bar.name}: find out where it stands.${firstEnd(at)}`]
  return before
    ? [
        `${at.bar.name} `,
        mm(at.bar.xMm - before.bar.xMm),
        ` behind the ${before.bar.name}, centre to centre, on both sides.${firstEnd(at)}`,
      ]
    : [
        `${at.bar.name} `,
        mm(at.bar.xMm),
        ` behind the windscreen’s upper edge, to the bar’s centre, ${at.onRoof ? 'from the same feature ' : ''}on both sides.${firstEnd(at)}`,
      ]
}

/** Where the bars of a rack stand along the vehicle. */
export const placesAlong = (rack: RackAt): Phrase => spaced(rack.bars.map((at, i) => barPlace(rack, at, i)))

/** Where a bar's feet are set by the mark that its fit sheet names. */
function markOfFeet(rack: RackAt, at: BarAt): string | undefined {
  const spacing = towerSpacing(rack, at)
  return spacing.kind === 'marks' ? `${at.bar.name}: each foot to mark ${spacing.mark}.` : undefined
}

function footPlace(rack: RackAt, at: BarAt): Phrase {
  const { bar } = at
  const set = markOfFeet(rack, at)
  if (set !== undefined) return [set]
  if (unsetFeet(rack, [at]).length > 0) return [`${bar.name}: find out where its feet stand.`]
  const tower = (bar.feetYMm.at(-1) ?? 0) - (bar.feetYMm[0] ?? 0)
  const { overhangMm, fromEndMm } = evenFeet(bar, tower, rack.rack.footWidthMm)
  return [
    `${bar.name}: `,
    mm(overhangMm ?? fromEndMm),
    overhangMm === undefined
      ? ' from the bar’s end to the foot’s centre, '
      : ' from inside the cap to the foot’s outer edge, ',
    bar.fixedEnd === undefined
      ? 'both ends.'
      : `set at the ${bar.fixedEnd === 'left' ? 'right' : 'left'} end; the ${bar.fixedEnd} one is fixed.`,
  ]
}

/** Where the feet stand along these bars. */
export const placesOfFeet = (rack: RackAt, bars: readonly BarAt[]): Phrase =>
  spaced(bars.map((bar) => footPlace(rack, bar)))
