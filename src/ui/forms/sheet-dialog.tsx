'use client'
import type { Group, Variants } from '@/core/api/fields'
import type * as z from '@/core/units/schema'
import { useState } from 'react'
import { Button } from '@/ui/kit/button'
import { Modal } from '@/ui/kit/modal'
import { typingSystem, useUnits } from '@/ui/state/settings-store'
import { SheetFields } from './sheet-form'
import { useSheet } from './use-sheet'

/** The fields of one thing in a dialog: what is typed is kept until it is saved, and saving closes it. */
export function SheetDialog<T>({
  title,
  draft,
  field,
  schema,
  now,
  save,
  onClose,
}: {
  title: string
  /** Under which name what is typed is kept. */
  draft: string
  field: Group | Variants
  schema: z.ZodMiniType<T>
  /** As it stands: what another tab sets meanwhile is merged with what is typed here. The same object as long as nothing changes. */
  now: T
  /** Says what is wrong where it cannot be taken. */
  save: (value: T) => string | undefined
  onClose: () => void
}) {
  const system = typingSystem(useUnits())
  const sheet = useSheet(draft, field, schema, now, now, system)
  const [problem, setProblem] = useState<string>()
  const submit = sheet.form.handleSubmit(() => {
    const saving = sheet.toSave()
    const wrong = saving.ok ? save(saving.value) : saving.problem
    setProblem(wrong)
    if (wrong !== undefined) return
    sheet.forget()
    onClose()
  })
  return (
    <Modal title={title} onClose={onClose} wide>
      <SheetFields
        {...sheet}
        field={field}
        system={system}
        problem={problem}
        onSave={() => void submit()}
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
