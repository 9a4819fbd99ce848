import type * as z from '../units/schema'
import { text, type Field, type List, type Several, type Single } from '../fields/field'
import { kindOf, mayBeLeftOut, schemaAt } from '../fields/schema-walk'
import { STOCK_FIELDS } from './stock-fields'
import { STOCK_SCHEMAS, type StockKind } from './stock-kinds'

/** What stands in one cell: one value, several with semicolons between, or a list of rail shapes, each with its adapter. */
export type CellField = Single | Several | List

/** One column of a table of stock: a field of the entry, by its path. A cell is read as the input of a form is. */
export interface Column {
  readonly name: string
  readonly path: readonly string[]
  readonly field: CellField
  /** An empty cell leaves the field out; otherwise it is asked for. */
  readonly optional?: true
  /** Only where the field of that path is one of these words. */
  readonly when?: { readonly path: Column['path']; readonly is: readonly string[] }
  /** In files, but not in the table on screen. */
  readonly aside?: true
}

/** What a column is called in files, the field that it is, and whether only files have it. */
type Listed = readonly [name: string, path: string, aside?: 'aside']

const mount = (at: string): Listed[] => [
  ['Mount', `${at}.kind`, 'aside'],
  ['Section width from', `${at}.sectionWidthMm.fromMm`, 'aside'],
  ['Section width to', `${at}.sectionWidthMm.toMm`, 'aside'],
  ['Section height from', `${at}.sectionHeightMm.fromMm`, 'aside'],
  ['Section height to', `${at}.sectionHeightMm.toMm`, 'aside'],
  ['Room under bar', `${at}.underBarMm`, 'aside'],
  ['Slot', `${at}.slotMm`, 'aside'],
  ['Head height', `${at}.headMm`, 'aside'],
  ['Thread', `${at}.thread`, 'aside'],
  ['Bolt in the box', `${at}.boltMm`, 'aside'],
  ['Stack under the nut', `${at}.stackMm`, 'aside'],
  ['Hole pitch', `${at}.pitchMm`, 'aside'],
  ['Hole columns', `${at}.columns`, 'aside'],
  ['Hole rows', `${at}.rows`, 'aside'],
  ['Bracket spacing from', `${at}.spacingMm.fromMm`, 'aside'],
  ['Bracket spacing to', `${at}.spacingMm.toMm`, 'aside'],
  ['Bracket direction', `${at}.direction`, 'aside'],
  ['Handle', `${at}.diameterMm`, 'aside'],
]

/** The columns of each list, first the id by which a row finds the entry that it changes. */
const LISTED: Readonly<Record<StockKind, readonly Listed[]>> = {
  vehicles: [
    ['Body', 'body'],
    ['Year from', 'years.from'],
    ['Doors', 'doors'],
    ['Trim', 'trim'],
    ['Length', 'lengthMm'],
    ['Width', 'widthMm'],
    ['Height', 'heightMm'],
    ['Wheelbase', 'wheelbaseMm'],
    ['Roof crown', 'roof.crownMm'],
    ['Kerb mass', 'kerbKg'],
    ['Gross mass', 'grossKg'],
  ],
  racks: [
    ['Foot width', 'footWidthMm'],
    ['Note', 'note'],
  ],
  bars: [
    ['Length', 'lengthMm'],
    ['Usable width', 'usableMm'],
    ['Profile', 'profile.kind'],
    ['Section width', 'profile.widthMm'],
    ['Section height', 'profile.heightMm'],
    ['Slot', 'profile.channel.slotMm'],
    ['Head room in slot', 'profile.channel.headRoomMm'],
  ],
  parts: [
    ['Role', 'role'],
    ['Pieces', 'count'],
    ['Mass each', 'eachKg'],
    ['Price', 'price'],
    ['Stands on', 'suits', 'aside'],
    ['Kit bodies', 'kit.bodies', 'aside'],
    ['Kit doors', 'kit.doors', 'aside'],
    ['Kit trims', 'kit.trims', 'aside'],
    ['Kit needs', 'kit.needs', 'aside'],
    ['Rail shapes', 'kit.railShapes', 'aside'],
    ['Kit years from', 'kit.years.from', 'aside'],
    ['Kit years to', 'kit.years.to', 'aside'],
    ['Holes to drill', 'kit.drills.holes', 'aside'],
    ['Can be undone', 'kit.drills.reversible', 'aside'],
    ['Cannot be undone', 'kit.cannotUndo', 'aside'],
    ['Not used again', 'kit.singleUse', 'aside'],
  ],
  gear: [
    ['Kind', 'kind'],
    ['Length', 'lengthMm'],
    ['Width', 'widthMm'],
    ['Height', 'heightMm'],
    ['Mass', 'mass.kg'],
    ['Mass known by', 'mass.basis'],
    ['Stands over bar', 'standMm'],
    ['Spread from', 'fit.spreadMm.fromMm'],
    ['Spread to', 'fit.spreadMm.toMm'],
    ['Bar past foot', 'fit.overhangMm'],
    ['Clear beside it', 'fit.besideMm', 'aside'],
    ...mount('fit.mount'),
    ['May lie on edge', 'onEdge'],
    ['Most speed', 'maxKmH'],
    ['Price', 'price'],
  ],
  adapters: [
    ['Mass', 'kg'],
    ['Height', 'heightMm'],
    ['Price', 'price'],
    ...mount('mount'),
    ['Gives', 'gives.kind', 'aside'],
    ['Given width', 'gives.widthMm', 'aside'],
    ['Given height', 'gives.heightMm', 'aside'],
    ['Room under the section it gives', 'gives.roomMm', 'aside'],
    ['Given slot', 'gives.slotMm', 'aside'],
    ['Head room in the section it gives', 'gives.headRoomMm', 'aside'],
  ],
}

/** Whether a field can stand in one cell. */
const isCell = (field: Field): field is CellField =>
  ['quantity', 'number', 'text', 'day', 'choice', 'flag', 'several', 'list'].includes(field.is)

interface Found {
  readonly field: Field
  readonly optional: boolean
  readonly when?: Column['when']
}

/** The field of a path, whether it may be left out, and of which kinds alone it is. */
function find(
  field: Field,
  schema: z.core.$ZodType,
  [key, ...rest]: readonly string[],
  found: Omit<Found, 'field'> & { readonly path: readonly string[] },
): Found | undefined {
  if (key === undefined) return { field, optional: found.optional, ...(found.when && { when: found.when }) }
  const path = [...found.path, key]
  if (field.is === 'group') {
    const [inner, of] = [field.fields[key], schemaAt(schema, key)]
    return (
      inner && of && find(inner, of, rest, { ...found, path, optional: found.optional || mayBeLeftOut(of) })
    )
  }
  if (field.is !== 'variants') return undefined
  if (key === field.by)
    return {
      field: { is: 'choice', label: field.label, choices: field.choices },
      optional: found.optional,
      ...(found.when && { when: found.when }),
    }
  const kinds = field.choices
    .map(([kind]) => String(kind))
    .filter((kind) => Object.hasOwn(field.groupOf(kind).fields, key))
  const [first] = kinds
  const of = first === undefined ? undefined : kindOf(schema, field.by, first)
  if (first === undefined || !of) return undefined
  const all = kinds.length === field.choices.length
  return find(field.groupOf(first), of, [key, ...rest], {
    path: found.path,
    optional: found.optional || !all,
    ...(all ? {} : { when: { path: [...found.path, field.by], is: kinds } }),
  })
}

function column(kind: StockKind, [name, at, aside]: Listed): Column {
  const path = at.split('.')
  const found = find(STOCK_FIELDS[kind], STOCK_SCHEMAS[kind], path, { path: [], optional: false })
  if (!found || !isCell(found.field)) throw new Error(`There is no field ${at} in ${kind}.`)
  return {
    name,
    path,
    field: found.field,
    ...(found.optional && { optional: true }),
    ...(found.when && { when: found.when }),
    ...(aside && { aside: true }),
  }
}

const ID_AND_NAME: readonly Column[] = [
  { name: 'Id', path: ['id'], field: text('Id') },
  { name: 'Name', path: ['name'], field: text('Name') },
]

const columnsOf = (kind: StockKind): readonly Column[] => [
  ...ID_AND_NAME,
  ...LISTED[kind].map((listed) => column(kind, listed)),
]

/** The columns of each list: their units, words and conditions are those of their fields. */
export const STOCK_COLUMNS: Readonly<Record<StockKind, readonly Column[]>> = {
  vehicles: columnsOf('vehicles'),
  racks: columnsOf('racks'),
  bars: columnsOf('bars'),
  parts: columnsOf('parts'),
  gear: columnsOf('gear'),
  adapters: columnsOf('adapters'),
}
