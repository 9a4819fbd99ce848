'use client'
import { CalendarDays } from 'lucide-react'
import { useRef } from 'react'
import { Button } from './button'

/** How a day is written. */
export const DAY_EXAMPLE = '2027-06-01'

/** Opens the browser's own calendar beside a box in which a day is typed as year, month, day. */
export function DayPicker({
  label,
  value,
  onDay,
  disabled = false,
}: {
  label: string
  value: string
  onDay: (day: string) => void
  disabled?: boolean
}) {
  const calendar = useRef<HTMLInputElement>(null)
  return (
    <span className="relative">
      <Button
        aria-label="Open the calendar"
        aria-description={label}
        disabled={disabled}
        onClick={() => calendar.current?.showPicker()}
      >
        <CalendarDays size={18} aria-hidden />
      </Button>
      <input
        ref={calendar}
        type="date"
        tabIndex={-1}
        aria-hidden
        aria-label="Calendar"
        className="pointer-events-none absolute inset-0 opacity-0"
        value={value}
        onChange={(event) => onDay(event.target.value)}
      />
    </span>
  )
}
