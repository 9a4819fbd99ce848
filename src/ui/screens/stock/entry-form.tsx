'use client'
import { Button } from '@/ui/kit/button'
import { blank, STOCK_FIELDS, STOCK_SCHEMAS, type StockItem, type StockKind } from '@/core/api/files'
import type { UnitSystem } from '@/core/api/plan'
import { useMemo, useState } from 'react'
import type * as z from '@/core/units/schema'
import { saveInStock } from '@/storage/own-stock'
import { SheetFields } from '@/ui/forms/sheet-form'
import { useSheet } from '@/ui/forms/use-sheet'
import { Modal } from '@/ui/kit/modal'
import { useSettings } from '@/ui/state/settings-store'
import { useStock } from '@/ui/state/stock'
import { LIST_WORD } from './stock-words'

interface Props {
  readonly kind: StockKind
  /** The entry to change, or what a new one starts from. */
  readonly start: StockItem[StockKind] | undefined
  readonly id: string
  readonly title: string
  readonly system: UnitSystem
  readonly onClose: () => void
}

/** One entry of a list, with every field that it has. */
export function EntryForm({ kind, start, id, title, system, onClose }: Props) {
  // The sheet goes by which start it is, not by what is in it.
  const was = useMemo(() => ({ ...(start ?? blank(kind)), id }), [start, kind, id])
  const schema = STOCK_SCHEMAS[kind] as z.ZodMiniType<StockItem[StockKind]>
  const sheet = useSheet(
    `sheet/stock/${kind}/${start ? id : 'new'}`,
    STOCK_FIELDS[kind],
    schema,
    was,
    start,
    system,
  )
  const [problem, setProblem] = useState<string>()
  const reloadOwn = useSettings((store) => store.reloadOwn)
  const { vehicles } = useStock()
  const save = sheet.form.handleSubmit(async () => {
    const saving = sheet.toSave()
    if (!saving.ok) {
      setProblem(saving.problem)
      return
    }
    const saved = await saveInStock(kind, saving.value, start)
    if (!saved.ok) {
      setProblem(saved.reason)
      return
    }
    sheet.forget()
    await reloadOwn()
    onClose()
  })
  const attachments = vehicles.flatMap((vehicle) =>
    vehicle.attachments.map((each) => [each.id, `${vehicle.name}: ${each.name}`] as const),
  )
  return (
    <Modal title={title} onClose={onClose} wide>
      <SheetFields
        {...sheet}
        field={STOCK_FIELDS[kind]}
        system={system}
        around={{ attachments }}
        problem={problem}
        onSave={() => void save()}
        actions={
          <>
            <Button type="submit" variant="solid">
              Keep this {LIST_WORD[kind].one}
            </Button>
            <Button onClick={onClose}>Cancel</Button>
          </>
        }
      />
    </Modal>
  )
}
