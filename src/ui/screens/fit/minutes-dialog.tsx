'use client'
import { STEP_MINUTES_FIELD } from '@/core/api/fields'
import type { Step } from '@/core/api/fit'
import { type Plan, stepMinutesSchema, withStepMinutes } from '@/core/api/plan'
import { useMemo } from 'react'
import { SheetDialog } from '@/ui/forms/sheet-dialog'
import { planStore, refused } from '@/ui/state/plan-store'

/** How long a step takes in this job. */
export function MinutesDialog({ plan, step, onClose }: { plan: Plan; step: Step; onClose: () => void }) {
  const now = useMemo(() => ({ step: step.id, minutes: step.minutes }), [step])
  return (
    <SheetDialog
      title={`Minutes: ${step.title}`}
      draft={`minutes ${plan.id} ${step.id}`}
      field={STEP_MINUTES_FIELD}
      schema={stepMinutesSchema}
      now={now}
      save={(typed) =>
        refused(planStore.getState().run({ do: 'setJob', job: withStepMinutes(plan.job, typed) }))
      }
      onClose={onClose}
    />
  )
}
