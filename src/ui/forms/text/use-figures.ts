'use client'
import type { Answers, SheetRead, SheetReading } from '@/core/api/files'
import {
  type Deeds,
  figuresOf,
  keyOf,
  type TextMark,
  textMarks,
  NO_DEEDS,
  type PlaceOf,
  type ReadFigure,
} from './figures'
import { useOfText } from './use-of-text'

/** The figures of a text on the sheets at hand, and what a person does with them. */
export interface TextFigures {
  readonly figures: readonly ReadFigure[]
  readonly marks: readonly TextMark[]
  /** What is taken as it stands now: nothing that is open or left. */
  readonly taken: readonly SheetReading[]
  /** Those of them for one sheet, or one part of it. */
  readonly takenFor: (group: string) => readonly SheetReading[]
  /** How many are still to be answered. */
  readonly asked: number
  readonly answer: (key: string, answers: Answers) => void
  readonly leave: (key: string, isLeft: boolean) => void
  readonly say: (reading: SheetReading) => void
  /** Forgets what was done: the sheet is another now. */
  readonly forget: () => void
}

export function useFigures(text: string, read: SheetRead, place: PlaceOf): TextFigures {
  const [deeds, setDeeds] = useOfText<Deeds>(text, NO_DEEDS)
  const figures = figuresOf(read.readings, place, deeds)
  const takes = figures.filter(({ open, isLeft }) => open.length === 0 && !isLeft)
  return {
    figures,
    marks: textMarks(read, figures),
    taken: takes.map(({ reading }) => reading),
    takenFor: (group) => takes.flatMap((figure) => (figure.group === group ? [figure.reading] : [])),
    asked: figures.filter(({ open, isLeft }) => open.length > 0 && !isLeft).length,
    answer: (key, answers) => setDeeds({ ...deeds, answers: { ...deeds.answers, [key]: answers } }),
    leave: (key, isLeft) => {
      const left = new Set(deeds.left)
      if (isLeft) left.add(key)
      else left.delete(key)
      setDeeds({ ...deeds, left })
    },
    say: (reading) =>
      setDeeds({
        ...deeds,
        said: [
          ...deeds.said.filter((each) => keyOf(each) !== keyOf(reading) && each.at !== reading.at),
          reading,
        ],
      }),
    forget: () => setDeeds(NO_DEEDS),
  }
}
