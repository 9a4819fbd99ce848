import type { ReactNode } from 'react'

const VARIANT = {
  /** Something is wrong that costs work or is dangerous: read aloud at once. */
  error: { role: 'alert', class: 'alert-error' },
  /** Something to keep in mind. */
  mind: { role: 'status', class: 'mind-hatch' },
} as const

/** A line across what it is about. */
export function Alert({
  variant,
  className = '',
  children,
}: {
  variant: keyof typeof VARIANT
  className?: string
  children: ReactNode
}) {
  const as = VARIANT[variant]
  return (
    <div
      role={as.role}
      className={`alert flex flex-wrap items-center gap-3 border-0 px-4 py-2 text-body font-semibold ${as.class} ${className}`}
    >
      {children}
    </div>
  )
}
