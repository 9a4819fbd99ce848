'use client'
import Link from 'next/link'
import { useMemo, useState } from 'react'
import { dueOf, isOverdue } from '@/core/bay/due'
import type { Plan } from '@/core/plan/plan'
import { bayRulesOf } from '@/core/rules/house'
import { useLog } from '@/ui/log/log-store'
import { today } from '@/ui/shell/today'

/** When a job is due, or once it is fitted, when its vehicle has to come back; overdue says so. */
export function DueWords({ plan }: { plan: Plan }) {
  const events = useLog((store) => store.events)
  const [day] = useState(today)
  const next = useMemo(() => {
    const own = events.filter(({ vehicleId, jobId }) => vehicleId === plan.vehicle.id && jobId === plan.id)
    const fitted = own.some(({ kind }) => kind === 'fitted')
    if (!fitted) return undefined
    return dueOf(
      events.filter(({ vehicleId }) => vehicleId === plan.vehicle.id),
      bayRulesOf(plan.rules),
      [plan],
    )[0]
  }, [events, plan])
  if (!next)
    return (
      <span className="text-ink2 text-[13px]">
        {plan.job.due === undefined ? 'No date' : `Due ${plan.job.due}`}
      </span>
    )
  const late = isOverdue(next, day)
  return (
    <Link
      href={`/log?vehicle=${plan.vehicle.id}`}
      className={`text-[13px] underline ${late ? 'text-stopline font-bold' : ''}`}
    >
      {late ? 'Overdue' : 'Back'} {next.on}
    </Link>
  )
}
