'use client'
import type { ReactNode } from 'react'
import type { Source } from '@/core/api/plan'
import { Fieldset } from '@/ui/kit/fieldset'
import { Note } from '@/ui/kit/field-note'
import { ReadFigures } from '@/ui/forms/text/read-figures'
import { ComparedTick } from '@/ui/forms/text/source-choice'
import type { TextFigures } from '@/ui/forms/text/use-figures'

/** One sheet of the job that is begun: what it is of, and what the text says for it. */
export function SheetFigures({
  title,
  group,
  figures: { figures, leave, answer },
  from,
  compared,
  onCompared,
  children,
}: {
  title: string
  group: string
  figures: TextFigures
  from: Source['kind']
  compared: boolean
  onCompared: (compared: boolean) => void
  children?: ReactNode
}) {
  const here = figures.filter((figure) => figure.group === group)
  return (
    <Fieldset title={title}>
      {children}
      {here.length > 0 ? (
        <ReadFigures label={`What was read for: ${title}`} figures={here} onLeave={leave} onAnswer={answer} />
      ) : (
        <Note>
          No figure in the text. Sizes start with usual values and are marked so; limits stay unknown.
        </Note>
      )}
      {here.some(({ open, isLeft }) => open.length === 0 && !isLeft) && (
        <ComparedTick from={from} compared={compared} onCompared={onCompared} />
      )}
    </Fieldset>
  )
}
