'use client'
import { SOURCE_CHOICES } from '@/core/api/fields'
import { PROVENANCES, type Source } from '@/core/api/plan'
import { Choice } from '@/ui/kit/choice'
import { TickBox } from '@/ui/kit/field'
import { Note } from '@/ui/kit/field-note'

/** Where a text stands. What a letter says is told, whoever wrote it. */
export function SourceChoice({
  isLetter,
  from,
  onFrom,
}: {
  isLetter: boolean
  from: Source['kind']
  onFrom: (from: Source['kind']) => void
}) {
  if (isLetter) return <Note>A letter or a message: what it says is told.</Note>
  return (
    <Choice<Source['kind']>
      className="w-56"
      label="It stands"
      value={from}
      options={SOURCE_CHOICES}
      onChange={onFrom}
    />
  )
}

/** One press for a sheet: a person has compared its figures with their words. Until then they are told. */
export function ComparedTick({
  from,
  compared,
  onCompared,
}: {
  from: Source['kind']
  compared: boolean
  onCompared: (compared: boolean) => void
}) {
  if (from === 'told') return null
  return (
    <TickBox checked={compared} onTick={onCompared}>
      <span>
        I compared each figure with the text. It counts as <strong>{PROVENANCES[from].word}</strong>; without
        this tick, as told.
      </span>
    </TickBox>
  )
}
