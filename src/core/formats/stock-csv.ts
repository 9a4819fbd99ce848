import Papa from 'papaparse'
import { fieldMessages } from '../plan/messages'
import { homeUnit, UNITS, type Dimension, type UnitSystem } from '../units/dimension'
import { formatNumber } from '../units/format'
import { parseQuantity } from '../units/parse'
import { STOCK_COLUMNS, type Column } from './stock-columns'
import { STOCK_SCHEMAS, type StockItem, type StockKind } from './stock-kinds'

type Raw = Record<string, unknown>

/** A cell that a spreadsheet would take for a formula is written behind an apostrophe; a plain number never is. */
function defused(cell: string): string {
  return /^[=+\-@\t\r]/.test(cell) && !/^-?[\d.]+$/.test(cell) ? `'${cell}` : cell
}
const undefused = (cell: string) => (/^'[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell)

function valueAt(item: unknown, path: Column['path']): unknown {
  return path.reduce<unknown>(
    (so, key) => (typeof so === 'object' && so !== null ? (so as Raw)[key] : undefined),
    item,
  )
}

/** A copy of an entry with one field set, or left out; a group that is left empty goes too. */
function withValue(item: Raw, [key, ...rest]: Column['path'], value: unknown): Raw {
  if (key === undefined) return item
  const { [key]: old, ...others } = item
  if (rest.length === 0) return value === undefined ? others : { ...item, [key]: value }
  const group = withValue(typeof old === 'object' && old !== null ? (old as Raw) : {}, rest, value)
  return Object.keys(group).length === 0 ? others : { ...item, [key]: group }
}

const unitFor = (column: Column, system: UnitSystem) =>
  typeof column.kind === 'object' && 'dimension' in column.kind
    ? homeUnit(column.kind.dimension, system)
    : undefined

/** The head of a column: its name, and its unit in brackets where it has one. */
export function headOf(column: Column, system: UnitSystem): string {
  const unit = unitFor(column, system)
  return unit ? `${column.name} (${unit.symbol})` : column.name
}

function cellOf(item: unknown, column: Column, system: UnitSystem): string {
  const value = valueAt(item, column.path)
  if (value === undefined) return ''
  const unit = unitFor(column, system)
  if (unit && typeof value === 'number') {
    const places = system === 'us' ? 5 : 3
    return formatNumber(value / unit.factor, places)
      .replace(/[\u202f]/g, '')
      .replace('\u2212', '-')
  }
  if (column.kind === 'yesNo') return value === true ? 'yes' : 'no'
  return typeof value === 'string' || typeof value === 'number' ? String(value) : ''
}

/** A list of stock as CSV after RFC 4180: lines end in CR LF, units in the heads, no cell a spreadsheet would run. */
export function stockCsv<K extends StockKind>(
  kind: K,
  items: readonly StockItem[K][],
  system: UnitSystem,
): string {
  const columns = STOCK_COLUMNS[kind]
  const rows = items.map((item) => columns.map((column) => defused(cellOf(item, column, system))))
  return `${Papa.unparse([columns.map((column) => headOf(column, system)), ...rows], { newline: '\r\n' })}\r\n`
}

export interface LineProblem {
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
    const dimension =
      typeof column.kind === 'object' && 'dimension' in column.kind ? column.kind.dimension : undefined
    const spelling = word?.trim().toLowerCase().replace(/\s+/g, '')
    const known =
      dimension && spelling !== undefined
        ? UNITS[dimension].find((unit) => unit.spellings.includes(spelling))
        : undefined
    if (dimension && !known) {
      problems.push({
        line: 1,
        text: `"${cell}" names no unit: write ${column.name} (${unitOfFirst(dimension)}).`,
      })
      return
    }
    heads.push({ column, index, unit: known })
  })
  if (!heads.some(({ column }) => column.path[0] === 'id'))
    problems.push({ line: 1, text: 'There is no column "Id": it says which entry a line is about.' })
  return { heads, problems }
}

const unitOfFirst = (dimension: Dimension) => homeUnit(dimension, 'metric').symbol

type ReadCell = { readonly value: unknown } | { readonly problem: string }

function readCell(cell: string, { column, unit }: Head, system: UnitSystem, before: unknown): ReadCell {
  const { kind, name } = column
  if (kind === 'text') return { value: cell }
  if (kind === 'yesNo') {
    const word = cell.toLowerCase()
    return word === 'yes' || word === 'no'
      ? { value: word === 'yes' }
      : { problem: `${name}: write yes or no.` }
  }
  if (kind === 'count') {
    const value = Number(cell)
    return Number.isFinite(value) ? { value } : { problem: `${name}: "${cell}" is no number.` }
  }
  if ('words' in kind) {
    const found = Object.keys(kind.words).find((word) => word.toLowerCase() === cell.toLowerCase())
    return found === undefined
      ? { problem: `${name}: "${cell}" is none of ${Object.keys(kind.words).join(', ')}.` }
      : { value: found }
  }
  const parsed = parseQuantity(kind.dimension, cell, system, unit)
  if (!parsed.ok) return { problem: `${name}: ${parsed.reason}` }
  // A figure that went out rounded and came back unchanged keeps what it was.
  const same = typeof before === 'number' && Math.abs(before - parsed.value) <= 1e-3
  return { value: same ? before : parsed.value }
}

/** What a new entry of a list starts from, before a line's cells are put in. */
function blank(kind: StockKind): Raw {
  switch (kind) {
    case 'gear':
      return {
        shape: 'box',
        turns: [0, 90, 180, 270],
        onEdge: false,
        when: 'always',
        fit: { mount: { kind: 'strap' } },
      }
    case 'parts':
      return { rated: { by: 'own', ratings: [] } }
    case 'bars':
      return { xMm: 0, riseMm: 0, feetYMm: [-500, 500] }
    case 'vehicles':
    case 'racks':
    case 'adapters':
      return {}
  }
}

const LINES_MOST = 5000

/** Whether a line can make an entry of its own: some lists hold more than a table can say. */
const addsByTable = (kind: StockKind) => kind === 'gear' || kind === 'parts' || kind === 'bars'

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
    const wrong: string[] = []
    const idHead = heads.find(({ column }) => column.path[0] === 'id')
    const id = (idHead && cells[idHead.index]?.trim()) ?? ''
    if (id === '') {
      problems.push({ line, text: 'Id is empty: every line says which entry it is about.' })
      return
    }
    if (seen.has(id)) {
      problems.push({ line, text: `Id "${id}" stands on two lines.` })
      return
    }
    seen.add(id)
    const known = byId.get(id)
    if (!known && !addsByTable(kind)) {
      problems.push({
        line,
        text: `There is no entry "${id}": this table changes entries, new ones are made on their own form.`,
      })
      return
    }
    let draft: Raw = known ? { ...(known as unknown as Raw) } : { ...blank(kind), id }
    for (const head of heads) {
      const { column, index } = head
      const cell = undefused((cells[index] ?? '').trim())
      const before = valueAt(known, column.path)
      if (cell === '') {
        if (column.optional) draft = withValue(draft, column.path, undefined)
        else wrong.push(`${column.name} is empty.`)
        continue
      }
      const read = readCell(cell, head, system, before)
      if ('problem' in read) wrong.push(read.problem)
      else if (read.value !== before) draft = withValue(draft, column.path, read.value)
    }
    if (wrong.length > 0) {
      problems.push({ line, text: wrong.join(' ') })
      return
    }
    const parsed = STOCK_SCHEMAS[kind].safeParse(draft)
    if (!parsed.success) {
      problems.push({
        line,
        text: fieldMessages(parsed.error)
          .map((each) => each.text)
          .join(' '),
      })
      return
    }
    const item = parsed.data as StockItem[K]
    if (!known) added.push(item)
    else if (JSON.stringify(STOCK_SCHEMAS[kind].parse(known)) === JSON.stringify(item)) same += 1
    else changed.push(item)
  })
  return { changed, added, same, problems }
}
