'use client'
import { TextLink } from '@/ui/kit/button'
import { BigKey } from '@/ui/kit/big-key'
import { to } from '@/ui/routes'
import {
  answerLine,
  type BayProgress,
  currentIndex,
  heldBack,
  holdsOf,
  isDone,
  marksWanted,
  nextPull,
  recheckWords,
  restsOf,
  signsWanted,
  type Step,
  stepFindings,
  waitsFor,
} from '@/core/api/fit'
import { type Plan, withUsualMinutes } from '@/core/api/plan'
import { planStore } from '@/ui/state/plan-store'
import { type Survey, VERDICT_WORD } from '@/core/api/assess'
import { type ReactNode, useState } from 'react'
import { Button } from '@/ui/kit/button'
import { assessmentOf } from '@/ui/state/assessment'
import { logFor } from '@/ui/state/log-store'
import { useNow } from '@/ui/state/use-now'
import { PhraseLine } from '@/ui/figures/quantity'
import { AnswerDialog } from './answer-dialog'
import { DiffersDialog } from './differs-dialog'
import { FindingList } from './finding-list'
import { PartsTable } from './parts-table'
import { primaryOf } from './primary'
import { ShiftFields } from './shift-fields'
import { StepCautions } from './step-cautions'
import { StepDrawing } from './step-drawing'
import { StepList } from './step-list'
import { StepPanel } from './step-panel'
import { TorqueFigure } from './torque-panel'
import { useFitKeys } from './use-fit-keys'
import { hours, minutesText } from './hours'
import { MinutesDialog } from './minutes-dialog'

/** What is said beside a step: what it waits for, how it stood, what differs. */
function Aside({ children }: { children: ReactNode }) {
  return <p className="border-l-base-content mt-2 border-l-4 px-3 py-0.5 font-semibold">{children}</p>
}

/** The step in hand: what to do, its drawing, its readings, and the large keys. */
export function OneStep({
  plan,
  survey,
  steps,
  progress,
  again,
  cameOff,
}: {
  plan: Plan
  survey: Survey
  steps: readonly Step[]
  progress: BayProgress
  /** Steps to be done again, with what changed since. */
  again: ReadonlyMap<string, string>
  /** How each rack stood when it last came off, by the rack. */
  cameOff: ReadonlyMap<string, string>
}) {
  const nowMs = useNow()
  const now = currentIndex(steps, progress, nowMs)
  const [looking, setLooking] = useState<number>()
  // On a phone the list of steps opens when it is asked for.
  const [listed, setListed] = useState(false)
  const [asking, setAsking] = useState<'differs' | 'answer' | 'minutes'>()
  const at = Math.min(looking ?? now, steps.length - 1)
  const step = steps[at]
  const findings = step ? stepFindings(step, survey, progress) : []
  const holds =
    step && !progress.done.has(step.id)
      ? holdsOf(step, survey, findings, progress, {
          steps,
          review: assessmentOf(plan).review,
          again,
          nowMs,
        })
      : []
  const primary = step && primaryOf(plan, survey, step, progress)
  const pulling = step !== undefined && nextPull(step, progress) !== undefined
  const giving =
    pulling ||
    (step !== undefined &&
      (signsWanted(step, progress) !== undefined || marksWanted(step, progress) !== undefined))
  const hold = heldBack(holds, giving && primary?.events.length !== 0)
  const blocked = hold !== undefined
  const before = step ? waitsFor(step, steps, progress) : []
  const waits = before.length
  const rests = step ? restsOf(step, steps, progress, nowMs).length > 0 : false
  const answers = step ? (progress.answers.get(step.id) ?? []) : []
  const done = () => {
    if (!step || !primary || blocked || (waits > 0 && primary.events.length > 0)) return
    if (primary.events.length > 0) logFor(plan, ...primary.events)
    if (!giving)
      setLooking(
        at + 1 < steps.length && looking !== undefined
          ? at + 1
          : primary.events.length === 0
            ? Math.min(at + 1, steps.length - 1)
            : undefined,
      )
  }
  const back = () => setLooking(Math.max(0, at - 1))
  useFitKeys(done, back)
  if (!step || !primary) return null
  const old =
    step.rackId !== undefined && ['start', 'place', 'torque'].includes(step.stage)
      ? cameOff.get(step.rackId)
      : undefined
  const recheck = step.task.kind === 'torque' ? recheckWords(step.task.group.joint) : undefined
  const all = steps.every((each) => isDone(each, progress))
  return (
    <div className="fit-page">
      <Button
        variant="quiet"
        className="border-hair hidden! w-full justify-between! border-b-1 px-4! max-[44rem]:flex!"
        aria-expanded={listed}
        onClick={() => setListed(!listed)}
      >
        <span className="font-semibold">
          Step {at + 1} of {steps.length}
        </span>
        <span className="text-ink2">
          Plan: {VERDICT_WORD[assessmentOf(plan).review.verdict]} · {listed ? 'Close the list' : 'All steps'}
        </span>
      </Button>
      <nav
        className={`overflow-auto border-r border-r-base-content pb-[1rem] max-wide:max-h-[9rem] max-wide:border-r-0 max-wide:border-b max-wide:border-b-base-content ${listed ? '' : 'max-[44rem]:hidden'}`}
        aria-label="Steps of this job"
        tabIndex={0}
      >
        <StepList
          steps={steps}
          at={at}
          progress={progress}
          again={again}
          onPick={(index) => {
            setLooking(index === now ? undefined : index)
            setListed(false)
          }}
        />
      </nav>
      <main className="overflow-auto bg-base-100 py-[0.9rem] px-[1.4rem] flex flex-col">
        <p className="sr-only" aria-live="polite">
          {`Step ${at + 1} of ${steps.length}: ${step.title}.`}
        </p>
        <h2 data-fit="title" className="text-[2rem] leading-[1.08] [font-stretch:100%] font-bold">
          {step.title}
        </h2>
        <p data-fit="detail" className="mt-[0.4rem] text-[1.2rem] leading-[1.3] max-w-[46rem]">
          <PhraseLine phrase={step.detail} />
          {step.hands === 2 && !step.byLoader ? ' Two people.' : ''}
          {step.waitMinutes > 0
            ? ` Then leave it for ${hours(step.waitMinutes)} and carry on with other steps.`
            : ''}
        </p>
        <StepCautions cautions={step.cautions ?? []} />
        <p className="text-ink2">
          About {minutesText(step.minutes)}.{' '}
          <Button variant="quiet" onClick={() => setAsking('minutes')}>
            Other minutes
          </Button>
          {plan.job.minutes?.some((each) => each.step === step.id) && (
            <Button
              variant="quiet"
              onClick={() =>
                void planStore.getState().run({ do: 'setJob', job: withUsualMinutes(plan.job, step.id) })
              }
            >
              As usual
            </Button>
          )}
        </p>
        {again.has(step.id) && (
          <Aside>
            Again: {again.get(step.id)} changed since it was done.
            {recheck === undefined ? '' : ` ${recheck}.`}
          </Aside>
        )}
        {waits > 0 && !progress.done.has(step.id) && (
          <Aside>
            Before this one:{' '}
            {before
              .slice(0, 3)
              .map(({ title }) => title)
              .join('; ')}
            {waits > 3 ? `, and ${waits - 3} more` : ''}.
          </Aside>
        )}
        {old !== undefined && <Aside>When it came off: {old}</Aside>}
        <FindingList findings={findings.filter(({ severity }) => severity !== 'clear')} />
        {step.task.kind === 'count' ? (
          <PartsTable plan={plan} survey={survey} progress={progress} />
        ) : (
          <StepDrawing step={step} survey={survey} progress={progress} />
        )}
        <TorqueFigure step={step} progress={progress} />
        {all && (
          <Aside>
            Everything is done.{' '}
            <TextLink href={to('handover', { job: plan.id })}>To the handover sheet</TextLink>
          </Aside>
        )}
      </main>
      <aside
        className="overflow-auto border-l border-l-base-content bg-base-100 py-[0.7rem] px-[0.9rem] flex flex-col gap-[0.6rem] [&_.input]:text-[1.25rem] [&_.input]:font-[680] max-wide:border-l-0 max-wide:border-t max-wide:border-t-base-content"
        data-fit="side"
        aria-label="Readings and what they say"
        tabIndex={0}
      >
        {step.task.kind === 'count' && <ShiftFields />}
        {/* What waits for another step is not worked before it. */}
        <fieldset className="min-w-0" disabled={(waits > 0 || rests) && !progress.done.has(step.id)}>
          <legend className="sr-only">{step.title}</legend>
          <StepPanel key={step.id} plan={plan} survey={survey} step={step} progress={progress} />
        </fieldset>
        <FindingList findings={findings.filter(({ severity }) => severity === 'clear')} />
        {answers.map((each) => (
          <Aside key={each.id}>{answerLine(each)}</Aside>
        ))}
        {progress.deviations
          .filter(({ stepId }) => stepId === step.id)
          .map(({ id, reason }) => (
            <Aside key={id}>Differs: {reason}</Aside>
          ))}
      </aside>
      <div className="fit-keys">
        <BigKey disabled={at === 0} onClick={back}>
          Back
        </BigKey>
        <BigKey
          data-fit="done"
          className="bg-primary! text-primary-content disabled:bg-base-300! disabled:text-ink2 max-wide:text-[1.25rem]! text-[1.8rem]! leading-[1.1]"
          disabled={blocked || (waits > 0 && primary.events.length > 0)}
          onClick={done}
        >
          <PhraseLine phrase={primary.say} />
          {blocked && <span className="block text-plain font-normal">{hold.message}</span>}
        </BigKey>
        {progress.done.has(step.id) ? (
          <BigKey
            className="col-[3/-1]"
            onClick={() => {
              logFor(plan, { kind: 'stepReopened', stepId: step.id, title: step.title })
              setLooking(at)
            }}
          >
            Open it again
          </BigKey>
        ) : (
          <>
            <BigKey onClick={() => setAsking('differs')}>Say what differs</BigKey>
            <BigKey className="border-base-content border-l" onClick={() => setAsking('answer')}>
              Not done
            </BigKey>
          </>
        )}
      </div>
      {asking === 'answer' && (
        <AnswerDialog
          plan={plan}
          survey={survey}
          step={step}
          progress={progress}
          onClose={() => {
            setAsking(undefined)
            setLooking(undefined)
          }}
        />
      )}
      {asking === 'minutes' && (
        <MinutesDialog key={step.id} plan={plan} step={step} onClose={() => setAsking(undefined)} />
      )}
      {asking === 'differs' && (
        <DiffersDialog
          plan={plan}
          step={step}
          holds={holds}
          findings={findings}
          onClose={() => setAsking(undefined)}
        />
      )}
    </div>
  )
}
