import type { TextAmount } from '../../reading/read'
import { inFirstUnit, type UnitDimension } from '../../reading/unit-words'
import type { BareReading, SheetReading } from './reading'

interface Meaning {
  readonly id: string
  /** As it is offered. */
  readonly words: string
  readonly reading: (value: number) => BareReading
}

const OF = { vehicle: 'The vehicle', gear: 'The thing' } as const
const SIDES = ['length', 'width', 'height'] as const

const MASSES: readonly Meaning[] = [
  { id: 'roof', words: 'A limit of the roof', reading: (kg) => ({ what: 'limit', of: 'vehicle', kg }) },
  { id: 'rack', words: 'A limit of the rack', reading: (kg) => ({ what: 'limit', of: 'rack', kg }) },
  { id: 'carries', words: 'What the thing may carry', reading: (kg) => ({ what: 'limit', of: 'gear', kg }) },
  { id: 'weighs', words: 'What the thing weighs', reading: (kg) => ({ what: 'weight', of: 'gear', kg }) },
  {
    id: 'part',
    words: 'What a part of the rack weighs',
    reading: (kg) => ({ what: 'weight', of: 'rack', kg }),
  },
  { id: 'kerb', words: 'The kerb mass', reading: (kg) => ({ what: 'kerb', kg }) },
  { id: 'gross', words: 'The gross mass', reading: (kg) => ({ what: 'gross', kg }) },
]
const LENGTHS: readonly Meaning[] = [
  ...(['vehicle', 'gear'] as const).flatMap((of) =>
    SIDES.map((what) => ({
      id: `${of}-${what}`,
      words: `${OF[of]}: ${what}`,
      reading: (mm: number) => ({ what, of, mm }),
    })),
  ),
  { id: 'wheelbase', words: 'The wheelbase', reading: (mm) => ({ what: 'wheelbase', mm }) },
]
const MEANINGS: Readonly<Partial<Record<UnitDimension, readonly Meaning[]>>> = {
  mass: MASSES,
  length: LENGTHS,
  torque: [{ id: 'torque', words: 'A torque', reading: (nm) => ({ what: 'torque', fromNm: nm, toNm: nm }) }],
}

/** What a person may say that an amount of a text is, by its dimension, with the reading that comes of it. One figure has one meaning: a range or a product has none here. */
export function meaningsFor(text: string, { at, values, unit, dimension }: TextAmount) {
  const [value] = values
  if (value === undefined || values.length > 1) return []
  return (MEANINGS[dimension] ?? []).map(({ id, words, reading }) => ({
    id,
    words,
    reading: {
      ...reading(inFirstUnit(value, unit)),
      words: text.slice(...at),
      at: at[0],
      to: at[1],
      doubtful: false,
    } satisfies SheetReading as SheetReading,
  }))
}
