'use client'
import { bayRulesOf, type Plan } from '@/core/api/plan'
import { carsByJob, dueOf, jobSession, ownEvents } from '@/core/api/fit'
import {
  type Logged,
  nextThing,
  type NextThing,
  type Stage,
  type StageState,
  stagesOf,
} from '@/core/api/assess'
import { assessmentOf } from '@/ui/state/assessment'
import { useJobLog, useLog } from '@/ui/state/log-store'
import { useToday } from '@/ui/state/use-today'

export interface JobStages {
  readonly stages: Readonly<Record<Stage, StageState>>
  readonly next: NextThing
}

/** The state of each stage of a job, and the most useful next thing: from its review and from its car's log. */
export function useStages(plan: Plan): JobStages {
  const read = useJobLog(plan)
  const events = useLog((store) => store.events)
  const day = useToday()
  const assessment = assessmentOf(plan)
  const logged = ((): Logged => {
    if (!read) return { at: 'unread' }
    const order = jobSession(assessment, events)
    const own = ownEvents(events, plan, carsByJob([plan]))
    return {
      at: 'read',
      session: order.ok ? order.session : undefined,
      due: dueOf(own, bayRulesOf(plan.rules), [plan]),
      today: day,
    }
  })()
  return { stages: stagesOf(assessment, logged), next: nextThing(assessment, logged) }
}
