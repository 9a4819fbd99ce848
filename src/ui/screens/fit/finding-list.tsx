import { type Finding, type Outcome, OUTCOME_RANK } from '@/core/api/assess'
import { PhraseLine } from '@/ui/figures/quantity'
import { SeverityTag } from '@/ui/figures/severity-tag'

const FRAME: Readonly<Record<Outcome, string>> = {
  stop: 'border-error! border-[2.5px]!',
  findOut: 'border-accent! border-2! border-dashed!',
  mind: 'mind-hatch',
  clear: '',
  notLooked: '',
  nothing: '',
}

/** What the bay has to say of a step: worst first, each with its own shape and word. */
export function FindingList({ findings }: { findings: readonly Finding[] }) {
  const sorted = findings.toSorted((a, b) => OUTCOME_RANK[a.severity] - OUTCOME_RANK[b.severity])
  if (findings.length === 0) return null
  return (
    <ul className="grid gap-2 py-1" aria-label="What this step says" aria-live="polite">
      {sorted.map((finding) => (
        <li
          key={finding.id}
          className={`py-[0.45rem] px-[0.6rem] border-1 border-hair ${FRAME[finding.severity]}`}
          data-fit-finding={finding.severity}
        >
          <SeverityTag severity={finding.severity} /> <PhraseLine phrase={finding.sentence} />
        </li>
      ))}
    </ul>
  )
}
