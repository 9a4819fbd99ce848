import type { Letters } from './letters'
import { decimalSignOf, groupedAt, numberOf, writtenAt } from './numbers'
import { inFirstUnit, type ReadUnit, type UnitDimension, unitAt } from './unit-words'

/** A figure in another unit beside the first: the same, as printed, or not. */
export interface Beside {
  readonly value: number
  readonly unit: ReadUnit
  readonly agrees: boolean
}

/** A number or several that belong together, with their unit. A bare number has none until a heading gives it one. */
export interface ReadAmount {
  readonly start: number
  readonly end: number
  readonly form: 'one' | 'range' | 'product'
  /** One value, the two ends of a range, or the sizes of a product. */
  readonly values: readonly number[]
  readonly unit?: ReadUnit
  readonly dimension?: UnitDimension
  readonly tolerance?: number
  readonly beside?: Beside
  /** The mark of its footnote. */
  readonly mark?: string
  /** It was turned into the unit from one that is not a reader’s: the figure printed beside it is the better one. */
  readonly turned?: true
  /** The number can be read two ways, or was put together over the end of a line. */
  readonly doubtful: boolean
}

/** How far two units may be apart to be the same figure, rounded as makers round. */
const AGREES = 0.012

const MARK = /([¹²³⁴⁵])|(\d)\)|(\*+)/y
/** A number that is glued to letters is a name: XB75, QF100, 4x. */
const isGlued = (text: string, place: number): boolean => /[A-Za-z_]/.test(text.charAt(place - 1))
const SIZE_LETTER = /(?:^|[\s(x])[LWHDB]$/

/** A longer word is no name. */
const MOST_NAME = 60

function nameStart(text: string, place: number): number {
  let start = place
  while (start > 0 && place - start < MOST_NAME && !/[\s|([]/.test(text.charAt(start - 1))) start -= 1
  return start
}
const pastWord = (text: string, place: number): number => {
  let end = place
  while (end < text.length && end - place < MOST_NAME && !/[\s|]/.test(text.charAt(end))) end += 1
  return end
}

/** A name with letters before its first figure, or a code of many figures: nothing in it is an amount. */
function endOfName(text: string, place: number): number | undefined {
  const start = nameStart(text, place)
  const word = text.slice(start, pastWord(text, place))
  const before = text.slice(start, place)
  if (/^[A-Za-z]{1,5}[-\d]/.test(word) && /[A-Za-z]-?$/.test(before) && !SIZE_LETTER.test(before))
    return start + word.length
  if (/^\d{7,}\W*$/.test(word)) return start + word.length
  if (/^\d+-\d+-\d+/.test(word)) return start + word.length
  return undefined
}

/** At the beginning of a line, where the line before it ends in a figure: it may be the rest of that. */
const isRestOfNumber = (text: string, place: number): boolean => {
  const before = text.slice(Math.max(0, place - 12), place)
  return /\d\n\s*$/.test(before)
}

/** “80/55/240 kg”: of which of several things the last figure is, its place alone does not say. */
const isListed = (text: string, place: number): boolean =>
  /\d\/$/.test(text.slice(Math.max(0, place - 2), place))

function hasPlace(places: ReadonlySet<number>, from: number, to: number): boolean {
  for (let place = from; place < to; place += 1) if (places.has(place)) return true
  return false
}

function atomsOf({ plain, mended }: Letters): ReadAmount[] {
  const sign = decimalSignOf(plain)
  const atoms: ReadAmount[] = []
  const digit = /\d/g
  for (let found = digit.exec(plain); found; found = digit.exec(plain)) {
    const start = found.index
    const nameEnd =
      isGlued(plain, start) ||
      /[-/.]/.test(plain.charAt(start - 1)) ||
      /\d{4}/.test(plain.slice(start, start + 4)) ||
      plain.charAt(start + 3) === '-'
        ? endOfName(plain, start)
        : undefined
    if (nameEnd !== undefined) {
      digit.lastIndex = nameEnd
      continue
    }
    const grouped = groupedAt(plain, start)
    const groupedUnit = grouped && unitAt(plain, grouped.end)
    const written = grouped && groupedUnit ? grouped : writtenAt(plain, start)
    if (!written) continue
    // A mark of a footnote stands between the number and its unit, or after it.
    MARK.lastIndex = written.end
    const early = MARK.exec(plain)
    const afterNumber = early ? MARK.lastIndex : written.end
    const unit = unitAt(plain, afterNumber)
    MARK.lastIndex = unit?.end ?? afterNumber
    const late = unit ? MARK.exec(plain) : null
    const [, raised, closed, stars] = late ?? early ?? []
    const mark = raised ?? closed ?? stars
    const end = late ? MARK.lastIndex : (unit?.end ?? afterNumber)
    const { value, doubtful } = numberOf(written.raw, unit?.unit, sign)
    digit.lastIndex = Math.max(end, start + 1)
    if (Number.isNaN(value) || value === 0) continue
    const isMended = mended.size > 0 && hasPlace(mended, start + 1, written.end)
    atoms.push({
      start,
      end,
      form: 'one',
      values: [unit ? value * unit.size : value],
      ...(unit && { unit: unit.unit, dimension: unit.dimension }),
      ...(mark !== undefined && { mark }),
      ...(unit && unit.size !== 1 && { turned: true as const }),
      doubtful:
        doubtful ||
        isMended ||
        (unit !== undefined && isRestOfNumber(plain, start)) ||
        isListed(plain, start),
    })
  }
  return atoms
}

type Fold = (left: ReadAmount, between: string, right: ReadAmount, text: string) => ReadAmount | undefined

const doubt = (left: ReadAmount, right: ReadAmount): boolean => left.doubtful || right.doubtful
const markOf = ({ mark: a }: ReadAmount, { mark: b }: ReadAmount) => {
  const mark = b ?? a
  return mark === undefined ? {} : { mark }
}

/** `5' 9"`, `1 lb 4 oz`: two units that are one figure. */
const compound: Fold = (left, between, right) => {
  if (!/^[ -]?$/.test(between) || left.form !== 'one' || right.form !== 'one') return undefined
  const [a, b] = [left.values[0] ?? 0, right.values[0] ?? 0]
  if (left.unit === 'ft' && right.unit === 'in' && b < 12)
    return { ...right, start: left.start, values: [a * 12 + b], doubtful: doubt(left, right) }
  if (left.unit === 'lb' && right.unit === 'lb' && b < 1) {
    const { turned: _, ...whole } = right
    return { ...whole, start: left.start, values: [a + b], doubtful: doubt(left, right) }
  }
  return undefined
}

const shared = (left: ReadAmount, right: ReadAmount): Pick<ReadAmount, 'unit' | 'dimension'> => {
  const { unit, dimension } = right.unit === undefined ? left : right
  return { ...(unit && { unit }), ...(dimension && { dimension }) }
}

const inOneUnit = (left: ReadAmount, right: ReadAmount): readonly [number, number] => {
  const [a, b] = [left.values[0] ?? 0, right.values[0] ?? 0]
  const scale =
    left.unit && right.unit && left.unit !== right.unit
      ? inFirstUnit(1, left.unit) / inFirstUnit(1, right.unit)
      : 1
  return [a * scale, b]
}

/** `15 Nm +/- 2`, `28" (+/- 1/4")`. */
const tolerance: Fold = (left, between, right) =>
  /^\s*\(?\s*\+\/-\s*$/.test(between) && left.unit && (right.unit ?? left.unit) === left.unit
    ? { ...left, end: right.end, tolerance: right.values[0] ?? 0 }
    : undefined

/** `600-900 mm`, `600 mm to 900 mm`, `between 750 and 1000 mm`. */
const range: Fold = (left, between, right, text) => {
  const joins =
    /^ ?(?:-|to|\.{2,3}) ?$/i.test(between) ||
    (/^ and $/i.test(between) &&
      /\b(?:between|from)\s*$/i.test(text.slice(Math.max(0, left.start - 12), left.start)))
  if (!joins || left.form !== 'one' || right.form !== 'one') return undefined
  if (left.unit && left.dimension !== right.dimension) return undefined
  const values = inOneUnit(left, right)
  return values[0] < values[1] || !right.unit
    ? {
        start: left.start,
        end: right.end,
        form: 'range',
        values,
        ...shared(left, right),
        ...markOf(left, right),
        doubtful: doubt(left, right),
      }
    : undefined
}

/** Length, width and height. */
const MOST_SIZES = 3

/** `1350 x 820 x 390 mm`, `L 1250 mm x W 1100 mm x H 45 mm`. */
const product: Fold = (left, between, right) => {
  if (
    !/^ ?x ?(?:[LWHDB] ?)?$/i.test(between) ||
    right.form !== 'one' ||
    left.form === 'range' ||
    left.values.length >= MOST_SIZES
  )
    return undefined
  if (left.unit && right.unit && left.dimension !== right.dimension) return undefined
  return {
    start: left.start,
    end: right.end,
    form: 'product',
    values: [...left.values, right.values[0] ?? 0],
    ...shared(left, right),
    ...markOf(left, right),
    doubtful: doubt(left, right),
  }
}

/** `75 kg (165 lb)`: the same in another unit, or two figures that do not agree. */
const pair: Fold = (left, between, right, text) => {
  const isBelow = /^ *\n *$/.test(between) && left.form === 'product'
  if (!isBelow && !/^(?: ?[(/=;] ?| {2,}\(?| or | ?\) ?; ?)$/i.test(between)) return undefined
  if (!left.unit || !right.unit || left.dimension !== right.dimension) return undefined
  const isSameUnit = left.unit === right.unit
  if (left.form !== right.form || (isSameUnit && !/[(;]/.test(between))) return undefined
  const agrees = left.values.every((value, i) => {
    const a = inFirstUnit(value, left.unit ?? 'mm')
    const b = inFirstUnit(right.values[i] ?? 0, right.unit ?? 'mm')
    return (
      Math.abs(a - b) <= AGREES * Math.max(a, b) ||
      Math.abs(a - b) <= 0.5 * inFirstUnit(1, right.unit ?? 'mm')
    )
  })
  if ((isSameUnit || isBelow) && !agrees) return undefined
  const before = left.beside
  if (left.turned && agrees) return { ...right, start: left.start, ...markOf(left, right) }
  return {
    ...left,
    end: between.includes('(') && text.charAt(right.end) === ')' ? right.end + 1 : right.end,
    beside: { value: right.values[0] ?? 0, unit: right.unit, agrees: agrees && (before?.agrees ?? true) },
    ...markOf(left, right),
    doubtful: doubt(left, right),
  }
}

/** Figures that belong together stand no further apart. */
const MOST_BETWEEN = 40

function folded(amounts: readonly ReadAmount[], text: string, fold: Fold): ReadAmount[] {
  const all: ReadAmount[] = []
  for (const amount of amounts) {
    const left = all.at(-1)
    const gap = left ? amount.start - left.end : 0
    const joined =
      left && gap <= MOST_BETWEEN ? fold(left, text.slice(left.end, amount.start), amount, text) : undefined
    if (joined) all[all.length - 1] = joined
    else all.push(amount)
  }
  return all
}

/** The unit of a product’s last size is that of all. A size letter before it belongs to it. */
const withSizeLetter = (amount: ReadAmount, text: string): ReadAmount =>
  amount.form === 'product' && /[LWHDB] $/.test(text.slice(amount.start - 2, amount.start))
    ? { ...amount, start: amount.start - 2 }
    : amount

/** All amounts of a text, in their order: one pass over its figures, and one for each way in which figures belong together. */
export function amountsIn(letters: Letters): ReadAmount[] {
  const { plain } = letters
  const folds: readonly Fold[] = [compound, tolerance, range, product, pair]
  return folds
    .reduce<ReadAmount[]>((amounts, fold) => folded(amounts, plain, fold), atomsOf(letters))
    .map((amount) => withSizeLetter(amount, plain))
}
