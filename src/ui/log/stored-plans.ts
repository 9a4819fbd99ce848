import { useEffect, useState } from 'react'
import type { Plan } from '@/core/plan/plan'
import { loadPlans } from '@/storage/plans'

/** Every job this browser keeps and can read, read anew whenever what it is given changes; none until it is ready. */
export function useStoredPlans(again: unknown, ready = true): readonly Plan[] {
  const [plans, setPlans] = useState<readonly Plan[]>([])
  useEffect(() => {
    if (!ready) return
    loadPlans()
      .then((stored) => {
        setPlans(stored.flatMap((each) => (each.ok ? [each.plan] : [])))
      })
      .catch(() => {
        setPlans([])
      })
  }, [ready, again])
  return plans
}
