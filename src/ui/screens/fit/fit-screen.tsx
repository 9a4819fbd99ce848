'use client'
import { Alert } from '@/ui/kit/alert'
import { JobBar } from '@/ui/job/job-bar'
import { Button } from '@/ui/kit/button'
import {
  type BayProgress,
  currentProgress,
  isDone,
  minutesLeft,
  NOTHING_DONE,
  refitNotes,
  type Step,
  withBenchReadings,
} from '@/core/api/fit'
import type { Plan } from '@/core/api/plan'
import { useState } from 'react'
import { assessmentOf } from '@/ui/state/assessment'
import { recordOf, useLog, useOwnLog } from '@/ui/state/log-store'
import { useNow } from '@/ui/state/use-now'
import { stepsOf } from './fitting-job'
import { OneStep } from './one-step'
import { PartsTable } from './parts-table'
import { useAwake } from './use-awake'
import { hours } from './hours'
import { WorkPlan } from './work-plan'

type View = 'steps' | 'parts' | 'work'
const VIEWS: readonly (readonly [View, string])[] = [
  ['steps', 'Steps'],
  ['parts', 'Parts'],
  ['work', 'Plan of work'],
]

function Progress({ steps, progress }: { steps: readonly Step[]; progress: BayProgress }) {
  const done = steps.filter((step) => isDone(step, progress)).length
  const left = minutesLeft(steps, progress, useNow())
  return (
    <p className="ml-auto flex items-center gap-3 max-[44rem]:hidden">
      <span
        className="flex gap-[3px] [&_i]:w-[8px] [&_i]:h-[10px] [&_i]:border [&_i]:border-edge max-[94rem]:hidden max-wide:hidden"
        aria-hidden
      >
        {steps.map((step) => (
          <i key={step.id} className={isDone(step, progress) ? 'border-base-content! bg-base-content' : ''} />
        ))}
      </span>
      <span className="font-semibold whitespace-nowrap">
        {done} of {steps.length} steps, about {hours(left.one)} left
        {left.two < left.one ? `, ${hours(left.two)} for two` : ''}
      </span>
    </p>
  )
}

/** The fitting job, one step at a time. */
export function FitScreen({ plan }: { plan: Plan }) {
  const { survey } = assessmentOf(plan)
  const [view, setView] = useState<View>('steps')
  const { ready, own } = useOwnLog(plan)
  const trouble = useLog((store) => store.trouble)
  const awake = useAwake()
  const logged = recordOf(own).jobs.get(plan.id) ?? NOTHING_DONE
  const cameOff = refitNotes(recordOf(own).counting)
  const order = stepsOf(plan, logged)
  const steps = order.ok ? order.steps : []
  const { progress, again } = currentProgress(steps, survey, withBenchReadings(logged, steps, plan))
  return (
    <div data-hands className="flex flex-col h-dvh min-h-[34rem] max-wide:h-auto max-wide:pb-[6rem]">
      <JobBar plan={plan} at="fit">
        <div className="flex gap-1" role="group" aria-label="View">
          {VIEWS.map(([name, words]) => (
            <Button variant="quiet" key={name} pressed={view === name} onClick={() => setView(name)}>
              {words}
            </Button>
          ))}
        </div>
        {order.ok && <Progress steps={order.steps} progress={progress} />}
      </JobBar>
      {trouble !== undefined && (
        <Alert variant="error">
          {trouble} New entries are only in memory. Download the log before you close the page.
        </Alert>
      )}
      {!order.ok ? (
        <main className="p-6">
          <h2 className="text-xl">The steps have no order</h2>
          <p role="alert">{order.reason} Correct the sheets of the parts: one step comes after itself.</p>
        </main>
      ) : !ready ? (
        <p className="p-6 text-xl" aria-busy>
          Fetching the log.
        </p>
      ) : view === 'steps' ? (
        <OneStep
          plan={plan}
          survey={survey}
          steps={order.steps}
          progress={progress}
          again={again}
          cameOff={cameOff}
        />
      ) : (
        <main
          className="flex-1 min-h-0 overflow-auto bg-base-100"
          tabIndex={0}
          aria-label={view === 'parts' ? 'Parts' : 'Plan of work'}
        >
          {view === 'parts' ? (
            <div className="mx-auto max-w-[1100px] p-4">
              <PartsTable plan={plan} survey={survey} progress={progress} />
            </div>
          ) : (
            <WorkPlan plan={plan} survey={survey} steps={order.steps} />
          )}
        </main>
      )}
      <p className="sr-only" aria-live="polite">
        {awake ? 'The screen stays lit.' : ''}
      </p>
    </div>
  )
}
