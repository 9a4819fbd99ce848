import { GEAR_KINDS, gearTraits, type GearKind } from '../kinds/gear-kind'
import { kindsOf } from '../kinds/kind'

/** What goes on a rack, by what letters and sheets call it: what is named after what it carries comes before that. */
const THINGS = kindsOf(GEAR_KINDS)
  .flatMap((kind) => {
    const { called } = gearTraits(kind)
    return called ? [[kind, called] as const] : []
  })
  .toSorted(([a], [b]) => Number(b === 'carrier') - Number(a === 'carrier'))

/** A thing that a text names, and how many of it. */
export interface NamedThing {
  readonly thing: GearKind
  readonly count: number
}

const COUNTS: Readonly<Record<string, number>> = { two: 2, three: 3, four: 4, both: 2 }
/** “9 kg” and “1.8 m” before a thing count nothing. */
const COUNTED =
  /(?<![\d.,])\b(\d|two|three|four|both)(?: (?:of )?(?!(?:kgs?|kilos?|lbs?|pounds?|mm|cm|m|ft|in|l|lit\w+)\b)[a-z-]+)?\s*$/i
/** What is not there, not wanted or not allowed is not named. */
const REFUSED = /\b(?:no|not|never|without|except|instead of|rather than|sold|used to)\b[^.;]{0,30}$/i
const MOST_BEFORE = 40

/** All of them in one, each in a group of its own: at one place the narrower is found. */
const ANY = new RegExp(THINGS.map(([, { source }]) => `(${source})`).join('|'), 'gi')

/** The things of a stretch in the order of their words. */
function found(text: string): NamedThing[] {
  const all: NamedThing[] = []
  for (const match of text.matchAll(ANY)) {
    const [thing] = THINGS[match.slice(1).findIndex((group: string | undefined) => group !== undefined)] ?? []
    const before = text.slice(Math.max(0, match.index - MOST_BEFORE), match.index)
    if (!thing || REFUSED.test(before)) continue
    const said = COUNTED.exec(before)?.[1]?.toLowerCase() ?? ''
    all.push({ thing, count: COUNTS[said] ?? (Number(said) || 1) })
  }
  return all
}

/** The thing that a stretch before a figure names last, or one after it first. */
const lastIn = (text: string): GearKind | undefined => found(text).at(-1)?.thing
const firstIn = (text: string): GearKind | undefined => found(text)[0]?.thing

/** What stands round a figure, as far as it may name the thing that it is of. */
interface Round {
  readonly before: string
  readonly after: string
  readonly row: string
  readonly column: string
  readonly sentence: string
  readonly headings: readonly string[]
  readonly earlier: string
}

/** The thing that a figure is said of: the nearest that is named. */
export const thingAround = ({
  before,
  after,
  row,
  column,
  sentence,
  headings,
  earlier,
}: Round): GearKind | undefined =>
  lastIn(before) ??
  firstIn(after) ??
  firstIn(row) ??
  firstIn(column) ??
  firstIn(sentence) ??
  lastIn(earlier) ??
  headings.map(firstIn).find((each) => each !== undefined)

const NAMES = THINGS.map(([, { source }]) => source).join('|')
const AFTER_THING = new RegExp(`(?:${NAMES})[ ,(]*(?:(?:of|at|with) )?$`, 'i')
const BEFORE_THING = new RegExp(`^ ?(?:${NAMES})`, 'i')
const COUNTED_BEFORE = /\b(?:an?|the|my|our|two|three|four)\s*$/i

/** “Two bikes, 14 kg each”, “a 19 kg box”: a figure that stands at a thing and says no more than that. */
export const standsAtThing = ({ before, after }: Pick<Round, 'before' | 'after'>): boolean =>
  AFTER_THING.test(before) || (COUNTED_BEFORE.test(before) && BEFORE_THING.test(after))

/** What a text names that goes on a rack, each kind once with the most it counts of it, in the order of first mention. */
export function thingsNamed(plain: string): NamedThing[] {
  const most = new Map<GearKind, number>()
  for (const { thing, count } of found(plain)) most.set(thing, Math.max(count, most.get(thing) ?? 0))
  return [...most].map(([thing, count]) => ({ thing, count }))
}
