'use client'
import { type Dimension, formatQuantity, homeUnit, parseQuantity } from '@/core/api/plan'
import { typingSystem, useUnits } from '@/ui/state/settings-store'
import { ParsedField } from '@/ui/kit/parsed-field'

interface Props {
  readonly label: string
  readonly dimension: Dimension
  readonly value: number | undefined
  /** What was typed for this value, if it was. */
  readonly typed?: string | undefined
  /** Takes the new value; a text given back says why it was refused. */
  readonly onValue: (value: number, typed: string) => string | undefined
  readonly hint?: string
  readonly className?: string
}

/** A measurement to type: read in the units on screen or in any unit written with it. Nothing typed is lost when it is wrong. */
export function QuantityField({ dimension, value, typed, onValue, hint, ...rest }: Props) {
  const units = useUnits()
  const system = typingSystem(units)
  const shown = value === undefined ? '' : formatQuantity(dimension, value, { ...units, show: system })
  const remembered = typed !== undefined && typed !== shown ? `typed ${typed}` : undefined
  return (
    <ParsedField
      text={shown}
      placeholder={homeUnit(dimension, system).symbol}
      hint={hint ?? remembered}
      read={(text) => {
        const taken = parseQuantity(dimension, text, system)
        return taken.ok ? { ok: true, value: taken } : taken
      }}
      onValue={(taken) => onValue(taken.value, taken.typed)}
      {...rest}
    />
  )
}
