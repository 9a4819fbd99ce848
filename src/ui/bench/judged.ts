'use client'
import { useEffect, useMemo, useState } from 'react'
import type { Plan } from '@/core/plan/plan'
import type { Finding } from '@/core/review/finding'
import { remediesFor, type Remedy } from '@/core/review/remedies/remedies'
import { review, type Review } from '@/core/review/review'
import { survey, type Survey } from '@/core/survey/survey'
import { stockNow } from '@/ui/shell/stock'

interface JudgedPlan {
  readonly survey: Survey
  readonly review: Review
  readonly remedies: Map<string, readonly Remedy[]>
}

const judged = new WeakMap<Plan, JudgedPlan>()

/** Survey and review of a plan, once per plan. */
export function judgedOf(plan: Plan): JudgedPlan {
  const known = judged.get(plan)
  if (known) return known
  const surveyed = survey(plan)
  const fresh = { survey: surveyed, review: review(surveyed), remedies: new Map<string, readonly Remedy[]>() }
  judged.set(plan, fresh)
  return fresh
}

/** The remedies of one finding, computed now if need be: for the key that applies the first one. */
export function remediesNow(plan: Plan, finding: Finding): readonly Remedy[] {
  const { survey: surveyed, review: reviewed, remedies } = judgedOf(plan)
  const known = remedies.get(finding.id)
  if (known) return known
  const fresh = remediesFor(surveyed, reviewed, finding, stockNow())
  remedies.set(finding.id, fresh)
  return fresh
}

const idle = (work: () => void): (() => void) => {
  if (typeof requestIdleCallback === 'function') {
    const id = requestIdleCallback(work, { timeout: 500 })
    return () => cancelIdleCallback(id)
  }
  const id = setTimeout(work, 30)
  return () => clearTimeout(id)
}

/** Remedies of the findings in sight: after the frame, one finding per idle slice, never while a drag goes on. */
export function useRemedies(
  plan: Plan,
  findings: readonly Finding[],
  paused: boolean,
): ReadonlyMap<string, readonly Remedy[]> {
  const { remedies } = judgedOf(plan)
  const [, setCount] = useState(0)
  const missing = useMemo(() => findings.filter((finding) => finding.severity !== 'clear'), [findings])
  useEffect(() => {
    if (paused) return
    let cancel: (() => void) | undefined
    const next = () => {
      const finding = missing.find((each) => !remedies.has(each.id))
      if (!finding) return
      cancel = idle(() => {
        remediesNow(plan, finding)
        setCount((count) => count + 1)
        next()
      })
    }
    next()
    return () => cancel?.()
  }, [plan, missing, remedies, paused])
  return remedies
}
