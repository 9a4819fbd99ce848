import { type Unit, UNITS, type UnitSystem } from '../../units/dimension'
import { parseQuantity } from '../../units/parse'

/** A quantity as it stands in a text, in the core's unit; `from` and `to` are one where it is no range. */
export interface Found {
  readonly dimension: SheetDimension
  readonly from: number
  readonly to: number
  readonly isRange: boolean
  readonly start: number
  readonly end: number
  /** The other unit beside it says something else. */
  readonly disagrees: boolean
}

const DIMENSIONS = ['mass', 'length', 'torque', 'speed'] as const
type SheetDimension = (typeof DIMENSIONS)[number]

interface Amount {
  readonly dimension: SheetDimension
  readonly system: UnitSystem | 'any'
  /** Half of the last place that was written: what rounding may hide. */
  readonly half: number
  readonly from: number
  readonly to: number
  readonly isRange: boolean
  readonly start: number
  readonly end: number
}

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, String.raw`\$&`)

/** Spellings that a sheet has besides those that people type: with a space inside, and spelt out. */
const ALSO: Readonly<Record<string, readonly string[]>> = {
  'N·m': ['n m', 'newton metres', 'newton meters'],
  'lbf·ft': ['ft lb', 'ft lbs', 'lb ft', 'ft. lbs.', 'foot-pounds', 'foot pounds'],
  'lbf·in': ['in lb', 'in lbs', 'lb in', 'in. lbs.', 'inch-pounds', 'inch pounds'],
  'km/h': ['km / h'],
}

interface Spelling {
  readonly text: string
  readonly dimension: SheetDimension
  readonly unit: Unit
}

const SPELLINGS: readonly Spelling[] = DIMENSIONS.flatMap((dimension) =>
  UNITS[dimension].flatMap((unit) =>
    [...unit.spellings, ...(ALSO[unit.symbol] ?? [])]
      // A lone g, # or prime is too often something else in running text.
      .filter((text) => !['g', '#', "'", '′', '’', '″', '”', "''"].includes(text))
      .map((text) => ({ text, dimension, unit })),
  ),
).toSorted((a, b) => b.text.length - a.text.length)

const BY_TEXT = new Map(SPELLINGS.map((spelling) => [spelling.text, spelling]))

const DIGITS = String.raw`(?:\d{1,3}(?:[ \u00a0\u202f]\d{3})+(?![\d])(?:\.\d+)?|\d+(?:[.,]\d+)*)`
const FRACTION = String.raw`\d+\s?[/⁄]\s?\d+`
const NUMBER = String.raw`(?:\d+[ -]${FRACTION}|${FRACTION}|\d*\s?[½¼¾⅛⅜⅝⅞]|${DIGITS})`
const UNIT = `(?:${SPELLINGS.map(({ text }) => escaped(text)).join('|')})`
const BETWEEN = String.raw`\s*(?:-|–|—|\.\.\.?|…|to|and|up to)\s*`
const AFTER = String.raw`(?![\p{L}\d])`
const QUANTITY = new RegExp(
  String.raw`(?<![\p{L}\d.,/])(${NUMBER})(?:(?:\s*(${UNIT})${AFTER})?(${BETWEEN})(${NUMBER}))?\s*(${UNIT})${AFTER}`,
  'giu',
)

/** Half of the last place of a number as it was written, in its own unit. */
function halfPlace(text: string): number {
  if (/[/⁄½¼¾⅛⅜⅝⅞]/.test(text)) return 1 / 32
  const decimals = /[.,](\d+)$/.exec(text)?.[1]?.length ?? 0
  return 0.5 * 10 ** -decimals
}

function amountOf(number: string, spelling: Spelling): { value: number; half: number } | undefined {
  const { dimension, unit } = spelling
  // What parts the thousands from what it counts is a space in a sheet, too.
  const read = parseQuantity(dimension, `${number.trim()} ${unit.spellings[0] ?? ''}`)
  return read.ok ? { value: read.value, half: halfPlace(number.trim()) * unit.factor } : undefined
}

/** `between 60 and 90` is a range, `2 kg and 3 kg` are two: *and* joins only what the word before asks for. */
const joins = (text: string, start: number, word: string): boolean =>
  /and/i.test(word) ? /between\s*$/i.test(text.slice(0, start)) : true

function* amounts(text: string): Iterable<Amount> {
  QUANTITY.lastIndex = 0
  for (let match = QUANTITY.exec(text); match; match = QUANTITY.exec(text)) {
    const [whole, first = '', firstUnit, word, second, unitText = ''] = match
    const spelling = BY_TEXT.get(unitText.toLowerCase())
    const own = firstUnit === undefined ? spelling : BY_TEXT.get(firstUnit.toLowerCase())
    if (!spelling || !own) continue
    const start = match.index
    const end = start + whole.length
    const about = { dimension: spelling.dimension, system: spelling.unit.system, start, end }
    if (second === undefined) {
      const amount = amountOf(first, spelling)
      if (amount) yield { ...about, from: amount.value, to: amount.value, half: amount.half, isRange: false }
      continue
    }
    const from = amountOf(first, own)
    const to = amountOf(second, spelling)
    if (word !== undefined && joins(text, start, word) && own.dimension === spelling.dimension) {
      if (from && to && from.value < to.value)
        yield { ...about, from: from.value, to: to.value, half: Math.max(from.half, to.half), isRange: true }
      continue
    }
    // Two that are no range: the first where it has a unit of its own, then the second by itself.
    if (firstUnit !== undefined && from) {
      const own1 = { dimension: own.dimension, system: own.unit.system }
      const until = start + first.length + firstUnit.length + 1
      yield {
        ...own1,
        from: from.value,
        to: from.value,
        half: from.half,
        isRange: false,
        start,
        end: Math.min(until, end),
      }
    }
    if (to)
      yield {
        ...about,
        from: to.value,
        to: to.value,
        half: to.half,
        isRange: false,
        start: end - unitText.length - second.length - 1,
        end,
      }
  }
}

/** So much two makers' roundings of one figure may be apart, besides the last place of each. */
const ROUNDED = 0.012

const agree = (a: Amount, b: Amount): boolean =>
  [
    [a.from, b.from],
    [a.to, b.to],
  ].every(([x = 0, y = 0]) => Math.abs(x - y) <= Math.max(a.half + b.half, ROUNDED * Math.max(x, y)))

/** What joins the two units of one figure: `68 kg / 150 lb`, `68 kg (150 lb)`, `68 kg or 150 lb`. */
const JOINT = /^\s*(?:\/|\(|=|≈|or|\[)\s*$/i

/** Every quantity of a text in order; one written in two units is one, by the first, and says where they disagree. */
export function quantitiesIn(text: string): Found[] {
  const found: Found[] = []
  const all = [...amounts(text)]
  for (let i = 0; i < all.length; i += 1) {
    const one = all[i]
    if (!one) continue
    const { dimension, from, to, isRange, start, end } = one
    const next = all[i + 1]
    const pair =
      next?.dimension === dimension &&
      next.system !== one.system &&
      next.isRange === isRange &&
      JOINT.test(text.slice(end, next.start))
        ? next
        : undefined
    if (pair) i += 1
    const close = pair && /^\s*[)\]]/.exec(text.slice(pair.end))
    const till = pair ? pair.end + (close?.[0].length ?? 0) : end
    found.push({
      dimension,
      from,
      to,
      isRange,
      start,
      end: till,
      disagrees: pair !== undefined && !agree(one, pair),
    })
  }
  return found
}
