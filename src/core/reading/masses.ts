import type { ReadAmount } from './amounts'
import type { Meaning } from './claim'
import type { Surroundings } from './layout'
import {
  AT_LEAST,
  AT_LEAST_AFTER,
  countsIn,
  FORBIDDEN,
  FORBIDDEN_AFTER,
  firstSaid,
  NO_MORE_THAN,
  NOT_OF_THE_RACK,
  perIn,
  type Said,
  stateIn,
} from './said'
import { type Subject, subjectAround, withoutCounted } from './subject'
import { standsAtThing } from './things'

const LIMIT =
  /\b(?:max(?:imum)?|permissible|permitted|allowed|allowable|may carry|could carry|carr(?:y|ies)|rat(?:ed|ings?)|capacity|limit(?:ed)?s?|not? more than|exceed|load(?:s|ing)?|load ?bearing|up to|payload|takes|holds?|dynamic|static|traglast|zul|zuladung|carga|charge)\b/i
const WEIGHT =
  /\b(?:weights?|weighs?|weighed|heavy|mass|own weight|empty|tare|scales?|eigengewicht|gewicht|peso|poids|unladen)\b|\bwhat .* weighs\b/i
const NOT_MASS = /\b(?:max(?:imum)?\.? (?:\w+ )?weight|weight limit|weight,? max)\b/i
const PEOPLE = /\b(?:people|persons?|rider|driver|passengers?|child|dog|bedding)\b/i
/** Kinds of gear for which alone a rack’s limit may hold. */
const KINDS: readonly (readonly [string, RegExp])[] = [
  ['bike', /\b(?:bikes?|bicycles?|e-bikes?)\b/i],
  ['boat', /\b(?:boats?|kayaks?|canoes?|boards?)\b/i],
  ['tent', /\btents?\b/i],
  ['box', /\bbox(?:es)?\b/i],
  ['skis', /\bskis?\b/i],
  ['ladder', /\bladders?\b/i],
]
/** The kind of gear that a stretch names. */
export const kindIn = (text: string): string | undefined => KINDS.find(([, words]) => words.test(text))?.[0]

const RATING: Readonly<Record<Subject, string>> = {
  vehicle: 'roof.rating',
  roof: 'roof.rating',
  bedRail: 'bedRail.rating',
  rack: 'rack.rating',
  kit: 'rack.rating',
  bars: 'bars.rating',
  feet: 'feet.rating',
  platform: 'platform.rating',
  panel: 'panel.rating',
  adapter: 'adapter.rating',
  gear: 'gear.capacity',
}
const MASS: Readonly<Record<Subject, string>> = {
  vehicle: 'vehicle.mass.kerb',
  roof: 'rack.mass',
  bedRail: 'rack.mass',
  rack: 'rack.mass',
  kit: 'kit.mass',
  bars: 'bar.mass',
  feet: 'feet.mass',
  platform: 'platform.mass',
  panel: 'rack.mass',
  adapter: 'adapter.mass',
  gear: 'gear.mass',
}

function ofVehicle(own: string, whole: Subject | undefined): string | undefined {
  if (/\b(?:kerb|curb|unladen)\b/i.test(own)) return 'vehicle.mass.kerb'
  if (/\bgross (?:vehicle )?(?:weight|mass)\b|\bgvwr?\b/i.test(own)) return 'vehicle.mass.gross'
  if (/\bfront axle\b/i.test(own)) return 'vehicle.axle.front'
  if (/\brear axle\b/i.test(own)) return 'vehicle.axle.rear'
  const carries = whole === 'gear' || whole === 'rack' || whole === 'platform'
  return /\bpayload\b/i.test(own) && !carries ? 'vehicle.payload' : undefined
}

/** `37.5 kg per bar`, `per set`: the words that count name the thing as well. */
function byCounting(text: string, whole: Whole): Subject | undefined {
  if (/\bper (?:pair of )?(?:cross)?bars?\b|\bpair of bars\b|\bbar each\b/i.test(text)) return 'bars'
  if (/\b(?:per|each) f(?:oo|ee)t\b/i.test(text)) return 'feet'
  if (/\bper panel\b/i.test(text)) return 'panel'
  if (/\bper plate\b/i.test(text)) return 'adapter'
  if (/\bcradles?\b|\bper (?:bike|bicycle)\b/i.test(text)) return 'gear'
  return /\bper set\b|\bfor the set\b/i.test(text) && whole.subject === undefined ? 'rack' : undefined
}

const bare = (around: Surroundings): Surroundings => ({
  ...around,
  before: withoutCounted(around.before),
  after: withoutCounted(around.after),
  row: withoutCounted(around.row),
})

export interface Whole {
  readonly subject: Subject | undefined
  /** What the whole text says of all its limits. */
  readonly counts: Said['counts']
  /** A letter or a message: its figures are of several things. */
  readonly isLetter: boolean
  /** Its limits are told by kinds of gear. */
  readonly hasKinds: boolean
}

/** What a sentence adds after its last figure and a mark is said of all its figures. */
const tailOf = (sentence: string): string =>
  /\d\s?(?:kgs?|lbs?)\b[^,(;]*[,(;]([^\d]*)$/i.exec(sentence)?.[1] ?? ''

function limitSaid(around: Surroundings, whole: Whole): Said {
  const { before, after, row, column, note, sentence, among } = around
  const state =
    stateIn(after) ?? stateIn(before) ?? firstSaid({ ...around, after: '', before: '' }, stateIn) ?? undefined
  const own = `${before} ${after}`
  const per =
    perIn(after) ??
    perIn(before) ??
    perIn(column) ??
    perIn(row) ??
    around.headings.map(perIn).find((each) => each)
  const counts =
    countsIn(note) ??
    countsIn(own) ??
    countsIn(row) ??
    (among === 1 || !/[,/]/.test(sentence) ? countsIn(sentence) : undefined) ??
    countsIn(tailOf(sentence)) ??
    whole.counts
  return { ...(state && { state }), ...(per && { per }), ...(counts && { counts }) }
}

const OF_A_TEST = /\b(?:crash|tested|pull test)\b/i
/** Parts whose weight has no place of its own. */
const A_SMALL_PART =
  /^(?:\W*(?:end caps?|covers?|screws?|bolts?|strips?|locks?|keys?|washers?|nuts?|boot floor|rear seat))\b/i
const BRACKETED = /(?:\(\s*(?:the )?(?:rack|carrier|box|basket|platform|bars|feet)|'s own)\s*$/i
const NAMED_ALONE = /^\s*(?:the )?(?:rack|carrier|box|basket|platform|bars|feet)\s*$/i
/** “Tent 58 kg”, “the rack is 9.5 kg”: who says no more than that says a weight. */
const THING =
  /(?:^|[.,;]\s*)\s*(?:the |our |my |a )?(?:roof )?(?:tent|box|rack|basket|platform|ladder|boat|canoe|kayak|awning|carrier|holder|tray|wheel|bars|crossbars)(?: itself)?(?: is| are)?:?\s*$/i
/** What so much of a bar weighs is no bar’s weight. */
const PER_LENGTH = /\bper (?:met(?:er|re)|m|running|foot of length|ft)\b/i
const ONE_BAR = /^(?:front|rear)(?: bar)?$/i
/** A book or a label that says so much says what may be carried. */
const BOOK_SAYS = /\b(?:manual|handbook|papers?|label|plate|sticker)\b.{0,60}\bsays?\s*$/i
/** The vehicle’s own book speaks of its roof. */
const OF_MANUAL = /\b(?:manual|handbook)\b/i
/** What a limit holds for alone, of several ways in which a vehicle is built. */
const OPTION = /\bwith (?:the |a )?(?:sunroof|(?:glass|steel|panoram\w+|sliding) roof|\w+ option)\b/i
const CONDITION = /^.{0,12}\b(?:only|while (?:loading|climbing))\b|^\s*with (?:two|three|four|six|\d)\b/i

function isOfElse(amount: ReadAmount, around: Surroundings): boolean {
  const { before, after, row, column, headings, sentence } = around
  return (
    NOT_OF_THE_RACK.test(`${before} ${after} ${row} ${column}`) ||
    OF_A_TEST.test(sentence) ||
    A_SMALL_PART.test(row) ||
    /\b(?:trailers?|jack|parcel)\b/i.test(headings[0] ?? '') ||
    amount.form !== 'one'
  )
}

const isForbidden = ({ before, after }: Surroundings): boolean =>
  !NO_MORE_THAN.test(before) && (FORBIDDEN.test(before) || FORBIDDEN_AFTER.test(after))

const isWanted = ({ before, after, sentence }: Surroundings): boolean =>
  AT_LEAST.test(before) ||
  AT_LEAST_AFTER.test(after) ||
  /\bmust be rated\b|\bmust (?:bear|carry|hold)\b/i.test(sentence)

function limitOf(around: Surroundings, whole: Whole, before: Meaning | undefined): Meaning {
  const { row, column } = around
  const own = `${around.before} ${around.after} ${row}`
  const said = limitSaid(around, whole)
  const { near, subject: far } = subjectAround(bare(around), whole.subject)
  const counted =
    byCounting(around.after, whole) ?? byCounting(around.before, whole) ?? byCounting(row, whole)
  const kind = whole.subject === 'gear' ? undefined : kindIn(`${row} ${around.before}`)
  const isOneBar = ONE_BAR.test(column) || ONE_BAR.test(row)
  // “Bikes: 45 kg” in a vehicle’s or a rack’s text is no limit for all.
  const isOther = whole.subject !== undefined && whole.subject !== 'gear' && kindIn(row) !== undefined
  const isOfKind =
    kind !== undefined &&
    counted === undefined &&
    (near === 'gear' || near === undefined) &&
    (whole.hasKinds || isOther)
  const isUnfiled = kind !== undefined && !isOfKind && near !== 'gear' && counted !== 'gear'
  const inherited =
    near === undefined && counted === undefined && before && isLimit(before) ? before.what : undefined
  const told = counted ?? near ?? far ?? (OF_MANUAL.test(own) ? 'roof' : 'rack')
  const subject = isOfKind
    ? whole.subject === 'roof' || whole.subject === 'vehicle'
      ? 'roof'
      : 'rack'
    : isOneBar && (told === 'rack' || told === 'roof')
      ? 'bars'
      : told
  const isOpenAfter =
    inherited !== undefined &&
    said.state === undefined &&
    before?.state !== undefined &&
    said.per === before.per
  const isConditional = CONDITION.test(around.rest)
  const option = OPTION.exec(`${row} ${around.before}`)?.[0].toLowerCase()
  return {
    what: inherited ?? RATING[subject],
    ...(isOneBar && { per: 'each' as const }),
    ...said,
    ...(kind !== undefined && (isOfKind || counted === 'gear') && { for: kind }),
    ...(option && { condition: option }),
    ...((option || isConditional || isOpenAfter || isUnfiled) && { sure: false }),
  }
}

const isLimit = ({ what }: Meaning): boolean => /\.(?:rating|capacity)$/.test(what)

/**
 * What a mass of a text means: a limit, a weight, one of the vehicle’s masses; nothing where it is of something else.
 * `before` is what the mass before it in the same sentence means: `50 kg on road, 35 kg off road`.
 */
export function massMeaning(
  amount: ReadAmount,
  around: Surroundings,
  whole: Whole,
  before: Meaning | undefined,
): Meaning | undefined {
  const { row, column, headings } = around
  const near = `${around.before} ${around.after}`
  const own = `${near} ${row} ${column}`
  if (isOfElse(amount, around)) return undefined
  const vehicle = ofVehicle(own, whole.subject)
  if (vehicle !== undefined && !/\b(?:box|parcel|carton)\b/i.test(own)) return { what: vehicle }
  if (isForbidden(around) || (PEOPLE.test(own) && !/\btents?\b/i.test(own))) return undefined
  if (/\bper (?:pair of )?points?\b/i.test(around.after) || PER_LENGTH.test(own)) return undefined
  if (isWanted(around))
    return whole.subject === 'gear' ? { what: 'gear.needs.rating', ...limitSaid(around, whole) } : undefined
  const { near: subjectNear, subject } = subjectAround(bare(around), whole.subject)
  const saysWeight = (text: string) => WEIGHT.test(text) && !NOT_MASS.test(text) && !LIMIT.test(text)
  const isOwn =
    BRACKETED.test(around.before) ||
    (before !== undefined &&
      isLimit(before) &&
      NAMED_ALONE.test(around.before) &&
      /^\s*\)/.test(around.after))
  if (isOwn || saysWeight(near) || saysWeight(own))
    return massOf(around, isOwn ? subjectNear : subject, whole)
  const isKind = whole.hasKinds && whole.subject !== 'gear' && kindIn(row) !== undefined
  const saysLimit =
    LIMIT.test(own) ||
    BOOK_SAYS.test(around.before) ||
    NO_MORE_THAN.test(around.before) ||
    [near, row, column].some((text) => stateIn(text) !== undefined)
  const isUnderLimits = LIMIT.test(headings[0] ?? '') && !WEIGHT.test(headings[0] ?? '')
  if (saysLimit || subjectNear === 'roof' || isKind) return limitOf(around, whole, before)
  if (before && /\.(?:rating|capacity|mass)$/.test(before.what))
    return isLimit(before)
      ? limitOf(around, whole, before)
      : { ...massOf(around, subject, whole), ...(subjectNear === undefined && { what: before.what }) }
  if (isUnderLimits) {
    const limit = limitOf(around, whole, before)
    return subjectNear === undefined ? limit : { ...limit, sure: false }
  }
  const underWeights = WEIGHT.test(headings.join(' ')) || WEIGHT.test(column)
  const per = perIn(around.after) ?? perIn(row)
  const isOfPart = per !== undefined && (subjectNear ?? whole.subject) !== undefined && !whole.isLetter
  const isThing = THING.test(around.before) || /\d ?x ?\d/i.test(around.sentence)
  if (underWeights || isOfPart || isThing) return massOf(around, subject, whole)
  // Who writes of his things says what they weigh.
  return whole.isLetter && standsAtThing(around) ? massOf(around, 'gear', whole) : undefined
}

function massOf(around: Surroundings, subject: Subject | undefined, whole: Whole): Meaning {
  const { before, after, row, column } = around
  const per = perIn(after) ?? perIn(before) ?? perIn(row) ?? perIn(column)
  const isOne = /\b(?:weight|mass) of one\b|\bone bar\b/i.test(`${before} ${row}`)
  const of = subject ?? whole.subject ?? (kindIn(around.sentence) !== undefined ? 'gear' : undefined)
  const what = MASS[of === undefined || of === 'vehicle' || of === 'roof' ? 'rack' : of]
  return { what, ...(isOne ? { per: 'each' as const } : per && { per }) }
}
