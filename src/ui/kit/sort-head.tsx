import { flexRender, type Header } from '@tanstack/react-table'
import { ArrowDown, ArrowUp, ArrowUpDown } from 'lucide-react'

const SORT_SIGN = { asc: ArrowUp, desc: ArrowDown, none: ArrowUpDown } as const
const SPOKEN_SORT = { asc: 'ascending', desc: 'descending', none: 'none' } as const

/** The head of a column that its list can be sorted by, once more the other way round. */
export function SortHead<T>({ header }: { header: Header<T, unknown> }) {
  const { column, getContext } = header
  const sorted = column.getIsSorted() || 'none'
  const Sign = SORT_SIGN[sorted]
  return (
    <th scope="col" aria-sort={SPOKEN_SORT[sorted]}>
      <button
        type="button"
        className="inline-flex items-center gap-[0.25rem] min-h-11 py-0 px-[0.6rem] font-[620] whitespace-nowrap cursor-pointer"
        onClick={column.getToggleSortingHandler()}
      >
        {flexRender(column.columnDef.header, getContext())} <Sign size={13} aria-hidden />
      </button>
    </th>
  )
}
