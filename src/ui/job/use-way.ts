'use client'
import {
  bayRulesOf,
  carsByJob,
  dueOf,
  jobSession,
  type Logged,
  nextThing,
  type NextThing,
  ownEvents,
  type Plan,
  type Stop,
  type StopState,
  wayOf,
} from '@/core'
import { useMemo } from 'react'
import { assessedOf } from '@/ui/state/assessed'
import { useJobLog, useLog } from '@/ui/state/log-store'
import { today } from '@/ui/state/today'

export interface Way {
  readonly stops: Readonly<Record<Stop, StopState>>
  readonly next: NextThing
}

/** How each stop of a job stands, and the most useful next thing: from its review and from its car's log. */
export function useWay(plan: Plan): Way {
  const read = useJobLog(plan)
  const events = useLog((store) => store.events)
  return useMemo(() => {
    const judged = assessedOf(plan)
    const logged = ((): Logged => {
      if (!read) return { at: 'unread' }
      const order = jobSession(judged, events)
      const own = ownEvents(events, plan, carsByJob([plan]))
      return {
        at: 'read',
        session: order.ok ? order.session : undefined,
        due: dueOf(own, bayRulesOf(plan.rules), [plan]),
        today: today(),
      }
    })()
    return { stops: wayOf(judged, logged), next: nextThing(judged, logged) }
  }, [plan, read, events])
}
