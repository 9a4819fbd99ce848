'use client'
import dynamic from 'next/dynamic'
import { useState } from 'react'
import type { ReadingOf, SheetReading } from '@/core/api/files'
import { textKey } from '@/storage/drafts'
import { Button } from '@/ui/kit/button'
import type { Pasted } from './pasted'
import type { SheetPlace } from './text/figures'

const PasteDialog = dynamic(() => import('./paste-dialog').then((module) => module.PasteDialog))

/** Reads a maker's sheet, a page of a manual or a message into the fields of a form. */
export function PasteSheet({
  sheetOf,
  job,
  place,
  parts = [],
  onTake,
}: {
  readonly sheetOf: ReadingOf
  /** The job to which the sheet belongs. */
  readonly job: string | undefined
  /** The part of the sheet on which a reading belongs, where one is chosen first, with what is asked before it is taken; nothing where it has no place. */
  readonly place: (chosen: string, reading: SheetReading) => SheetPlace
  /** The parts of the sheet, by id and name; none where it has none. */
  readonly parts?: readonly (readonly [id: string, name: string])[]
  readonly onTake: (pasted: Pasted) => void
}) {
  const [open, setOpen] = useState(false)
  const [taken, setTaken] = useState(0)
  return (
    <>
      <Button onClick={() => setOpen(true)}>Paste a sheet</Button>
      <span role="status">
        {taken > 0 &&
          `${taken === 1 ? '1 figure was' : `${taken} figures were`} taken into this sheet. Save it to keep ${taken === 1 ? 'it' : 'them'}.`}
      </span>
      {open && (
        <PasteDialog
          sheetOf={sheetOf}
          textKey={textKey(job)}
          placeOn={place}
          parts={parts}
          onTake={(pasted) => {
            onTake(pasted)
            setTaken(pasted.count)
          }}
          onClose={() => setOpen(false)}
        />
      )}
    </>
  )
}
