'use client'
import { memo, useState, type KeyboardEvent } from 'react'
import { STATE_WORD, type Finding } from '@/core/review/finding'
import { CHECKS } from '@/core/review/checks'
import { phraseText } from '@/core/review/phrase'
import type { Remedy } from '@/core/review/remedies/remedies'
import type { Review } from '@/core/review/review'
import type { Plan } from '@/core/plan/plan'
import { PhraseLine } from '@/ui/quantity/quantity'
import { SeverityTag } from '@/ui/verdict/severity-tag'
import { remediesNow, useRemedies } from './judged'
import { usePlan } from './plan-store'

/** Every finding that asks something of a person, in the order of the review. */
export const openFindings = (review: Review) =>
  review.findings.filter((finding) => finding.severity !== 'clear')

/** The same finding in several states is shown once, with all its states. */
interface Together {
  readonly finding: Finding
  readonly states: readonly string[]
}

function together(findings: readonly Finding[]): Together[] {
  const groups: { key: string; finding: Finding; states: string[] }[] = []
  for (const finding of findings) {
    const { layerId, clearanceId, footId, placementIds } = finding.subject
    const key = [
      finding.severity,
      finding.rule,
      layerId ?? clearanceId ?? footId ?? placementIds.join(),
    ].join(' ')
    const margin = finding.margin?.value
    const known = groups.find(
      (each) =>
        each.key === key &&
        each.finding.margin?.value === margin &&
        each.finding.measured?.value === finding.measured?.value,
    )
    const state = finding.state === 'all' ? 'All states' : STATE_WORD[finding.state]
    if (known) known.states.push(state)
    else groups.push({ key, finding, states: [state] })
  }
  return groups
}

type RowProps = Together & { readonly remedies: readonly Remedy[] | undefined }

/** A finding is a new object with every review: its row is drawn again only when it reads otherwise. */
function readsTheSame(a: RowProps, b: RowProps): boolean {
  return (
    a.finding.id === b.finding.id &&
    a.finding.severity === b.finding.severity &&
    a.remedies === b.remedies &&
    a.states.join() === b.states.join() &&
    phraseText(a.finding.sentence) === phraseText(b.finding.sentence)
  )
}

const FindingRow = memo(function FindingRow({ finding, states, remedies }: RowProps) {
  const { run, focusFinding } = usePlan.getState()
  const focused = usePlan((store) => store.focus === finding.id)
  const onKeyDown = (event: KeyboardEvent<HTMLLIElement>) => {
    if (event.key !== 'Enter' || event.target !== event.currentTarget) return
    event.preventDefault()
    const { plan } = usePlan.getState()
    const first = plan && remediesNow(plan, finding)[0]
    if (first) run(first.command)
  }
  return (
    <li
      className={`finding ${focused ? 'finding-focused' : ''}`}
      data-finding={finding.id}
      tabIndex={0}
      onMouseEnter={() => {
        focusFinding(finding.id)
      }}
      onMouseLeave={() => {
        focusFinding(undefined)
      }}
      onFocus={() => {
        focusFinding(finding.id)
      }}
      onBlur={() => {
        focusFinding(undefined)
      }}
      onKeyDown={onKeyDown}
    >
      <p className="leading-snug">
        <SeverityTag severity={finding.severity} />{' '}
        <span className="text-ink2 text-[12px]">{states.join(', ')}</span>{' '}
        <PhraseLine phrase={finding.sentence} />
      </p>
      {remedies && remedies.length > 0 && (
        <div className="mt-1.5 flex flex-wrap gap-1.5">
          {remedies.map((remedy, i) => (
            <button
              key={i}
              type="button"
              className={`plain fix ${i === 0 ? 'solid' : ''}`}
              onClick={() => {
                run(remedy.command)
              }}
            >
              <span>
                <PhraseLine phrase={remedy.say} />
              </span>
            </button>
          ))}
        </div>
      )}
      {remedies?.length === 0 && finding.severity === 'stop' && (
        <p className="text-ink2 mt-1 text-[13px]">
          No single change on this plan clears it: take it apart by hand.
        </p>
      )}
    </li>
  )
}, readsTheSame)

const TITLE = new Map(CHECKS.map((check) => [check.id, check.title]))

/** What was checked and holds, with its margin; written out only when somebody looks. */
function CheckedAndClear({ findings }: { findings: readonly Finding[] }) {
  const [open, setOpen] = useState(false)
  return (
    <details
      className="mt-3"
      onToggle={(event) => {
        setOpen(event.currentTarget.open)
      }}
    >
      <summary className="min-h-11 cursor-pointer py-2 font-semibold">
        Checked and clear: {findings.length}
      </summary>
      {open && (
        <ul className="text-[13px] leading-snug">
          {findings.map((finding) => (
            <li key={finding.id} className="hair-b py-1">
              <span className="text-ink2">
                {TITLE.get(finding.rule)}
                {finding.state === 'all' ? '' : `, ${STATE_WORD[finding.state]}`}:{' '}
              </span>
              <PhraseLine phrase={finding.sentence} />
            </li>
          ))}
        </ul>
      )}
    </details>
  )
}

/** Findings, worst first, each Stop with its fixes; what was checked and is clear stands folded below. */
export function Findings({ plan, review }: { plan: Plan; review: Review }) {
  const dragging = usePlan((store) => store.dragFrom !== undefined)
  const open = openFindings(review)
  const groups = together(open)
  const remedies = useRemedies(
    plan,
    groups.map(({ finding }) => finding),
    dragging,
  )
  const clear = review.findings.filter((finding) => finding.severity === 'clear')
  return (
    <section aria-labelledby="findings-title" className="border-base-content border-t-[1.5px] px-3 pt-3 pb-6">
      <h2 id="findings-title" className="text-[15px]">
        Findings
      </h2>
      {groups.length === 0 ? (
        <p className="mt-1">Nothing to mend. {clear.length} points checked, each with its margin below.</p>
      ) : (
        <ol className="mt-1" aria-label="Findings, worst first">
          {groups.map(({ finding, states }) => (
            <FindingRow
              key={finding.id}
              finding={finding}
              states={states}
              remedies={remedies.get(finding.id)}
            />
          ))}
        </ol>
      )}
      <CheckedAndClear findings={clear} />
      <details>
        <summary className="min-h-11 cursor-pointer py-2 font-semibold">
          Cautions: {review.cautions.length}
        </summary>
        <ul className="list-disc pl-5 text-[13px] leading-snug">
          {review.cautions.map((caution) => (
            <li key={caution}>{caution}</li>
          ))}
        </ul>
      </details>
    </section>
  )
}
