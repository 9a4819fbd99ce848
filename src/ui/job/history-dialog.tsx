'use client'
import { changesBetween, type Plan, STATES } from '@/core/api/plan'
import { assess, STATE_WORD, stateSummary } from '@/core/api/assess'
import { useState } from 'react'
import { Thumbnail } from '@/ui/drawing/thumbnail'
import { Button } from '@/ui/kit/button'
import { ChangeList } from '@/ui/app/change-list'
import { Note } from '@/ui/kit/field-note'
import { Modal } from '@/ui/kit/modal'
import { PhraseLine } from '@/ui/figures/quantity'
import { verdictWords } from '@/ui/figures/verdict-words'
import { Table } from '@/ui/kit/table'
import { whenWords } from '@/ui/kit/day-words'
import { stepsBack } from '@/ui/state/past'
import { usePlan } from '@/ui/state/plan-store'
import { useUnits } from '@/ui/state/settings-store'

/** So many steps are listed at first. */
const SHOWN = 40

interface Step {
  readonly before: Plan
  readonly after: Plan
  readonly at: string
  readonly by: string | undefined
}

/** Each step with the states on either side of it, the latest first. */
function stepsOf(past: readonly Plan[], plan: Plan): readonly Step[] {
  const back = stepsBack(past, plan)
  const states = [...past, plan]
  return back
    .flatMap(({ at, by }, i): Step[] => {
      const [before, after] = [states[i], states[i + 1]]
      return before && after ? [{ before, after, at, by }] : []
    })
    .toReversed()
}

/** What a step did, in one line. */
function StepWords({ step }: { step: Step }) {
  const changes = changesBetween(step.before, step.after)
  const [first] = changes
  return (
    <>
      <span className="block">{first ? <PhraseLine phrase={first.words} /> : 'No visible change'}</span>
      <span className="text-ink2 block text-aside">
        {whenWords(step.at)}
        {step.by !== undefined && `, ${step.by}`}
        {changes.length > 1 && `, and ${changes.length - 1} more`}
      </span>
    </>
  )
}

/** An earlier state of the job beside today's, to be taken back as a new step. */
function Beside({ then, now, onTaken }: { then: Plan; now: Plan; onTaken: () => void }) {
  const units = useUnits()
  const [old, today] = [assess(then), assess(now)]
  const changes = changesBetween(then, now)
  const goBackTo = usePlan((store) => store.goBackTo)
  return (
    <section aria-label="Compared with today" className="border-base-content mt-4 border-t pt-3">
      <div className="grid grid-cols-2 gap-3">
        {[old, today].map(({ survey }, i) => (
          <figure key={i} className="border-hair border-1">
            <Thumbnail survey={survey} />
            <figcaption className="px-2 pb-1 text-aside">{i === 0 ? 'Then' : 'Now'}</figcaption>
          </figure>
        ))}
      </div>
      <Table>
        <thead>
          <tr>
            <th scope="col">State</th>
            <th scope="col">Then</th>
            <th scope="col">Now</th>
          </tr>
        </thead>
        <tbody>
          {STATES.map((state) => (
            <tr key={state}>
              <th scope="row">{STATE_WORD[state]}</th>
              <td>{verdictWords(stateSummary(old, state), units)}</td>
              <td>{verdictWords(stateSummary(today, state), units)}</td>
            </tr>
          ))}
        </tbody>
      </Table>
      <h3 className="mt-3 text-body">Changes since then</h3>
      <ChangeList changes={changes} label="Changes since then" />
      <Button
        variant="solid"
        className="mt-3"
        onClick={() => {
          goBackTo(then)
          onTaken()
        }}
      >
        Restore this state
      </Button>
      <Note>Restoring adds a step. Undo brings the present state back.</Note>
    </section>
  )
}

/** Every step of a job that is kept, with what it did, when and by whom. */
export function HistoryDialog({ plan, onClose }: { plan: Plan; onClose: () => void }) {
  const past = usePlan((store) => store.past)
  const steps = stepsOf(past, plan)
  const [all, setAll] = useState(false)
  const [picked, setPicked] = useState<Step>()
  const shown = all ? steps : steps.slice(0, SHOWN)
  return (
    <Modal title="History of this job" onClose={onClose} wide>
      {steps.length === 0 && <p>No change is recorded in this browser yet.</p>}
      <ol className="max-h-[38dvh] overflow-y-auto" aria-label="Steps, the latest first">
        {shown.map((step, i) => (
          <li key={steps.length - i} className="border-hair border-b-1">
            <button
              type="button"
              aria-pressed={picked === step}
              className="aria-pressed:border-base-content w-full min-h-11 cursor-pointer border-l-[3px] border-transparent px-2 py-1 text-left hover:bg-base-200"
              onClick={() => setPicked(step)}
            >
              <StepWords step={step} />
            </button>
          </li>
        ))}
      </ol>
      {shown.length < steps.length && (
        <Button variant="word" onClick={() => setAll(true)}>
          {steps.length - shown.length} earlier steps
        </Button>
      )}
      {picked && <Beside then={picked.before} now={plan} onTaken={onClose} />}
      {steps.length > 0 && !picked && <Note>Choose a step to compare the job before it with today's.</Note>}
    </Modal>
  )
}
