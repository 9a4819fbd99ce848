'use client'
import { USE_FIELD } from '@/core/api/fields'
import { type Plan, useSchema } from '@/core/api/plan'
import { SheetDialog } from '@/ui/forms/sheet-dialog'
import { refused, planStore } from '@/ui/state/plan-store'

/** How the vehicle will be used: speeds, slopes, snow, and who sits inside. */
export function UseOfVehicle({ plan, onClose }: { plan: Plan; onClose: () => void }) {
  return (
    <SheetDialog
      title="How it is used"
      draft={`sheet/use/${plan.id}`}
      field={USE_FIELD}
      schema={useSchema}
      now={plan.use}
      save={(use) => refused(planStore.getState().run({ do: 'setUse', use }))}
      onClose={onClose}
    />
  )
}
