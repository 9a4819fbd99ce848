/** A plan file before it is read. */
export type Raw = Record<string, unknown>

/** Lifts a file from `from` to the next version. It may assume nothing but that the file says it is `from`. */
export interface FormatLift {
  readonly from: number
  readonly lift: (raw: Raw) => Raw
}

/** Version 1 knew only lengths, each with words for what it was; version 2 says what a measurement is about. */
const measurementsSayWhat: FormatLift = {
  from: 1,
  lift: (raw) => {
    const { measurements } = raw
    if (!Array.isArray(measurements)) return raw
    return {
      ...raw,
      measurements: measurements.map((each: unknown) => {
        if (typeof each !== 'object' || each === null || !('what' in each)) return each
        const { what, ...rest } = each
        return { kind: 'length', of: { about: 'other', what }, ...rest }
      }),
    }
  },
}

/**
 * Version 3 gives each car an identity of its own. Until then a job's vehicle had the id of the stock entry it was taken
 * from, and the log depended on that: it goes on hanging there, marked as perhaps another job's too.
 */
const carsAreTheirOwn: FormatLift = {
  from: 2,
  lift: (raw) => {
    const { vehicle } = raw
    const id = typeof vehicle === 'object' && vehicle !== null && 'id' in vehicle ? vehicle.id : undefined
    return { ...raw, car: { id, stockId: id, shared: true } }
  },
}

/** What early files of version 3 called a field in what was typed for it; it has the field's own name since. */
const TYPED_FOR: Readonly<Record<string, string>> = {
  length: 'lengthMm',
  width: 'widthMm',
  height: 'heightMm',
  stand: 'standMm',
  wheelbase: 'wheelbaseMm',
  frontOverhang: 'frontOverhangMm',
  noseToScreen: 'noseToScreenMm',
  wheelRadius: 'wheelRadiusMm',
  roofTo: 'roof.toXMm',
  roofFront: 'roof.halfWidthFrontMm',
  roofRear: 'roof.halfWidthRearMm',
  crown: 'roof.crownMm',
  kerb: 'kerbKg',
  gross: 'grossKg',
  from: 'ranges.0.fromMm',
  to: 'ranges.0.toMm',
  gauge: 'gaugeMm',
  points: 'points.at',
  rise: 'riseMm',
  top: 'topZMm',
  canopy: 'canopyKg',
  each: 'eachKg',
  feet: 'feetYMm.apart',
}

/** A file with what was typed under its fields' own names. */
function typedByField(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(typedByField)
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(
    Object.entries(value).map(([key, each]: [string, unknown]) => [
      key,
      key === 'typed' && typeof each === 'object' && each !== null
        ? Object.fromEntries(Object.entries(each).map(([field, text]) => [TYPED_FOR[field] ?? field, text]))
        : typedByField(each),
    ]),
  )
}

/** Version 4 knows more of bars, racks and joints, and what was typed has the name of its field in all of it. */
const typedHasItsField: FormatLift = { from: 3, lift: (raw) => typedByField(raw) as Raw }

const isGroup = (value: unknown): value is Raw =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** Whether a thing has something at the path of a field; what is made of a list's entries has a name of its own. */
function hasField(thing: unknown, [key, ...rest]: readonly string[]): boolean {
  if (key === undefined) return thing !== undefined
  return isGroup(thing) ? hasField(thing[key], rest) : thing !== undefined
}

/** A file without what was typed for fields that are there no more. */
function typedForWhatIs(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(typedForWhatIs)
  if (!isGroup(value)) return value
  return Object.fromEntries(
    Object.entries(value).map(([key, each]) => [
      key,
      key === 'typed' && isGroup(each)
        ? Object.fromEntries(Object.entries(each).filter(([field]) => hasField(value, field.split('.'))))
        : typedForWhatIs(each),
    ]),
  )
}

/**
 * Version 5 takes what is half known: a fit sheet's row without a tower spacing, one bar's place alone, a spread with one
 * end. What is typed for a field that has no value is half of something since; until then it was left behind.
 */
const halfIsKnown: FormatLift = { from: 4, lift: (raw) => typedForWhatIs(raw) as Raw }

/** One lift for each version before the present one, oldest first. */
export const LIFTS: readonly FormatLift[] = [
  measurementsSayWhat,
  carsAreTheirOwn,
  typedHasItsField,
  halfIsKnown,
]

/** The present version of the format: one more than there are lifts. */
export const FORMAT_VERSION = LIFTS.length + 1
