'use client'
import { useEffect, useRef, useState } from 'react'
import { Alert } from '@/ui/kit/alert'
import { Button } from '@/ui/kit/button'
import type { TextMark, PlaceOf } from './figures'
import { MarkedText } from './marked-text'
import { PickedMark } from './picked-mark'
import { figureId } from './read-figures'
import { TextSource } from './text-source'
import type { TextFigures } from './use-figures'
import { useOfText } from './use-of-text'
import { MOST_LETTERS, type TextRead } from './use-read-text'
import { type FileFetch, useTextFile } from './use-text-file'

function HowFar({ now }: { now: TextRead }) {
  return (
    <>
      <p role="status" className={now.is === 'reading' ? 'mt-2' : ''}>
        {now.is === 'reading' && 'Reading the text.'}
      </p>
      {now.is === 'tooLong' && (
        <Alert variant="mind">
          This text has more than {MOST_LETTERS.toLocaleString('en')} letters. Nothing of it is read: take the
          pages that speak of limits, sizes and torques.
        </Alert>
      )}
      {now.is === 'stopped' && <Alert variant="error">{now.words}</Alert>}
      {now.read.disagrees.map((words) => (
        <Alert variant="mind" key={words}>
          The two units do not agree: {words}. Neither is taken.
        </Alert>
      ))}
    </>
  )
}

function FileNews({ fetching }: { fetching: FileFetch }) {
  return (
    <>
      <p role="status" className={fetching.is === 'reading' ? 'mt-2' : ''}>
        {fetching.is === 'reading' &&
          `Reading ${fetching.name}${fetching.page === undefined ? '' : `, ${fetching.page}`}.`}
      </p>
      {fetching.is === 'refused' && (
        <Alert variant="error">
          {fetching.name} was not read. {fetching.why}
        </Alert>
      )}
    </>
  )
}

/** A text as it is typed, or with its figures marked; one that came as a whole is shown marked. */
export function TextView({
  text,
  now,
  figures,
  place,
  onText,
}: {
  text: string
  now: TextRead
  figures: TextFigures
  place: PlaceOf
  onText: (text: string) => void
}) {
  const [isMarked, setMarked] = useState(text !== '')
  const [picked, setPicked] = useOfText<TextMark | undefined>(text, undefined)
  const shown = useRef<HTMLDivElement>(null)
  const showsMarks = isMarked && text.trim() !== ''
  // What had the focus is gone when the text came as a whole.
  const cameWhole = useRef(false)
  useEffect(() => {
    if (showsMarks && cameWhole.current) shown.current?.querySelector<HTMLElement>('[role=region]')?.focus()
    cameWhole.current = false
  }, [showsMarks])
  const take = (next: string, isWhole: boolean) => {
    cameWhole.current = isWhole
    if (isWhole) setMarked(true)
    onText(next)
  }
  const pick = (mark: TextMark) => {
    setPicked(mark)
    if (mark.figure) document.getElementById(figureId(mark.figure.key))?.focus()
  }
  // What became of it may have changed since it was picked.
  const mark = picked && figures.marks.find(({ at }) => at === picked.at)
  const file = useTextFile((next) => take(next, true))
  return (
    <div ref={shown} className="min-w-0" {...file.drop}>
      {showsMarks ? (
        <MarkedText text={text} marks={figures.marks} onPick={pick} />
      ) : (
        <TextSource text={text} onText={take} onFile={file.take} />
      )}
      <FileNews fetching={file.fetching} />
      {showsMarks && mark && !mark.figure && (
        <PickedMark
          text={text}
          mark={mark}
          amount={now.read.amounts.find(({ at }) => at[0] === mark.at)}
          place={place}
          onSay={figures.say}
        />
      )}
      {text.trim() !== '' && (
        <div className="mt-2 flex flex-wrap gap-2">
          <Button onClick={() => setMarked(!showsMarks)}>
            {showsMarks ? 'Change the text' : 'Show the figures in the text'}
          </Button>
          <Button variant="word" onClick={() => take('', false)}>
            Empty it
          </Button>
        </div>
      )}
      <HowFar now={now} />
    </div>
  )
}
