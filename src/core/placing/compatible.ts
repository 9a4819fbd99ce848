import { reachesPast } from '../facts/usable-widths'
import { usableWidth } from '../review/checks/usable-width'
import { GEAR_KINDS } from '../kinds/gear-kind'
import type { SingleCommand } from '../plan/commands/command'
import type { Gear, Turn } from '../plan/schema/gear'
import type { Adapter, Placement } from '../plan/schema/placement'
import { sizeAsPlaced } from '../survey/frame/arrangement'
import type { Survey } from '../survey/survey'
import { mm, type Phrase } from '../units/phrase'
import { needsOf, withNeeds, type Need } from './needs'
import { freePlaces, needsCarrier, placements, placesTried, type PointerPlace } from './places'
import { forwardOfHatch, stopsAt, trialThing, type Blocked } from './trial'

/** Whether a piece of gear goes on a rack: as all stands now, with changes, or not and why. */
export type Compatible =
  | { readonly kind: 'fits'; readonly placement: Placement }
  | {
      readonly kind: 'fitsIf'
      readonly placement: Placement
      /** What must be done besides putting it on. */
      readonly commands: readonly SingleCommand[]
      readonly say: Phrase
    }
  | { readonly kind: 'cannot'; readonly why: Phrase }

/** How many places are tried for one piece of gear: beyond that a person places it better by hand. */
const MOST_TRIED = 40

/** A place that no check stops, with what it takes. */
interface Good {
  readonly placement: Placement
  readonly needs: readonly Need[]
}

function answer({ placement, needs }: Good): Compatible {
  if (needs.length === 0) return { kind: 'fits', placement }
  const say = needs.flatMap(({ words }, i) => (i > 0 ? [' and ', ...words] : [...words]))
  const commands = needs.flatMap(({ cure }) => (cure?.kind === 'bars' ? cure.commands : []))
  return { kind: 'fitsIf', placement, commands, say }
}

/** The first good place of many, the first that would be good with a change, and what stands against the rest. */
function bestOf(
  survey: Survey,
  tries: Iterable<Placement>,
  gear: Gear,
  adapters: readonly Adapter[],
  near: PointerPlace | undefined,
) {
  // The places tried on one host share its object, and what it takes to be held there does not change from one to the next.
  const onHost = new Map<Placement['host'], Map<Turn, readonly Need[]>>()
  let withChange: Good | undefined
  let doubtful: Good | undefined
  let against: Blocked | undefined
  let count = 0
  const lieOneWay = 'direction' in gear.fit.mount
  const needsAt = (placement: Placement): readonly Need[] => {
    const { host, turn } = placement
    const turns = onHost.get(host) ?? new Map<Turn, readonly Need[]>()
    onHost.set(host, turns)
    const needs = turns.get(turn) ?? needsOf(survey, trialThing(survey, gear, placement), adapters)
    turns.set(turn, needs)
    return needs
  }
  for (const placement of tries) {
    if ((count += 1) > MOST_TRIED) break
    const needs = needsAt(placement)
    const hopeless = needs.find(({ cure }) => cure === undefined)
    if (hopeless || (withChange && needs.length > 0)) {
      if (hopeless) against ??= { rule: hopeless.rule, words: () => hopeless.words }
      continue
    }
    const held = needs.length > 0 ? withNeeds(survey, placement, needs) : { survey, placement }
    const there = trialThing(held.survey, gear, held.placement)
    const stopped = stopsAt(held.survey, there)
    const good = stopped ? forwardOfHatch(held.survey, there, stopped) : held.placement
    if (!good) {
      against ??= stopped
      continue
    }
    if (reachesPast(held.survey, there)) {
      if (near ? Math.abs(good.yMm - near.yMm) < 0.1 : lieOneWay) doubtful ??= { placement: good, needs }
      against ??= { rule: usableWidth.id, words: () => ['would reach past its supports'] }
      continue
    }
    // Brackets that are made to lie one way are not turned to spare a question: where they touch is on its sheet.
    if (lieOneWay && doubtful && good.turn !== doubtful.placement.turn) continue
    if (needs.length === 0) return { found: { placement: good, needs }, against }
    withChange ??= { placement: good, needs }
  }
  // If its sides reach past the bars and its contacts are unknown, there is no Stop, so it stays under the pointer.
  return { found: withChange ?? doubtful, against }
}

/**
 * Whether gear goes on a rack of the plan and where: at the first place that suits it (nearest to `near` when a
 * hand holds it there), with what must be changed, or why not. Weight is another question.
 */
export function compatible(
  survey: Survey,
  gear: Gear,
  rackId: string,
  adapters: readonly Adapter[],
  id: string,
  near?: PointerPlace,
): Compatible {
  const rack = survey.racks.find((each) => each.rack.id === rackId)
  if (!rack) return { kind: 'cannot', why: ['there is no such rack'] }
  if (rack.rack.kind === 'ladder') {
    if (gear.kind !== 'person') return { kind: 'cannot', why: ['a ladder carries people, parked'] }
    const { xMm, yMm } = rack.rack
    const placement: Placement = {
      id,
      gearId: gear.id,
      host: { on: 'ladder', rackId },
      xMm,
      yMm,
      turn: 0,
      onEdge: false,
      when: 'parked',
      loads: [],
    }
    const stopped = stopsAt(survey, trialThing(survey, gear, placement))
    return stopped ? { kind: 'cannot', why: stopped.words() } : { kind: 'fits', placement }
  }
  if (gear.kind === 'person') return { kind: 'cannot', why: ['people go on a ladder or in a tent, parked'] }
  const inPlaces = needsCarrier(gear) || GEAR_KINDS[gear.kind].cradled ? freePlaces(survey, gear) : []
  const base = {
    id,
    gearId: gear.id,
    onEdge: false,
    when: gear.when,
    loads: [],
    turn: 0 as const,
    xMm: 0,
    yMm: 0,
  }
  const placed = bestOf(survey, placesTried(survey, inPlaces, gear, base), gear, adapters, near)
  if (placed.found && (needsCarrier(gear) || placed.found.needs.length === 0)) return answer(placed.found)
  if (needsCarrier(gear))
    return {
      kind: 'cannot',
      why: placed.against?.words() ?? ['it needs a carrier, and none here has a free place'],
    }
  const { found, against } = bestOf(survey, placements(survey, rack, gear, id, near), gear, adapters, near)
  if (found) return answer(found)
  if ((against?.rule === 'space' || against?.rule === 'usable-width') && !rack.deck) {
    const width = survey.fit.widths().find((each) => each.rack.rack.id === rackId)
    const across = Math.min(...gear.turns.map((turn) => sizeAsPlaced(gear, turn, false).width))
    if (width && width.widestMm < across)
      return { kind: 'cannot', why: [mm(width.widestMm), ' of bar is left, it takes ', mm(across)] }
  }
  return { kind: 'cannot', why: against?.words() ?? ['no place was found'] }
}
