import type { Member, Sharing } from '../loads/spreading'
import type { RatingOwner } from '../../plan/commands/rating-commands'
import type { PartRole } from '../../kinds/part-role'
import type { Rated, Rating } from '../../plan/schema/rating'
import type { State } from '../../units/scalars'
import type { RatedEnd } from './rated-with'
import type { Via } from '../statics/influence'

export type Counting = 'load' | 'everything'
export type LayerRole = PartRole | 'carrier' | 'attachment' | 'roof' | 'payload'

/** One link of the load path: something with ratings of its own, and the masses that hang on it. */
export interface Layer extends Link {
  /** Whose gear stands on it. */
  readonly placementIds: readonly string[]
  /** Whether anything on it or of it has a weight that nobody knows. */
  readonly unweighed: boolean
}

export interface Link {
  readonly id: string
  readonly group: 'carrier' | 'rack' | 'vehicle'
  readonly role: LayerRole
  readonly name: string
  readonly detail: string
  readonly rackIds: readonly string[]
  readonly owner: RatingOwner | undefined
  /** By what names a sheet may speak of it. */
  readonly names: readonly string[]
  readonly rated: Rated
  /** Its own figures; none where it is rated with another part that is judged in its place. */
  readonly ratings: readonly Rating[]
  /** It is said to be rated with something, and that leads to no figure for what hangs here. */
  readonly ratedWith?: RatedEnd
  readonly units: readonly string[]
  readonly states: readonly State[]
  /** What a rating of this layer counts when its source is silent. Common practice, no source. */
  readonly usualCounting: Counting
  /** What stands on it. */
  readonly load: readonly Member[]
  /** What a rating that counts everything counts besides: the part itself and what is between. */
  readonly own: readonly Member[]
  /** How something more would spread over its units, and by which ways down it comes here at all. */
  readonly spread: Sharing
  readonly takes: (via: Via) => boolean
  /** Whether it may be named as what governs a state. */
  readonly governs: boolean
}

export function layerOf(link: Link): Layer {
  const ids = new Set<string>()
  for (const { mass } of link.load) if ('thing' in mass) ids.add(mass.thing.placement.id)
  const unknown = ({ mass }: Member) => mass.basis === 'unknown'
  // A link is made for its layer alone: to copy all of it costs more than to find what is put to it.
  return Object.assign(link, {
    placementIds: [...ids],
    unweighed: link.load.some(unknown) || link.own.some(unknown),
  })
}
