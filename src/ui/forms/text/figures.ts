import {
  type Answers,
  type Asks,
  type Question,
  type SheetRead,
  type SheetReading,
  withAnswers,
} from '@/core/api/files'

/** Where a reading belongs on the sheets at hand, and what they still ask of it; nothing where they have no place for it. */
export type SheetPlace = { readonly group: string; readonly asks: NonNullable<Asks> } | undefined
export type PlaceOf = (reading: SheetReading) => SheetPlace

/** One reading of a text: its sheet, what that still asks of it, what was answered, and whether a person leaves it. */
export interface ReadFigure {
  readonly key: string
  readonly group: string
  readonly reading: SheetReading
  readonly asked: readonly Question[]
  readonly open: readonly Question[]
  readonly answers: Answers
  readonly isLeft: boolean
}

/** The same reading of the same text has the same key. */
export const keyOf = ({ what, at }: SheetReading): string => `${what}-${at}`

/** What a person did with the readings of a text. */
export interface Deeds {
  readonly answers: Readonly<Record<string, Answers>>
  readonly left: ReadonlySet<string>
  /** What a person says that an amount is which was left. */
  readonly said: readonly SheetReading[]
}
export const NO_DEEDS: Deeds = { answers: {}, left: new Set(), said: [] }

/** The readings that have a place on the sheets at hand, in the order of the text. */
export function figuresOf(
  readings: readonly SheetReading[],
  place: PlaceOf,
  { answers, left, said }: Deeds,
): ReadFigure[] {
  return [...readings, ...said]
    .toSorted((a, b) => a.at - b.at)
    .flatMap((read) => {
      const found = place(read)
      if (!found) return []
      const key = keyOf(read)
      const given = answers[key] ?? {}
      const reading = withAnswers(read, given)
      const now = place(reading)
      return [
        {
          key,
          group: (now ?? found).group,
          reading,
          asked: found.asks,
          open: now?.asks ?? found.asks,
          answers: given,
          isLeft: left.has(key),
        },
      ]
    })
}

/** What became of an amount of a text. */
export type TextMarkState = 'taken' | 'asked' | 'source' | 'elsewhere' | 'left'

export interface TextMark {
  readonly at: number
  readonly to: number
  readonly state: TextMarkState
  /** The figure in the list beside the text; none of what is not in it. */
  readonly figure?: ReadFigure
  readonly reading?: SheetReading
}

const stateOf = ({ open, isLeft }: ReadFigure): TextMarkState =>
  isLeft ? 'left' : open.length > 0 ? 'asked' : 'taken'

/** Every amount of a text and every page or day, with what became of it, each place once, in the order of the text. */
export function textMarks({ readings, amounts }: SheetRead, figures: readonly ReadFigure[]): TextMark[] {
  const marks = new Map<number, TextMark>()
  for (const { at } of amounts) marks.set(at[0], { at: at[0], to: at[1], state: 'left' })
  for (const reading of readings) {
    const { at, to, what } = reading
    marks.set(at, { at, to, state: what === 'page' || what === 'day' ? 'source' : 'elsewhere', reading })
  }
  for (const figure of figures) {
    const { at, to } = figure.reading
    const before = marks.get(at)?.figure
    // Of several that stand at one place the one that is still asked is marked.
    if (before && before.open.length > 0) continue
    marks.set(at, { at, to, state: stateOf(figure), figure, reading: figure.reading })
  }
  let end = 0
  return [...marks.values()]
    .toSorted((a, b) => a.at - b.at)
    .filter((mark) => {
      const isFree = mark.at >= end
      if (isFree) end = mark.to
      return isFree
    })
}

/** How many marks of each state a text has. */
export const countsOf = (marks: readonly TextMark[]): Readonly<Record<TextMarkState, number>> =>
  marks.reduce((counts, { state }) => ({ ...counts, [state]: counts[state] + 1 }), {
    taken: 0,
    asked: 0,
    source: 0,
    elsewhere: 0,
    left: 0,
  })
