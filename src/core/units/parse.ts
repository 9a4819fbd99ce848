import { homeUnit, UNITS, type Dimension, type Unit, type UnitSystem } from './dimension'

type Parsed =
  | { readonly ok: true; readonly value: number; readonly typed: string }
  | { readonly ok: false; readonly reason: string }

/** Fractions that are one letter. */
export const VULGAR_FRACTIONS: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
}

const EXAMPLES: Readonly<Record<Dimension, string>> = {
  length: '803 mm, 0.803 m, 31 5/8 in or 2\' 7 5/8"',
  mass: '68 kg or 150 lb',
  torque: '18 Nm, 13 ft-lb or 80 in-lb',
  volume: '20 l or 5 gal',
  speed: '100 km/h or 62 mph',
  angle: '15°',
  areaDensity: '20 kg/m²',
  force: '400 N',
  stress: '160 MPa',
  energy: '3.8 kWh',
}

const NUMBER = String.raw`(?:\d{1,3}(?:[ \u00a0\u2009\u202f]\d{3})+(?:\.\d+)?|\d+(?:[.,]\d+)?|[.,]\d+)`
const FRACTION = String.raw`\d+\s*[/⁄]\s*\d+`
const MIXED = new RegExp(`^(?:(${FRACTION})|(\\d+)(?:\\s+|\\s*-\\s*)(${FRACTION})|(${NUMBER}))\\s*(.*)$`)

/** A point before three digits, the last a nought: thousands as some write them, or an exactness that nobody means. */
const DOTTED = /^([1-9]\d{0,2})\.(\d{2}0)\s*([a-z]*)$/i
/** Where a thousand of them is as likely as one. */
const AS_THOUSANDS: ReadonlySet<string> = new Set(['mm', 'kg', 'lb'])

type Amount = { readonly value: number; readonly rest: string } | { readonly reason: string }

function fractionValue(text: string): number | undefined {
  const [numerator, denominator] = text.split(/[/⁄]/).map((part) => Number(part.trim()))
  if (numerator === undefined || !denominator) return undefined
  return numerator / denominator
}

function plainNumber(text: string): number | string {
  if (/^[1-9]\d{0,2},\d{3}$/.test(text))
    return `"${text}" can be read two ways: write ${text.replace(',', '')} or ${text.replace(',', '.')}.`
  return Number(text.replace(/[ \u00a0\u2009\u202f]/g, '').replace(',', '.'))
}

/** Reads one amount from the front of a text: a decimal, a fraction, or a whole with a fraction. */
function leadingAmount(text: string): Amount {
  const match = MIXED.exec(text)
  if (!match) return { reason: 'no number found' }
  const [, fraction, whole, part, decimal, rest = ''] = match
  if (fraction !== undefined || part !== undefined) {
    const value = fractionValue(fraction ?? part ?? '')
    if (value === undefined) return { reason: 'a fraction cannot have 0 below the line' }
    return { value: Number(whole ?? 0) + value, rest }
  }
  const value = plainNumber(decimal ?? '')
  return typeof value === 'string' ? { reason: value } : { value, rest }
}

function findUnit(dimension: Dimension, word: string): Unit | undefined {
  const spelling = word.toLowerCase().replace(/\s+/g, '')
  return UNITS[dimension].find((unit) => unit.spellings.includes(spelling))
}

const SMALLER: Readonly<Record<string, string>> = { ft: 'in', lb: 'oz' }

/** Feet with inches, pounds with ounces: a second amount may follow the first one's unit. */
function splitUnit(dimension: Dimension, rest: string): { word: string; tail: string } {
  const words = UNITS[dimension].flatMap((unit) => unit.spellings).sort((a, b) => b.length - a.length)
  const lower = rest.toLowerCase()
  for (const word of words) {
    if (!lower.startsWith(word)) continue
    const tail = rest.slice(word.length)
    if (tail === '' || /^[\s\d-]/.test(tail)) return { word, tail: tail.trim() }
  }
  return { word: rest.trim(), tail: '' }
}

/**
 * Reads what a person typed into the core's unit of that dimension (mm, kg, N·m, l, km/h, degrees, kg/m²).
 * A bare number takes `bare`, or the system's first unit. The typed text comes back with the value (a bare
 * number with its unit behind it), so that showing and reading it again never drifts. Fails with one sentence that says what to write instead.
 */
export function parseQuantity(
  dimension: Dimension,
  input: string,
  system: UnitSystem = 'metric',
  bare: Unit = homeUnit(dimension, system),
): Parsed {
  const typed = input.trim()
  const fail = (why: string): Parsed => ({
    ok: false,
    reason: `${why} Write it like ${EXAMPLES[dimension]}.`,
  })
  if (typed === '') return fail('Nothing was typed.')
  if (typed.length > 60) return fail('That is too long for a measurement.')
  const unsigned = typed.replace(/^[-−–]\s*/, '')
  const sign = unsigned === typed ? 1 : -1
  const text = unsigned.replace(
    /(\d)?\s*([½¼¾⅛⅜⅝⅞])/g,
    (_, digit: string | undefined, glyph: string) =>
      `${digit === undefined ? '' : `${digit} `}${VULGAR_FRACTIONS[glyph] ?? ''}`,
  )
  const dotted = DOTTED.exec(text)
  if (dotted && (dimension === 'length' || dimension === 'mass')) {
    const [, whole = '', part = '', unit = ''] = dotted
    if (AS_THOUSANDS.has(unit.toLowerCase() || bare.symbol))
      return fail(
        `"${typed}" can be read two ways: write ${whole}${part} or ${whole}.${part.replace(/0+$/, '') || '0'}.`,
      )
  }
  const first = leadingAmount(text)
  if ('reason' in first)
    return fail(first.reason === 'no number found' ? `"${typed}" has no number in it.` : first.reason)
  // Nobody measures fractions of a millimetre: it is a size in inches whose unit was left out.
  if (first.rest === '' && bare.symbol === 'mm' && /[/⁄]/.test(text))
    return fail(`"${typed}" is a fraction without a unit: write ${typed} in, or ${typed} mm.`)
  if (first.rest === '') return finish(first.value * bare.factor, `${typed} ${bare.symbol}`)
  const { word, tail } = splitUnit(dimension, first.rest)
  const unit = findUnit(dimension, word)
  if (!unit) return fail(`"${first.rest}" is not a unit of ${dimension} here.`)
  if (tail === '') return finish(first.value * unit.factor)

  const smaller = SMALLER[unit.symbol]
  const second = leadingAmount(tail.replace(/^-\s*/, ''))
  if (smaller === undefined || 'reason' in second)
    return fail(`"${tail}" after ${unit.symbol} cannot be read.`)
  const tailUnit = second.rest === '' ? findUnit(dimension, smaller) : findUnit(dimension, second.rest)
  if (tailUnit?.symbol !== smaller) return fail(`"${tail}" after ${unit.symbol} cannot be read.`)
  return finish(first.value * unit.factor + second.value * tailUnit.factor)

  function finish(magnitude: number, read = typed): Parsed {
    if (!Number.isFinite(magnitude)) return fail(`"${typed}" is too large.`)
    return { ok: true, value: magnitude === 0 ? 0 : sign * magnitude, typed: read }
  }
}

/** What was typed, where that was in another unit than the core keeps; nothing where showing the value says the same. */
export function typedElsewhere(dimension: Dimension, typed: string): string | undefined {
  if (typed.trim() === '') return undefined
  const word = /[^\d\s.,½¼¾⅛⅜⅝⅞/+−-].*$/.exec(typed)?.[0].trim() ?? ''
  return findUnit(dimension, word)?.factor === 1 ? undefined : typed
}
