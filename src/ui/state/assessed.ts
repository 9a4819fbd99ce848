'use client'
import { assess, type Assessment, type Finding, isOpen, type Plan, type Remedy } from '@/core'
import { useEffect, useMemo, useState } from 'react'
import { usePlan } from '@/ui/state/plan-store'
import { stockNow } from '@/ui/state/stock'

const assessed = new WeakMap<Plan, Assessment>()
/** The last of a job: what its next edit leaves alone is not drawn again. */
let last: Assessment | undefined

/** Survey, review and fixes of a plan, once per plan. */
export function assessedOf(plan: Plan): Assessment {
  const known = assessed.get(plan)
  if (known) return known
  const fresh = assess(plan, last?.plan.id === plan.id ? last : undefined)
  assessed.set(plan, fresh)
  last = fresh
  return fresh
}

/** The remedies of one finding, computed now if need be: for the key that applies the first one. */
export const remediesNow = (plan: Plan, finding: Finding): readonly Remedy[] =>
  assessedOf(plan).remedies(finding, stockNow())

const idle = (work: () => void): (() => void) => {
  if (typeof requestIdleCallback === 'function') {
    const id = requestIdleCallback(work, { timeout: 500 })
    return () => cancelIdleCallback(id)
  }
  const id = setTimeout(work, 30)
  return () => clearTimeout(id)
}

/** Once what is dragged has been let go. */
const onDrop = (work: () => void): (() => void) => {
  const stop = usePlan.subscribe(({ dragFrom }) => {
    if (dragFrom) return
    stop()
    work()
  })
  return stop
}

/** Remedies of the findings in sight: after the frame, one finding per idle slice, never while a drag goes on. */
export function useRemedies(
  plan: Plan,
  findings: readonly Finding[],
): (finding: Finding) => readonly Remedy[] | undefined {
  const assessment = assessedOf(plan)
  const [, setCount] = useState(0)
  const missing = useMemo(() => findings.filter(isOpen), [findings])
  useEffect(() => {
    let cancel: (() => void) | undefined
    const next = () => {
      const finding = missing.find((each) => assessment.known(each) === undefined)
      if (!finding) return
      cancel = idle(() => {
        if (usePlan.getState().dragFrom) {
          cancel = onDrop(next)
          return
        }
        remediesNow(plan, finding)
        setCount((count) => count + 1)
        next()
      })
    }
    next()
    return () => cancel?.()
  }, [plan, missing, assessment])
  return assessment.known
}
