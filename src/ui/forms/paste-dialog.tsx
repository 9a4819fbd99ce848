'use client'
import { useState } from 'react'
import { READ_FROM, type Source } from '@/core/api/plan'
import {
  type Answers,
  type Asks,
  readingWords,
  readSheet,
  type ReadingOf,
  type SheetReading,
} from '@/core/api/files'
import { SOURCE_CHOICES } from '@/core/api/fields'
import { Alert } from '@/ui/kit/alert'
import { Button } from '@/ui/kit/button'
import { Choice } from '@/ui/kit/choice'
import { Note } from '@/ui/kit/field-note'
import { Modal } from '@/ui/kit/modal'
import { PhraseLine } from '@/ui/figures/quantity'
import type { Pasted } from './pasted'
import { TextSource } from './text/text-source'
import { figuresOf, keyOf, ReadFigures } from './read-figures'

/** Reading a longer text would hold up the page. */
const MOST_LETTERS = 200_000

/** A pasted text on top, what was read in it below, each beside its words, to take or to leave. */
export function PasteDialog({
  sheetOf,
  asks,
  things,
  onTake,
  onClose,
}: {
  sheetOf: ReadingOf
  asks: (thing: string, reading: SheetReading) => Asks
  things: readonly (readonly [id: string, name: string])[]
  onTake: (pasted: Pasted) => void
  onClose: () => void
}) {
  const [text, setText] = useState('')
  const [from, setFrom] = useState<Source['kind']>('sheet')
  const [of, setOf] = useState(things[0]?.[0] ?? '')
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set())
  const [answers, setAnswers] = useState<Readonly<Record<string, Answers>>>({})
  const isTooLong = text.length > MOST_LETTERS
  const { readings, disagrees } = readSheet(isTooLong ? '' : text, sheetOf)
  const figures = figuresOf(readings, (reading) => asks(of, reading), answers)
  const here = new Set(figures.map(({ key }) => key))
  const beside = readings.filter(({ what }) => what === 'page' || what === 'day')
  const elsewhere = readings.filter((reading) => !here.has(keyOf(reading)) && !beside.includes(reading))
  const taken = figures.flatMap(({ key, reading, open }) =>
    open.length === 0 && !left.has(key) ? [reading] : [],
  )
  const asked = figures.filter(({ open }) => open.length > 0).length
  return (
    <Modal title="Paste a sheet" onClose={onClose} wide>
      <TextSource
        text={text}
        onText={(next) => {
          setText(next)
          // An answer was given to words that may be others now.
          setAnswers({})
          setLeft(new Set())
        }}
      />
      <div className="mt-2 flex flex-wrap gap-3">
        <Choice<Source['kind']>
          className="w-56"
          label="It stands"
          value={from}
          options={SOURCE_CHOICES.filter(([how]) => READ_FROM.includes(how))}
          onChange={setFrom}
        />
        {things.length > 0 && (
          <Choice
            className="w-56"
            label="It is about"
            value={of}
            options={things}
            onChange={(next) => {
              setOf(next)
              setAnswers({})
              setLeft(new Set())
            }}
          />
        )}
      </div>
      {isTooLong && (
        <Alert variant="mind">
          This text has more than {MOST_LETTERS.toLocaleString('en')} letters. Nothing of it is read: paste
          the pages that speak of limits, sizes and torques.
        </Alert>
      )}
      {disagrees.map((words) => (
        <Alert variant="mind" key={words}>
          The two units do not agree: {words}. Neither is taken.
        </Alert>
      ))}
      {figures.length > 0 && (
        <ReadFigures
          figures={figures}
          left={left}
          onLeave={(key, isLeft) => {
            const next = new Set(left)
            if (isLeft) next.add(key)
            else next.delete(key)
            setLeft(next)
          }}
          onAnswer={(key, given) => setAnswers({ ...answers, [key]: given })}
        />
      )}
      {text.trim() !== '' && !isTooLong && figures.length === 0 && (
        <p className="mt-3">No figure found that belongs on this sheet.</p>
      )}
      {beside.length > 0 && figures.length > 0 && (
        <Note>
          Source:{' '}
          {beside.map((reading, i) => (
            <span key={i}>
              {i > 0 && ', '}
              <PhraseLine phrase={readingWords(reading)} />
            </span>
          ))}
          .
        </Note>
      )}
      {elsewhere.length > 0 && (
        <Note>
          Also read, but not part of this sheet:{' '}
          {elsewhere.map((reading, i) => (
            <span key={i}>
              {i > 0 && '; '}
              <PhraseLine phrase={readingWords(reading)} />
            </span>
          ))}
          .
        </Note>
      )}
      <div className="mt-3 flex flex-wrap gap-2">
        <Button
          variant="solid"
          disabled={taken.length === 0}
          onClick={() => {
            onTake({ taken, all: readings, from, of })
            onClose()
          }}
        >
          {taken.length === 1 ? 'Take it' : `Take these ${taken.length}`}
        </Button>
        <Note>
          {asked > 0 && `${asked} still to answer above. `}Compare each figure with the sheet itself. What the
          text does not say is asked.
        </Note>
      </div>
    </Modal>
  )
}
