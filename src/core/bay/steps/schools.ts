import type { School, Ways } from '../../kinds/fitting-ways'
import type { BayRules } from '../../plan/schema/house'
import { barsOf, hasUnderChannel } from '../../plan/schema/rack'
import type { RackAt } from '../../survey/frame/arrangement'
import { orderOf } from './fitting-orders'
import { isPlacedByVehicle } from './vehicle-place'

/** Whether the bars of a rack stand square by themselves on what it stands on, ends and all: latched, hooked, or held by trusses. */
export function standsByItself({ rack, attachment }: RackAt): boolean {
  const { squaresItself } = orderOf(attachment)
  const trusses = rack.parts.some(({ role }) => role === 'trusses')
  return squaresItself === 'always' || (squaresItself === 'withTrusses' && trusses)
}

/** A house that tapes trusses does not tape latches, hooks and points by that: only for a rack itself is that asked. */
function usualSquaring(at: RackAt, house: BayRules['fitting']): Ways['squaring'] {
  if (orderOf(at.attachment).squaresItself === 'withTrusses' && standsByItself(at))
    return house?.squaring ?? 'itself'
  return standsByItself(at) || isPlacedByVehicle(at) ? 'itself' : 'taped'
}

/** Which of two ways a rack is fitted in: as chosen for it, else as the house goes about it, else as is usual on what it stands on. */
export function waysOf(at: RackAt, { fitting }: BayRules): Ways {
  const own = at.rack.fitting
  return {
    build: own?.build ?? fitting?.build ?? 'bench',
    squaring: own?.squaring ?? usualSquaring(at, fitting),
    strips: own?.strips ?? fitting?.strips ?? 'first',
  }
}

/** The schools between which there is something to choose for a rack: where its order, or its bars, know both ways. */
export function schoolsFor({ rack, attachment }: RackAt): School[] {
  const entries = Object.values(orderOf(attachment).steps).flat()
  const build = entries.some(({ only }) => only?.build === 'vehicle')
  const strips = barsOf(rack).some(({ profile }) => hasUnderChannel(profile))
  return [
    ...(build ? (['build'] as const) : []),
    ...(barsOf(rack).length > 1 ? (['squaring'] as const) : []),
    ...(strips ? (['strips'] as const) : []),
  ]
}
