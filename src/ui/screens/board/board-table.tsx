'use client'
import { STATE_WORD, VERDICT_WORD, WORK_STATES, WORK_WORD } from '@/core/api/assess'
import { STATES, type UnitChoice } from '@/core/api/plan'
import {
  createColumnHelper,
  flexRender,
  getCoreRowModel,
  getSortedRowModel,
  useReactTable,
  type SortingState,
} from '@tanstack/react-table'
import { useMemo, useState } from 'react'
import { TextLink } from '@/ui/kit/button'
import { SeverityTag } from '@/ui/figures/severity-tag'
import { SortHead } from '@/ui/kit/sort-head'
import { Table } from '@/ui/kit/table'
import { besideVerdict } from '@/ui/figures/verdict-words'
import { to } from '@/ui/routes'
import { useUnits } from '@/ui/state/settings-store'
import { dayOf, type ReadCard } from './board-order'
import { CardKeys, DueWords, type CardDeeds } from './job-card'

/** The gravest first. */
const GRAVITY = Object.keys(VERDICT_WORD)

const column = createColumnHelper<ReadCard>()

const columnsOf = (day: string, units: UnitChoice, deeds: CardDeeds) => [
  column.accessor(({ summary }) => summary.name, {
    id: 'job',
    header: 'Job',
    cell: ({ row }) => (
      <TextLink href={to('load', { job: row.original.id })}>
        {row.original.summary.name}
        {row.original.summary.number === undefined ? '' : `, ${row.original.summary.number}`}
      </TextLink>
    ),
  }),
  column.accessor(({ summary }) => [summary.vehicle, summary.plate].filter(Boolean).join(', '), {
    id: 'car',
    header: 'Car',
  }),
  column.accessor(({ summary }) => summary.customer, {
    id: 'customer',
    header: 'Customer',
    sortUndefined: 'last',
  }),
  ...STATES.map((state) =>
    column.accessor(({ summary }) => GRAVITY.indexOf(summary.states[state].verdict), {
      id: state,
      header: STATE_WORD[state],
      cell: ({ row }) => (
        <>
          <SeverityTag severity={row.original.summary.states[state].verdict} />{' '}
          {besideVerdict(row.original.summary.states[state], units) ?? ''}
        </>
      ),
    }),
  ),
  column.accessor(({ work }) => WORK_STATES.indexOf(work), {
    id: 'work',
    header: 'Work',
    cell: ({ row }) => WORK_WORD[row.original.work],
  }),
  column.accessor(dayOf, {
    id: 'due',
    header: 'Due',
    sortUndefined: 'last',
    cell: ({ row }) => <DueWords card={row.original} day={day} />,
  }),
  column.display({
    id: 'keys',
    header: () => <span className="sr-only">Actions</span>,
    cell: ({ row }) => <CardKeys card={row.original} deeds={deeds} />,
  }),
]

/** The jobs of a board a line each, in the board's order or by any column. */
export function BoardTable({
  cards,
  drawn,
  day,
  deeds,
}: {
  cards: readonly ReadCard[]
  /** So many lines are drawn. */
  drawn: number
  day: string
  deeds: CardDeeds
}) {
  const units = useUnits()
  const [sorting, setSorting] = useState<SortingState>([])
  const data = useMemo(() => [...cards], [cards])
  const columns = useMemo(() => columnsOf(day, units, deeds), [day, units, deeds])
  // The table's functions change with its state by design: the compiler leaves this component as it is.
  // oxlint-disable-next-line react/incompatible-library
  const table = useReactTable({
    data,
    columns,
    state: { sorting },
    onSortingChange: setSorting,
    getRowId: ({ id }) => id,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
  })
  return (
    <div className="overflow-x-auto">
      <Table cards aria-label="Jobs">
        <thead>
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id}>
              {group.headers.map((header) =>
                header.column.getCanSort() ? (
                  <SortHead key={header.id} header={header} />
                ) : (
                  <th key={header.id} scope="col">
                    {flexRender(header.column.columnDef.header, header.getContext())}
                  </th>
                ),
              )}
            </tr>
          ))}
        </thead>
        <tbody>
          {table
            .getRowModel()
            .rows.slice(0, drawn)
            .map((row) => (
              <tr key={row.id}>
                {row.getVisibleCells().map((cell, i) => {
                  const words = flexRender(cell.column.columnDef.cell, cell.getContext())
                  const { header } = cell.column.columnDef
                  return i === 0 ? (
                    <th key={cell.id} scope="row">
                      {words}
                    </th>
                  ) : (
                    <td key={cell.id} {...(typeof header === 'string' && { 'data-label': header })}>
                      {words}
                    </td>
                  )
                })}
              </tr>
            ))}
        </tbody>
      </Table>
    </div>
  )
}
