import { ATTACHMENTS, USUAL_ATTACHMENT } from '../../kinds/attachment'
import type { BayRules } from '../../plan/schema/house'
import type { School, Ways } from '../../kinds/fitting-ways'
import { barsOf, hasUnderChannel, type Rack } from '../../plan/schema/rack'
import type { Attachment } from '../../plan/schema/vehicle'
import { FITTING_ORDERS, type FittingOrder } from './fitting-order'

/** The order of a rack on what it stands on; one on nothing goes on as bars on rails do. */
export const orderOf = (attachment: Attachment | undefined): FittingOrder =>
  FITTING_ORDERS[ATTACHMENTS[attachment?.kind ?? USUAL_ATTACHMENT].order]

/** A house that tapes trusses does not tape latches by that: only for a rack itself is that asked. */
function usualSquaring(
  rack: Rack,
  house: BayRules['fitting'],
  { squaresItself }: FittingOrder,
): Ways['squaring'] {
  if (squaresItself === 'always') return 'itself'
  const trusses = squaresItself === 'withTrusses' && rack.parts.some(({ role }) => role === 'trusses')
  return trusses ? (house?.squaring ?? 'itself') : 'taped'
}

/** Which of two ways a rack is fitted in: as chosen for it, else as the house goes about it, else as is usual on what it stands on. */
export function waysOf(
  { rack, attachment }: { readonly rack: Rack; readonly attachment: Attachment | undefined },
  { fitting }: BayRules,
): Ways {
  const own = rack.fitting
  return {
    build: own?.build ?? fitting?.build ?? 'bench',
    squaring: own?.squaring ?? usualSquaring(rack, fitting, orderOf(attachment)),
    strips: own?.strips ?? fitting?.strips ?? 'first',
  }
}

/** The schools between which there is something to choose for a rack: where its order, or its bars, know both ways. */
export function schoolsFor({
  rack,
  attachment,
}: {
  readonly rack: Rack
  readonly attachment: Attachment | undefined
}): School[] {
  const { steps } = orderOf(attachment)
  const build = steps.some(({ only }) => only?.build === 'vehicle')
  const strips = barsOf(rack).some(({ profile }) => hasUnderChannel(profile))
  return [
    ...(build ? (['build'] as const) : []),
    ...(rack.kind === 'ladder' ? [] : (['squaring'] as const)),
    ...(strips ? (['strips'] as const) : []),
  ]
}
