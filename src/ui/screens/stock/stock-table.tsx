'use client'
import { headOf, STOCK_COLUMNS, type StockItem, type StockKind, tableCellOf, valueAt } from '@/core/api/files'
import type { UnitSystem } from '@/core/api/plan'
import {
  flexRender,
  getCoreRowModel,
  getFilteredRowModel,
  getSortedRowModel,
  useReactTable,
  type ColumnDef,
  type SortingState,
} from '@tanstack/react-table'
import { useMemo, useState, type ReactNode } from 'react'
import { SortHead } from '@/ui/kit/sort-head'
import { spelledOut } from './stock-words'

type Item = StockItem[StockKind]

interface Props {
  readonly kind: StockKind
  readonly items: readonly Item[]
  readonly words: string
  readonly system: UnitSystem
  readonly tools: (item: Item) => ReactNode
}

/** One list of the stock: sorts by any column, and shows what has the words looked for in any cell. */
export function StockTable({ kind, items, words, system, tools }: Props) {
  const [sorting, setSorting] = useState<SortingState>([])
  const data = useMemo(() => [...items], [items])
  const columns = useMemo<ColumnDef<Item>[]>(
    () =>
      STOCK_COLUMNS[kind]
        .filter(({ aside, path }) => !aside && path[0] !== 'id')
        .map((column) => ({
          id: column.name,
          header: headOf(column, system),
          accessorFn: (item) => valueAt(item, column.path),
          cell: ({ row }) => spelledOut(tableCellOf(row.original, column, system), column),
          sortUndefined: 'last' as const,
        })),
    [kind, system],
  )
  // The table's functions change with its state by design: the compiler leaves this component as it is.
  // oxlint-disable-next-line react/incompatible-library
  const table = useReactTable({
    data,
    columns,
    state: { sorting, globalFilter: words },
    onSortingChange: setSorting,
    globalFilterFn: (row, _, wanted: string) =>
      STOCK_COLUMNS[kind].some((column) =>
        tableCellOf(row.original, column, system).toLowerCase().includes(wanted.trim().toLowerCase()),
      ),
    getColumnCanGlobalFilter: () => true,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
    getFilteredRowModel: getFilteredRowModel(),
  })
  const rows = table.getRowModel().rows
  return (
    <div
      className="flex-1 min-h-0 overflow-auto border-t border-t-base-content bg-paper"
      tabIndex={0}
      role="region"
      aria-label="The list"
    >
      <table className="stock-table">
        <thead>
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id}>
              {group.headers.map((header) => (
                <SortHead key={header.id} header={header} />
              ))}
              <th scope="col">
                <span className="sr-only">Actions</span>
              </th>
            </tr>
          ))}
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.original.id}>
              {row.getVisibleCells().map((cell, i) => {
                const text = flexRender(cell.column.columnDef.cell, cell.getContext())
                return i === 0 ? (
                  <th key={cell.id} scope="row">
                    {text}
                  </th>
                ) : (
                  <td
                    key={cell.id}
                    className={typeof cell.getValue() === 'number' ? 'text-right! whitespace-nowrap' : ''}
                  >
                    {text}
                  </td>
                )
              })}
              <td className="whitespace-nowrap [&_.btn]:min-h-[2.2rem] touch:[&_.btn]:min-h-11 [&_.btn]:py-0 [&_.btn]:px-[0.6rem] [&_.btn]:text-aside [&_.btn_+_.btn]:ml-[0.25rem]">
                {tools(row.original)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {rows.length === 0 && <p className="p-3">Nothing here has those words.</p>}
    </div>
  )
}
