import type { SingleCommand } from '../plan/commands/command'
import type { Gear } from '../plan/schema/gear'
import type { Adapter, Placement } from '../plan/schema/placement'
import type { Survey } from '../survey/survey'
import { compatible, type Compatible } from './compatible'
import type { PointerPlace } from './places'
import { firstPlace } from './room'

/** A thing put on a rack: where, by which commands, and what the trial of it said. */
export interface PutOn {
  readonly placement: Placement
  readonly commands: readonly SingleCommand[]
  readonly answer: Compatible
}

/**
 * Puts a thing on a rack where it suits, with what that takes; where nothing suits, at its first free place to be seen.
 * Nothing where a hand holds it (`near`) and it does not go there. `id` is its place’s.
 */
export function puttingOn(
  survey: Survey,
  gear: Gear,
  rackId: string,
  adapters: readonly Adapter[],
  id: string,
  near?: PointerPlace,
): PutOn | undefined {
  const answer = compatible(survey, gear, rackId, adapters, 'trial', near)
  const placement =
    answer.kind === 'cannot'
      ? near
        ? undefined
        : firstPlace(survey, gear, rackId, id)
      : { ...answer.placement, id }
  if (!placement) return undefined
  const before = answer.kind === 'fitsIf' ? answer.commands : []
  return { placement, commands: [...before, { do: 'mount', gear, placement }], answer }
}
