/** What goes on a rack, by the words for it: the narrower before the wider. */
const THINGS = [
  [
    'carrier',
    /\b(?:bike|bicycle|cycle|ski|kayak|boat|canoe|board|surfboard|wheel) ?(?:carriers?|trays?|holders?|cradles?|mounts?)\b|\bcradles?\b|\bj-?bars?\b/gi,
  ],
  ['box', /\b(?:roof|cargo|top|ski|luggage) ?box(?:es)?\b|\bbox(?:es)?\b/gi],
  ['basket', /\b(?:roof |cargo )?baskets?\b/gi],
  ['awning', /\bawnings?\b/gi],
  ['tent', /\b(?:roof(?:top)? )?tents?\b/gi],
  ['board', /\b(?:surf|paddle|sup|wind ?surf)[ -]?boards?\b/gi],
  ['boat', /\b(?:kayaks?|canoes?|boats?|dinghy|dinghies)\b/gi],
  ['bike', /\b(?:e-)?(?:bikes?|bicycles?)\b/gi],
  ['skis', /\b(?:skis|snowboards?)\b/gi],
  ['ladder', /\bladders?\b/gi],
  ['can', /\b(?:jerry|water|fuel|petrol|diesel) ?cans?\b/gi],
  ['bag', /\b(?:roof|cargo) ?bags?\b/gi],
] as const satisfies readonly (readonly [string, RegExp])[]
export type Thing = (typeof THINGS)[number][0]

/** A thing that a text names, and how many of it. */
export interface NamedThing {
  readonly thing: Thing
  readonly count: number
}

const COUNTS: Readonly<Record<string, number>> = { two: 2, three: 3, four: 4, both: 2 }
const COUNTED = /\b(\d|two|three|four|both)(?: (?:of )?(?:my|our|the|\w+))?\s*$/i
/** What is not there, not wanted or not allowed is not named. */
const REFUSED = /\b(?:no|not|never|without|except|instead of|rather than|sold|used to)\b[^.;]{0,30}$/i
const MOST_BEFORE = 40

interface Found extends NamedThing {
  readonly at: number
}

/** The things of a stretch in the order of their words. What stands in the words of a narrower one is not found again. */
function found(text: string): Found[] {
  const all: (Found & { readonly end: number })[] = []
  for (const [thing, words] of THINGS)
    for (const { index, 0: match } of text.matchAll(words)) {
      if (all.some(({ at, end }) => index < end && at < index + match.length)) continue
      const before = text.slice(Math.max(0, index - MOST_BEFORE), index)
      if (REFUSED.test(before)) continue
      const said = COUNTED.exec(before)?.[1]?.toLowerCase() ?? ''
      all.push({ thing, count: COUNTS[said] ?? (Number(said) || 1), at: index, end: index + match.length })
    }
  return all.toSorted((a, b) => a.at - b.at)
}

/** The thing that a stretch before a figure names last, or one after it first. */
const lastIn = (text: string): Thing | undefined => found(text).at(-1)?.thing
const firstIn = (text: string): Thing | undefined => found(text)[0]?.thing

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
}: Round): Thing | undefined =>
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
  const most = new Map<Thing, number>()
  for (const { thing, count } of found(plain)) most.set(thing, Math.max(count, most.get(thing) ?? 0))
  return [...most].map(([thing, count]) => ({ thing, count }))
}
