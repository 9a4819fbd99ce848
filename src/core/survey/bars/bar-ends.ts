import type { Bar } from '../../plan/schema/rack'
import type { Survey } from '../survey'

/**
 * What a bar runs past its outermost feet, from the foot's centre to the bar's very end, end cap included (mm). For
 * feet set evenly each end is (length − foot to foot) / 2; as usually taped from the foot's edge it is half a foot less.
 */
export function barEnds(bar: Bar): { readonly leftMm: number; readonly rightMm: number } {
  const half = bar.lengthMm / 2
  return { leftMm: half + (bar.feetYMm[0] ?? 0), rightMm: half - (bar.feetYMm.at(-1) ?? 0) }
}

/** The width open to what reaches several bars: the narrowest of theirs rules (mm). Common practice, no source. */
export function sharedWidth(bars: readonly Bar[]): number {
  return Math.min(...bars.map((bar) => bar.usableMm))
}

/** From a bar to the next one of its rack, centre to centre (mm); none behind the last. */
export function spreadBehind(survey: Survey, barId: string): number | undefined {
  const rack = survey.racks.find((each) => each.bars.some(({ bar }) => bar.id === barId))
  const index = rack?.bars.findIndex(({ bar }) => bar.id === barId) ?? -1
  const [bar, next] = [rack?.bars[index]?.bar, rack?.bars[index + 1]?.bar]
  return bar && next ? next.xMm - bar.xMm : undefined
}
