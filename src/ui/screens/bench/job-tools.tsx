'use client'
import { Problem } from '@/ui/kit/field-note'
import { Button, ButtonLink } from '@/ui/kit/button'
import { to } from '@/ui/routes'
import type { Plan } from '@/core'
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
  ['history', 'History'],
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
      <Button onClick={() => void copy()}>Copy this job</Button>
      {reason !== undefined && <Problem>{reason}</Problem>}
    </>
  )
}

/** The job with its past, its log and its pictures as one file, for another device. */
function TakeAlong({ plan }: { plan: Plan }) {
  const [reason, setReason] = useState<string>()
  const take = async () => {
    const { downloadParcel } = await import('@/ui/kit/download-parcel')
    setReason(await downloadParcel(plan.id))
  }
  return (
    <>
      <Button onClick={() => void take()}>Take it along</Button>
      {reason !== undefined && <Problem>{reason}</Problem>}
    </>
  )
}

/** What belongs to the job rather than to one thing in the drawing. */
export function JobTools({ plan, show }: { plan: Plan; show: (dialog: DialogName) => void }) {
  return (
    <section aria-label="This job" className="border-base-content border-t-[1.5px] px-3 py-3">
      <h2 className="mb-2 text-[15px]">This job</h2>
      <div className="flex flex-wrap gap-1.5">
        <ButtonLink href={to('vehicle', { job: plan.id })}>Vehicle</ButtonLink>
        <ButtonLink href={to('forces', { job: plan.id })}>Forces</ButtonLink>
        <ButtonLink href={to('bay', { job: plan.id })}>Bay</ButtonLink>
        <ButtonLink href={to('handover', { job: plan.id })}>Handover</ButtonLink>
        <ButtonLink href={to('log', { vehicle: plan.car.id })}>Log</ButtonLink>
        <CopyJob plan={plan} />
        <TakeAlong plan={plan} />
        <ButtonLink href={to('compare', { a: plan.id })}>Compare with another</ButtonLink>
        {TOOLS.map(([dialog, words]) => (
          <Button
            key={dialog}

            onClick={() => show(dialog)}
          >
            {words}
          </Button>
        ))}
      </div>
    </section>
  )
}
