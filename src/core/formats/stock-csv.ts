import Papa from 'papaparse'
import { homeUnit, UNITS, type Dimension, type UnitSystem } from '../units/dimension'
import { tableCellOf, headOf, readRow } from './stock-cells'
import { STOCK_COLUMNS, type Column } from './stock-columns'
import { STOCK_SCHEMAS, type StockItem, type StockKind } from './stock-kinds'

/** A cell that a spreadsheet would take for a formula is written behind an apostrophe; a plain number never is. */
function defused(cell: string): string {
  return /^[=+\-@\t\r]/.test(cell) && !/^-?[\d.]+$/.test(cell) ? `'${cell}` : cell
}
const undefused = (cell: string) => (/^'[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell)

/** A list of stock as CSV after RFC 4180: lines end in CR LF, units in the heads, no cell a spreadsheet would run. */
export function stockCsv<K extends StockKind>(
  kind: K,
  items: readonly StockItem[K][],
  system: UnitSystem,
): string {
  const columns = STOCK_COLUMNS[kind]
  const rows = items.map((item) => columns.map((column) => defused(tableCellOf(item, column, system))))
  return `${Papa.unparse([columns.map((column) => headOf(column, system)), ...rows], { newline: '\r\n' })}\r\n`
}

interface LineProblem {
  readonly line: number
  readonly text: string
}

/** What a CSV would do, before anything is taken: entries it changes, entries it adds, and every line that is wrong. */
export interface CsvPreview<K extends StockKind> {
  readonly changed: readonly StockItem[K][]
  readonly added: readonly StockItem[K][]
  readonly same: number
  readonly problems: readonly LineProblem[]
}

interface Head {
  readonly column: Column
  readonly index: number
  readonly unit: ReturnType<typeof homeUnit> | undefined
}

function headsOf(kind: StockKind, cells: readonly string[]): { heads: Head[]; problems: LineProblem[] } {
  const heads: Head[] = []
  const problems: LineProblem[] = []
  cells.forEach((cell, index) => {
    const [, name = '', word] = /^(.*?)(?:\s*\(([^()]*)\))?\s*$/.exec(cell.trim()) ?? []
    const column = STOCK_COLUMNS[kind].find((each) => each.name.toLowerCase() === name.trim().toLowerCase())
    if (name === '') return
    if (!column) {
      problems.push({ line: 1, text: `"${cell}" is no column of this table.` })
      return
    }
    const dimension = column.field.is === 'quantity' ? column.field.dimension : undefined
    const spelling = word?.trim().toLowerCase().replace(/\s+/g, '')
    const before =
      dimension && spelling !== undefined
        ? UNITS[dimension].find((unit) => unit.spellings.includes(spelling))
        : undefined
    if (dimension && !before) {
      problems.push({
        line: 1,
        text: `"${cell}" names no unit: write ${column.name} (${unitOfFirst(dimension)}).`,
      })
      return
    }
    heads.push({ column, index, unit: before })
  })
  if (!heads.some(({ column }) => column.path[0] === 'id'))
    problems.push({ line: 1, text: 'There is no column "Id": it names the entry of each line.' })
  return { heads, problems }
}

const unitOfFirst = (dimension: Dimension) => homeUnit(dimension, 'metric').symbol

const LINES_MOST = 5000

/** Whether a line can make an entry of its own: some lists hold more than a table can say. */
const addsByTable = (kind: StockKind) => kind !== 'vehicles' && kind !== 'racks'

/** Whether two entries say the same, whatever the order of their keys. */
function saysTheSame<K extends StockKind>(kind: K, ...items: readonly [StockItem[K], StockItem[K]]): boolean {
  const [before, now] = items.map((item) => JSON.stringify(STOCK_SCHEMAS[kind].parse(item)))
  return before === now
}

/**
 * Reads a CSV against the entries there are. A line changes the entry with its id, field by field, and keeps all
 * that the table does not show; an id of its own adds an entry. Nothing is taken: the caller shows this first.
 */
export function readStockCsv<K extends StockKind>(
  kind: K,
  text: string,
  items: readonly StockItem[K][],
  system: UnitSystem,
): CsvPreview<K> {
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' })
  const broken = errors
    .filter(({ type }) => type === 'Quotes')
    .map(({ row, message }): LineProblem => ({
      line: (row ?? 0) + 1,
      text: `The quotes do not close (${message}).`,
    }))
  const [first, ...lines] = data
  if (!first) return { changed: [], added: [], same: 0, problems: [{ line: 1, text: 'The file is empty.' }] }
  const { heads, problems: headProblems } = headsOf(kind, first)
  const problems = [...broken, ...headProblems]
  if (problems.length > 0) return { changed: [], added: [], same: 0, problems }
  if (lines.length > LINES_MOST)
    return {
      changed: [],
      added: [],
      same: 0,
      problems: [{ line: LINES_MOST + 2, text: `More than ${LINES_MOST} lines: split the file.` }],
    }

  const byId = new Map(items.map((item) => [item.id, item]))
  const seen = new Set<string>()
  const changed: StockItem[K][] = []
  const added: StockItem[K][] = []
  let same = 0
  lines.forEach((cells, i) => {
    const line = i + 2
    const idHead = heads.find(({ column }) => column.path[0] === 'id')
    const id = (idHead && cells[idHead.index]?.trim()) ?? ''
    if (id === '') {
      problems.push({ line, text: 'Id is empty: every line names its entry.' })
      return
    }
    if (seen.has(id)) {
      problems.push({ line, text: `Id "${id}" stands on two lines.` })
      return
    }
    seen.add(id)
    const before = byId.get(id)
    if (!before && !addsByTable(kind)) {
      problems.push({
        line,
        text: `There is no entry "${id}": this table only changes entries. Make new entries on their own form.`,
      })
      return
    }
    const read = readRow(
      kind,
      id,
      heads.map(({ column, index, unit }) => ({
        column,
        unit,
        text: undefused((cells[index] ?? '').trim()),
      })),
      before,
      system,
    )
    if (!read.ok) {
      problems.push({ line, text: read.wrong.join(' ') })
      return
    }
    const { item } = read
    if (!before) added.push(item)
    else if (before === item || saysTheSame(kind, before, item)) same += 1
    else changed.push(item)
  })
  return { changed, added, same, problems }
}
