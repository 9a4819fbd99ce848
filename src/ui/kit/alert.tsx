import type { ReactNode } from 'react'

const LOOK = {
  /** Something is wrong that costs work or is dangerous: read aloud at once. */
  error: { role: 'alert', look: 'alert-error' },
  /** Something to keep in mind. */
  mind: { role: 'status', look: 'mind-hatch' },
} as const

/** A line across what it is about. */
export function Alert({
  variant: look,
  className = '',
  children,
}: {
  variant: keyof typeof LOOK
  className?: string
  children: ReactNode
}) {
  const as = LOOK[look]
  return (
    <div
      role={as.role}
      className={`alert flex flex-wrap items-center gap-3 border-0 px-4 py-2 text-said font-semibold ${as.look} ${className}`}
    >
      {children}
    </div>
  )
}
