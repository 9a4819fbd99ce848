'use client'
import { to } from '@/ui/routes'
import type { Plan } from '@/core'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { keepPlan } from '@/storage/plans'
import type { DialogName } from '@/ui/actions'

const TOOLS: readonly (readonly [DialogName, string])[] = [
  ['racks', 'Racks'],
  ['clearances', 'Doors and garages'],
  ['measure', 'Measurements'],
  ['use', 'How it is used'],
  ['rules', 'House rules'],
  ['job', 'Job details'],
  ['settings', 'Units and theme'],
  ['keys', 'Keys'],
  ['delete', 'Delete this job'],
]

/** A job of its own with the same vehicle, rack and load: to try other bars on, and to compare. */
function CopyJob({ plan }: { plan: Plan }) {
  const router = useRouter()
  const [reason, setReason] = useState<string>()
  const copy = async () => {
    const id = `plan-${crypto.randomUUID()}`
    const name = `${plan.job.name} (copy)`.slice(0, 120)
    const kept = await keepPlan({ ...plan, id, job: { ...plan.job, name } })
    if (kept.ok) router.push(to('bench', { job: id }))
    else setReason(kept.reason)
  }
  return (
    <>
      <button type="button" className="plain" onClick={() => void copy()}>
        Copy this job
      </button>
      {reason !== undefined && (
        <p role="alert" className="text-stopline basis-full font-semibold">
          {reason}
        </p>
      )}
    </>
  )
}

/** What belongs to the job rather than to one thing in the drawing. */
export function JobTools({ plan, show }: { plan: Plan; show: (dialog: DialogName) => void }) {
  return (
    <section aria-label="This job" className="border-base-content border-t-[1.5px] px-3 py-3">
      <h2 className="mb-2 text-[15px]">This job</h2>
      <div className="flex flex-wrap gap-1.5">
        <Link className="plain" href={to('vehicle', { job: plan.id })}>
          Vehicle
        </Link>
        <Link className="plain" href={to('forces', { job: plan.id })}>
          Forces
        </Link>
        <Link className="plain" href={to('bay', { job: plan.id })}>
          Bay
        </Link>
        <Link className="plain" href={to('handover', { job: plan.id })}>
          Handover
        </Link>
        <Link className="plain" href={to('log', { vehicle: plan.car.id })}>
          Log
        </Link>
        <CopyJob plan={plan} />
        <Link className="plain" href={to('compare', { a: plan.id })}>
          Compare with another
        </Link>
        {TOOLS.map(([dialog, words]) => (
          <button
            key={dialog}
            type="button"
            className="plain"
            onClick={() => {
              show(dialog)
            }}
          >
            {words}
          </button>
        ))}
      </div>
    </section>
  )
}
