'use client'
import { INPUT, LABEL } from './field'
import { useId, useState } from 'react'
import { FieldNote } from './field-note'

/** What came of a typed text: its value, or why it is none. */
export type ParsedText<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly reason: string }

/** A text that stands for something, read when it is left or entered; what cannot be read stays, with the reason. */
export function ParsedField<T>({
  label,
  text,
  read,
  onValue,
  hint,
}: {
  readonly label: string
  readonly text: string
  readonly read: (text: string) => ParsedText<T>
  readonly onValue: (value: T) => void
  readonly hint?: string
}) {
  const id = useId()
  const [draft, setDraft] = useState<string>()
  const [problem, setProblem] = useState<string>()
  const take = () => {
    if (draft === undefined || draft.trim() === text) {
      setDraft(undefined)
      setProblem(undefined)
      return
    }
    const taken = read(draft.trim())
    if (!taken.ok) {
      setProblem(taken.reason)
      return
    }
    setDraft(undefined)
    setProblem(undefined)
    onValue(taken.value)
  }
  const note = problem ?? hint
  return (
    <div className="min-w-0">
      <label htmlFor={id} className={LABEL}>
        {label}
      </label>
      <input
        id={id}
        className={INPUT}
        autoComplete="off"
        value={draft ?? text}
        aria-invalid={problem !== undefined}
        aria-describedby={note === undefined ? undefined : `${id}-note`}
        onChange={(event) => {
          setDraft(event.target.value)
        }}
        onBlur={take}
        onKeyDown={(event) => {
          if (event.key !== 'Enter') return
          event.preventDefault()
          take()
        }}
      />
      <FieldNote id={`${id}-note`} problem={problem} hint={hint} />
    </div>
  )
}
