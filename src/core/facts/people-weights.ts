import type { Plan } from '../plan/schema/plan'
import type { Mass } from '../plan/schema/rating'

/** Somebody of a job whose weight the plan has, kg and how it is known. */
export interface PersonWeight {
  readonly name: string
  readonly mass: Mass
}

/** Who is in the vehicle, in a tent or on a ladder, by name, where somebody has said a weight. */
export function peopleWeights({ use, placements, gear }: Plan): readonly PersonWeight[] {
  const inside = use.occupants.map(({ name, mass }) => ({ name, mass }))
  const aboard = placements.flatMap(({ loads, gearId }) => {
    const piece = gear.find(({ id }) => id === gearId)
    const people = loads.flatMap(({ name, what }) =>
      what.kind === 'people' && what.count > 0 ? [{ name, mass: what.each }] : [],
    )
    const { others: _, ...mass } = piece?.mass ?? { kg: 0, basis: 'unknown' as const }
    return piece?.kind === 'person' ? [{ name: piece.name, mass }, ...people] : people
  })
  return [...inside, ...aboard].filter(({ mass }) => mass.basis !== 'unknown' && mass.kg > 0)
}
