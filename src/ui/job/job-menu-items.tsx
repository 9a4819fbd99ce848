'use client'
import { Problem } from '@/ui/kit/field-note'
import { Button, ButtonLink } from '@/ui/kit/button'
import { useCloseMenu } from '@/ui/kit/menu'
import { downloadPlan } from '@/ui/app/open-file'
import { to } from '@/ui/routes'
import type { Plan } from '@/core/api/plan'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { savePlan } from '@/storage/plans'
import { type DialogName, dialogStore } from '@/ui/state/dialog-store'

const LINE = 'justify-start'

const TOOLS: readonly (readonly [DialogName, string])[] = [
  ['clearances', 'Doors and garages'],
  ['measure', 'Measurements'],
  ['use', 'How it is used'],
  ['rules', 'House rules'],
  ['job', 'Job details'],
  ['history', 'History'],
  ['settings', 'Units, theme and keys'],
  ['palette', 'Search everything'],
  ['keys', 'Keys'],
  ['delete', 'Delete this job'],
]

/** A job of its own with the same vehicle, rack and load: to try other bars on, and to compare. */
function CopyJob({ plan }: { plan: Plan }) {
  const router = useRouter()
  const close = useCloseMenu()
  const copy = async () => {
    const id = `plan-${crypto.randomUUID()}`
    const name = `${plan.job.name} (copy)`.slice(0, 120)
    await savePlan({ ...plan, id, job: { ...plan.job, name } })
    close()
    router.push(to('load', { job: id }))
  }
  return (
    <>
      <Button variant="quiet" className={LINE} onClick={() => void copy()}>
        Copy this job
      </Button>
    </>
  )
}

/** The job with its past, its log and its pictures as one file, for another device. */
function TakeAlong({ plan }: { plan: Plan }) {
  const close = useCloseMenu()
  const [reason, setReason] = useState<string>()
  const take = async () => {
    const { downloadBundle } = await import('@/ui/app/download-bundle')
    const why = await downloadBundle(plan.id)
    setReason(why)
    if (why === undefined) close()
  }
  return (
    <>
      <Button variant="quiet" className={LINE} onClick={() => void take()}>
        Take it along
      </Button>
      {reason !== undefined && <Problem>{reason}</Problem>}
    </>
  )
}

/** The dialogs and deeds of a job, as its menu lists them. */
export function JobMenuItems({ plan }: { plan: Plan }) {
  const { show } = dialogStore.getState()
  const close = useCloseMenu()
  return (
    <>
      {TOOLS.map(([dialog, words]) => (
        <Button
          key={dialog}
          variant="quiet"
          className={LINE}
          onClick={() => {
            close()
            show(dialog)
          }}
        >
          {words}
        </Button>
      ))}
      <Button
        variant="quiet"
        className={LINE}
        onClick={() => {
          close()
          downloadPlan(plan)
        }}
      >
        Download the plan file
      </Button>
      <CopyJob plan={plan} />
      <TakeAlong plan={plan} />
      <ButtonLink variant="quiet" className={LINE} href={to('compare', { a: plan.id })}>
        Compare with another
      </ButtonLink>
      <ButtonLink variant="quiet" className={LINE} href={to('board')}>
        All jobs
      </ButtonLink>
    </>
  )
}
