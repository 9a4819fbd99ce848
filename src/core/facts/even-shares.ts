import type { Evenness, OverShare } from '../survey/statics/evenness'
import type { Survey } from '../survey/survey'
import { atMost, type Compared } from './comparison'

/** The foot that bears most of its even share of a figure for the set, and how the load stands there. kg */
interface EvenShare {
  readonly share: OverShare
  readonly evenness: Evenness
  readonly compared: Compared
}

/** Every set of feet with a figure, in every state. */
export function evenShares(survey: Survey): readonly EvenShare[] {
  const all = survey.statics.evenness()
  return survey.statics.footShares().flatMap((share): EvenShare[] => {
    const { cell, countedKg, shareKg } = share
    const stands = all.find(
      ({ state, rack }) => state === cell.state && cell.layer.rackIds.includes(rack.rack.id),
    )
    return stands ? [{ share, evenness: stands, compared: atMost(countedKg, shareKg, 'mass') }] : []
  })
}
