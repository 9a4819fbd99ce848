import type { Finding } from '@/core/review/finding'
import { PhraseLine } from '@/ui/quantity/quantity'
import { SeverityTag } from '@/ui/verdict/severity-tag'

const FRAME = { stop: 'bay-stop', findOut: 'bay-find-out', mind: 'mind-hatch', clear: '' } as const

/** What the bay has to say of a step: worst first, each with its own shape and word. */
export function FindingList({ findings }: { findings: readonly Finding[] }) {
  const order = ['stop', 'findOut', 'mind', 'clear'] as const
  const sorted = findings.toSorted((a, b) => order.indexOf(a.severity) - order.indexOf(b.severity))
  if (findings.length === 0) return null
  return (
    <ul className="grid gap-2 py-1" aria-label="What this step says" aria-live="polite">
      {sorted.map((finding) => (
        <li
          key={finding.id}
          className={`bay-finding ${FRAME[finding.severity]}`}
          data-bay-finding={finding.severity}
        >
          <SeverityTag severity={finding.severity} /> <PhraseLine phrase={finding.sentence} />
        </li>
      ))}
    </ul>
  )
}
