import { statesOf } from '../survey/loads/presence'
import type { Gear } from '../plan/schema/gear'
import type { Placement } from '../plan/schema/placement'
import type { Plan } from '../plan/schema/plan'
import { barsOf, deckOf } from '../plan/schema/rack'
import type { State } from '../units/scalars'
import type { ThingAt } from '../survey/frame/arrangement'
import { sharedWidth } from '../survey/bars/bar-ends'
import type { Survey } from '../survey/survey'

/** What may still be added to a rack in the state where a thing's mass leaves least, and what it would leave. kg. */
interface WeightRoom {
  readonly state: State
  readonly addableKg: number
  /** Negative: the thing is so much too heavy. */
  readonly leftKg: number
  /** What it leaves: so much, or, where a link has no figure, at most so much. */
  readonly known: boolean
}

/** How the mass of a thing (empty) stands against what may still be added to a rack; nothing where no figure says. */
export function weightRoom(survey: Survey, gear: Gear, rackId: string): WeightRoom | undefined {
  const states = statesOf(gear.when)
  const mass = gear.mass.kg + (gear.wetKg ?? 0)
  return survey.allowances
    .filter((allowance) => allowance.rackId === rackId && states.includes(allowance.state))
    .flatMap((allowance): WeightRoom[] => {
      const kg = allowance.kind === 'unknown' ? allowance.atMostKg : allowance.kg
      return kg === undefined
        ? []
        : [{ state: allowance.state, addableKg: kg, leftKg: kg - mass, known: allowance.kind !== 'unknown' }]
    })
    .reduce<WeightRoom | undefined>(
      (least, each) => (least && least.leftKg <= each.leftKg ? least : each),
      undefined,
    )
}

/** A first place for a thing on a rack: beside what stands there already when there is room, else in the middle. */
export function firstPlace(survey: Survey, gear: Gear, rackId: string, id: string): Placement | undefined {
  const at = survey.racks.find(({ rack }) => rack.id === rackId)
  if (!at) return undefined
  const base = {
    id,
    gearId: gear.id,
    turn: gear.turns[0] ?? 0,
    onEdge: false,
    when: gear.when,
    loads: [],
  } as const
  if (at.rack.kind === 'ladder')
    return { ...base, loads: [], host: { on: 'ladder', rackId }, xMm: at.rack.xMm, yMm: at.rack.yMm }
  const deck = deckOf(at.rack)
  const xs = at.bars.map(({ bar }) => bar.xMm)
  const xMm = deck?.xMm ?? (Math.min(...xs) + Math.max(...xs)) / 2
  const half = (deck?.widthMm ?? sharedWidth(at.bars.map(({ bar }) => bar))) / 2
  const host: Placement['host'] = deck
    ? { on: 'deck', rackId }
    : { on: 'bars', barIds: at.bars.map(({ bar }) => bar.id) }
  return { ...base, loads: [], host, xMm, yMm: freeY(survey, gear, xMm, half) }
}

function freeY(survey: Survey, gear: Gear, xMm: number, halfMm: number): number {
  const gap = survey.plan.rules.gapsMm.between
  const x0 = xMm - gear.lengthMm / 2
  const x1 = xMm + gear.lengthMm / 2
  const taken = survey.things
    .filter(
      ({ parent, box, placement }) => !parent && placement.host.on !== 'panel' && box.x0 < x1 && box.x1 > x0,
    )
    .map(({ box }) => [box.y0 - gap, box.y1 + gap] as const)
  const reach = halfMm - gear.widthMm / 2
  const tries = [0, ...taken.flatMap(([from, to]) => [from - gear.widthMm / 2, to + gear.widthMm / 2])]
  const free = tries.filter(
    (y) =>
      Math.abs(y) <= reach &&
      taken.every(([from, to]) => y + gear.widthMm / 2 <= from + 1e-6 || y - gear.widthMm / 2 >= to - 1e-6),
  )
  return free.sort((a, b) => Math.abs(a) - Math.abs(b))[0] ?? 0
}

/** Every host a thing could be put on in this plan, with words for it. */
export function hostsFor(
  plan: Plan,
  placementId: string,
): { readonly host: Placement['host']; readonly name: string }[] {
  const hosts: { host: Placement['host']; name: string }[] = []
  for (const rack of plan.racks) {
    if (rack.kind === 'ladder') {
      hosts.push({ host: { on: 'ladder', rackId: rack.id }, name: rack.name })
      continue
    }
    const deck = deckOf(rack)
    if (deck) hosts.push({ host: { on: 'deck', rackId: rack.id }, name: `${rack.name}, deck` })
    else
      hosts.push({
        host: { on: 'bars', barIds: rack.bars.map((bar) => bar.id) },
        name: `${rack.name}, ${rack.bars.length > 1 ? 'all bars' : 'its bar'}`,
      })
    if (!deck && rack.bars.length > 1)
      for (const bar of rack.bars)
        hosts.push({
          host: { on: 'bars', barIds: [bar.id] },
          name: `${rack.name}, ${bar.name} only`,
        })
    if (rack.parts.some((part) => part.role === 'panels' || part.role === 'trusses'))
      for (const side of ['left', 'right'] as const)
        hosts.push({
          host: { on: 'panel', rackId: rack.id, side, zMm: 150 },
          name: `${rack.name}, ${side} panel`,
        })
  }
  const withBars = plan.racks.filter((rack) => rack.kind !== 'ladder' && !deckOf(rack))
  if (withBars.length > 1)
    hosts.push({
      host: {
        on: 'bars',
        barIds: withBars.flatMap((rack) => (rack.kind === 'ladder' ? [] : rack.bars.map((bar) => bar.id))),
      },
      name: `${withBars.map((rack) => rack.name).join(' and ')}, all bars`,
    })
  for (const other of plan.placements) {
    const carrier = plan.gear.find((gear) => gear.id === other.gearId)
    if (other.id === placementId) continue
    for (const place of carrier?.carries?.places ?? [])
      hosts.push({
        host: { on: 'place', placementId: other.id, placeId: place.id },
        name: `${carrier?.name ?? ''}, ${place.name}`,
      })
  }
  return hosts
}

/** The bars that may carry a thing, one by one, by name: of any rack that has no deck. With several racks each names its own. */
export function carryingBars(plan: Plan): readonly (readonly [barId: string, name: string])[] {
  const withBars = plan.racks.filter((rack) => rack.kind !== 'ladder' && !deckOf(rack))
  return withBars.flatMap((rack) =>
    barsOf(rack).map(({ id, name }) => [id, withBars.length > 1 ? `${rack.name}, ${name}` : name] as const),
  )
}

/** The names of the bars that a thing stands on; nothing where it does not stand on bars. */
export function barNames(plan: Plan, host: Placement['host']): string | undefined {
  if (host.on !== 'bars') return undefined
  return carryingBars(plan)
    .flatMap(([id, name]) => (host.barIds.includes(id) ? [name] : []))
    .join(' and ')
}

/** Where on a new host a thing starts: the middle of another thing's place, else where it stands now. mm. */
export function placeOn(
  survey: Survey,
  thing: ThingAt,
  host: Placement['host'],
): { readonly xMm: number; readonly yMm: number } {
  if (host.on === 'place') return { xMm: 0, yMm: 0 }
  const { box } = thing
  const yMm = (box.y0 + box.y1) / 2
  const bars =
    host.on === 'bars'
      ? survey.bars.filter(({ bar }) => host.barIds.includes(bar.id))
      : survey.bars.filter(({ rack }) => rack.id === host.rackId)
  if (host.on === 'panel') {
    const side = host.side === 'left' ? -1 : 1
    const feet = Math.max(0, ...bars.flatMap(({ bar }) => bar.feetYMm))
    return { xMm: middleOf(bars), yMm: side * (feet + (box.y1 - box.y0) / 2) }
  }
  const x = (box.x0 + box.x1) / 2
  const xs = bars.map(({ bar }) => bar.xMm)
  const over = xs.length > 0 && x >= Math.min(...xs) - 600 && x <= Math.max(...xs) + 600
  return { xMm: over || xs.length === 0 ? x : middleOf(bars), yMm }
}

function middleOf(bars: Survey['bars']): number {
  const xs = bars.map(({ bar }) => bar.xMm)
  return xs.length === 0 ? 0 : (Math.min(...xs) + Math.max(...xs)) / 2
}
