'use client'
import type { Plan } from '@/core/api/plan'
import { Button } from '@/ui/kit/button'
import { HouseRulesFields } from '@/ui/forms/house-rules-fields'
import { Modal } from '@/ui/kit/modal'
import { planStore } from '@/ui/state/plan-store'
import { useSettings } from '@/ui/state/settings-store'

/** The schools this job is judged by: the shop's own until a job says otherwise. */
export function HouseRulesDialog({ plan, onClose }: { plan: Plan; onClose: () => void }) {
  const change = useSettings((store) => store.change)
  return (
    <Modal title="House rules for this job" onClose={onClose}>
      <HouseRulesFields
        rules={plan.rules}
        onRules={(rules) => planStore.getState().run({ do: 'setRules', rules })}
      />
      <div className="mt-3">
        <Button
          onClick={() => {
            change({ house: plan.rules })
            onClose()
          }}
        >
          Keep these as the shop's rules for new jobs
        </Button>
      </div>
    </Modal>
  )
}
