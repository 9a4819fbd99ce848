'use client'
import { type Answers, type Question, readingWords } from '@/core/api/files'
import { Button } from '@/ui/kit/button'
import { TickBox } from '@/ui/kit/field'
import { PhraseLine } from '@/ui/figures/quantity'
import type { ReadFigure } from './figures'

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
const BOLT_KEYS = [
  ['1', 'One'],
  ['2', 'Two'],
  ['4', 'Four'],
] as const
const THING_KEYS = [['this', 'Of this one']] as const

const ASKED: Readonly<
  Record<Question, { readonly words: string; readonly keys: readonly (readonly [string, string])[] }>
> = {
  state: { words: 'The text does not say when this holds:', keys: STATE_KEYS },
  per: { words: 'The text does not say of how many this is:', keys: PER_KEYS },
  bolts: { words: 'The text does not say how many bolts each one has:', keys: BOLT_KEYS },
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

/** Where a figure of the list is, so that its mark in the text leads there. */
export const figureId = (key: string): string => `read-${key}`

/** What was read of a text, each beside its words: to tick, or first to answer. Nothing that is open can be taken. */
export function ReadFigures({
  label,
  figures,
  onLeave,
  onAnswer,
}: {
  label: string
  figures: readonly ReadFigure[]
  onLeave: (key: string, isLeft: boolean) => void
  onAnswer: (key: string, answers: Answers) => void
}) {
  return (
    <ul aria-label={label}>
      {figures.map((figure) => {
        const words = (
          <span>
            <span className="font-semibold">
              <PhraseLine phrase={readingWords(figure.reading)} />
            </span>
            <span className="text-ink2 block text-aside break-words">“{figure.reading.words}”</span>
          </span>
        )
        return (
          <li
            key={figure.key}
            id={figureId(figure.key)}
            tabIndex={-1}
            className="border-hair scroll-mt-14 border-b-1 py-1"
          >
            {figure.open.length > 0 ? (
              words
            ) : (
              <TickBox checked={!figure.isLeft} onTick={(on) => onLeave(figure.key, !on)}>
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
