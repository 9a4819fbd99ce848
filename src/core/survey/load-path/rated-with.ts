import { inUse, type Rated, type Rating } from '../../plan/schema/rating'

/** Something that may be rated: by its names, with figures of its own or the statement that another's count for it. */
interface RatedThing {
  readonly names: readonly string[]
  readonly rated: Rated
}

/** Where "rated with …" leads: to figures of another, to itself again, to something that is not here, or to nothing. */
export type RatedEnd =
  | { readonly kind: 'figures'; readonly at: RatedThing; readonly ratings: readonly Rating[] }
  | { readonly kind: 'noFigure'; readonly at: RatedThing }
  | { readonly kind: 'circle' }
  | { readonly kind: 'notHere'; readonly what: string }

const plain = (text: string) =>
  text
    .toLowerCase()
    .replace(/^(the|its|their|with)\s+/, '')
    .replace(/[^a-z0-9]+/g, ' ')
    .trim()

/** Follows a statement from one thing to the next until figures are found. Names are compared without case and article. */
export function followRated(start: RatedThing, among: readonly RatedThing[]): RatedEnd {
  const seen = new Set<RatedThing>([start])
  let { rated } = start
  for (;;) {
    if (rated.by === 'own') {
      const at = [...seen].at(-1) ?? start
      const ratings = inUse(rated.ratings)
      return ratings.length > 0 ? { kind: 'figures', at, ratings } : { kind: 'noFigure', at }
    }
    const wanted = plain(rated.what)
    const next = among.find(({ names }) => names.some((name) => plain(name) === wanted))
    if (!next) return { kind: 'notHere', what: rated.what }
    if (seen.has(next)) return { kind: 'circle' }
    seen.add(next)
    rated = next.rated
  }
}
