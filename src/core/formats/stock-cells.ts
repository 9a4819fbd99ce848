import { fieldMessages } from '../plan/schema/messages'
import { homeUnit, type Unit, type UnitSystem } from '../units/dimension'
import { formatNumber } from '../units/format'
import { parseQuantity } from '../units/parse'
import { STOCK_COLUMNS, type Column } from './stock-columns'
import { STOCK_SCHEMAS, type StockItem, type StockKind } from './stock-kinds'

type Raw = Record<string, unknown>

/** A field of an entry, by its path. */
export function valueAt(item: unknown, path: Column['path']): unknown {
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

/** The unit in which a column is written; nothing for words and counts. */
const unitFor = (column: Column, system: UnitSystem) =>
  typeof column.kind === 'object' && 'dimension' in column.kind
    ? homeUnit(column.kind.dimension, system)
    : undefined

/** The head of a column: its name, and its unit in brackets where it has one. */
export function headOf(column: Column, system: UnitSystem): string {
  const unit = unitFor(column, system)
  return unit ? `${column.name} (${unit.symbol})` : column.name
}

/** One entry of a list as it stands in a cell. */
function entryText(entry: unknown): string {
  if (typeof entry === 'string' || typeof entry === 'number') return String(entry)
  const [shape, adapter] = [valueAt(entry, ['shape']), valueAt(entry, ['adapter'])]
  return typeof adapter === 'string' ? `${String(shape)} with ${adapter}` : String(shape)
}

/** A list from its cell; nothing between two semicolons is no entry. */
function readList(cell: string, { kind, name }: Column): ReadCell {
  const entries = cell
    .split(';')
    .map((each) => each.trim())
    .filter((each) => each !== '')
  if (kind === 'texts') return { value: entries }
  if (kind === 'counts') {
    const wrong = entries.find((each) => !Number.isFinite(Number(each)))
    return wrong === undefined
      ? { value: entries.map(Number) }
      : { problem: `${name}: "${wrong}" is no number.` }
  }
  return {
    value: entries.map((entry) => {
      const [shape = '', ...rest] = entry.split(' with ')
      return rest.length === 0 ? { shape } : { shape, adapter: rest.join(' with ') }
    }),
  }
}

/** A field as a cell: a plain figure in the column's unit, yes or no, or a word. */
export function tableCellOf(item: unknown, column: Column, system: UnitSystem): string {
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
  if (Array.isArray(value)) return value.map(entryText).join('; ')
  return typeof value === 'string' || typeof value === 'number' ? String(value) : ''
}

type ReadCell = { readonly value: unknown } | { readonly problem: string }

function readCell(
  cell: string,
  column: Column,
  unit: Unit | undefined,
  system: UnitSystem,
  before: unknown,
): ReadCell {
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
  if (kind === 'texts' || kind === 'counts' || kind === 'railShapes') return readList(cell, column)
  if ('words' in kind) {
    const found = kind.words.find((word) => word.toLowerCase() === cell.toLowerCase())
    return found === undefined
      ? { problem: `${name}: "${cell}" is none of ${kind.words.join(', ')}.` }
      : { value: found }
  }
  const parsed = parseQuantity(kind.dimension, cell, system, unit)
  if (!parsed.ok) return { problem: `${name}: ${parsed.reason}` }
  // A figure that went out rounded and came back unchanged keeps what it was.
  const same = typeof before === 'number' && Math.abs(before - parsed.value) <= 1e-3
  return { value: same ? before : parsed.value }
}

/** What a new entry of a list starts from, before a line's cells are put in. */
export function blank(kind: StockKind): Raw {
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
    case 'adapters':
      return { rated: { by: 'own', ratings: [] } }
    case 'vehicles':
    case 'racks':
      return {}
  }
}

/** Whether a column asks anything of an entry as it stands. */
const asksOf = (column: Column, item: unknown): boolean =>
  column.when === undefined || column.when.is.includes(String(valueAt(item, column.when.path)))

/** Whether other columns of the list depend on this one. */
const decides = (kind: StockKind, { path }: Column) =>
  STOCK_COLUMNS[kind].some(({ when }) => when?.path.join() === path.join())

type ReadLine<K extends StockKind> =
  | { readonly ok: true; readonly item: StockItem[K] }
  | { readonly ok: false; readonly wrong: readonly string[] }

/** A column with its cell, and the unit that a bare figure in it is in. */
export interface TableCell {
  readonly column: Column
  readonly text: string
  readonly unit: Unit | undefined
}

/**
 * An entry from its cells: field by field over what it was, or over a blank one. What no cell speaks of stays.
 * Fails with a sentence for each cell that is wrong.
 */
export function readRow<K extends StockKind>(
  kind: K,
  id: string,
  cells: readonly TableCell[],
  known: StockItem[K] | undefined,
  system: UnitSystem,
): ReadLine<K> {
  const wrong: string[] = []
  let draft: Raw = known ? { ...(known as unknown as Raw) } : { ...blank(kind), id }
  for (const { column, text, unit } of cells) {
    const before = valueAt(draft, column.path)
    // A kind that changes takes its sizes with it: those of the new kind are in cells of their own.
    const leading = decides(kind, column)
    if (!asksOf(column, draft)) {
      if (text !== '') wrong.push(`${column.name}: nothing of this kind has that. Leave it empty.`)
      continue
    }
    if (text === '') {
      if (column.optional) draft = withValue(draft, column.path, undefined)
      else wrong.push(`${column.name} is empty.`)
      continue
    }
    const read = readCell(text, column, unit, system, before)
    if ('problem' in read) {
      wrong.push(read.problem)
      continue
    }
    if (JSON.stringify(read.value) === JSON.stringify(before)) continue
    if (leading) draft = withValue(draft, column.path.slice(0, -1), undefined)
    draft = withValue(draft, column.path, read.value)
  }
  if (wrong.length > 0) return { ok: false, wrong }
  const parsed = STOCK_SCHEMAS[kind].safeParse(draft)
  return parsed.success
    ? { ok: true, item: parsed.data as StockItem[K] }
    : { ok: false, wrong: fieldMessages(parsed.error).map((each) => each.text) }
}
