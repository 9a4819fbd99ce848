'use client'
import { ownStepChoices, rackStepChoices } from '@/core/api/fit'
import { HOUSE_RULES_FIELD, withUsualRules } from '@/core/api/fields'
import { houseRulesSchema, type Plan } from '@/core/api/plan'
import { useMemo } from 'react'
import { SheetDialog } from '@/ui/forms/sheet-dialog'
import { planStore, refused } from '@/ui/state/plan-store'
import { useSettings } from '@/ui/state/settings-store'

/** The schools this job is judged by: the shop's own until a job says otherwise. */
export function HouseRulesDialog({ plan, onClose }: { plan: Plan; onClose: () => void }) {
  const change = useSettings((store) => store.change)
  const now = useMemo(() => withUsualRules(plan.rules), [plan.rules])
  return (
    <SheetDialog
      title="House rules for this job"
      draft={`rules ${plan.id}`}
      field={HOUSE_RULES_FIELD}
      schema={houseRulesSchema}
      now={now}
      around={{ ownSteps: ownStepChoices(), rackSteps: rackStepChoices() }}
      save={(rules) => refused(planStore.getState().run({ do: 'setRules', rules }))}
      also={{
        words: "Keep these as the shop's rules for new jobs",
        then: (house) => change({ house }),
      }}
      onClose={onClose}
    />
  )
}
