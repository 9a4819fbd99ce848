import type { Item, Sheet, Span } from './corpus'
import { numbersIn, SAME, UNIT, type Unit } from './meanings'

/** What a reader makes of a stretch of text: taken where sure, else a question. */
export interface Offer {
  readonly what: string
  readonly value: number | string
  readonly unit: Unit | null
  readonly sure: boolean
  readonly at: Span
  readonly per?: string | undefined
  readonly counts?: string | undefined
  readonly for?: string | undefined
  readonly upTo?: unknown
}

export type Zero = readonly [fault: string, offer: Offer]
export interface Scored {
  readonly found: readonly Item[]
  readonly missed: readonly Item[]
  readonly asked: readonly Item[]
  readonly right: readonly Offer[]
  readonly unsupported: readonly Offer[]
  readonly oversure: readonly Offer[]
  readonly misfiled: readonly Offer[]
  readonly zero: readonly Zero[]
  /** Questions about what must never be read. */
  readonly askedNever: readonly Offer[]
}

const STATE = /\.(road|trail|parked)$/
const near = (a: number, b: number): boolean => Math.abs(a - b) <= 5e-4 * Math.abs(b) + 1e-9
const meet = (a: Span, b: Span): boolean => a[0] < b[1] && b[0] < a[1]
const family = (what: string): string => what.replace(STATE, '')

function sameValue(offer: Offer, item: Item): boolean {
  if (!item.unit || !offer.unit)
    return (
      String(offer.value).replaceAll(' ', '').toLowerCase() ===
      String(item.value).replaceAll(' ', '').toLowerCase()
    )
  const [dimension, size] = UNIT[offer.unit]
  const value = Number(offer.value) * size
  return [{ value: item.value, unit: item.unit }, ...(item.also ? [item.also] : [])].some(
    (figure) =>
      UNIT[figure.unit][0] === dimension && near(value, Number(figure.value) * UNIT[figure.unit][1]),
  )
}

function named(offer: Offer, item: Item): boolean {
  const all = [item.what, ...item.or].flatMap((what) => [what, ...(SAME[what] ?? [])])
  return (
    all.includes(offer.what) ||
    (!item.stateSaid && all.some((what) => what.split('.').slice(0, -1).join('.') === offer.what))
  )
}

/** What is wrong with an offer whose figure and meaning are right: nothing of it is forgiven. */
function faultsBeside(offer: Offer, item: Item): string[] {
  const faults: string[] = []
  const plain = (said: string | undefined) => (said === 'pair' ? 'set' : said)
  for (const key of ['per', 'counts'] as const) {
    const [a, b] = [plain(offer[key]), plain(item[key])]
    if (a && b && a !== b) faults.push(key)
    if (a && !b) faults.push(`${key} unsaid`)
  }
  if (!item.stateSaid && STATE.test(offer.what)) faults.push('state unsaid')
  const [of = ''] = offer.what.split('.')
  if (item.for && !offer.for && ['rack', 'bars', 'roof'].includes(of)) faults.push('general')
  if (item.upTo && !offer.upTo) faults.push('any speed')
  if (item.also && !item.also.agrees) faults.push('pair disagrees')
  return faults
}

const isNever = (offer: Offer, { never }: Sheet): boolean =>
  never.some(
    ({ words, at }) =>
      meet(offer.at, at) &&
      !offer.what.startsWith('source.') &&
      (typeof offer.value !== 'number' ||
        offer.unit === 'year' ||
        numbersIn(words).some((number) => near(Number(offer.value), number))),
  )

function faultElsewhere(offer: Offer, on: readonly Item[]): string | undefined {
  const wrong = on.filter((item) => item.class === 'figure' && offer.unit && item.unit)
  const valued = wrong.filter((item) => sameValue(offer, item))
  const state = STATE.exec(offer.what)?.[1]
  const otherState = (item: Item) =>
    /\.(rating|capacity)\./.test(item.what) &&
    state !== undefined &&
    state !== item.state &&
    !(!item.stateSaid && state === 'road') &&
    [item.what, ...item.or].map(family).includes(family(offer.what))
  const noRating = (item: Item) =>
    /\.(rating|capacity)/.test(offer.what) && !/\.(rating|capacity)/.test(item.what)
  if (valued.length > 0)
    return valued.some(otherState) ? 'state' : valued.some(noRating) ? 'no rating' : 'misfiled'
  return wrong.some((item) => named(offer, item)) ? 'misread' : undefined
}

/** One text's answers against what a careful person takes of it. */
export function scoreSheet(sheet: Sheet, offers: readonly Offer[]): Scored {
  const left = new Set(sheet.items)
  const right: Offer[] = []
  const unsupported: Offer[] = []
  const oversure: Offer[] = []
  const misfiled: Offer[] = []
  const zero: Zero[] = []
  for (const offer of offers.filter(({ sure }) => sure)) {
    if (sheet.text.slice(...offer.at) === '') {
      zero.push(['no words', offer])
      continue
    }
    const on = sheet.items.filter(({ at }) => meet(offer.at, at))
    const hits = on.filter((item) => sameValue(offer, item) && named(offer, item))
    const hit = hits.find((item) => left.has(item)) ?? hits[0]
    if (hit) {
      for (const fault of faultsBeside(offer, hit)) zero.push([fault, offer])
      ;(hit.sure ? right : oversure).push(offer)
      left.delete(hit)
      continue
    }
    const fault = isNever(offer, sheet) ? 'never' : faultElsewhere(offer, on)
    if (fault === 'misfiled') misfiled.push(offer)
    else if (fault !== undefined) zero.push([fault, offer])
    else if (!sheet.free.some((at) => meet(offer.at, at))) unsupported.push(offer)
  }
  const wanted = sheet.items.filter(({ sure, optional }) => sure && !optional)
  const missed = wanted.filter((item) => left.has(item))
  const questions = offers.filter(({ sure }) => !sure)
  return {
    found: wanted.filter((item) => !left.has(item)),
    missed,
    asked: missed.filter((item) => questions.some((each) => sameValue(each, item) && meet(each.at, item.at))),
    right,
    unsupported,
    oversure,
    misfiled,
    zero,
    askedNever: questions.filter((each) => isNever(each, sheet)),
  }
}

/** What is not sure, and a limit whose state the text does not say. */
const isQuestion = ({ sure, what }: Offer): boolean => !sure || /\.(?:rating|capacity)$/.test(what)

/** Counts over many texts: so many of so many. */
export interface Counts {
  readonly sure: readonly [number, number]
  readonly sureOrAsked: readonly [number, number]
  readonly words: readonly [number, number]
  readonly source: readonly [number, number]
  readonly precision: readonly [number, number]
  readonly zero: number
  readonly questions: readonly [number, number]
  readonly askedNever: number
}

export function countsOf(
  all: readonly { readonly scored: Scored; readonly offers: readonly Offer[] }[],
): Counts {
  const sum = (count: (each: (typeof all)[number]) => number) =>
    all.reduce((total, each) => total + count(each), 0)
  const of = (items: readonly Item[], kind: Item['class']) =>
    items.filter((item) => item.class === kind).length
  const foundOf = (kind: Item['class']): readonly [number, number] => [
    sum(({ scored }) => of(scored.found, kind)),
    sum(({ scored }) => of(scored.found, kind) + of(scored.missed, kind)),
  ]
  const sure = foundOf('figure')
  const wrong = ({ right, oversure, unsupported, misfiled, zero }: Scored) => {
    const counted = new Set([...right, ...oversure])
    const bad = new Set(zero.map(([, offer]) => offer).filter((offer) => !counted.has(offer)))
    return unsupported.length + oversure.length + misfiled.length + bad.size
  }
  const good = sum(({ scored }) => scored.right.length)
  return {
    sure,
    sureOrAsked: [sure[0] + sum(({ scored }) => of(scored.asked, 'figure')), sure[1]],
    words: foundOf('word'),
    source: foundOf('source'),
    precision: [good, good + sum(({ scored }) => wrong(scored))],
    zero: sum(({ scored }) => scored.zero.length),
    questions: [sum(({ offers }) => offers.filter(isQuestion).length), sure[1]],
    askedNever: sum(({ scored }) => scored.askedNever.length),
  }
}
