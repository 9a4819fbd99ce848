import { isInChannel } from '../../kinds/mount'
import type { Finding } from '../../review/finding'
import { isStart } from '../../plan/schema/provenance'
import type { BayRules } from '../../plan/schema/house'
import type { BarAt, ThingAt } from '../../survey/frame/arrangement'
import { hasChannel, hasUnderChannel } from '../../plan/schema/rack'
import { contactsKnown, contactYs } from '../../survey/mounting/contacts'
import type { Survey } from '../../survey/survey'
import { cutBarLengths, type CutPlan } from './strip-cutting'

/** A stretch of a groove that a rubber strip closes, and the length to cut for it, mm across the vehicle. */
interface FillerStrip {
  readonly barId: string
  readonly barName: string
  readonly kind: 'infill' | 'gap' | 'spacer'
  readonly fromMm: number
  readonly toMm: number
  readonly cutMm: number
}

/** Whether a strip is cut at a step that cuts those under the bars, those of their channels, or all. */
export const isCutAt = (kind: FillerStrip['kind'], which: 'under' | 'top' | 'all'): boolean =>
  which === 'all' || (which === 'top') === (kind === 'infill')

interface CutList {
  readonly strips: readonly FillerStrip[]
  /** Bars whose strips cannot be cut yet, and what has to be measured first. */
  readonly unsure: readonly { readonly barId: string; readonly barName: string; readonly say: string }[]
  /** One plan for each kind of strip: they are not of one section. */
  readonly plans: readonly { readonly kind: FillerStrip['kind']; readonly plan: CutPlan }[]
}

/** Shorter gaps are left open: such a piece does not hold. Common practice, no source. */
const LEAST_STRIP_MM = 15

/** What a strip is cut to for a gap: longer by what it shrinks, to the next whole millimetre. */
export const cutLength = (gapMm: number, shrinkPercent: number): number =>
  Math.ceil(gapMm * (1 + shrinkPercent / 100) - 1e-9)

const toTenth = (mm: number) => Math.round(mm * 10) / 10

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

/** What stands in a bar's channel. */
const inChannel = (survey: Survey, { bar }: BarAt): ThingAt[] =>
  survey.things.filter(
    ({ placement: { host, fitting }, gear }) =>
      host.on === 'bars' &&
      host.barIds.includes(bar.id) &&
      (isInChannel(gear.fit.mount) || isInChannel(fitting?.adapter?.mount)),
  )

/** How much each mount in a bar's channel covers of it, mm; nothing while one of them is not known. */
function covered(survey: Survey, at: BarAt): [number, number][] | undefined {
  const spans: [number, number][] = []
  for (const thing of inChannel(survey, at)) {
    const { baseMm } = thing.gear.fit
    if (baseMm === undefined || !contactsKnown(thing)) return undefined
    for (const y of contactYs(thing)) spans.push([y - baseMm / 2, y + baseMm / 2])
  }
  return spans
}

/** What has to be measured before a bar's strips are cut. */
function unsureOf(survey: Survey, at: BarAt): string[] {
  const { bar, rack } = at
  const started = (
    [
      ['lengthMm', 'its length'],
      ['feetYMm.apart', 'from foot to foot'],
      ['capMm', 'how deep the end caps reach in'],
    ] as const
  ).flatMap(([field, what]) => (isStart(bar, field) ? [what] : []))
  const things = hasChannel(bar.profile) ? inChannel(survey, at) : []
  const wanting = (which: (thing: ThingAt) => boolean) => [
    ...new Set(things.filter(which).map(({ gear }) => gear.name)),
  ]
  const bases = wanting(({ gear }) => gear.fit.baseMm === undefined)
  const places = wanting((thing) => !contactsKnown(thing))
  return [
    ...(started.length > 0
      ? [`measure ${started.join(' and ')} before the strips are cut: a form has filled it in.`]
      : []),
    ...(bases.length > 0 ? [`measure what the mounts of ${bases.join(', ')} cover of the slot.`] : []),
    ...(places.length > 0 ? [`measure where the mounts of ${places.join(', ')} stand across it.`] : []),
    ...(hasUnderChannel(bar.profile) && rack.footWidthMm === undefined
      ? ['measure how wide a foot is before the strips underneath are cut.']
      : []),
  ]
}

function stripsOf(survey: Survey, at: BarAt, rules: BayRules): FillerStrip[] {
  const { bar, rack } = at
  const end = bar.lengthMm / 2 - (bar.capMm ?? 0)
  const strip = (kind: FillerStrip['kind'], [fromMm, toMm]: [number, number]): FillerStrip => ({
    barId: bar.id,
    barName: bar.name,
    kind,
    fromMm,
    toMm,
    // What sets the feet must be just as long as the gap: longer, and the feet are not where the sheet has them.
    cutMm: kind === 'infill' ? cutLength(toMm - fromMm, rules.stripShrinkPercent) : toTenth(toMm - fromMm),
  })
  const long = ([from, to]: [number, number]) => to - from >= LEAST_STRIP_MM
  const mounts = hasChannel(bar.profile) ? covered(survey, at) : undefined
  const infill = mounts
    ? gapsBetween(-end, end, mounts)
        .filter(long)
        .map((gap) => strip('infill', gap))
    : []
  if (!hasUnderChannel(bar.profile) || rack.footWidthMm === undefined) return infill
  const half = rack.footWidthMm / 2
  const feet = bar.feetYMm.map((y): [number, number] => [y - half, y + half])
  const under = gapsBetween(-end, end, feet).filter(long)
  const [first, last] = [bar.feetYMm[0] ?? 0, bar.feetYMm.at(-1) ?? 0]
  return [...infill, ...under.map((gap) => strip(gap[0] >= first && gap[1] <= last ? 'spacer' : 'gap', gap))]
}

/** The strips of one bar, from left to right, and what they come to together. mm */
export interface StripsOfBar {
  readonly barId: string
  readonly barName: string
  readonly strips: readonly FillerStrip[]
  readonly sumMm: number
}

/** What strips come to together. mm */
export const cutSumMm = (strips: readonly FillerStrip[]): number =>
  strips.reduce((sum, { cutMm }) => sum + cutMm, 0)

/** Strips bar by bar. */
export function stripsByBar(strips: readonly FillerStrip[]): readonly StripsOfBar[] {
  const byBar = new Map<string, FillerStrip[]>()
  for (const strip of strips) {
    const own = byBar.get(strip.barId)
    if (own) own.push(strip)
    else byBar.set(strip.barId, [strip])
  }
  return [...byBar].map(([barId, own]) => ({
    barId,
    barName: own[0]?.barName ?? '',
    strips: own,
    sumMm: cutSumMm(own),
  }))
}

/** What has to be measured on these bars before their strips are cut, as findings. */
export const unsureFindings = (survey: Survey, barIds: ReadonlySet<string>): Finding[] =>
  survey.bars
    .filter(({ bar }) => barIds.has(bar.id))
    .flatMap((at) =>
      unsureOf(survey, at).map((say, i) => ({
        id: `strips ${at.bar.id} ${i}`,
        rule: 'strips',
        severity: 'findOut',
        state: 'all',
        subject: { barId: at.bar.id, placementIds: [] },
        sentence: [`${at.bar.name}: ${say}`],
      })),
    )

/** Every strip the plan's bars want, and how to cut them from stock with least bought. mm. */
export function cutList(survey: Survey, rules: BayRules): CutList {
  const strips = survey.bars.flatMap((at) => stripsOf(survey, at, rules))
  const kinds = [...new Set(strips.map(({ kind }) => kind))]
  return {
    strips,
    unsure: survey.bars.flatMap((at) =>
      unsureOf(survey, at).map((say) => ({ barId: at.bar.id, barName: at.bar.name, say })),
    ),
    plans: kinds.map((kind) => ({
      kind,
      plan: cutBarLengths(
        strips.filter((each) => each.kind === kind).map(({ cutMm }) => cutMm),
        rules.stripStockMm,
      ),
    })),
  }
}
