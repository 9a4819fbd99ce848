import { SEVERITY_WORD, type Severity } from '@/core/review/finding'

const LOOK: Readonly<Record<Severity, string>> = {
  stop: 'bg-error text-error-content',
  findOut: 'border-2 border-dashed border-accent text-accent',
  mind: 'mind-hatch',
  clear: 'border border-edge text-base-content',
}

/** A verdict in its word, its colour and its own shape. */
export function SeverityTag({ severity }: { severity: Severity }) {
  return (
    <span className={`inline-block px-1.5 py-px text-[13px] leading-5 font-semibold ${LOOK[severity]}`}>
      {SEVERITY_WORD[severity]}
    </span>
  )
}
