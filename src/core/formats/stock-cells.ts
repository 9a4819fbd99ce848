import { draftAt, draftOf, KNOWN, textOf, toDraft, WAS, type Draft, type DraftOf } from '../fields/draft'
import type { Single } from '../fields/field'
import { readDraft } from '../fields/read-draft'
import { entriesOf, parsed } from '../fields/reading'
import type * as z from '../units/schema'
import { homeUnit, type Unit, type UnitSystem } from '../units/dimension'
import { formatNumber } from '../units/format'
import { parseQuantity } from '../units/parse'
import { STOCK_COLUMNS, type Column } from './stock-columns'
import { STOCK_FIELDS } from './stock-fields'
import { STOCK_SCHEMAS, type StockItem, type StockKind } from './stock-kinds'

type Raw = Record<string, unknown>

/** A field of an entry, by its path. */
export function valueAt(item: unknown, path: Column['path']): unknown {
  return path.reduce<unknown>(
    (so, key) => (typeof so === 'object' && so !== null ? (so as Raw)[key] : undefined),
    item,
  )
}

/** The unit in which a column is written; nothing for words and counts. */
const unitFor = ({ field }: Column, system: UnitSystem) =>
  field.is === 'quantity' ? homeUnit(field.dimension, system) : undefined

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
  if (column.field.is === 'flag') return value === true ? 'yes' : 'no'
  if (Array.isArray(value)) return value.map(entryText).join('; ')
  return typeof value === 'string' || typeof value === 'number' ? String(value) : ''
}

/** A draft with what stands in one field of it put in. */
function withDraft(draft: Draft | undefined, [key, ...rest]: Column['path'], next: Draft): Draft {
  if (key === undefined) return next
  const here = draftOf(draft)
  return { ...here, [key]: withDraft(here[key], rest, next) }
}

/** A word of a closed list as files have it, whatever its capitals. */
function asInFiles(field: Single, cell: string): string {
  if (field.is === 'flag') return cell.toLowerCase()
  if (field.is !== 'choice' || typeof field.choices === 'string') return cell
  const found = field.choices.find(([value]) => String(value).toLowerCase() === cell.toLowerCase())
  return found ? String(found[0]) : cell
}

/** Rail shapes from their cell: “round; flat with Flat pads”. */
const railShapes = (cell: string): readonly DraftOf[] =>
  entriesOf(cell).map((entry, i) => {
    const [shape = '', ...rest] = entry.split(' with ')
    return { shape, adapter: rest.join(' with '), [WAS]: `id ${i}` }
  })

/** A cell as a form would have it. A figure that went out rounded and came back unchanged keeps what it was. */
function draftOfCell(
  { column: { field, path }, text, unit }: TableCell,
  before: unknown,
  system: UnitSystem,
): Draft | undefined {
  if (field.is === 'list') return railShapes(text)
  if (field.is === 'several')
    return entriesOf(text)
      .map((each) => asInFiles(field.of, each))
      .join('; ')
  if (field.is !== 'quantity') return asInFiles(field, text)
  const read = parseQuantity(field.dimension, text, system, unit)
  if (!read.ok) return text
  const now = parsed(field, read.typed, system)
  const stood = valueAt(before, path)
  const isSame = 'value' in now && typeof stood === 'number' && Math.abs(stood - Number(now.value)) <= 1e-3
  return isSame ? undefined : read.typed
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
const asksOf = (column: Column, draft: Draft): boolean =>
  column.when === undefined || column.when.is.includes(textOf(draftAt(draft, column.when.path)))

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
 * An entry from its cells: field by field over what it was, or over a blank one, read as a form is. What no cell speaks of
 * stays. Fails with a sentence for each cell that is wrong.
 */
export function readRow<K extends StockKind>(
  kind: K,
  id: string,
  cells: readonly TableCell[],
  known: StockItem[K] | undefined,
  system: UnitSystem,
): ReadLine<K> {
  const wrong: string[] = []
  const field = STOCK_FIELDS[kind]
  const was: unknown = known ?? { ...blank(kind), id }
  let draft = toDraft(field, was, { system, typed: {}, rel: '' })
  const marks: Record<string, Draft> = { ...draftOf(draftOf(draft)[KNOWN]) }
  // A kind decides which other cells ask anything: it is read first.
  const leading = (cell: TableCell) => decides(kind, cell.column)
  for (const cell of [...cells.filter(leading), ...cells.filter((each) => !leading(each))]) {
    const { column, text } = cell
    const { path, name } = column
    if (path[0] === 'id') continue
    if (!asksOf(column, draft)) {
      if (text !== '') wrong.push(`${name}: nothing of this kind has that. Leave it empty.`)
      continue
    }
    if (text === '' && !column.optional) {
      wrong.push(`${name} is empty.`)
      continue
    }
    if (text === tableCellOf(was, column, system) && cell.unit === unitFor(column, system)) continue
    const next = draftOfCell(cell, was, system)
    if (next === undefined) continue
    // A kind that changes takes its sizes with it: those of the new kind are in cells of their own.
    if (leading(cell) && path.length > 1 && next !== textOf(draftAt(draft, path)))
      draft = withDraft(draft, path.slice(0, -1), {})
    draft = withDraft(draft, path, next)
    if (leading(cell) && column.field.is === 'choice') {
      const read = parsed(column.field, textOf(next), system)
      if ('problem' in read) return { ok: false, wrong: [`${name}: ${read.problem}`] }
    }
    marks[path.join(':')] = ''
  }
  if (wrong.length > 0) return { ok: false, wrong }
  const schema = STOCK_SCHEMAS[kind] as unknown as z.ZodMiniType<StockItem[K]>
  const marked = Object.keys(draftOf(draft)).includes(KNOWN) ? { ...draftOf(draft), [KNOWN]: marks } : draft
  const { value, problems } = readDraft(field, schema, marked, was, system)
  const named = Object.entries(problems).map(([path, problem]) => {
    const column = STOCK_COLUMNS[kind].find((each) => each.path.join('.') === path)
    return `${column?.name ?? path}: ${problem}`
  })
  return named.length === 0 && value !== undefined ? { ok: true, item: value } : { ok: false, wrong: named }
}
