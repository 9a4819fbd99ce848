'use client'
import type { Group, Variants } from '@/core/api/fields'
import type * as z from '@/core/units/schema'
import { useState } from 'react'
import { Button } from '@/ui/kit/button'
import { Modal } from '@/ui/kit/modal'
import { typingSystem, useUnits } from '@/ui/state/settings-store'
import type { SheetOf } from './sheet-context'
import { SheetFields } from './sheet-form'
import { useSheet } from './use-sheet'

interface SheetOfOne<T> {
  /** Under which name what is typed is kept. */
  readonly draft: string
  readonly field: Group | Variants
  readonly schema: z.ZodMiniType<T>
  /** As it stands: what another tab sets meanwhile is merged with what is typed here. The same object as long as nothing changes. */
  readonly now?: T
  /** What a new one begins with, where there is none yet. */
  readonly start?: unknown
  /** What is to choose from of what stands around it. */
  readonly around?: SheetOf['around']
  /** What the key says that saves. */
  readonly word?: string
  /** Says what is wrong where it cannot be taken. */
  readonly save: (value: T) => string | undefined
  /** A second key, which saves and then does this too. */
  readonly also?: { readonly words: string; readonly then: (value: T) => void }
}

/** The fields of one thing, with their keys: what is typed is kept until it is saved. */
export function SheetPanel<T>({
  draft,
  field,
  schema,
  now,
  start,
  around = {},
  word = 'Save',
  save,
  also,
  onSaved,
  onCancel,
}: SheetOfOne<T> & { onSaved: () => void; onCancel?: () => void }) {
  const system = typingSystem(useUnits())
  const sheet = useSheet(draft, field, schema, now ?? start, now, system)
  const [problem, setProblem] = useState<string>()
  const submit = (then?: (value: T) => void) =>
    sheet.form.handleSubmit(() => {
      const saving = sheet.toSave()
      const wrong = saving.ok ? save(saving.value) : saving.problem
      setProblem(wrong)
      if (wrong !== undefined || !saving.ok) return
      then?.(saving.value)
      sheet.forget()
      onSaved()
    })()
  return (
    <SheetFields
      {...sheet}
      field={field}
      system={system}
      around={around}
      chosen={
        field.is === 'variants'
          ? { [field.by]: (kind) => sheet.restart(field.start?.(kind) ?? { [field.by]: kind }) }
          : {}
      }
      problem={problem}
      onSave={() => void submit()}
      actions={
        <>
          <Button type="submit" variant="solid">
            {word}
          </Button>
          {also && <Button onClick={() => void submit(also.then)}>{also.words}</Button>}
          {onCancel && <Button onClick={onCancel}>Cancel</Button>}
        </>
      }
    />
  )
}

/** The fields of one thing in a dialog; saving closes it. */
export function SheetDialog<T>({
  title,
  onClose,
  ...sheet
}: SheetOfOne<T> & { title: string; onClose: () => void }) {
  return (
    <Modal title={title} onClose={onClose} wide>
      <SheetPanel {...sheet} onSaved={onClose} onCancel={onClose} />
    </Modal>
  )
}
