'use client'
import { useState } from 'react'
import type { ReadingOf, SheetReading } from '@/core/api/files'
import type { Source } from '@/core/api/plan'
import { Button } from '@/ui/kit/button'
import { Choice } from '@/ui/kit/choice'
import { Note } from '@/ui/kit/field-note'
import { Modal } from '@/ui/kit/modal'
import type { Pasted } from './pasted'
import type { SheetPlace } from './text/figures'
import { ReadFigures } from './text/read-figures'
import { ComparedTick, SourceChoice } from './text/source-choice'
import { TextView } from './text/text-view'
import { useFigures } from './text/use-figures'
import { useKeptText } from './text/use-kept-text'
import { useOfText } from './text/use-of-text'
import { useReadText } from './text/use-read-text'

type Pairs = readonly (readonly [id: string, name: string])[]

/** A text beside what was read in it for one sheet: each amount marked in its place, to take, to answer or to leave. */
export function PasteDialog({
  sheetOf,
  textKey,
  placeOn,
  parts,
  onTake,
  onClose,
}: {
  sheetOf: ReadingOf
  /** Where the text is kept, so that other sheets of the same job find it. */
  textKey: string
  placeOn: (chosen: string, reading: SheetReading) => SheetPlace
  parts: Pairs
  onTake: (pasted: Pasted) => void
  onClose: () => void
}) {
  const { ready, text, change } = useKeptText(textKey)
  const now = useReadText(text, sheetOf)
  const [from, setFrom] = useState<Source['kind']>('sheet')
  const [compared, setCompared] = useOfText(text, false)
  const [chosen, setChosen] = useState(parts[0]?.[0] ?? '')
  const place = (reading: SheetReading) => placeOn(chosen, reading)
  const { isLetter, readings } = now.read
  const all = useFigures(text, now.read, place)
  const stands = isLetter ? 'told' : from
  const titles: Pairs = parts.length > 0 ? parts : [[sheetOf, 'This sheet']]
  const groups = titles.filter(([group]) => all.figures.some((figure) => figure.group === group))
  return (
    <Modal title="Paste a sheet" onClose={onClose} wide="columns">
      {ready && (
        <div className="grid gap-4 lg:grid-cols-2">
          <TextView text={text} now={now} figures={all} place={place} onText={change} />
          <div className="min-w-0">
            <div className="flex flex-wrap items-end gap-3">
              <SourceChoice isLetter={isLetter} from={from} onFrom={setFrom} />
              {parts.length > 1 && (
                <Choice
                  className="w-56"
                  label="Figures that name no part are of"
                  value={chosen}
                  options={parts}
                  onChange={(next) => {
                    setChosen(next)
                    all.forget()
                  }}
                />
              )}
            </div>
            {groups.map(([group, title]) => (
              <section key={group} aria-label={title}>
                {parts.length > 1 && <h3 className="mt-2 font-[650]">{title}</h3>}
                <ReadFigures
                  label={parts.length > 1 ? `What was read for: ${title}` : 'What was read'}
                  figures={all.figures.filter((figure) => figure.group === group)}
                  onLeave={all.leave}
                  onAnswer={all.answer}
                />
              </section>
            ))}
            {all.figures.length === 0 && now.is === 'read' && (
              <p className="mt-3">No figure found that belongs on this sheet.</p>
            )}
            {all.marks.some(({ state }) => state === 'elsewhere') && (
              <Note className="mt-2">
                Figures marked → are not for this sheet. The text is kept: <em>Paste a sheet</em> on another
                sheet of this job shows it again.
              </Note>
            )}
            {all.taken.length > 0 && (
              <ComparedTick from={stands} compared={compared} onCompared={setCompared} />
            )}
            <div className="mt-3 flex flex-wrap items-center gap-2">
              <Button
                variant="solid"
                disabled={all.taken.length === 0}
                onClick={() => {
                  onTake({
                    takenFor: all.takenFor,
                    count: all.taken.length,
                    all: readings,
                    from: compared ? stands : 'told',
                  })
                  onClose()
                }}
              >
                {all.taken.length === 1 ? 'Take it' : `Take these ${all.taken.length}`}
              </Button>
              <Note>
                {all.asked > 0 && `${all.asked} still to answer above. `}What the text does not say is asked.
              </Note>
            </div>
          </div>
        </div>
      )}
    </Modal>
  )
}
