'use client'
import { ButtonLink } from '@/ui/kit/button'
import { to } from '@/ui/routes'
import type { Plan } from '@/core/api/plan'
import type { ReactNode } from 'react'
import { useSettings } from '@/ui/state/settings-store'
import { usePlan } from '@/ui/state/plan-store'
import { useOpenJob } from '@/ui/state/use-open-job'

function Words({ title, children }: { title: string; children: ReactNode }) {
  return (
    <main className="mx-auto max-w-xl p-8">
      <h1 className="mb-2 text-2xl">{title}</h1>
      {children}
      <p className="mt-4">
        <ButtonLink href={to('board')}>All jobs</ButtonLink>
      </p>
    </main>
  )
}

/** What stands while a job is read. */
export function Fetching() {
  return (
    <main className="p-8" aria-busy>
      <p className="text-xl">Fetching the job from this browser.</p>
    </main>
  )
}

/** Opens a job from this browser for a screen, saves what is waiting when the page goes, or says why it is not there. */
export function JobLoader({ id, children }: { id: string; children: (plan: Plan) => ReactNode }) {
  const ready = useSettings((store) => store.ready)
  const opened = usePlan((store) => store.opened)
  const plan = usePlan((store) => store.plan)
  useOpenJob(id)
  if (!ready || opened.at === 'loading') return <Fetching />
  if (opened.at === 'missing')
    return (
      <Words title="This job is not in this browser">
        <p>
          It may have been deleted, or made in another browser. Open its file if you have one: drop it
          anywhere on the page.
        </p>
      </Words>
    )
  if (opened.at === 'unreadable')
    return (
      <Words title="This job cannot be read any more">
        <p className="mb-2">It is stored unchanged. Problems found:</p>
        <ul className="list-disc pl-5">
          {opened.problems.slice(0, 8).map((problem) => (
            <li key={problem.path}>{problem.text}</li>
          ))}
        </ul>
      </Words>
    )
  return plan ? children(plan) : null
}
