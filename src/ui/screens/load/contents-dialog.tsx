'use client'
import { type Load, loadSchema } from '@/core/api/plan'
import { LOAD_FIELD } from '@/core/api/fields'
import { SheetDialog } from '@/ui/forms/sheet-dialog'
import { refused, planStore } from '@/ui/state/plan-store'

/** All that may be known of a load: who weighed it, what somebody else says it weighs, where it lies, when it is there. */
export function ContentsDialog({
  placementId,
  load: now,
  onClose,
}: {
  placementId: string
  load: Load
  onClose: () => void
}) {
  return (
    <SheetDialog
      title={`Load: ${now.name}`}
      draft={`sheet/load/${placementId}/${now.id}`}
      field={LOAD_FIELD}
      schema={loadSchema}
      now={now}
      save={(load) => refused(planStore.getState().run({ do: 'setLoad', placementId, load }))}
      onClose={onClose}
    />
  )
}
