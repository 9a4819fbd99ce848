import type { BayRules } from '../../rules/house'
import type { BarAt } from '../../survey/arrangement'
import { contactYs } from '../../survey/fit/contacts'
import type { Survey } from '../../survey/survey'
import { cutStock, type CutPlan } from './stock-cut'

/** A stretch of a groove that a rubber strip closes, and the length to cut for it, mm across the vehicle. */
export interface Strip {
  readonly barId: string
  readonly barName: string
  readonly kind: 'infill' | 'gap' | 'spacer'
  readonly fromMm: number
  readonly toMm: number
  readonly cutMm: number
}

export interface CutList {
  readonly strips: readonly Strip[]
  /** Bars whose strips underneath cannot be cut: nobody gave the width of their feet. */
  readonly unsure: readonly string[]
  /** One plan for each kind of strip: they are not of one section. */
  readonly plans: readonly { readonly kind: Strip['kind']; readonly plan: CutPlan }[]
}

/** What a mount covers of its channel where nobody says, mm. Common practice, no source. */
const USUAL_BASE_MM = 60
/** Shorter gaps are left open: such a piece does not hold. Common practice, no source. */
const LEAST_STRIP_MM = 15

/** What a strip is cut to for a gap: longer by what it shrinks, to the next whole millimetre. */
export const cutLength = (gapMm: number, shrinkPercent: number): number =>
  Math.ceil(gapMm * (1 + shrinkPercent / 100) - 1e-9)

/** What is left of a stretch between things that cover parts of it, left to right. mm. */
export function gapsBetween(
  fromMm: number,
  toMm: number,
  covered: readonly (readonly [number, number])[],
): [number, number][] {
  const gaps: [number, number][] = []
  let at = fromMm
  for (const [from, to] of [...covered].sort((a, b) => a[0] - b[0])) {
    if (from > at) gaps.push([at, Math.min(from, toMm)])
    at = Math.max(at, to)
  }
  if (at < toMm) gaps.push([at, toMm])
  return gaps.filter(([from, to]) => to - from > 0)
}

/** The places where things stand in a bar's channel: their middles and how much each covers, mm. */
function mountsOn(survey: Survey, { bar }: BarAt): [number, number][] {
  return survey.things.flatMap((thing): [number, number][] => {
    const { host } = thing.placement
    if (host.on !== 'bars' || !host.barIds.includes(bar.id)) return []
    const { mount, baseMm = USUAL_BASE_MM } = thing.gear.fit
    const inChannel =
      mount.kind === 'channelBolt' || thing.placement.fitting?.adapter?.mount.kind === 'channelBolt'
    return inChannel ? contactYs(thing).map((y): [number, number] => [y - baseMm / 2, y + baseMm / 2]) : []
  })
}

function stripsOf(survey: Survey, at: BarAt, rules: BayRules): Strip[] {
  const { bar, rack } = at
  const end = bar.lengthMm / 2 - (bar.capMm ?? 0)
  const strip = (kind: Strip['kind'], [fromMm, toMm]: [number, number]): Strip => ({
    barId: bar.id,
    barName: bar.name,
    kind,
    fromMm,
    toMm,
    cutMm: cutLength(toMm - fromMm, rules.stripShrinkPercent),
  })
  const long = ([from, to]: [number, number]) => to - from >= LEAST_STRIP_MM
  const infill = bar.profile.channel
    ? gapsBetween(-end, end, mountsOn(survey, at))
        .filter(long)
        .map((gap) => strip('infill', gap))
    : []
  if (!bar.profile.underChannel || rack.footWidthMm === undefined) return infill
  const half = rack.footWidthMm / 2
  const feet = bar.feetYMm.map((y): [number, number] => [y - half, y + half])
  const under = gapsBetween(-end, end, feet).filter(long)
  const [first, last] = [bar.feetYMm[0] ?? 0, bar.feetYMm.at(-1) ?? 0]
  return [...infill, ...under.map((gap) => strip(gap[0] >= first && gap[1] <= last ? 'spacer' : 'gap', gap))]
}

/** Every strip the plan's bars want, and how to cut them from stock with least bought. mm. */
export function cutList(survey: Survey, rules: BayRules): CutList {
  const strips = survey.bars.flatMap((at) => stripsOf(survey, at, rules))
  const kinds = [...new Set(strips.map(({ kind }) => kind))]
  return {
    strips,
    unsure: survey.bars.flatMap(({ bar, rack }) =>
      bar.profile.underChannel && rack.footWidthMm === undefined ? [bar.name] : [],
    ),
    plans: kinds.map((kind) => ({
      kind,
      plan: cutStock(
        strips.filter((each) => each.kind === kind).map(({ cutMm }) => cutMm),
        rules.stripStockMm,
      ),
    })),
  }
}
