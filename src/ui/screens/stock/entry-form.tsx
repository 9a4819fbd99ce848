'use client'
import {
  asksOf,
  blank,
  type Column,
  headOf,
  readRow,
  STOCK_COLUMNS,
  STOCK_SCHEMAS,
  type StockItem,
  type StockKind,
  type TableCell,
  tableCellOf,
  unitFor,
  type UnitSystem,
} from '@/core'
import { useId, useState } from 'react'
import { keepInStock } from '@/storage/own-stock'
import { Modal } from '@/ui/kit/modal'
import { useSettings } from '@/ui/state/settings-store'
import { LIST_WORD, spelledOut } from './stock-words'

interface Props {
  readonly kind: StockKind
  /** The entry to change, or what a new one starts from. */
  readonly start: StockItem[StockKind] | undefined
  readonly id: string
  readonly title: string
  readonly system: UnitSystem
  readonly onClose: () => void
}

function Field({
  column,
  system,
  value,
  onChange,
}: {
  column: Column
  system: UnitSystem
  value: string
  onChange: (value: string) => void
}) {
  const id = useId()
  const words =
    column.kind === 'yesNo'
      ? ['yes', 'no']
      : typeof column.kind === 'object' && 'words' in column.kind
        ? column.kind.words
        : undefined
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="field-label">
        {headOf(column, system)}
      </label>
      {words ? (
        <select
          id={id}
          className="field"
          value={value}
          onChange={(event) => {
            onChange(event.target.value)
          }}
        >
          <option value="">{column.optional ? 'not said' : 'choose'}</option>
          {words.map((word) => (
            <option key={word} value={word}>
              {spelledOut(word)}
            </option>
          ))}
        </select>
      ) : (
        <input
          id={id}
          className="field"
          autoComplete="off"
          value={value}
          onChange={(event) => {
            onChange(event.target.value)
          }}
        />
      )}
    </div>
  )
}

/** One entry of a list, field by field: what the fields do not show stays as it is. */
export function EntryForm({ kind, start, id, title, system, onClose }: Props) {
  const columns = STOCK_COLUMNS[kind].filter(({ path }) => path[0] !== 'id')
  const [texts, setTexts] = useState<Readonly<Record<string, string>>>(() =>
    Object.fromEntries(
      columns.map((column) => [column.name, tableCellOf(start ?? blank(kind), column, system)]),
    ),
  )
  const [wrong, setWrong] = useState<readonly string[]>([])
  const reloadOwn = useSettings((store) => store.reloadOwn)
  // A column that hangs on another shows as that other one stands in the form now.
  const shown = (column: Column) => {
    const decides = columns.find(({ path }) => path.join() === column.when?.path.join())
    return decides
      ? (column.when?.is.includes(texts[decides.name] ?? '') ?? true)
      : asksOf(column, start ?? blank(kind))
  }
  const save = async () => {
    const cells = columns.filter(shown).map((column): TableCell => ({
      column,
      text: (texts[column.name] ?? '').trim(),
      unit: unitFor(column, system),
    }))
    const base = start ? STOCK_SCHEMAS[kind].parse({ ...start, id }) : undefined
    const read = readRow<StockKind>(kind, id, cells, base, system)
    if (!read.ok) {
      setWrong(read.wrong)
      return
    }
    const kept = await keepInStock(kind, read.item)
    if (!kept.ok) {
      setWrong([kept.reason])
      return
    }
    await reloadOwn()
    onClose()
  }
  return (
    <Modal title={title} onClose={onClose} wide>
      <form
        onSubmit={(event) => {
          event.preventDefault()
          void save()
        }}
      >
        {wrong.length > 0 && (
          <ul role="alert" className="text-stopline mb-3 list-disc pl-5 font-semibold">
            {wrong.map((each) => (
              <li key={each}>{each}</li>
            ))}
          </ul>
        )}
        <div className="grid gap-2 sm:grid-cols-2 lg:grid-cols-3">
          {columns.filter(shown).map((column) => (
            <Field
              key={column.name}
              column={column}
              system={system}
              value={texts[column.name] ?? ''}
              onChange={(value) => {
                setTexts((so) => ({ ...so, [column.name]: value }))
              }}
            />
          ))}
        </div>
        <div className="mt-4 flex gap-2">
          <button type="submit" className="plain solid">
            Keep this {LIST_WORD[kind].one}
          </button>
          <button type="button" className="plain" onClick={onClose}>
            Leave it as it was
          </button>
        </div>
      </form>
    </Modal>
  )
}
