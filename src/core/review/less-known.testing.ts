import type { Mass, Rated, Rating } from '../plan/schema/rating'
import type { Plan } from '../plan/schema/plan'
import { STATES, type State } from '../units/scalars'

/** Ways to know less of a plan than before. */
export const UNKNOWINGS = [
  'figures of the roof',
  'figures of a part',
  'figures of a carrier',
  'weights guessed',
  'weights told',
  'weights of the forms',
  'parts of the forms',
  'figures only told',
  'what figures count',
  'contacts',
  'width of clamps',
  'width of feet',
  'how things are held',
  'labels of straps',
] as const
export type Unknowing = (typeof UNKNOWINGS)[number]

const without = (rated: Rated, state: State): Rated =>
  rated.by === 'own' ? { by: 'own', ratings: rated.ratings.filter((each) => each.state !== state) } : rated

const eachRating = (rated: Rated, change: (rating: Rating) => Rating): Rated =>
  rated.by === 'own' ? { by: 'own', ratings: rated.ratings.map(change) } : rated

function rated(plan: Plan, change: (rated: Rated) => Rated): Plan {
  return {
    ...plan,
    vehicle: {
      ...plan.vehicle,
      roof: {
        ...plan.vehicle.roof,
        ratings: ratingsIn(change({ by: 'own', ratings: plan.vehicle.roof.ratings })),
      },
    },
    racks: plan.racks.map((rack) => ({
      ...rack,
      parts: rack.parts.map((part) => ({ ...part, rated: change(part.rated) })),
    })),
    gear: plan.gear.map((gear) =>
      gear.carries ? { ...gear, carries: { ...gear.carries, rated: change(gear.carries.rated) } } : gear,
    ),
  }
}
const ratingsIn = (of: Rated): Rating[] => (of.by === 'own' ? of.ratings : [])

const masses = (plan: Plan, basis: Mass['basis']): Plan => ({
  ...plan,
  gear: plan.gear.map((gear) => ({ ...gear, mass: { ...gear.mass, basis } })),
})

/** Whether two parked figures, or a figure for one kind of gear, make a state's judgement no simple one. */
function excepted({ ratings }: { readonly ratings: readonly Rating[] }, state: State): boolean {
  const here = ratings.filter((each) => each.state === state)
  const others = ratings.filter((each) => each.state !== state)
  // A parked figure below the driving one, the tighter of several figures, and a part’s figure that counts the part itself.
  return here.some(
    (one) =>
      one.gearKind !== undefined ||
      one.upToKmH !== undefined ||
      one.counts === 'everything' ||
      others.some((other) => other.kg > one.kg || other.per !== one.per || other.counts !== one.counts),
  )
}

/** The plan with one thing less known; nothing where there is nothing of it, or it is one of the exceptions. */
export function lessKnown(plan: Plan, unknowing: Unknowing, which: number): Plan | undefined {
  const state = STATES[which % 3] ?? 'road'
  switch (unknowing) {
    case 'figures of the roof': {
      const { roof } = plan.vehicle
      if (excepted(roof, state)) return undefined
      const ratings = roof.ratings.filter((each) => each.state !== state)
      return { ...plan, vehicle: { ...plan.vehicle, roof: { ...roof, ratings } } }
    }
    case 'figures of a part': {
      const part = plan.racks.flatMap(({ parts }) => parts)[which % 4]
      if (!part || part.rated.by !== 'own' || excepted(part.rated, state)) return undefined
      return {
        ...plan,
        racks: plan.racks.map((rack) => ({
          ...rack,
          parts: rack.parts.map((each) =>
            each === part ? { ...each, rated: without(each.rated, state) } : each,
          ),
        })),
      }
    }
    case 'figures of a carrier': {
      const gear = plan.gear.find(({ carries }) => carries !== undefined)
      if (!gear?.carries || gear.carries.rated.by !== 'own' || excepted(gear.carries.rated, state))
        return undefined
      const carries = { ...gear.carries, rated: without(gear.carries.rated, state) }
      return { ...plan, gear: plan.gear.map((each) => (each === gear ? { ...gear, carries } : each)) }
    }
    case 'weights guessed':
      return masses(plan, 'guess')
    case 'weights told':
      return masses(plan, 'told')
    case 'weights of the forms':
      return masses(plan, 'start')
    case 'parts of the forms':
      return {
        ...plan,
        racks: plan.racks.map((rack) => ({
          ...rack,
          parts: rack.parts.map((part) => ({ ...part, known: { eachKg: { by: 'start' as const } } })),
        })),
      }
    case 'figures only told':
      return rated(plan, (each) => eachRating(each, (rating) => ({ ...rating, source: { kind: 'told' } })))
    case 'what figures count':
      return rated(plan, (each) => eachRating(each, ({ counts: _, ...rating }) => rating))
    case 'contacts':
      return { ...plan, gear: plan.gear.map(({ contactsMm: _, ...gear }) => gear) }
    case 'width of clamps':
      return {
        ...plan,
        gear: plan.gear.map((gear) => {
          const { baseMm: _, ...fit } = gear.fit
          return { ...gear, fit }
        }),
      }
    case 'width of feet':
      return { ...plan, racks: plan.racks.map(({ footWidthMm: _, ...rack }) => rack) }
    case 'how things are held':
      return {
        ...plan,
        gear: plan.gear.map((gear) => ({ ...gear, fit: { ...gear.fit, mount: { kind: 'unsaid' } } })),
      }
    case 'labels of straps':
      return {
        ...plan,
        placements: plan.placements.map((placement) =>
          placement.straps ? { ...placement, straps: { count: placement.straps.count } } : placement,
        ),
      }
  }
}
