'use client'
import { CLEARANCES_FIELD, clearancesSchema } from '@/core/api/fields'
import { clearanceEdits, type Plan } from '@/core/api/plan'
import { useMemo } from 'react'
import { SheetDialog } from '@/ui/forms/sheet-dialog'
import { refused, planStore } from '@/ui/state/plan-store'

/** The doors, garages and car parks this vehicle must pass. */
export function Clearances({ plan, onClose }: { plan: Plan; onClose: () => void }) {
  const now = useMemo(() => ({ clearances: plan.clearances }), [plan.clearances])
  return (
    <SheetDialog
      title="Doors and garages to pass"
      draft={`sheet/clearances/${plan.id}`}
      field={CLEARANCES_FIELD}
      schema={clearancesSchema}
      now={now}
      save={({ clearances }) => {
        const commands = clearanceEdits(plan.clearances, clearances)
        return commands.length === 0
          ? undefined
          : refused(planStore.getState().run({ do: 'together', commands: [...commands] }))
      }}
      onClose={onClose}
    />
  )
}
