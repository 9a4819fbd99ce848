'use client'
import { type Load, loadSchema, type UnitSystem } from '@/core/api/plan'
import { LOAD_FIELD } from '@/core/api/fields'
import { useState } from 'react'
import { SheetFields } from '@/ui/forms/sheet-form'
import { useSheet } from '@/ui/forms/use-sheet'
import { Button } from '@/ui/kit/button'
import { Modal } from '@/ui/kit/modal'
import { planStore } from '@/ui/state/plan-store'

/** All that may be known of a load: who weighed it, what somebody else says it weighs, where it lies, when it is there. */
export function ContentsDialog({
  placementId,
  load,
  system,
  onClose,
}: {
  placementId: string
  load: Load
  system: UnitSystem
  onClose: () => void
}) {
  const [was] = useState(load)
  const key = `sheet/load/${placementId}/${load.id}`
  const sheet = useSheet(key, LOAD_FIELD, loadSchema, was, was, system)
  const [problem, setProblem] = useState<string>()
  const save = sheet.form.handleSubmit(() => {
    const { run } = planStore.getState()
    const saving = sheet.toSave()
    if (!saving.ok) {
      setProblem(saving.problem)
      return
    }
    if (!run({ do: 'setLoad', placementId, load: saving.value })) {
      setProblem(planStore.getState().refusal ?? 'This cannot be taken.')
      return
    }
    sheet.forget()
    onClose()
  })
  return (
    <Modal title={`Load: ${load.name}`} onClose={onClose} wide>
      <SheetFields
        {...sheet}
        field={LOAD_FIELD}
        system={system}
        problem={problem}
        onSave={() => void save()}
        actions={
          <>
            <Button type="submit" variant="solid">
              Save
            </Button>
            <Button onClick={onClose}>Cancel</Button>
          </>
        }
      />
    </Modal>
  )
}
