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

/** To which side a figure is rounded: what is to spare down, what is missing up, so that rounding hides no shortage. */
export type Rounding = 'nearest' | 'down' | 'up'

/** What arithmetic leaves behind is no part of a figure. */
const DUST = 1e-6

/** A number of whole steps, without its sign. */
function wholeSteps(steps: number, round: Rounding): number {
  switch (round) {
    case 'nearest':
      return Math.round(steps)
    case 'down':
      return Math.floor(steps + DUST)
    case 'up':
      return Math.ceil(steps - DUST)
  }
}

/** A length in mm as whole inches and a reduced fraction, rounded to 1/denominator. */
export function inchParts(mm: number, denominator: Denominator, round: Rounding = 'nearest'): InchParts {
  const steps = wholeSteps((Math.abs(mm) / 25.4) * denominator, round)
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

/** A number with at most `places` decimals, thin spaces between thousands and a true minus; its size is rounded to a side. */
export function formatNumber(value: number, places = 0, round: Rounding = 'nearest'): string {
  const step = 10 ** places
  const size = round === 'nearest' ? Math.abs(value) : wholeSteps(Math.abs(value) * step, round) / step
  const fixed = size.toFixed(places)
  const [whole = '0', decimals] = (places > 0 ? fixed.replace(/\.?0+$/, '') : fixed).split('.')
  const grouped = whole.length > 3 ? whole.replace(/\B(?=(\d{3})+$)/g, THIN) : whole
  const text = decimals === undefined ? grouped : `${grouped}.${decimals}`
  return value < 0 && Number(fixed) !== 0 ? `${MINUS}${text}` : text
}

function inchText(mm: number, denominator: Denominator, round: Rounding = 'nearest'): string {
  const { negative, whole, numerator, denominator: below } = inchParts(mm, denominator, round)
  const fraction = numerator === 0 ? '' : `${numerator}/${below}`
  const amount = fraction === '' ? String(whole) : whole === 0 ? fraction : `${whole} ${fraction}`
  return `${negative ? MINUS : ''}${amount} in`
}

const PLACES: Readonly<Record<Exclude<Dimension, 'torque'>, number>> = {
  length: 1,
  mass: 1,
  volume: 1,
  speed: 0,
  angle: 1,
  areaDensity: 1,
  force: 0,
  stress: 1,
  energy: 1,
}

/** A torque has three significant figures, in whatever unit. */
const torquePlaces = (inUnit: number) =>
  Math.max(0, 2 - Math.floor(Math.log10(Math.max(Math.abs(inUnit), 0.1))))

/** What is left of a weight is rounded to one side: by ten grams, so that nobody is told a hundred grams less than there is. */
const LEFT_PLACES: Readonly<Record<string, number>> = { kg: 2 }

function placesFor(dimension: Dimension, inUnit: number, left?: string): number {
  if (dimension === 'torque') return torquePlaces(inUnit)
  // A skew is a fraction of a degree.
  if (dimension === 'angle' && Math.abs(inUnit) < 1) return 2
  return (left === undefined ? undefined : LEFT_PLACES[left]) ?? PLACES[dimension]
}

function inSystem(
  dimension: Dimension,
  value: number,
  system: UnitSystem,
  denominator: Denominator,
  round: Rounding,
): string {
  if (dimension === 'length' && system === 'us') return inchText(value, denominator, round)
  const unit = homeUnit(dimension, system)
  const inUnit = value / unit.factor
  const places = placesFor(dimension, inUnit, round === 'nearest' ? undefined : unit.symbol)
  const number = formatNumber(inUnit, places, round)
  return unit.symbol === '°' ? `${number}°` : `${number} ${unit.symbol}`
}

/**
 * A value in the core's unit (mm, kg, N·m, l, km/h, degrees, kg/m², N, MPa, kWh) as text with its unit. With both systems
 * the metric figure comes first and the other in brackets.
 */
export function formatQuantity(
  dimension: Dimension,
  value: number,
  choice: UnitChoice = METRIC,
  round: Rounding = 'nearest',
): string {
  if (choice.show !== 'both') return inSystem(dimension, value, choice.show, choice.denominator, round)
  const metric = inSystem(dimension, value, 'metric', choice.denominator, round)
  const us = inSystem(dimension, value, 'us', choice.denominator, round)
  return metric === us ? metric : `${metric} (${us})`
}

/** A part of a whole as a percentage, to a tenth. */
export const percentText = (share: number): string => `${formatNumber(share * 100, 1)} %`

/** A value in one named unit, without its symbol: for the columns of a table that names the unit once. */
export function amountIn(dimension: Dimension, value: number, symbol: string, places?: number): string {
  const inUnit = value / unitOf(dimension, symbol).factor
  return formatNumber(inUnit, places ?? placesFor(dimension, inUnit))
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
