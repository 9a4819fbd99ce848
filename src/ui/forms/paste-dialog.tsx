'use client'
import { useState } from 'react'
import { READ_FROM, type Source } from '@/core/api/plan'
import { readingWords, readSheet, type SheetReading } from '@/core/api/files'
import { SOURCE_CHOICES } from '@/core/api/fields'
import { Alert } from '@/ui/kit/alert'
import { Button } from '@/ui/kit/button'
import { Choice } from '@/ui/kit/choice'
import { TickBox } from '@/ui/kit/field'
import { Note } from '@/ui/kit/field-note'
import { CONTROL_CLASS } from '@/ui/kit/control-class'
import { Modal } from '@/ui/kit/modal'
import { PhraseLine } from '@/ui/figures/quantity'
import type { Pasted } from './pasted'

function Readings({
  readings,
  left,
  setLeft,
}: {
  readings: readonly SheetReading[]
  left: ReadonlySet<SheetReading>
  setLeft: (left: ReadonlySet<SheetReading>) => void
}) {
  return (
    <ul className="mt-1" aria-label="What was read">
      {readings.map((reading, i) => (
        <li key={i} className="border-hair border-b-1 py-1">
          <TickBox
            checked={!left.has(reading)}
            onTick={(on) => {
              const next = new Set(left)
              if (on) next.delete(reading)
              else next.add(reading)
              setLeft(next)
            }}
          >
            <span>
              <span className="font-semibold">
                <PhraseLine phrase={readingWords(reading)} />
              </span>
              <span className="text-ink2 block text-aside">“{reading.words}”</span>
            </span>
          </TickBox>
        </li>
      ))}
    </ul>
  )
}

/** A pasted text on top, what was read in it below, each beside its words, to take or to leave. */
export function PasteDialog({
  takes,
  things,
  onTake,
  onClose,
}: {
  takes: (of: string) => readonly SheetReading['what'][]
  things: readonly (readonly [id: string, name: string])[]
  onTake: (pasted: Pasted) => void
  onClose: () => void
}) {
  const [text, setText] = useState('')
  const [from, setFrom] = useState<Source['kind']>('sheet')
  const [of, setOf] = useState(things[0]?.[0] ?? '')
  const [left, setLeft] = useState<ReadonlySet<SheetReading>>(new Set())
  const { readings, disagrees } = readSheet(text)
  const here = readings.filter(({ what }) => takes(of).includes(what))
  const beside = readings.filter(({ what }) => what === 'page' || what === 'day')
  const elsewhere = readings.filter((reading) => !here.includes(reading) && !beside.includes(reading))
  const taken = here.filter((reading) => !left.has(reading))
  return (
    <Modal title="Paste a sheet" onClose={onClose} wide>
      <label className="block">
        <span className={CONTROL_CLASS.label}>
          The text of a maker’s sheet, a label, a manual’s page or a message
        </span>
        <textarea
          className={`${CONTROL_CLASS.input} h-auto min-h-32 w-full py-2`}
          value={text}
          onChange={(event) => setText(event.currentTarget.value)}
          data-first-focus
        />
      </label>
      <div className="mt-2 flex flex-wrap gap-3">
        <Choice<Source['kind']>
          className="w-56"
          label="It stands"
          value={from}
          options={SOURCE_CHOICES.filter(([how]) => READ_FROM.includes(how))}
          onChange={setFrom}
        />
        {things.length > 0 && (
          <Choice className="w-56" label="It is about" value={of} options={things} onChange={setOf} />
        )}
      </div>
      {disagrees.map((words) => (
        <Alert variant="mind" key={words}>
          The two units do not agree: {words}. Neither is taken.
        </Alert>
      ))}
      {here.length > 0 && <Readings readings={here} left={left} setLeft={setLeft} />}
      {text.trim() !== '' && here.length === 0 && (
        <p className="mt-3">No figure found that belongs on this sheet.</p>
      )}
      {beside.length > 0 && here.length > 0 && (
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
        <Note>Compare each figure with the sheet itself. Doubtful figures are left out.</Note>
      </div>
    </Modal>
  )
}
