'use client'
import { parseDay } from '@/core/api/plan'
import { DAY_EXAMPLE, DayPicker } from '@/ui/kit/day-picker'
import { ParsedField } from '@/ui/kit/parsed-field'

/** A day, typed or chosen from a calendar; taken when it is left. Empty is none. */
export function DayField({
  label,
  value,
  onDay,
  disabled = false,
  className = '',
}: {
  label: string
  value: string
  onDay: (day: string) => void
  disabled?: boolean
  className?: string
}) {
  return (
    <ParsedField
      label={label}
      text={value}
      placeholder={DAY_EXAMPLE}
      disabled={disabled}
      className={className}
      read={(text) => (text === '' ? { ok: true, value: '' } : parseDay(text))}
      onValue={onDay}
      after={<DayPicker label={label} value={value} onDay={onDay} disabled={disabled} />}
    />
  )
}
