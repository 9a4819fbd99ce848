'use client'
// The form library writes into what it gives out: what is worked out of that may not be kept by the compiler.
'use no memo'
import { HOW_CHOICES } from '@/core/api/fields'
import { useId } from 'react'
import { useFormContext, useWatch } from 'react-hook-form'
import { Button } from '@/ui/kit/button'
import { FieldNote } from '@/ui/kit/field-note'
import { CONTROL_CLASS } from '@/ui/kit/control-class'
import { useProblem } from './problem'

type Row = Readonly<Record<string, string>>

const BLANK: Row = { value: '', by: 'measured', says: '', unused: '', '@': '' }

/** The other figures of a field as they stand in the form, and a way to put one more beside them. */
export function useOtherFigures(at: string | undefined) {
  const { setValue, getValues } = useFormContext()
  const now: unknown = useWatch({ name: at ?? '@none' })
  const rows = at !== undefined && Array.isArray(now) ? (now as Row[]) : []
  const set = (next: readonly Row[]) => {
    if (at !== undefined) setValue(at, [...next], { shouldDirty: true })
  }
  const latest = () => (at === undefined ? [] : ((getValues(at) as Row[] | undefined) ?? []))
  return {
    rows,
    add: () => set([...latest(), BLANK]),
    remove: (i: number) => set(latest().filter((_, other) => other !== i)),
  }
}

function OtherFigure({ at, label, onRemove }: { at: string; label: string; onRemove: () => void }) {
  const { register } = useFormContext()
  const problem = useProblem(`${at}.value`)
  const id = useId()
  const field = (name: string, words: string) => (
    <label className="min-w-0">
      <span className={CONTROL_CLASS.label}>{words}</span>
      <input {...register(`${at}.${name}`)} className={CONTROL_CLASS.input} autoComplete="off" />
    </label>
  )
  return (
    <div
      role="group"
      aria-label={`Another figure: ${label}`}
      className="border-hair mt-1 grid gap-2 border-l-2 pl-2"
    >
      <label className="min-w-0">
        <span className={CONTROL_CLASS.label}>Another figure</span>
        <input
          {...register(`${at}.value`)}
          className={CONTROL_CLASS.input}
          autoComplete="off"
          aria-invalid={problem !== undefined}
          aria-describedby={problem === undefined ? undefined : `${id}-note`}
        />
        <FieldNote id={`${id}-note`} problem={problem} hint={undefined} />
      </label>
      <label className="min-w-0">
        <span className={CONTROL_CLASS.label}>Known by</span>
        <select {...register(`${at}.by`)} className={CONTROL_CLASS.select}>
          {HOW_CHOICES.map(([how, words]) => (
            <option key={how} value={how === '' ? 'told' : how}>
              {words}
            </option>
          ))}
        </select>
      </label>
      {field('says', 'Person or page')}
      {field('unused', 'Reason not to use it (empty while undecided)')}
      <Button variant="word" className="justify-self-start" onClick={onRemove}>
        Take it out
      </Button>
    </div>
  )
}

/** What else is said of a figure, row by row. */
export function OtherFigures({
  at,
  label,
  rows,
  onRemove,
}: {
  at: string
  label: string
  rows: readonly Row[]
  onRemove: (i: number) => void
}) {
  return rows.map((_, i) => (
    <OtherFigure key={i} at={`${at}.${i}`} label={label} onRemove={() => onRemove(i)} />
  ))
}
