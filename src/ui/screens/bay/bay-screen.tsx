'use client'
import { to } from '@/ui/routes'
import {
  type BayProgress,
  heldProgress,
  isDone,
  minutesLeft,
  NOTHING_DONE,
  type Plan,
  refitNotes,
  type Step,
  withBenchReadings,
} from '@/core'
import Link from 'next/link'
import { useMemo, useState } from 'react'
import { JobLoader } from '@/ui/state/job-loader'
import { assessedOf } from '@/ui/state/assessed'
import { recordOf, useLog, useOwnLog } from '@/ui/state/log-store'
import { Wordmark } from '@/ui/kit/mark'
import { useSearch } from '@/ui/state/use-search'
import { stepsOf } from './bay-job'
import { OneStep } from './one-step'
import { PartsTable } from './parts-table'
import { useAwake } from './use-awake'
import { hours, WorkPlan } from './work-plan'

type View = 'steps' | 'parts' | 'work'
const VIEWS: readonly (readonly [View, string])[] = [
  ['steps', 'Steps'],
  ['parts', 'Parts'],
  ['work', 'Plan of work'],
]

function Progress({ steps, progress }: { steps: readonly Step[]; progress: BayProgress }) {
  const done = steps.filter((step) => isDone(step, progress)).length
  const left = minutesLeft(steps, progress)
  return (
    <p className="ml-auto flex items-center gap-3">
      <span className="bay-blocks" aria-hidden>
        {steps.map((step) => (
          <i key={step.id} className={isDone(step, progress) ? 'bay-block-done' : ''} />
        ))}
      </span>
      <span className="font-semibold whitespace-nowrap">
        {done} of {steps.length} steps, about {hours(left.one)} left
        {left.two < left.one ? `, ${hours(left.two)} for two` : ''}
      </span>
    </p>
  )
}

function Bay({ plan }: { plan: Plan }) {
  const { survey } = assessedOf(plan)
  const [view, setView] = useState<View>('steps')
  const ready = useLog((store) => store.ready)
  const { own } = useOwnLog(plan)
  const trouble = useLog((store) => store.trouble)
  const awake = useAwake()
  const logged = recordOf(own).jobs.get(plan.id) ?? NOTHING_DONE
  const cameOff = useMemo(() => refitNotes(recordOf(own).counting), [own])
  const order = stepsOf(plan, logged)
  const { progress, again } = useMemo(() => {
    const steps = order.ok ? order.steps : []
    return heldProgress(steps, survey, withBenchReadings(logged, steps, plan))
  }, [order, survey, logged, plan])
  return (
    <div className="bay">
      <header className="bay-head">
        <Wordmark />
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
        <Link href={to('handover', { job: plan.id })} className="plain">
          Handover
        </Link>
        <Link href={to('bench', { job: plan.id })} className="plain">
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
        <OneStep
          plan={plan}
          survey={survey}
          steps={order.steps}
          progress={progress}
          again={again}
          cameOff={cameOff}
        />
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
  return <JobLoader id={id}>{(plan) => <Bay plan={plan} />}</JobLoader>
}
