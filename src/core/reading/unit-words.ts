import { STANDARD_GRAVITY, unitOf } from '../units/dimension'

/** Units as a reader gives them back; the others are turned into one of these. */
export type ReadUnit =
  'mm' | 'cm' | 'm' | 'in' | 'ft' | 'kg' | 'g' | 'lb' | 'Nm' | 'ft-lb' | 'in-lb' | 'km/h' | 'mph' | 'l' | 'km'

export type UnitDimension = 'length' | 'mass' | 'torque' | 'speed' | 'volume' | 'distance'

/** How many of the core’s unit one of each is: mm, kg, N·m, km/h, litres; kilometres stay kilometres. */
const FACTOR: Readonly<Record<ReadUnit, number>> = {
  mm: 1,
  cm: unitOf('length', 'cm').factor,
  m: unitOf('length', 'm').factor,
  in: unitOf('length', 'in').factor,
  ft: unitOf('length', 'ft').factor,
  kg: 1,
  g: unitOf('mass', 'g').factor,
  lb: unitOf('mass', 'lb').factor,
  Nm: 1,
  'ft-lb': unitOf('torque', 'lbf·ft').factor,
  'in-lb': unitOf('torque', 'lbf·in').factor,
  'km/h': 1,
  mph: unitOf('speed', 'mph').factor,
  l: 1,
  km: 1,
}

/** A value in the core’s unit of its dimension. */
export const inFirstUnit = (value: number, unit: ReadUnit): number => value * FACTOR[unit]

interface UnitWord {
  /** The first letters of its spellings, small. */
  readonly starts: string
  readonly words: string
  readonly unit: ReadUnit
  readonly dimension: UnitDimension
  /** How many of the unit one of these is. */
  readonly size: number
}

const OUNCES_IN_POUND = 16

/** Every spelling that people use, longest first where one begins another. */
const UNIT_WORDS: readonly UnitWord[] = [
  {
    starts: 'k',
    words: String.raw`kgf?[ .*-]?m(?![A-Za-z])|kp ?m(?![A-Za-z])`,
    unit: 'Nm',
    dimension: 'torque',
    size: STANDARD_GRAVITY,
  },
  {
    starts: 'n',
    words: String.raw`n[ .*-]?m(?![A-Za-z])|newton[ -]?met(?:er|re)s?(?![A-Za-z])`,
    unit: 'Nm',
    dimension: 'torque',
    size: 1,
  },
  {
    starts: 'fl',
    words: String.raw`(?:ft|foot|feet)\.?[ .*-]?(?:lbf?s?|pounds?)(?![A-Za-z])\.?|lbf?s?[ .*-]?(?:ft|foot|feet)(?![A-Za-z])`,
    unit: 'ft-lb',
    dimension: 'torque',
    size: 1,
  },
  {
    starts: 'il',
    words: String.raw`(?:in|inch)\.?[ .*-]?(?:lbf?s?|pounds?)(?![A-Za-z])\.?|lbf?s?[ .*-]?(?:in|inch)(?![A-Za-z])`,
    unit: 'in-lb',
    dimension: 'torque',
    size: 1,
  },
  {
    starts: 'k',
    words: String.raw`km\/h(?![A-Za-z])|kmh(?![A-Za-z])|kph(?![A-Za-z])|km per hour(?![A-Za-z])`,
    unit: 'km/h',
    dimension: 'speed',
    size: 1,
  },
  {
    starts: 'm',
    words: String.raw`mph(?![A-Za-z])|miles (?:per|an) hour(?![A-Za-z])`,
    unit: 'mph',
    dimension: 'speed',
    size: 1,
  },
  {
    starts: 'm',
    words: String.raw`mm(?![A-Za-z])|millimet(?:er|re)s?(?![A-Za-z])`,
    unit: 'mm',
    dimension: 'length',
    size: 1,
  },
  {
    starts: 'c',
    words: String.raw`cm(?![A-Za-z])|centimet(?:er|re)s?(?![A-Za-z])`,
    unit: 'cm',
    dimension: 'length',
    size: 1,
  },
  {
    starts: 'k',
    words: String.raw`kgs?(?![A-Za-z])|kilos?(?![A-Za-z])|kilogram(?:me)?s?(?![A-Za-z])`,
    unit: 'kg',
    dimension: 'mass',
    size: 1,
  },
  {
    starts: 'lp#',
    words: String.raw`lbs?(?![A-Za-z])\.?|pounds?(?![A-Za-z])|#(?!\w)`,
    unit: 'lb',
    dimension: 'mass',
    size: 1,
  },
  {
    starts: 'o',
    words: String.raw`oz(?![A-Za-z])|ounces?(?![A-Za-z])`,
    unit: 'lb',
    dimension: 'mass',
    size: 1 / OUNCES_IN_POUND,
  },
  {
    starts: 'k',
    words: String.raw`km(?![A-Za-z])|kilomet(?:er|re)s?(?![A-Za-z])`,
    unit: 'km',
    dimension: 'distance',
    size: 1,
  },
  {
    starts: 'm',
    words: String.raw`m(?![\w²³/])|met(?:er|re)s?(?![A-Za-z])`,
    unit: 'm',
    dimension: 'length',
    size: 1,
  },
  { starts: 'g', words: String.raw`g(?![A-Za-z])|grams?(?![A-Za-z])`, unit: 'g', dimension: 'mass', size: 1 },
  {
    starts: 'l',
    words: String.raw`l(?![A-Za-z])|lit(?:er|re)s?(?![A-Za-z])`,
    unit: 'l',
    dimension: 'volume',
    size: 1,
  },
  {
    // “75 in the name” is no length.
    starts: '"i',
    words: String.raw`"|inch(?:es)?(?![A-Za-z])|in(?![A-Za-z])\.?(?! (?:the|a|an|this|that|total|each|both|all|order|use|my|our|its|one|two|case)(?![A-Za-z]))`,
    unit: 'in',
    dimension: 'length',
    size: 1,
  },
  {
    // “4 feet per platform” are feet that carry it.
    starts: "'f",
    words: String.raw`'(?![A-Za-z])|ft(?![A-Za-z])\.?|(?:foot|feet)(?![A-Za-z])(?= ?(?:\d|long|wide|high|tall|deep|apart|in length))`,
    unit: 'ft',
    dimension: 'length',
    size: 1,
  },
]

/** Any unit, for a look at what follows a number. */
export const UNIT_AHEAD = String.raw`mm\b|cm\b|kgs?\b|lbs?\b|n\.?m\b|km\b|m\b|inch|in\b|ft\b`

/** The units that may begin with a letter or a sign, in their order: few of them for any. */
const BY_FIRST = new Map<string, (Omit<UnitWord, 'words' | 'starts'> & { readonly pattern: RegExp })[]>()
for (const { starts, words, ...unit } of UNIT_WORDS)
  for (const first of starts)
    BY_FIRST.set(first, [...(BY_FIRST.get(first) ?? []), { ...unit, pattern: new RegExp(words, 'iy') }])

const AFTER_BLANKS = UNIT_WORDS.map(({ words, ...unit }) => ({
  ...unit,
  pattern: new RegExp(`^\\W*(?:${words})\\W*$`, 'i'),
}))

export interface FoundUnit {
  readonly unit: ReadUnit
  readonly dimension: UnitDimension
  readonly size: number
  readonly end: number
}

/** The unit that stands at a place, a blank or a hyphen before it. */
export function unitAt(text: string, place: number): FoundUnit | undefined {
  const lead = text.charAt(place)
  const start = lead === ' ' || lead === '-' ? place + 1 : place
  for (const { pattern, unit, dimension, size } of BY_FIRST.get(text.charAt(start).toLowerCase()) ?? []) {
    pattern.lastIndex = start
    const found = pattern.exec(text)
    if (found) return { unit, dimension, size, end: start + found[0].length }
  }
  return undefined
}

/** The unit that a heading or a key names alone or in brackets: “Load (kg)”, “Torque in Nm”. */
export function unitNamed(words: string): Omit<FoundUnit, 'end'> | undefined {
  const named = /[([]\s*([^()[\]]{1,12})\s*[)\]]|(?:\bin|,|_)\s*([A-Za-z.·/-]{1,6})\s*:?\s*$/i.exec(words)
  const said = named?.[1] ?? named?.[2]
  if (said === undefined) return undefined
  const found = AFTER_BLANKS.find(({ pattern }) => pattern.test(said))
  return found && { unit: found.unit, dimension: found.dimension, size: found.size }
}
