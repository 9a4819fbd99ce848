import type { JobAbout } from '@/core/api/fit'
import type { Plan } from '@/core/api/plan'
import { useEffect, useState } from 'react'
import { loadAbouts } from '@/storage/job-abouts'
import { loadPlan } from '@/storage/plans'

const NO_JOBS: readonly JobAbout[] = []
const NO_PLANS: readonly Plan[] = []

/** Every job this browser keeps, by what it says of itself. */
export function useJobAbouts(): readonly JobAbout[] {
  const [jobs, setJobs] = useState(NO_JOBS)
  useEffect(() => {
    loadAbouts()
      .then((found) => setJobs(found.jobs))
      .catch(() => setJobs(NO_JOBS))
  }, [])
  return jobs
}

/** Some jobs whole, read again whenever what it is given changes; those that do not read are left out. */
export function usePlansOf(ids: readonly string[], again: unknown): readonly Plan[] {
  const [plans, setPlans] = useState(NO_PLANS)
  const asked = ids.join(' ')
  useEffect(() => {
    let wanted = true
    const read = async () => {
      const found = await Promise.all(asked.split(' ').filter(Boolean).map(loadPlan))
      if (wanted) setPlans(found.flatMap((each) => (each?.ok ? [each.plan] : [])))
    }
    read().catch(() => {
      if (wanted) setPlans(NO_PLANS)
    })
    return () => {
      wanted = false
    }
  }, [asked, again])
  return plans
}
