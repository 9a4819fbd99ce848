'use client'
import dynamic from 'next/dynamic'
import { useState } from 'react'
import type { Asks, ReadingOf, SheetReading } from '@/core/api/files'
import { Button } from '@/ui/kit/button'
import type { Pasted } from './pasted'

const PasteDialog = dynamic(() => import('./paste-dialog').then((module) => module.PasteDialog))

/** Reads a maker's sheet, a page of a manual or a message into the fields of a form. */
export function PasteSheet({
  sheetOf,
  asks,
  things,
  onTake,
}: {
  readonly sheetOf: ReadingOf
  /** What is asked of a reading before it is taken, for one of several things or for the one there is; undefined where it has no place. */
  readonly asks: (thing: string, reading: SheetReading) => Asks
  /** The things it may be about, by id and name; none where there is one alone. */
  readonly things?: readonly (readonly [id: string, name: string])[]
  readonly onTake: (pasted: Pasted) => void
}) {
  const [open, setOpen] = useState(false)
  return (
    <>
      <Button onClick={() => setOpen(true)}>Paste a sheet</Button>
      {open && (
        <PasteDialog
          sheetOf={sheetOf}
          asks={asks}
          things={things ?? []}
          onTake={onTake}
          onClose={() => setOpen(false)}
        />
      )}
    </>
  )
}
