import type { Plan } from '@/core'
import { useEffect, useState } from 'react'
import { loadPlans } from '@/storage/plans'

/** The jobs a browser keeps: those that read, and how many do not. */
interface Stored {
  readonly plans: readonly Plan[]
  readonly unread: number
  /** Whether they have been looked for. */
  readonly fetched: boolean
}

const NONE: Stored = { plans: [], unread: 0, fetched: false }

/** Every job this browser keeps, read anew whenever what it is given changes; none until it is ready. */
export function useStoredPlans(again: unknown, ready = true): Stored {
  const [stored, setStored] = useState(NONE)
  useEffect(() => {
    if (!ready) return
    loadPlans()
      .then((all) => {
        const plans = all.flatMap((each) => (each.ok ? [each.plan] : []))
        setStored({ plans, unread: all.length - plans.length, fetched: true })
      })
      .catch(() => setStored({ ...NONE, fetched: true }))
  }, [ready, again])
  return stored
}
