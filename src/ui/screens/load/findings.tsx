'use client'
import { Problem } from '@/ui/kit/field-note'
import {
  CHECKS,
  type Finding,
  type FindingStates,
  fixesLeftOut,
  foldedTogether,
  notLookedAt,
  type Review,
  STATE_WORD,
} from '@/core/api/assess'
import type { Plan } from '@/core/api/plan'
import { useEffect, useRef, useState, type ReactNode } from 'react'
import { PhraseLine } from '@/ui/figures/quantity'
import { useKeptFocus } from '@/ui/kit/use-kept-focus'
import type { DialogName } from '@/ui/state/dialog-store'
import { FindingRow } from './finding-row'
import { askGroups, openFindings } from '@/ui/figures/finding-rows'
import { Fold } from '@/ui/kit/fold'
import { useFixes } from '@/ui/state/fixes'
import { findingShown, useWantedFinding } from '@/ui/state/wanted-finding'

/** Findings and the lines that fold them. */
const LINES = '[data-finding], [data-finding-group]'

const TITLE = new Map(CHECKS.map((check) => [check.id, check.title]))

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1)

/** A line that opens: what is in it is written out only when somebody looks, or asked to see one of its findings. */
function Folded({
  title,
  rows = [],
  children,
}: {
  title: string
  rows?: readonly FindingStates[]
  children: () => ReactNode
}) {
  const [open, setOpen] = useState(false)
  const wanted = useWantedFinding((store) => store.id)
  const holdsIt = wanted !== undefined && rows.some(({ all }) => all.some(({ id }) => id === wanted))
  if (holdsIt && !open) setOpen(true)
  return (
    <Fold
      data-finding-group
      className="min-h-11 cursor-pointer py-2 font-semibold"
      line={title}
      open={open}
      onOpen={setOpen}
    >
      {children}
    </Fold>
  )
}

/** Takes the focus to the finding that somebody asked to see: to its field where it has one. */
function useShowWanted(rows: readonly FindingStates[]): void {
  const wanted = useWantedFinding((store) => store.id)
  useEffect(() => {
    if (wanted === undefined) return
    const finding = rows.find(({ all }) => all.some(({ id }) => id === wanted))?.finding
    const row = finding && document.querySelector<HTMLElement>(`[data-finding="${CSS.escape(finding.id)}"]`)
    // It has been dealt with meanwhile.
    if (!finding) findingShown()
    if (!row) return
    row.scrollIntoView({ block: 'center' })
    // A question's field, or the way to it, stands before its fixes.
    const answer =
      finding.severity === 'findOut' ? row.querySelector<HTMLElement>('input, select, a, button') : null
    ;(answer ?? row).focus()
    findingShown()
  }, [wanted, rows])
}

/** What was checked and holds, with its margin; or what there was nothing of. */
function FindingText({ findings }: { findings: readonly Finding[] }) {
  return (
    <ul className="text-aside leading-snug">
      {findings.map((finding) => (
        <li key={finding.id} className="border-hair border-b-1 py-1">
          <span className="text-ink2">
            {TITLE.get(finding.rule)}
            {finding.state === 'all' ? '' : `, ${STATE_WORD[finding.state]}`}:{' '}
          </span>
          <PhraseLine phrase={finding.sentence} />
        </li>
      ))}
    </ul>
  )
}

/** What nothing on the load path depends on and nobody gave: by name, in one quiet line. */
function NotLooked({ review, show }: { review: Review; show: (dialog: DialogName) => void }) {
  const findings = review.notLooked
  if (findings.length === 0) return null
  return (
    <Folded title={`Not looked at: ${notLookedAt(review).join(', ')}`}>
      {() => (
        <ol>
          {foldedTogether(findings).map((row) => (
            <FindingRow key={row.finding.id} {...row} remedies={undefined} show={show} />
          ))}
        </ol>
      )}
    </Folded>
  )
}

/** Findings: Stops with their fixes; questions by where their answer is read; what to mind; and what is clear, folded below. */
export function Findings({
  plan,
  review,
  show,
}: {
  plan: Plan
  review: Review
  show: (dialog: DialogName) => void
}) {
  const rows = foldedTogether(openFindings(review))
  useShowWanted(rows)
  const list = useRef<HTMLElement>(null)
  useKeptFocus(list, LINES, rows)
  const { remediesOf, stopped } = useFixes(
    plan,
    rows.map(({ finding }) => finding),
  )
  const leftOut = fixesLeftOut(plan)
  const listed = (wanted: readonly FindingStates[]) =>
    wanted.map((row) => (
      <FindingRow
        // Past the limit none are looked for: a row then forgets the fixes that it had.
        key={leftOut === undefined ? row.finding.id : `${row.finding.id} without fixes`}
        {...row}
        remedies={leftOut === undefined ? remediesOf(row.finding) : undefined}
        show={show}
      />
    ))
  const of = (severity: Finding['severity']) => rows.filter(({ finding }) => finding.severity === severity)
  const questions = of('findOut')
  const asked = questions.filter(({ finding }) => !finding.aside)
  const aside = questions.filter(({ finding }) => finding.aside)
  const clear = review.findings.filter((finding) => finding.severity === 'clear')
  const nothing = review.findings.filter((finding) => finding.severity === 'nothing')
  return (
    <section
      ref={list}
      aria-labelledby="findings-title"
      className="border-base-content border-t px-3 pt-3 pb-6"
    >
      <h2 id="findings-title" className="text-body">
        Findings
      </h2>
      {review.planned && review.notLooked.length > 0 && (
        <p className="text-ink2 mt-1 text-aside">{capital(notLookedAt(review).join(', '))} not looked at.</p>
      )}
      {leftOut !== undefined && <p className="text-ink2 mt-1 text-aside">{leftOut}</p>}
      {stopped !== undefined && <Problem>{stopped}</Problem>}
      {!review.planned && <p className="mt-1">Nothing planned: there is no rack and no gear yet.</p>}
      {review.planned && rows.length === 0 && (
        <p className="mt-1">Nothing to mend. {clear.length} points checked, each with its margin below.</p>
      )}
      <ol className="mt-1" aria-label="Stops">
        {listed(of('stop'))}
      </ol>
      {askGroups(asked).map((group) => (
        <Folded key={group.title} rows={group.rows} title={`Find out. ${group.title}: ${group.rows.length}`}>
          {() => <ol aria-label={group.title}>{listed(group.rows)}</ol>}
        </Folded>
      ))}
      <ol className="mt-1" aria-label="To mind">
        {listed(of('mind'))}
      </ol>
      {aside.length > 0 && (
        <Folded title={`Set aside for this job: ${aside.length}`}>{() => <ol>{listed(aside)}</ol>}</Folded>
      )}
      <div className="mt-3">
        <NotLooked review={review} show={show} />
        <Folded title={`Checked and clear: ${clear.length}`}>{() => <FindingText findings={clear} />}</Folded>
        <Folded title={`Nothing to check: ${nothing.length}`}>
          {() => <FindingText findings={nothing} />}
        </Folded>
        <Folded title={`Cautions: ${review.cautions.length}`}>
          {() => (
            <ul className="list-disc pl-5 text-aside leading-snug">
              {review.cautions.map((caution) => (
                <li key={caution}>{caution}</li>
              ))}
            </ul>
          )}
        </Folded>
      </div>
    </section>
  )
}
