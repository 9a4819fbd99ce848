import type { State } from '../../units/scalars'
import { type Clause, sentencesOf } from './clauses'
import { type Found, quantitiesIn } from './quantities'
import type { SheetReading } from './reading'

/** What a pasted text was read to say, and where two units of one figure do not agree. */
export interface SheetRead {
  readonly readings: readonly SheetReading[]
  readonly disagrees: readonly string[]
}

/** Longer than any sheet that a person pastes: the rest is left unread. */
export const MOST_LETTERS = 20_000
const MOST_WORDS = 200

/** Somebody supposes: nothing in such a sentence is a figure. */
const SUPPOSED =
  /\b(?:about|approx(?:imately)?|roughly|around|circa|ca\.|i think|i guess|maybe|perhaps|probably|or so|should be|might|guess(?:ed)?|estimated?)\b|~/i
/** What is said of the vehicle, of people, of money or of time, and never of what a rack holds. */
const NOT_OF_RACKS =
  /\b(?:kerb|curb|gross|gvwr?|gvm|gcwr?|unladen|laden|axles?|trailers?|tow(?:ing|ed|bar)?|nose ?weight|tongue|payload|engine|motor|tyres?|tires?|fuel|tank|battery|person|people|rider|driver|passengers?|dog|we are|i am|i weigh|invoice|price|order|shipping|parcel|carton|packag(?:e|ing))\b/i
/** Said of what must not be used, or of what another thing must bear. */
const REFUSED = /\b(?:over|above|from|at least|min(?:imum)?\.?)\s*$|\bwith loads? of\s*$/i
/** Of so many together, of a side or of a stretch: no part of a plan has such a figure. */
const OF_SOME = /\bper (?:pair|side|axle|m\b|metre|meter|ft|foot of|square)/i
const OF_STRAPS = /\b(?:lashing|breaking|straps?|tie[- ]?downs?|webbing|ratchets?)\b/i
const BARE_MAX = /^\W*max(?:imum)?\.?\W*$/i

const LIMIT =
  /\b(?:max(?:imum)?\.?|permissible|permitted|allowed|allowable|carr(?:y|ies)|rated|rating|capacity|limit(?:ed)?|no more than|not exceed|never load|load ?bearing|up to)\b|\bload\b(?! ?stops?)/i
/** A sentence of limits speaks of load at all, or is a bare label. */
const OF_LOAD =
  /\b(?:load|loads|loaded|capacity|carr(?:y|ies)|rated|rating|bear(?:s|ing)?|hold(?:s)?)\b|weight limit|max(?:imum)?\.? weight|weight max/i
const WEIGHT = /\b(?:weight|weighs|mass|own weight|net weight|empty weight)\b[^.]*$/i
const WEIGHT_IS_LIMIT =
  /\b(?:max(?:imum)?\.?|permissible|allowed|limit|capacity|load|carr(?:y|ies)|exceed)\b/i

const TRAIL = /\b(?:off[- ]?road(?:ing)?|trails?|gravel|unpaved|rough (?:roads?|tracks?|ground))\b/i
const PARKED = /\b(?:parked|static|stationary|standing still|at rest|when camping|camped|not moving)\b/i
const ROAD = /\b(?:dynamic|driving|on[- ]road|paved|while moving|in motion)\b/i
const EVERYTHING =
  /\b(?:incl(?:\.|uding|usive of)?|with)\s+(?:the\s+)?(?:(?:roof|weight of the)\s+)?(?:rack|carrier|bars|crossbars|system)\b|\b(?:rack|carrier|bars|crossbars)(?:\s+(?:weight|itself))?\s+(?:is\s+|are\s+)?included\b/i
const LOAD_ALONE =
  /\b(?:excl(?:\.|uding|usive of)?|without|plus|not including)\s+(?:the\s+)?(?:(?:roof|weight of the)\s+)?(?:rack|carrier|bars|platform|crossbars|system)\b|\b(?:rack|carrier|bars|platform|crossbars)(?:\s+weight)?\s+(?:is\s+|are\s+)?not included\b/i
const EACH = /\b(?:each|per|apiece)\b/i
const SET = /\b(?:set|pair|all four|all together|in total|evenly (?:spread|distributed))\b/i

const BARS = /\b(?:cross ?bars?|bars?|supports?|feet|foot|load ?carriers?)\b/i
const APART = /\b(?:distance|spacing|spread|span|apart|between|centres?|centers?)\b/i
const LEAST = /\b(?:at least|min(?:imum)?\.?|from)\s*$/i
const MOST = /\b(?:at most|max(?:imum)?\.?|up to|no more than)\s*$/i
const SIZE = /\b(length|width|height|long|wide|high)\b[^,;]{0,16}$/i
const NOT_A_SIZE = /\b(?:garage|door|clearance|ceiling|cable|strap|lead|bolt|screw|walking|step)\b/i
const TORQUE = /\b(?:tighten(?:ed|ing)?|torqued?|bolts?|screws?|nuts?|clamps?|feet|foot|M\d{1,2})\b/i
/** So much of it in each pass is not what a joint is tightened to. */
const IN_PASSES = /\b(?:passes|stages|first|then)\b/i
const NOT_TORQUE =
  /\b(?:engine|motor|wrench (?:range|reads)|breaks? at|fails? at|max(?:imum)? (?:of the )?wrench)\b/i
const SPEED = /\b(?:max(?:imum)?\.?|exceed|limit(?:ed)?|up to|top|drive|driving|speed)\b/i
const NOT_SPEED = /\b(?:wind|gusts?|tested)\b/i

/** A tool's own range, where nothing is said to be tightened. */
const isWrench = (text: string): boolean =>
  /\bwrench\b/i.test(text) && !/\btighten|\btorque (?:of|to|the)/i.test(text)

/** Between two marks a text says one thing: the piece around a quantity, up to its neighbours. */
interface FrameContext {
  readonly before: string
  readonly after: string
  readonly piece: string
}

function around(
  sentence: string,
  found: Found,
  previous: Found | undefined,
  next: Found | undefined,
): FrameContext {
  const from = previous?.end ?? 0
  const to = next?.start ?? sentence.length
  const before = sentence.slice(from, found.start)
  const after = sentence.slice(found.end, to)
  // A comma before the next quantity begins what is said of that one.
  const [own = ''] = next ? after.split(/[,(]/) : [after]
  return { before, after: own, piece: `${before} ${own}` }
}

const stateIn = (text: string): State | undefined =>
  PARKED.test(text) ? 'parked' : TRAIL.test(text) ? 'trail' : ROAD.test(text) ? 'road' : undefined

/** The piece after the last comma, where there is one: it speaks of what follows it. */
const lastPiece = (text: string): string =>
  text
    .split(/[,;:]/)
    .filter((each) => each.trim() !== '')
    .at(-1) ?? text

interface Context {
  readonly sentence: Clause
  /** The lines before it in the same block spoke of limits. */
  readonly underLimits: boolean
}

function limitOf(
  found: Found,
  { before, after, piece }: FrameContext,
  { sentence }: Context,
  words: string,
): SheetReading {
  const counts = LOAD_ALONE.test(sentence.text)
    ? ({ counts: 'load' } as const)
    : EVERYTHING.test(sentence.text)
      ? ({ counts: 'everything' } as const)
      : {}
  const state = stateIn(`${lastPiece(before)} ${after}`) ?? stateIn(before) ?? 'road'
  const per = EACH.test(piece) && !SET.test(piece) ? 'each' : 'set'
  return { what: 'limit', kg: found.to, state, per, ...counts, words }
}

function massReading(
  found: Found,
  near: FrameContext,
  context: Context,
  words: string,
): SheetReading | undefined {
  const { before, after, piece } = near
  if (found.isRange || NOT_OF_RACKS.test(piece) || REFUSED.test(before) || OF_SOME.test(after))
    return undefined
  if (WEIGHT.test(before) && !WEIGHT_IS_LIMIT.test(lastPiece(before)) && !LOAD_ALONE.test(before))
    return { what: 'weight', kg: found.to, words }
  if (OF_STRAPS.test(context.sentence.text)) return undefined
  const says =
    (LIMIT.test(piece) && OF_LOAD.test(context.sentence.text)) ||
    BARE_MAX.test(lastPiece(before)) ||
    BARE_MAX.test(after)
  const goesOn = context.underLimits && stateIn(piece) !== undefined
  return says || goesOn ? limitOf(found, near, context, words) : undefined
}

function lengthReading(
  found: Found,
  { before, piece }: FrameContext,
  sentence: string,
  words: string,
): SheetReading | undefined {
  if (found.isRange)
    return BARS.test(piece) && APART.test(piece)
      ? { what: 'spread', fromMm: found.from, toMm: found.to, words }
      : undefined
  const name = SIZE.exec(lastPiece(before))?.[1]?.toLowerCase()
  if (name === undefined || NOT_A_SIZE.test(piece) || NOT_OF_RACKS.test(sentence) || /\bis\s*$/i.test(before))
    return undefined
  return name === 'length' || name === 'width' || name === 'height'
    ? { what: name, mm: found.to, words }
    : undefined
}

function readingOf(
  found: Found,
  near: FrameContext,
  context: Context,
  words: string,
): SheetReading | undefined {
  const { text } = context.sentence
  switch (found.dimension) {
    case 'mass':
      return massReading(found, near, context, words)
    case 'length':
      return lengthReading(found, near, text, words)
    case 'torque':
      return TORQUE.test(text) && !NOT_TORQUE.test(text) && !IN_PASSES.test(text) && !isWrench(text)
        ? { what: 'torque', fromNm: found.from, toNm: found.to, words }
        : undefined
    case 'speed':
      return !found.isRange && SPEED.test(near.piece) && !NOT_SPEED.test(text)
        ? { what: 'speed', kmH: found.to, words }
        : undefined
  }
}

/** `at least 700 mm and at most 1100 mm` between bars: two quantities that are one spread. */
function boundsOf(sentence: string, all: readonly Found[], words: string): SheetReading | undefined {
  const lengths = all.filter(({ dimension, isRange }) => dimension === 'length' && !isRange)
  const [least, most] = lengths
  if (lengths.length !== 2 || !least || !most || least.to >= most.to) return undefined
  if (!BARS.test(sentence) || !APART.test(sentence)) return undefined
  const says = LEAST.test(sentence.slice(0, least.start)) && MOST.test(sentence.slice(0, most.start))
  return says ? { what: 'spread', fromMm: least.to, toMm: most.to, words } : undefined
}

const MONTHS = 'january february march april may june july august september october november december'.split(
  ' ',
)
const OF_EDITION = /\b(?:edition|issued?|rev(?:ision)?\.?|version|printed|dated?|as of|status|valid)\b/i
const two = (value: number) => String(value).padStart(2, '0')

function dayIn(sentence: string): string | undefined {
  if (!OF_EDITION.test(sentence)) return undefined
  const iso = /\b(\d{4})-(\d{2})-(\d{2})\b/.exec(sentence)
  const spelt = new RegExp(String.raw`\b(\d{1,2})\.?\s+(${MONTHS.join('|')})\s+(\d{4})\b`, 'i').exec(sentence)
  const american = new RegExp(String.raw`\b(${MONTHS.join('|')})\s+(\d{1,2}),?\s+(\d{4})\b`, 'i').exec(
    sentence,
  )
  const month = (name = '') => MONTHS.indexOf(name.toLowerCase()) + 1
  const [year, monthOf, day] = iso
    ? [iso[1], Number(iso[2]), Number(iso[3])]
    : spelt
      ? [spelt[3], month(spelt[2]), Number(spelt[1])]
      : american
        ? [american[3], month(american[1]), Number(american[2])]
        : []
  if (year === undefined || !monthOf || !day) return undefined
  const on = `${year}-${two(monthOf)}-${two(day)}`
  const date = new Date(`${on}T00:00:00Z`)
  return !Number.isNaN(date.getTime()) && date.toISOString().startsWith(on) ? on : undefined
}

/**
 * Reads a maker's sheet, a label or a message, in English and in both unit systems: limits by state, weights, spreads,
 * torques, sizes, speeds, the page and the day. What it is not sure of it leaves: a sentence that supposes, a figure of
 * the vehicle or of people, a number that can be read two ways, two units that disagree. Common practice, no source.
 */
export function readSheet(text: string): SheetRead {
  const readings: SheetReading[] = []
  const disagrees: string[] = []
  let underLimits = false
  for (const sentence of sentencesOf(text.slice(0, MOST_LETTERS))) {
    const words =
      sentence.text.length > MOST_WORDS ? `${sentence.text.slice(0, MOST_WORDS - 1)}…` : sentence.text
    const page = /\b(?:p\.|pp\.|pages?)\s*(\d{1,4})\b/i.exec(sentence.text)?.[1]
    if (page !== undefined) readings.push({ what: 'page', page, words })
    const on = dayIn(sentence.text)
    if (on !== undefined) readings.push({ what: 'day', on, words })
    const all = quantitiesIn(sentence.text)
    if (all.length === 0) {
      underLimits = LIMIT.test(sentence.text) && OF_LOAD.test(sentence.text)
      continue
    }
    if (SUPPOSED.test(sentence.text)) continue
    const bounds = boundsOf(sentence.text, all, words)
    if (bounds) {
      readings.push(bounds)
      continue
    }
    let limits = underLimits
    all.forEach((found, i) => {
      if (found.disagrees) {
        disagrees.push(sentence.text.slice(found.start, found.end))
        return
      }
      const near = around(sentence.text, found, all[i - 1], all[i + 1])
      const reading = readingOf(found, near, { sentence, underLimits: limits }, words)
      if (!reading) return
      readings.push(reading)
      if (reading.what === 'limit') limits = true
    })
    underLimits = limits
  }
  return { readings, disagrees }
}
