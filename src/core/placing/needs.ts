import { mountTraits } from '../kinds/mount'
import { conflicts } from '../survey/bars/spread-problem'
import { apply } from '../plan/commands/apply'
import type { SingleCommand } from '../plan/commands/command'
import type { Adapter, Fitting, Placement } from '../plan/schema/placement'
import type { ThingAt } from '../survey/frame/arrangement'
import { barMoves, chooseBars, nearestOf, spreadWanted, type Spreads } from '../survey/bars/spread'
import { adapterFor, askingOf, matchThrough } from '../survey/mounting/match'
import { offersFor } from '../survey/mounting/offers'
import type { Intervals } from '../geometry/intervals'
import { survey as surveyOf, type Survey } from '../survey/survey'
import { mm, type Phrase } from '../units/phrase'
import { TOLERANCE } from '../units/tolerance'

/** What a host asks before a thing can stand on it, wherever on it that is; without a cure it cannot. */
export interface Need {
  readonly rule: 'mount-match' | 'spread'
  readonly words: Phrase
  readonly cure:
    | { readonly kind: 'bars'; readonly commands: readonly SingleCommand[] }
    | { readonly kind: 'fitting'; readonly fitting: Fitting }
    /** Nothing is against it that anybody knows: it is asked once the thing is on. */
    | { readonly kind: 'question' }
    | undefined
}

function heldBy(survey: Survey, thing: ThingAt, adapters: readonly Adapter[]): Need | undefined {
  const { mount } = thing.gear.fit
  const asking = askingOf(thing)
  for (const { name, offer } of offersFor(survey.plan.vehicle, survey, thing, survey.statics.sagMm)) {
    const found = matchThrough(offer, mount, asking, thing.placement.fitting ?? {})
    const low = name
    if (found.kind === 'fitsWith') {
      const { change } = found
      switch (change.kind) {
        case 'bolt':
          return {
            rule: 'mount-match',
            words: [`with ${change.bolt.thread} bolts of `, mm(change.bolt.standardMm)],
            cure: { kind: 'fitting', fitting: { boltMm: change.bolt.standardMm } },
          }
        case 'nut':
          return {
            rule: 'mount-match',
            words: ['with its nuts for a slot of ', mm(change.slotMm)],
            cure: { kind: 'fitting', fitting: { nutSlotMm: change.slotMm } },
          }
        case 'hole':
          return {
            rule: 'mount-match',
            words: [`in hole ${change.index + 1}`],
            cure: { kind: 'fitting', fitting: { hole: change.index } },
          }
      }
    }
    if (found.kind === 'doesNot') {
      const adapter = adapterFor(offer, mount, asking, adapters)
      return adapter
        ? {
            rule: 'mount-match',
            words: [`with ${adapter.name}`],
            cure: { kind: 'fitting', fitting: { adapter } },
          }
        : { rule: 'mount-match', words: [`on ${low}: ${found.why}`], cure: undefined }
    }
    // Whose mount nobody has described is asked for in its own row; a size that lacks is said here too.
    if (found.kind === 'unknown' && mountTraits(mount.kind).fitted !== 'unstated')
      return { rule: 'mount-match', words: ['once it is known: ', found.lacks], cure: { kind: 'question' } }
  }
  return undefined
}

const TRIED = 'tried'

/** The spreads of the plan with one more thing asking, and best at what its sheet says. */
function withAsk(
  spreads: Spreads,
  own: readonly number[],
  wanted: Intervals,
  { gear }: Pick<ThingAt, 'gear'>,
): Spreads {
  const { likesMm } = gear.fit
  const asks = own.slice(1).map((to, i) => ({ by: TRIED, from: own[i] ?? 0, to, spread: wanted }))
  const member = { id: TRIED, name: 'it', kind: 'thing' as const }
  const pairs = spreads.pairs.map((pair) => {
    const [front, rear] = [spreads.bars.indexOf(pair.front), spreads.bars.indexOf(pair.rear)]
    const piece = nearestOf(wanted, pair.nowMm)
    return piece && asks.some(({ from, to }) => from === front && to === rear)
      ? { ...pair, wants: [...pair.wants, { member, from: piece[0], to: piece[1], likesMm }] }
      : pair
  })
  return { ...spreads, pairs, problem: { ...spreads.problem, asks: [...spreads.problem.asks, ...asks] } }
}

function stoodOn(survey: Survey, thing: ThingAt): Need | undefined {
  const { host } = thing.placement
  const wanted = spreadWanted(thing)
  if (!wanted || host.on !== 'bars' || host.barIds.length < 2) return undefined
  const spreads = survey.fit.spreads()
  const own = spreads.bars.flatMap(({ bar }, i) => (host.barIds.includes(bar.id) ? [i] : []))
  for (const [i, to] of own.entries()) {
    const [front, rear] = [spreads.bars[own[i - 1] ?? -1], spreads.bars[to]]
    if (!front || !rear) continue
    const now = rear.bar.xMm - front.bar.xMm
    const piece = nearestOf(wanted, now)
    if (piece && Math.max(piece[0] - now, now - piece[1]) <= TOLERANCE.lengthMm) continue
    const asks: Phrase = piece
      ? [mm(piece[0]), ' to ', mm(piece[1])]
      : ['a spread that its parts disagree on']
    const asked = withAsk(spreads, own, wanted, thing)
    const xs = chooseBars(asked, survey.plan.rules.spread) ?? chooseBars(asked, 'frontStays')
    const commands = xs ? barMoves(spreads, xs) : []
    return commands.length > 0
      ? {
          rule: 'spread',
          words: ['with the bars moved for a spread of ', ...asks],
          cure: { kind: 'bars', commands },
        }
      : {
          rule: 'spread',
          words: ['wants a spread of ', ...asks, '; the bars stand at ', mm(now)],
          cure: undefined,
        }
  }
  // As the bars stand it is suited; but where somebody else is not, no spread may be left for both.
  const unmet = spreads.pairs.some(({ nowMm, wants }) =>
    wants.some(({ from, to }) => Math.max(from - nowMm, nowMm - to) > TOLERANCE.lengthMm),
  )
  const both = unmet ? conflicts(withAsk(spreads, own, wanted, thing).problem) : []
  return both.some((set) => set.includes(TRIED))
    ? { rule: 'spread', words: ['leaves no spread that suits all that stands there'], cure: undefined }
    : undefined
}

/** What it takes to hold a thing on its host: a fitting for its mount, and bars at a spread that suits it and all that is there. */
export const needsOf = (survey: Survey, thing: ThingAt, adapters: readonly Adapter[]): readonly Need[] =>
  [heldBy(survey, thing, adapters), stoodOn(survey, thing)].filter((each) => each !== undefined)

const moved = new WeakMap<Survey, Map<string, Survey>>()

/** The survey with bars moved; asked for by many things of one shelf, and worked out once. */
function withBarsMoved(survey: Survey, commands: readonly SingleCommand[]): Survey {
  const cached = moved.get(survey) ?? new Map<string, Survey>()
  moved.set(survey, cached)
  const key = JSON.stringify(commands)
  const before = cached.get(key)
  if (before) return before
  const applied = apply(survey.plan, { do: 'together', commands: [...commands] })
  const after = applied.ok ? surveyOf(applied.plan) : survey
  cached.set(key, after)
  return after
}

/** The survey and the placement as they are once that is done: bars moved, and the thing in the middle over them as it was. */
export function withNeeds(
  survey: Survey,
  placement: Placement,
  needs: readonly Need[],
): { readonly survey: Survey; readonly placement: Placement } {
  let [there, at] = [survey, placement]
  for (const { cure } of needs) {
    if (cure?.kind === 'fitting') at = { ...at, fitting: { ...at.fitting, ...cure.fitting } }
    if (cure?.kind !== 'bars') continue
    const after = withBarsMoved(survey, cure.commands)
    at = { ...at, xMm: at.xMm + middleUnder(after, at) - middleUnder(there, at) }
    there = after
  }
  return { survey: there, placement: at }
}

function middleUnder({ bars }: Survey, { host }: Placement): number {
  const xs = bars
    .filter(({ bar }) => host.on === 'bars' && host.barIds.includes(bar.id))
    .map(({ bar }) => bar.xMm)
  return xs.length === 0 ? 0 : (Math.min(...xs) + Math.max(...xs)) / 2
}
