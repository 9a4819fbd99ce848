'use client'
import {
  withAnswers,
  type Answers,
  type Asks,
  type Question,
  readingWords,
  type SheetReading,
} from '@/core/api/files'
import { Button } from '@/ui/kit/button'
import { TickBox } from '@/ui/kit/field'
import { PhraseLine } from '@/ui/figures/quantity'

/** One reading of a text: what the sheet still asks of it, what was answered, and whether it is left. */
export interface ReadFigure {
  readonly key: string
  readonly reading: SheetReading
  readonly asked: readonly Question[]
  readonly open: readonly Question[]
  readonly answers: Answers
}

export const keyOf = ({ what, at }: SheetReading): string => `${what}-${at}`

/** The readings that have a place on a sheet, each with what is still asked of it. */
export function figuresOf(
  readings: readonly SheetReading[],
  asks: (reading: SheetReading) => Asks,
  answers: Readonly<Record<string, Answers>>,
): ReadFigure[] {
  return readings.flatMap((read) => {
    const asked = asks(read)
    if (!asked) return []
    const given = answers[keyOf(read)] ?? {}
    const reading = withAnswers(read, given)
    return [{ key: keyOf(read), reading, asked, open: asks(reading) ?? [], answers: given }]
  })
}

const STATE_KEYS = [
  ['road', 'Driving'],
  ['trail', 'Off road'],
  ['parked', 'Parked'],
] as const
const PER_KEYS = [
  ['each', 'One'],
  ['set', 'All together'],
] as const
const DOUBT_KEYS = [['so', 'It is so']] as const
const THING_KEYS = [['this', 'Of this one']] as const

const ASKED: Readonly<
  Record<Question, { readonly words: string; readonly keys: readonly (readonly [string, string])[] }>
> = {
  state: { words: 'The text does not say when this holds:', keys: STATE_KEYS },
  per: { words: 'The text does not say of how many this is:', keys: PER_KEYS },
  thing: { words: 'The text says this of another thing:', keys: THING_KEYS },
  doubt: { words: 'The text is not sure, or says two things. Compare, or ask:', keys: DOUBT_KEYS },
}

function QuestionKeys({
  figure: { reading, answers },
  question,
  onAnswer,
}: {
  figure: ReadFigure
  question: Question
  onAnswer: (answers: Answers) => void
}) {
  const { words, keys } = ASKED[question]
  return (
    <div role="group" aria-label={words} className="mt-1 flex flex-wrap items-center gap-2">
      <span>{words}</span>
      {keys.map(([answer, name]) => (
        <Button
          key={answer}
          pressed={answers[question] === answer}
          aria-label={`${name}: “${reading.words}”`}
          onClick={() => onAnswer({ ...answers, [question]: answer })}
        >
          {name}
        </Button>
      ))}
    </div>
  )
}

/** What was read of a text, each beside its words: to tick, or first to answer. Nothing that is open can be taken. */
export function ReadFigures({
  figures,
  left,
  onLeave,
  onAnswer,
}: {
  figures: readonly ReadFigure[]
  left: ReadonlySet<string>
  onLeave: (key: string, isLeft: boolean) => void
  onAnswer: (key: string, answers: Answers) => void
}) {
  return (
    <ul className="mt-1" aria-label="What was read">
      {figures.map((figure) => {
        const words = (
          <span>
            <span className="font-semibold">
              <PhraseLine phrase={readingWords(figure.reading)} />
            </span>
            <span className="text-ink2 block text-aside">“{figure.reading.words}”</span>
          </span>
        )
        return (
          <li key={figure.key} className="border-hair border-b-1 py-1">
            {figure.open.length > 0 ? (
              words
            ) : (
              <TickBox checked={!left.has(figure.key)} onTick={(on) => onLeave(figure.key, !on)}>
                {words}
              </TickBox>
            )}
            {figure.asked.map((question) => (
              <QuestionKeys
                key={question}
                figure={figure}
                question={question}
                onAnswer={(answers) => onAnswer(figure.key, answers)}
              />
            ))}
          </li>
        )
      })}
    </ul>
  )
}
