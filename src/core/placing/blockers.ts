import { TOLERANCE } from '../units/tolerance'
import type { SingleCommand } from '../plan/command'
import type { Adapter, Fitting } from '../plan/placement'
import type { ThingAt } from '../survey/frame/arrangement'
import { contactYs } from '../survey/mounting/contacts'
import { adapterFor, askingOf, matchThrough } from '../survey/mounting/match'
import { offersFor } from '../survey/mounting/offers'
import { bodyTopUnder } from '../survey/frame/roof-surface'
import { outOfReach } from '../geometry/sweep'
import { nearThing } from '../survey/frame/space'
import { barMoves, chooseBars, spreadWanted, type Spreads } from '../survey/bars/spread'
import { forwardToClear, sharesWidth, sideOf, sweptBy, swingsOf } from '../survey/openings/swings'
import type { Survey } from '../survey/survey'
import { mm, type Phrase } from '../units/phrase'

/** What would make a blocked place good. */
export type Cure =
  | { readonly kind: 'bars'; readonly commands: readonly SingleCommand[] }
  | { readonly kind: 'fitting'; readonly fitting: Fitting }
  | { readonly kind: 'forward'; readonly byMm: number }

/** One thing that stands against a place: what it is in words, and what would cure it. */
export interface Blocker {
  readonly rule: 'mount-match' | 'spread' | 'usable-width' | 'on-its-bars' | 'space' | 'over-roof' | 'hatch'
  readonly message: Phrase
  readonly cure: Cure | undefined
}

function mountBlocker(survey: Survey, thing: ThingAt, adapters: readonly Adapter[]): Blocker | undefined {
  const { mount } = thing.gear.fit
  const asking = askingOf(thing)
  for (const { name, offer } of offersFor(survey.plan.vehicle, survey, thing, survey.statics.sagMm)) {
    const found = matchThrough(offer, mount, asking, thing.placement.fitting ?? {})
    const low = name.toLowerCase()
    if (found.kind === 'fitsWith') {
      const { change } = found
      switch (change.kind) {
        case 'bolt':
          return {
            rule: 'mount-match',
            message: [`with ${change.thread} bolts of `, mm(change.lengthMm)],
            cure: { kind: 'fitting', fitting: { boltMm: change.lengthMm } },
          }
        case 'nut':
          return {
            rule: 'mount-match',
            message: ['with its nuts for a slot of ', mm(change.slotMm)],
            cure: { kind: 'fitting', fitting: { nutSlotMm: change.slotMm } },
          }
        case 'hole':
          return {
            rule: 'mount-match',
            message: [`in hole ${change.index + 1}`],
            cure: { kind: 'fitting', fitting: { hole: change.index } },
          }
      }
    }
    if (found.kind === 'doesNot') {
      const adapter = adapterFor(offer, mount, asking, adapters)
      return adapter
        ? {
            rule: 'mount-match',
            message: [`with ${adapter.name.toLowerCase()}`],
            cure: { kind: 'fitting', fitting: { adapter } },
          }
        : { rule: 'mount-match', message: [`on ${low}: ${found.why}`], cure: undefined }
    }
    // How it is held nobody has said: a question for once it is on, no reason to keep it off.
    if (found.kind === 'unknown' && mount.kind !== 'unsaid')
      return { rule: 'mount-match', message: [`find out ${found.lacks}`], cure: undefined }
  }
  return undefined
}

/** The spreads of the plan with one more thing asking. */
function withAsk(spreads: Spreads, own: readonly number[], wanted: readonly [number, number]): Spreads {
  const asks = own.slice(1).map((to, i) => ({ by: 'trial', from: own[i] ?? 0, to, spread: [wanted] }))
  const member = { id: 'trial', name: 'it', kind: 'thing' as const }
  const pairs = spreads.pairs.map((pair) => {
    const [front, rear] = [spreads.bars.indexOf(pair.front), spreads.bars.indexOf(pair.rear)]
    return asks.some(({ from, to }) => from === front && to === rear)
      ? { ...pair, wants: [...pair.wants, { member, from: wanted[0], to: wanted[1] }] }
      : pair
  })
  return { ...spreads, pairs, problem: { ...spreads.problem, asks: [...spreads.problem.asks, ...asks] } }
}

function spreadBlocker(survey: Survey, thing: ThingAt): Blocker | undefined {
  const { host } = thing.placement
  const wanted = spreadWanted(thing)
  if (!wanted || host.on !== 'bars' || host.barIds.length < 2) return undefined
  const spreads = survey.fit.spreads()
  const own = spreads.bars.flatMap(({ bar }, i) => (host.barIds.includes(bar.id) ? [i] : []))
  for (const [i, to] of own.entries()) {
    const [front, rear] = [spreads.bars[own[i - 1] ?? -1], spreads.bars[to]]
    if (!front || !rear) continue
    const now = rear.bar.xMm - front.bar.xMm
    const over = Math.max(wanted[0] - now, now - wanted[1])
    if (over <= TOLERANCE.lengthMm) continue
    const asked = withAsk(spreads, own, wanted)
    const xs = chooseBars(asked, survey.plan.rules.spread) ?? chooseBars(asked, 'frontStays')
    const commands = xs ? barMoves(spreads, xs) : []
    return commands.length > 0
      ? {
          rule: 'spread',
          message: [`with the bars moved for a spread of `, mm(wanted[0]), ' to ', mm(wanted[1])],
          cure: { kind: 'bars', commands },
        }
      : {
          rule: 'spread',
          message: [
            'wants a spread of ',
            mm(wanted[0]),
            ' to ',
            mm(wanted[1]),
            '; the bars stand at ',
            mm(now),
          ],
          cure: undefined,
        }
  }
  return undefined
}

function widthBlocker(survey: Survey, thing: ThingAt): Blocker | undefined {
  const { host } = thing.placement
  const ys = contactYs(thing)
  const past = (from: number, to: number) => Math.max(from - Math.min(...ys), Math.max(...ys) - to)
  const spans =
    host.on === 'bars'
      ? survey.bars
          .filter(({ bar }) => host.barIds.includes(bar.id))
          .map(({ bar, usableY }) => ({ name: bar.name.toLowerCase(), from: usableY[0], to: usableY[1] }))
      : host.on === 'deck'
        ? survey.racks
            .filter(({ rack }) => rack.id === host.rackId)
            .flatMap(({ deck }) => (deck ? [{ name: 'the deck', from: deck.box.y0, to: deck.box.y1 }] : []))
        : []
  for (const { name, from, to } of spans) {
    const over = past(from, to)
    if (over > TOLERANCE.lengthMm)
      return { rule: 'usable-width', message: [mm(over), ` too wide for ${name}`], cure: undefined }
  }
  return undefined
}

function reachBlocker(survey: Survey, thing: ThingAt): Blocker | undefined {
  const { host } = thing.placement
  if (host.on !== 'bars') return undefined
  for (const { bar } of survey.bars) {
    if (!host.barIds.includes(bar.id)) continue
    const short = Math.max(thing.box.x0 - bar.xMm, bar.xMm - thing.box.x1)
    if (short > TOLERANCE.lengthMm)
      return {
        rule: 'on-its-bars',
        message: [mm(short), ` too short to reach ${bar.name.toLowerCase()}`],
        cure: undefined,
      }
  }
  const { bars } = thing.gear.fit
  return bars && (host.barIds.length < bars.from || host.barIds.length > bars.to)
    ? {
        rule: 'on-its-bars',
        message: [`wants ${bars.from === bars.to ? bars.from : `${bars.from} to ${bars.to}`} bars`],
        cure: undefined,
      }
    : undefined
}

function hatchBlocker(survey: Survey, thing: ThingAt): Blocker | undefined {
  const { obstacles } = survey.plan.vehicle
  for (const obstacle of obstacles) {
    if (obstacle.kind !== 'hatch' || !sharesWidth(thing.box, obstacle.halfWidthMm)) continue
    const swings = swingsOf(obstacle, obstacles)
    if (swings.every((swing) => outOfReach(swing, sideOf(thing.box), 0))) continue
    if (sweptBy(swings, thing.box).kind !== 'touches') continue
    const byMm = forwardToClear(swings, thing.box, survey.plan.rules.gapsMm.hatch)
    return {
      rule: 'hatch',
      message: [`the ${obstacle.name.toLowerCase()} would touch it`],
      cure: byMm === undefined ? undefined : { kind: 'forward', byMm: Math.ceil(byMm) },
    }
  }
  return undefined
}

function spaceBlocker(survey: Survey, thing: ThingAt): Blocker | undefined {
  const met = nearThing(survey.things, thing, 0).find(({ kind }) => kind === 'overlap')
  if (met)
    return { rule: 'space', message: [`${met.b.gear.name.toLowerCase()} is in its way`], cure: undefined }
  if (thing.parent) return undefined
  const top = bodyTopUnder(survey.plan.vehicle, survey.body, thing.box)
  return top !== undefined && top > thing.box.z0 + 0.01
    ? {
        rule: 'over-roof',
        message: ['it would sink ', mm(top - thing.box.z0), ' into the body'],
        cure: undefined,
      }
    : undefined
}

/** What stands against a thing on its host, wherever on it: its mount, and the spread of the bars. */
export function hostBlockers(survey: Survey, thing: ThingAt, adapters: readonly Adapter[]): Blocker[] {
  return [mountBlocker(survey, thing, adapters), spreadBlocker(survey, thing)].filter(
    (each) => each !== undefined,
  )
}

/** What stands first against a thing at its very place: nothing when the place is good. */
export function placeBlocker(survey: Survey, thing: ThingAt): Blocker | undefined {
  return (
    reachBlocker(survey, thing) ??
    widthBlocker(survey, thing) ??
    spaceBlocker(survey, thing) ??
    hatchBlocker(survey, thing)
  )
}
