/** What kind of thing a number measures. The core keeps each in one unit: mm, kg, N·m, litres, km/h, degrees, kg/m², N, MPa, kWh. */
export type Dimension =
  'length' | 'mass' | 'torque' | 'volume' | 'speed' | 'angle' | 'areaDensity' | 'force' | 'stress' | 'energy'

export type UnitSystem = 'metric' | 'us'

export interface Unit {
  readonly symbol: string
  readonly system: UnitSystem | 'any'
  /** How many of the core's unit one of these is. */
  readonly factor: number
  /** Every way people write it, lower case, without spaces. */
  readonly spellings: readonly string[]
}

/**
 * Conversion factors. Published: NIST SP 811 (quoted from memory); the inch, the pound and the mile are
 * exact by definition, and the pound-force figures follow from them with g = 9.80665 m/s².
 */
const POUND_KG = 0.45359237
const INCH_MM = 25.4
export const STANDARD_GRAVITY = 9.80665
const POUND_FORCE_N = POUND_KG * STANDARD_GRAVITY

const feet = ["'", '′', '’', 'ft', 'ft.', 'foot', 'feet']
const inches = ['"', '″', '”', "''", 'in', 'in.', 'inch', 'inches']

export const UNITS: Readonly<Record<Dimension, readonly Unit[]>> = {
  length: [
    {
      symbol: 'mm',
      system: 'metric',
      factor: 1,
      spellings: ['mm', 'millimetre', 'millimetres', 'millimeters'],
    },
    { symbol: 'cm', system: 'metric', factor: 10, spellings: ['cm', 'centimetre', 'centimetres'] },
    { symbol: 'm', system: 'metric', factor: 1000, spellings: ['m', 'metre', 'metres', 'meter', 'meters'] },
    { symbol: 'in', system: 'us', factor: INCH_MM, spellings: inches },
    { symbol: 'ft', system: 'us', factor: INCH_MM * 12, spellings: feet },
  ],
  mass: [
    { symbol: 'kg', system: 'metric', factor: 1, spellings: ['kg', 'kgs', 'kilo', 'kilos'] },
    { symbol: 'g', system: 'metric', factor: 0.001, spellings: ['g', 'gram', 'grams'] },
    {
      symbol: 'lb',
      system: 'us',
      factor: POUND_KG,
      spellings: ['lb', 'lbs', 'lb.', 'lbs.', '#', 'pound', 'pounds'],
    },
    { symbol: 'oz', system: 'us', factor: POUND_KG / 16, spellings: ['oz', 'ounce', 'ounces'] },
  ],
  torque: [
    { symbol: 'N·m', system: 'metric', factor: 1, spellings: ['n·m', 'nm', 'n.m', 'n-m', 'n*m'] },
    {
      symbol: 'lbf·ft',
      system: 'us',
      factor: (POUND_FORCE_N * INCH_MM * 12) / 1000,
      spellings: [
        'lbf·ft',
        'lbfft',
        'lbf-ft',
        'lbf.ft',
        'ft-lb',
        'ft-lbs',
        'ftlb',
        'ftlbs',
        'ft·lb',
        'lb-ft',
        'lbft',
        'ft-lbf',
      ],
    },
    {
      symbol: 'lbf·in',
      system: 'us',
      factor: (POUND_FORCE_N * INCH_MM) / 1000,
      spellings: [
        'lbf·in',
        'lbfin',
        'lbf-in',
        'lbf.in',
        'in-lb',
        'in-lbs',
        'inlb',
        'inlbs',
        'in·lb',
        'lb-in',
        'lbin',
        'in-lbf',
      ],
    },
  ],
  volume: [
    { symbol: 'l', system: 'metric', factor: 1, spellings: ['l', 'litre', 'litres', 'liter', 'liters'] },
    { symbol: 'ml', system: 'metric', factor: 0.001, spellings: ['ml'] },
    { symbol: 'gal', system: 'us', factor: 3.785411784, spellings: ['gal', 'gallon', 'gallons', 'usgal'] },
  ],
  speed: [
    { symbol: 'km/h', system: 'metric', factor: 1, spellings: ['km/h', 'kmh', 'kph'] },
    { symbol: 'mph', system: 'us', factor: 1.609344, spellings: ['mph', 'mi/h'] },
  ],
  angle: [{ symbol: '°', system: 'any', factor: 1, spellings: ['°', 'deg', 'degree', 'degrees'] }],
  areaDensity: [
    { symbol: 'kg/m²', system: 'metric', factor: 1, spellings: ['kg/m²', 'kg/m2'] },
    {
      symbol: 'lb/ft²',
      system: 'us',
      factor: POUND_KG / ((INCH_MM * 12) / 1000) ** 2,
      spellings: ['lb/ft²', 'lb/ft2', 'psf'],
    },
  ],
  force: [
    { symbol: 'N', system: 'metric', factor: 1, spellings: ['n', 'newton', 'newtons'] },
    { symbol: 'lbf', system: 'us', factor: POUND_FORCE_N, spellings: ['lbf'] },
  ],
  stress: [
    { symbol: 'MPa', system: 'metric', factor: 1, spellings: ['mpa', 'n/mm²', 'n/mm2'] },
    { symbol: 'ksi', system: 'us', factor: (POUND_FORCE_N / INCH_MM ** 2) * 1000, spellings: ['ksi'] },
  ],
  energy: [{ symbol: 'kWh', system: 'any', factor: 1, spellings: ['kwh'] }],
}

/** The unit of a dimension with this symbol; a symbol the dimension lacks is a bug in the caller. */
export function unitOf(dimension: Dimension, symbol: string): Unit {
  const unit = UNITS[dimension].find((candidate) => candidate.symbol === symbol)
  if (!unit) throw new Error(`${symbol} is no unit of ${dimension}`)
  return unit
}

/** The unit in which a system first shows a dimension. */
export function homeUnit(dimension: Dimension, system: UnitSystem): Unit {
  const unit = UNITS[dimension].find((candidate) => candidate.system === system || candidate.system === 'any')
  if (!unit) throw new Error(`${dimension} has no unit in the ${system} system`)
  return unit
}
