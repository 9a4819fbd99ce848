/** Units as a reader gives them back; the others are turned into one of these. */
export type ReadUnit =
  'mm' | 'cm' | 'm' | 'in' | 'ft' | 'kg' | 'g' | 'lb' | 'Nm' | 'ft-lb' | 'in-lb' | 'km/h' | 'mph' | 'l' | 'km'

export type Dimension = 'length' | 'mass' | 'torque' | 'speed' | 'volume' | 'distance'

interface UnitWord {
  readonly words: string
  readonly unit: ReadUnit
  readonly dimension: Dimension
  /** How many of the unit one of these is. */
  readonly size: number
}

/** Newton metres in a kilogram-force metre: standard gravity, 9.806 65 m/s² (ISO 80000-3). */
const KGF_M = 9.80665
const OUNCES_IN_POUND = 16

/** Every spelling that people use, longest first where one begins another. */
const UNIT_WORDS: readonly UnitWord[] = [
  { words: String.raw`kgf?[ .*-]?m\b|kp ?m\b`, unit: 'Nm', dimension: 'torque', size: KGF_M },
  { words: String.raw`n[ .*-]?m\b|newton[ -]?met(?:er|re)s?\b`, unit: 'Nm', dimension: 'torque', size: 1 },
  {
    words: String.raw`(?:ft|foot|feet)\.?[ .*-]?(?:lbf?s?|pounds?)\b\.?|lbf?s?[ .*-]?(?:ft|foot|feet)\b`,
    unit: 'ft-lb',
    dimension: 'torque',
    size: 1,
  },
  {
    words: String.raw`(?:in|inch)\.?[ .*-]?(?:lbf?s?|pounds?)\b\.?|lbf?s?[ .*-]?(?:in|inch)\b`,
    unit: 'in-lb',
    dimension: 'torque',
    size: 1,
  },
  { words: String.raw`km\/h\b|kmh\b|kph\b|km per hour\b`, unit: 'km/h', dimension: 'speed', size: 1 },
  { words: String.raw`mph\b|miles (?:per|an) hour\b`, unit: 'mph', dimension: 'speed', size: 1 },
  { words: String.raw`mm\b|millimet(?:er|re)s?\b`, unit: 'mm', dimension: 'length', size: 1 },
  { words: String.raw`cm\b|centimet(?:er|re)s?\b`, unit: 'cm', dimension: 'length', size: 1 },
  { words: String.raw`kgs?\b|kilos?\b|kilogram(?:me)?s?\b`, unit: 'kg', dimension: 'mass', size: 1 },
  { words: String.raw`lbs?\b\.?|pounds?\b|#(?!\w)`, unit: 'lb', dimension: 'mass', size: 1 },
  { words: String.raw`oz\b|ounces?\b`, unit: 'lb', dimension: 'mass', size: 1 / OUNCES_IN_POUND },
  { words: String.raw`km\b|kilomet(?:er|re)s?\b`, unit: 'km', dimension: 'distance', size: 1 },
  { words: String.raw`m\b(?![\w²³^/])|met(?:er|re)s?\b`, unit: 'm', dimension: 'length', size: 1 },
  { words: String.raw`g\b|grams?\b`, unit: 'g', dimension: 'mass', size: 1 },
  { words: String.raw`l\b|lit(?:er|re)s?\b`, unit: 'l', dimension: 'volume', size: 1 },
  {
    // “75 in the name” is no length.
    words: String.raw`"|inch(?:es)?\b|in\b\.?(?! (?:the|a|an|this|that|total|each|both|all|order|use|my|our|its|one|two|case)\b)`,
    unit: 'in',
    dimension: 'length',
    size: 1,
  },
  {
    // “4 feet per platform” are feet that carry it.
    words: String.raw`'(?![A-Za-z])|ft\b\.?|(?:foot|feet)\b(?= ?(?:\d|long|wide|high|tall|deep|apart|in length))`,
    unit: 'ft',
    dimension: 'length',
    size: 1,
  },
]

/** Any unit, for a look at what follows a number. */
export const UNIT_AHEAD = String.raw`mm\b|cm\b|kgs?\b|lbs?\b|n\.?m\b|km\b|m\b|inch|in\b|ft\b`

const AT = UNIT_WORDS.map(({ words, ...unit }) => ({
  ...unit,
  pattern: new RegExp(`[ -]?(?:${words})`, 'iy'),
}))
const AFTER_BLANKS = UNIT_WORDS.map(({ words, ...unit }) => ({
  ...unit,
  pattern: new RegExp(`^\\W*(?:${words})\\W*$`, 'i'),
}))

export interface FoundUnit {
  readonly unit: ReadUnit
  readonly dimension: Dimension
  readonly size: number
  readonly end: number
}

/** The unit that stands at a place, a blank or a hyphen before it. */
export function unitAt(text: string, place: number): FoundUnit | undefined {
  for (const { pattern, unit, dimension, size } of AT) {
    pattern.lastIndex = place
    const found = pattern.exec(text)
    if (found) return { unit, dimension, size, end: place + found[0].length }
  }
  return undefined
}

/** The unit that a heading or a key names alone or in brackets: “Load (kg)”, “Torque in Nm”. */
export function unitNamed(words: string): Omit<FoundUnit, 'end'> | undefined {
  const named = /[([]\s*([^()[\]]{1,12})\s*[)\]]|(?:\bin|,|_)\s*([A-Za-z.·/-]{1,6})\s*:?\s*$/.exec(words)
  const said = named?.[1] ?? named?.[2]
  if (said === undefined) return undefined
  const found = AFTER_BLANKS.find(({ pattern }) => pattern.test(said))
  return found && { unit: found.unit, dimension: found.dimension, size: found.size }
}
