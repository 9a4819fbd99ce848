'use client'
import { INPUT, LABEL } from './field'
import { type Dimension, formatQuantity, homeUnit, parseQuantity } from '@/core'
import { useId, useState, type KeyboardEvent } from 'react'
import { typingSystem, useUnits } from '@/ui/state/settings-store'
import { FieldNote } from './field-note'

interface Props {
  readonly label: string
  readonly dimension: Dimension
  readonly value: number | undefined
  /** What was typed for this value, if it was. */
  readonly typed?: string | undefined
  /** Takes the new value; a text given back says why it was refused. */
  readonly onValue: (value: number, typed: string) => string | undefined
  readonly compact?: boolean
  readonly hint?: string
}

/** A measurement to type: read in the units on screen or in any unit written with it. Nothing typed is lost when it is wrong. */
export function QuantityField({ label, dimension, value, typed, onValue, compact = false, hint }: Props) {
  const units = useUnits()
  const id = useId()
  const system = typingSystem(units)
  const single = { ...units, show: system }
  const shown = value === undefined ? '' : formatQuantity(dimension, value, single)
  const [draft, setDraft] = useState<string>()
  const [problem, setProblem] = useState<string>()

  const take = () => {
    if (draft === undefined || draft.trim() === shown) {
      setDraft(undefined)
      setProblem(undefined)
      return
    }
    const read = parseQuantity(dimension, draft, system)
    const refused = read.ok ? onValue(read.value, read.typed) : read.reason
    setProblem(refused)
    if (refused === undefined) setDraft(undefined)
  }
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter') {
      event.preventDefault()
      take()
    } else if (event.key === 'Escape' && draft !== undefined) {
      event.stopPropagation()
      setDraft(undefined)
      setProblem(undefined)
    }
  }
  const remembered = typed !== undefined && typed !== shown ? `typed ${typed}` : undefined
  const note = problem ?? hint ?? remembered
  return (
    <div className={compact ? 'min-w-0' : ''}>
      <label htmlFor={id} className={LABEL}>
        {label}
      </label>
      <input
        id={id}
        className={INPUT}
        inputMode="text"
        autoComplete="off"
        value={draft ?? shown}
        placeholder={homeUnit(dimension, system).symbol}
        aria-invalid={problem !== undefined}
        aria-describedby={note === undefined ? undefined : `${id}-note`}
        onChange={(event) => {
          setDraft(event.target.value)
        }}
        onBlur={take}
        onKeyDown={onKeyDown}
      />
      <FieldNote id={`${id}-note`} problem={problem} hint={hint ?? remembered} />
    </div>
  )
}
