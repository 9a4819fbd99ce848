'use client'
import Link from 'next/link'
import { useCallback, useEffect, useMemo, useState } from 'react'
import { NOTHING_DONE, type BayProgress } from '@/core/bay/log/replay'
import type { Step } from '@/core/bay/steps/step'
import type { Plan } from '@/core/plan/plan'
import type { Survey } from '@/core/survey/survey'
import { JobGate } from '@/ui/bench/job-gate'
import { judgedOf } from '@/ui/bench/judged'
import { logFor, recordOf, useLog, type NewEvent } from '@/ui/log/log-store'
import { PhraseLine } from '@/ui/quantity/quantity'
import { Mark } from '@/ui/shell/mark'
import { useSettings } from '@/ui/shell/settings-store'
import { currentIndex, holdsBack, minutesLeft, nextPull, stepFindings, stepsOf } from './bay-job'
import { DiffersDialog } from './differs-dialog'
import { FindingList } from './finding-list'
import { PartsTable } from './parts-table'
import { StepDrawing } from './step-drawing'
import { StepList } from './step-list'
import { StepPanel } from './step-panel'
import { pullEvent, TorqueFigure } from './torque-panel'
import { useAwake } from './use-awake'
import { useBayKeys } from './use-bay-keys'
import { hours, WorkPlan } from './work-plan'
import { useSearch } from '@/ui/shell/use-search'

type View = 'steps' | 'parts' | 'work'
const VIEWS: readonly (readonly [View, string])[] = [
  ['steps', 'Steps'],
  ['parts', 'Parts'],
  ['work', 'Plan of work'],
]

/** What is written when a step is done: the step, and what its being done means for the rack. */
function doneEvents(plan: Plan, step: Step): NewEvent[] {
  const done: NewEvent = { kind: 'stepDone', stepId: step.id, title: step.title }
  if (step.id !== 'job/tell' || step.doing.kind !== 'tell') return [done]
  return [
    ...step.doing.what.map((what): NewEvent => ({ kind: 'told', what })),
    done,
    ...plan.racks.map((rack): NewEvent => ({ kind: 'fitted', rackId: rack.id, what: rack.name })),
  ]
}

/** What the large key says and does at a step. */
function primaryOf(plan: Plan, step: Step, progress: BayProgress): { words: string; events: NewEvent[] } {
  const pull = nextPull(step, progress)
  if (pull && step.doing.kind === 'torque') {
    const { joint, pulls } = step.doing.group
    const after = pulls[pulls.indexOf(pull) + 1]
    return {
      words: after
        ? after.pass === pull.pass
          ? `${pull.at} done, next ${after.at}`
          : `${pull.at} done, pass ${after.pass}`
        : `${pull.at} done, all pulled`,
      events: [pullEvent(joint, pull)],
    }
  }
  if (progress.done.has(step.id)) return { words: 'Next', events: [] }
  const words = {
    count: 'All counted, begin',
    confirm: 'Confirmed',
    prove: 'Next',
    tell: 'Told and handed over',
  } as const
  const { kind } = step.doing
  return { words: kind in words ? words[kind as keyof typeof words] : 'Done', events: doneEvents(plan, step) }
}

function Progress({ steps, progress }: { steps: readonly Step[]; progress: BayProgress }) {
  const done = steps.filter(({ id }) => progress.done.has(id)).length
  return (
    <p className="ml-auto flex items-center gap-3">
      <span className="bay-blocks" aria-hidden>
        {steps.map(({ id }) => (
          <i key={id} className={progress.done.has(id) ? 'bay-block-done' : ''} />
        ))}
      </span>
      <span className="font-semibold whitespace-nowrap">
        {done} of {steps.length} steps, about {hours(minutesLeft(steps, progress))} left
      </span>
    </p>
  )
}

/** Whose name the log carries from here on. */
function Fitter() {
  const fitter = useSettings((store) => store.settings.fitter)
  const change = useSettings((store) => store.change)
  return (
    <label className="block">
      <span className="field-label">Who fits it</span>
      <input
        className="field"
        value={fitter}
        maxLength={80}
        onChange={(event) => {
          change({ fitter: event.target.value })
        }}
      />
      <span className="field-note">signs what goes into the log from now on</span>
    </label>
  )
}

function OneStep({
  plan,
  survey,
  steps,
  progress,
}: {
  plan: Plan
  survey: Survey
  steps: readonly Step[]
  progress: BayProgress
}) {
  const now = currentIndex(steps, progress)
  const [looking, setLooking] = useState<number>()
  const [differs, setDiffers] = useState(false)
  const at = Math.min(looking ?? now, steps.length - 1)
  const step = steps[at]
  const findings = useMemo(() => (step ? stepFindings(step, survey, progress) : []), [step, survey, progress])
  const hold = step && !progress.done.has(step.id) ? holdsBack(step, survey, findings, progress) : undefined
  const primary = step && primaryOf(plan, step, progress)
  const pulling = step !== undefined && nextPull(step, progress) !== undefined
  const blocked = hold !== undefined && !pulling
  const waits = step?.after.filter((id) => !progress.done.has(id)).length ?? 0
  const done = useCallback(() => {
    if (!step || !primary || blocked || (waits > 0 && primary.events.length > 0)) return
    if (primary.events.length > 0) logFor(plan, ...primary.events)
    if (!pulling)
      setLooking(
        at + 1 < steps.length && looking !== undefined
          ? at + 1
          : primary.events.length === 0
            ? Math.min(at + 1, steps.length - 1)
            : undefined,
      )
  }, [plan, step, primary, blocked, waits, pulling, at, steps.length, looking])
  const back = useCallback(() => {
    setLooking(Math.max(0, at - 1))
  }, [at])
  useBayKeys(done, back)
  if (!step || !primary) return null
  const all = steps.every(({ id }) => progress.done.has(id))
  return (
    <div className="bay-body">
      <nav className="bay-list" aria-label="Steps of this job" tabIndex={0}>
        <StepList
          steps={steps}
          at={at}
          progress={progress}
          onPick={(index) => {
            setLooking(index === now ? undefined : index)
          }}
        />
      </nav>
      <main className="bay-main">
        <h2 className="bay-title">{step.title}</h2>
        <p className="bay-detail">
          <PhraseLine phrase={step.detail} />
          {step.hands === 2 ? ' Two people.' : ''}
          {step.waitMinutes > 0
            ? ` Then it waits ${hours(step.waitMinutes)} by itself; go on with what does not hang on it.`
            : ''}
        </p>
        {waits > 0 && !progress.done.has(step.id) && (
          <p className="bay-waits">
            {waits === 1 ? 'One step has' : `${waits} steps have`} to be done before this one.
          </p>
        )}
        <FindingList findings={findings.filter(({ severity }) => severity !== 'clear')} />
        {step.doing.kind === 'count' ? (
          <PartsTable plan={plan} survey={survey} progress={progress} />
        ) : (
          <StepDrawing step={step} survey={survey} progress={progress} />
        )}
        <TorqueFigure step={step} progress={progress} />
        {all && (
          <p className="bay-waits">
            Everything is done.{' '}
            <Link className="underline" href={`/handover?job=${plan.id}`}>
              To the handover sheet
            </Link>
          </p>
        )}
      </main>
      <aside className="bay-side" aria-label="Readings and what they say" tabIndex={0}>
        {step.doing.kind === 'count' && <Fitter />}
        <StepPanel key={step.id} plan={plan} survey={survey} step={step} progress={progress} />
        <FindingList findings={findings.filter(({ severity }) => severity === 'clear')} />
        {progress.deviations
          .filter(({ stepId }) => stepId === step.id)
          .map(({ id, reason }) => (
            <p key={id} className="bay-waits">
              Differs: {reason}
            </p>
          ))}
      </aside>
      <div className="bay-keys">
        <button type="button" className="bay-back" disabled={at === 0} onClick={back}>
          Back
        </button>
        <button
          type="button"
          className="bay-done"
          disabled={blocked || (waits > 0 && primary.events.length > 0)}
          onClick={done}
        >
          {primary.words}
          {blocked && <span className="block text-[14px] font-normal">{hold}</span>}
        </button>
        {progress.done.has(step.id) ? (
          <button
            type="button"
            className="bay-differs"
            onClick={() => {
              logFor(plan, { kind: 'stepReopened', stepId: step.id, title: step.title })
              setLooking(at)
            }}
          >
            Open it again
          </button>
        ) : (
          <button
            type="button"
            className="bay-differs"
            onClick={() => {
              setDiffers(true)
            }}
          >
            Say what differs
          </button>
        )}
      </div>
      {differs && (
        <DiffersDialog
          plan={plan}
          step={step}
          onClose={() => {
            setDiffers(false)
          }}
        />
      )}
    </div>
  )
}

function Bay({ plan }: { plan: Plan }) {
  const { survey } = judgedOf(plan)
  const [view, setView] = useState<View>('steps')
  const open = useLog((store) => store.open)
  const ready = useLog((store) => store.ready)
  const events = useLog((store) => store.events)
  const trouble = useLog((store) => store.trouble)
  const awake = useAwake()
  useEffect(() => {
    void open()
  }, [open])
  const progress = recordOf(events, plan.vehicle.id).jobs.get(plan.id) ?? NOTHING_DONE
  const order = stepsOf(plan, progress)
  return (
    <div className="bay">
      <header className="bay-head">
        <Mark />
        <div className="min-w-0">
          <h1 className="truncate text-[17px] leading-tight">{plan.job.name}</h1>
          <p className="text-ink2 truncate text-[13px] leading-tight">{plan.vehicle.name}</p>
        </div>
        <div className="flex gap-1" role="group" aria-label="View">
          {VIEWS.map(([name, words]) => (
            <button
              key={name}
              type="button"
              className={`plain ${view === name ? 'solid' : ''}`}
              aria-pressed={view === name}
              onClick={() => {
                setView(name)
              }}
            >
              {words}
            </button>
          ))}
        </div>
        {order.ok && <Progress steps={order.steps} progress={progress} />}
        <Link href={`/handover?job=${plan.id}`} className="plain">
          Handover
        </Link>
        <Link href={`/bench?job=${plan.id}`} className="plain">
          Bench
        </Link>
      </header>
      {trouble !== undefined && (
        <p role="alert" className="bg-error text-error-content px-4 py-2 font-semibold">
          {trouble} What you do now is only in memory: take the log as a file before you close the page.
        </p>
      )}
      {!order.ok ? (
        <main className="p-6">
          <h2 className="text-xl">The steps have no order</h2>
          <p role="alert">{order.reason} Mend the parts’ sheets: one of them says it comes after itself.</p>
        </main>
      ) : !ready ? (
        <p className="p-6 text-xl" aria-busy>
          Fetching the log.
        </p>
      ) : view === 'steps' ? (
        <OneStep plan={plan} survey={survey} steps={order.steps} progress={progress} />
      ) : (
        <main className="bay-scroll" tabIndex={0} aria-label={view === 'parts' ? 'Parts' : 'Plan of work'}>
          {view === 'parts' ? (
            <div className="mx-auto max-w-[1100px] p-4">
              <PartsTable plan={plan} survey={survey} progress={progress} />
            </div>
          ) : (
            <WorkPlan survey={survey} steps={order.steps} />
          )}
        </main>
      )}
      <p className="sr-only" aria-live="polite">
        {awake ? 'The screen stays lit.' : ''}
      </p>
    </div>
  )
}

/** The fitting job, one step at a time. */
export function BayScreen() {
  const id = useSearch('job') ?? ''
  return <JobGate id={id}>{(plan) => <Bay plan={plan} />}</JobGate>
}
