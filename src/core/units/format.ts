import { homeUnit, unitOf, type Dimension, type UnitSystem } from './dimension'

type Denominator = 8 | 16 | 32

/** How a person wants numbers shown: one system or both, inches to the nearest 1/denominator. */
export interface UnitChoice {
  readonly show: UnitSystem | 'both'
  readonly denominator: Denominator
}

export const METRIC: UnitChoice = { show: 'metric', denominator: 16 }

interface InchParts {
  readonly negative: boolean
  readonly whole: number
  readonly numerator: number
  readonly denominator: number
}

/** A length in mm as whole inches and a reduced fraction, rounded to the nearest 1/denominator. */
export function inchParts(mm: number, denominator: Denominator): InchParts {
  const steps = Math.round((Math.abs(mm) / 25.4) * denominator)
  let numerator = steps % denominator
  let below: number = denominator
  while (numerator > 0 && numerator % 2 === 0) {
    numerator /= 2
    below /= 2
  }
  return {
    negative: mm < 0 && steps > 0,
    whole: Math.floor(steps / denominator),
    numerator,
    denominator: below,
  }
}

const MINUS = '\u2212'
const THIN = '\u202f'

/** A number with at most `places` decimals, thin spaces between thousands and a true minus. */
export function formatNumber(value: number, places = 0): string {
  const fixed = Math.abs(value).toFixed(places)
  const [whole = '0', decimals] = (places > 0 ? fixed.replace(/\.?0+$/, '') : fixed).split('.')
  const grouped = whole.length > 3 ? whole.replace(/\B(?=(\d{3})+$)/g, THIN) : whole
  const text = decimals === undefined ? grouped : `${grouped}.${decimals}`
  return value < 0 && Number(fixed) !== 0 ? `${MINUS}${text}` : text
}

function inchText(mm: number, denominator: Denominator): string {
  const { negative, whole, numerator, denominator: below } = inchParts(mm, denominator)
  const fraction = numerator === 0 ? '' : `${numerator}/${below}`
  const amount = fraction === '' ? String(whole) : whole === 0 ? fraction : `${whole} ${fraction}`
  return `${negative ? MINUS : ''}${amount} in`
}

const PLACES: Readonly<Record<Dimension, number>> = {
  length: 0,
  mass: 1,
  torque: 1,
  volume: 1,
  speed: 0,
  angle: 1,
  areaDensity: 1,
  force: 0,
  stress: 1,
  energy: 1,
}

/** A gap of a few millimetres is told to a tenth: whole ones would hide what it hangs on. */
const placesFor = (dimension: Dimension, value: number) =>
  dimension === 'length' && Math.abs(value) < 10 ? 1 : PLACES[dimension]

function inSystem(dimension: Dimension, value: number, system: UnitSystem, denominator: Denominator): string {
  if (dimension === 'length' && system === 'us') return inchText(value, denominator)
  const unit = homeUnit(dimension, system)
  const number = formatNumber(value / unit.factor, placesFor(dimension, value))
  return unit.symbol === '°' ? `${number}°` : `${number} ${unit.symbol}`
}

/**
 * A value in the core's unit (mm, kg, N·m, l, km/h, degrees, kg/m², N, MPa, kWh) as text with its unit. With both systems
 * the metric figure comes first and the other in brackets.
 */
export function formatQuantity(dimension: Dimension, value: number, choice: UnitChoice = METRIC): string {
  if (choice.show !== 'both') return inSystem(dimension, value, choice.show, choice.denominator)
  const metric = inSystem(dimension, value, 'metric', choice.denominator)
  const us = inSystem(dimension, value, 'us', choice.denominator)
  return metric === us ? metric : `${metric} (${us})`
}

/** A value in one named unit, without its symbol: for the columns of a table that names the unit once. */
export function amountIn(
  dimension: Dimension,
  value: number,
  symbol: string,
  places = PLACES[dimension],
): string {
  return formatNumber(value / unitOf(dimension, symbol).factor, places)
}

/**
 * A value as text to be edited and read back: to a hundredth of a millimetre or a thousandth of an inch, pound or
 * kilogram, as a fraction of an inch where it is one. Far finer than any tape or scale, so that opening a form
 * and closing it changes nothing.
 */
export function formatPrecise(dimension: Dimension, value: number, system: UnitSystem): string {
  const unit = homeUnit(dimension, system)
  if (unit.symbol === 'in') {
    const { negative, whole, numerator, denominator } = inchParts(value, 32)
    const nearest = (negative ? -1 : 1) * (whole + numerator / denominator) * unit.factor
    if (Math.abs(nearest - value) < 0.01) return inchText(value, 32)
  }
  return `${formatNumber(value / unit.factor, unit.symbol === 'mm' ? 2 : 3)} ${unit.symbol}`
}
