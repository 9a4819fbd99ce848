'use client'
import type { Plan } from '@/core/api/plan'
import { usePlan } from './plan-store'
import { useOpenJob } from './use-open-job'
import { useSettings } from './settings-store'

/** The job a screen belongs to, opened if need be; `none` when it belongs to no job. */
export function useJob(job: string | undefined): 'none' | 'loading' | 'missing' | Plan {
  const ready = useSettings((store) => store.ready)
  const plan = usePlan((store) => store.plan)
  const opened = usePlan((store) => store.opened)
  const here = plan?.id === job
  useOpenJob(job)
  if (!ready) return 'loading'
  if (job === undefined) return 'none'
  if (here && plan) return plan
  return opened.at === 'missing' || opened.at === 'unreadable' ? 'missing' : 'loading'
}
