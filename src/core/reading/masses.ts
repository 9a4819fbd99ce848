import type { Amount } from './amounts'
import type { Meaning } from './claim'
import type { Around } from './layout'
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
import { type Subject, subjectAround } from './subject'

const LIMIT =
  /\b(?:max(?:imum)?|permissible|permitted|allowed|allowable|may carry|could carry|carr(?:y|ies)|rat(?:ed|ings?)|capacity|limit(?:ed)?s?|not? more than|exceed|load(?:s|ing)?|load ?bearing|up to|payload|contents|takes|holds?|dynamic|static|traglast|zul|zuladung|carga|charge)\b/i
const WEIGHT =
  /\b(?:weights?|weighs?|weighed|mass|own weight|empty|eigengewicht|gewicht|peso|poids|unladen)\b|\bwhat .* weighs\b/i
const NOT_MASS = /\b(?:max(?:imum)?\.? (?:\w+ )?weight|weight limit|weight,? max)\b/i
const PEOPLE = /\b(?:people|persons?|rider|driver|passengers?|child|dog|bedding)\b/i
/** Kinds of gear for which alone a rack’s limit may hold. */
const KINDS: readonly (readonly [string, RegExp])[] = [
  ['bike', /\b(?:bikes?|bicycles?|e-bikes?)\b/i],
  ['boat', /\b(?:boats?|kayaks?|canoes?|boards?)\b/i],
  ['tent', /\btents?\b/i],
  ['box', /\bbox(?:es)?\b/i],
  ['ski', /\bskis?\b/i],
  ['ladder', /\bladders?\b/i],
]
const kindIn = (text: string): string | undefined => KINDS.find(([, words]) => words.test(text))?.[0]

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
  return /\bpayload\b/i.test(own) && (whole === undefined || whole === 'vehicle')
    ? 'vehicle.payload'
    : undefined
}

/** `37.5 kg per bar`, `per set`: the words that count name the thing as well. */
function byCounting(text: string): Subject | undefined {
  if (/\bper (?:pair of )?(?:cross)?bars?\b|\bpair of bars\b|\bbar each\b/i.test(text)) return 'bars'
  if (/\b(?:per|each) f(?:oo|ee)t\b/i.test(text)) return 'feet'
  if (/\bper panel\b/i.test(text)) return 'panel'
  if (/\bper plate\b/i.test(text)) return 'adapter'
  if (/\bcradles?\b|\bper (?:bike|bicycle)\b/i.test(text)) return 'gear'
  return /\bper set\b|\bfor the set\b/i.test(text) ? 'rack' : undefined
}

/** What a counted phrase names is no subject: “excluding crossbars”, “with the rack”. */
const withoutCounted = (text: string): string =>
  text.replaceAll(
    /\b(?:excl(?:\.|uding)?|incl(?:\.|uding)?|without|with|plus|less)\b[^,.;:]*|\b(?:rack|bars|platform|box|basket|carrier)(?: weight)? (?:is |are )?(?:not )?(?:included|counted)(?: in)?\b/gi,
    ' ',
  )

const bare = (around: Around): Around => ({
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
}

function limitSaid(around: Around, whole: Whole): Said {
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
    whole.counts
  return { ...(state && { state }), ...(per && { per }), ...(counts && { counts }) }
}

/** What a mass of a text means: a limit, a weight, one of the vehicle’s masses; nothing where it is of something else. */
export function massMeaning(amount: Amount, around: Around, whole: Whole): Meaning | undefined {
  const { before, after, row, column, headings } = around
  const own = `${before} ${after} ${row} ${column}`
  const near = `${before} ${after}`
  if (
    NOT_OF_THE_RACK.test(own) ||
    (headings[0] !== undefined && /\b(?:trailer|jack|parcel)\b/i.test(headings[0]))
  )
    return undefined
  const vehicle = ofVehicle(own, whole.subject)
  if (vehicle !== undefined && !/\b(?:box|parcel|carton)\b/i.test(own)) return { what: vehicle }
  if (amount.form !== 'one') return undefined
  if (!NO_MORE_THAN.test(before) && (FORBIDDEN.test(before) || FORBIDDEN_AFTER.test(after))) return undefined
  const { near: subjectNear, subject: subjectFar } = subjectAround(bare(around), whole.subject)
  const isWanted =
    AT_LEAST.test(before) ||
    AT_LEAST_AFTER.test(after) ||
    /\bmust be rated\b|\bmust (?:bear|carry|hold)\b/i.test(around.sentence)
  if (isWanted)
    return whole.subject === 'gear' ? { what: 'gear.needs.rating', ...limitSaid(around, whole) } : undefined
  const isWeight =
    WEIGHT.test(own) &&
    !NOT_MASS.test(own) &&
    !LIMIT.test(`${before} ${row} ${column}`.replaceAll(/\bload (?:bars?|carriers?)\b|\bholder\b/gi, ''))
  const nearWeight = WEIGHT.test(near) && !NOT_MASS.test(near) && !LIMIT.test(near)
  const saysLimit =
    LIMIT.test(own) ||
    stateIn(near) !== undefined ||
    stateIn(row) !== undefined ||
    stateIn(column) !== undefined
  if (nearWeight || isWeight) return massOf(around, subjectNear ?? subjectFar)
  if (PEOPLE.test(own) && !/\btent\b/i.test(row)) return undefined
  const heading = headings.join(' ')
  const isRoof = subjectNear === 'roof'
  const isUnderLimits = LIMIT.test(headings[0] ?? '') && !WEIGHT.test(headings[0] ?? '')
  const kind = whole.subject === 'gear' ? undefined : kindIn(`${row} ${before}`)
  if (
    saysLimit ||
    isRoof ||
    isUnderLimits ||
    (kind !== undefined && (LIMIT.test(heading) || around.row !== ''))
  ) {
    const counted = byCounting(after) ?? byCounting(before) ?? byCounting(row)
    const told = counted ?? subjectNear ?? (headings.length > 0 ? subjectFar : whole.subject) ?? 'rack'
    const isKind =
      kind !== undefined && whole.subject !== undefined && told === 'gear' && counted === undefined
    const subject = isKind ? (whole.subject === 'roof' ? 'roof' : 'rack') : told
    const said = limitSaid(around, whole)
    const what =
      RATING[
        subject === 'roof' && /\broof rack\b/i.test(near) && !/\broof (?:load|limit)/i.test(own)
          ? 'rack'
          : subject
      ]
    return { what, ...said, ...(kind !== undefined && (isKind || counted !== undefined) && { for: kind }) }
  }
  const per = perIn(after) ?? perIn(row)
  const underWeights = WEIGHT.test(heading) || WEIGHT.test(column)
  if (underWeights || (per !== undefined && (subjectNear ?? whole.subject) !== undefined && !whole.isLetter))
    return massOf(around, subjectNear ?? subjectFar)
  return undefined
}

function massOf(around: Around, subject: Subject | undefined): Meaning {
  const { before, after, row, column } = around
  const per = perIn(after) ?? perIn(before) ?? perIn(row) ?? perIn(column)
  const isOne = /\b(?:weight|mass) of one\b|\bone bar\b/i.test(`${before} ${row}`)
  const what = MASS[subject === undefined || subject === 'vehicle' || subject === 'roof' ? 'rack' : subject]
  return { what, ...(isOne ? { per: 'each' as const } : per && { per }) }
}
