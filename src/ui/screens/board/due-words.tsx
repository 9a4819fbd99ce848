'use client'
import { to } from '@/ui/routes'
import { bayRulesOf, dueOf, isOverdue, ownEvents, type Plan } from '@/core'
import Link from 'next/link'
import { useMemo, useState } from 'react'
import { useLog } from '@/ui/state/log-store'
import { today } from '@/ui/state/today'

/** When a job is due, or once it is fitted, when its vehicle has to come back; overdue says so. */
export function DueWords({ plan, cars }: { plan: Plan; cars: ReadonlyMap<string, string> }) {
  const events = useLog((store) => store.events)
  const [day] = useState(today)
  const next = useMemo(() => {
    const own = ownEvents(events, plan, cars)
    const fitted = own.some(({ kind, jobId }) => kind === 'fitted' && jobId === plan.id)
    return fitted ? dueOf(own, bayRulesOf(plan.rules), [plan])[0] : undefined
  }, [events, plan, cars])
  if (!next)
    return (
      <span className="text-ink2 text-[13px]">
        {plan.job.due === undefined ? 'No date' : `Due ${plan.job.due}`}
      </span>
    )
  const late = isOverdue(next, day)
  return (
    <Link
      href={to('log', { vehicle: plan.car.id })}
      className={`text-[13px] underline ${late ? 'text-stopline font-bold' : ''}`}
    >
      {late ? 'Overdue' : 'Back'} {next.on}
    </Link>
  )
}
