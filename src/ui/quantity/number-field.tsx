'use client'
import { useId, useState } from 'react'
import { FieldNote } from './field-note'

/** A plain number within bounds, taken when it is left; rubbish stays to be mended, with what is wrong. */
export function NumberField({
  label,
  value,
  from,
  to,
  onValue,
}: {
  label: string
  value: number
  from: number
  to: number
  onValue: (value: number) => void
}) {
  const id = useId()
  const [problem, setProblem] = useState<string>()
  const take = (text: string) => {
    const read = Number(text.trim().replace(',', '.'))
    if (text.trim() === '' || !(read >= from && read <= to)) {
      setProblem(`A number from ${from} to ${to}.`)
      return
    }
    setProblem(undefined)
    if (read !== value) onValue(read)
  }
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="field-label">
        {label}
      </label>
      <input
        id={id}
        key={value}
        className="field"
        inputMode="decimal"
        autoComplete="off"
        defaultValue={String(value)}
        aria-invalid={problem !== undefined}
        aria-describedby={problem === undefined ? undefined : `${id}-note`}
        onBlur={(event) => {
          take(event.target.value)
        }}
        onKeyDown={(event) => {
          if (event.key === 'Enter') take(event.currentTarget.value)
        }}
      />
      <FieldNote id={`${id}-note`} problem={problem} hint={undefined} />
    </div>
  )
}
