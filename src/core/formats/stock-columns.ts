import { kindsOf } from '../kinds/kind'
import { PART_ROLES } from '../kinds/part-role'
import { MOUNTS } from '../kinds/mount'
import { GEAR_KINDS } from '../kinds/gear-kind'
import { BODIES } from '../kinds/body'
import type { Dimension } from '../units/dimension'
import type { StockKind } from './stock-kinds'

/** One column of a table of stock: a field of the entry, by its path, and how it is written in a cell. */
export interface Column {
  readonly name: string
  readonly path: readonly (string | number)[]
  readonly kind:
    | 'text'
    | 'count'
    | 'yesNo'
    /** Several texts or counts, with semicolons between. */
    | 'texts'
    | 'counts'
    /** Rail shapes with semicolons between, each with its adapter where it needs one: “round; flat with Flat pads”. */
    | 'railShapes'
    | { readonly dimension: Dimension }
    | { readonly words: readonly string[] }
  /** An empty cell leaves the field out; otherwise it is asked for. */
  readonly optional?: true
  /** Only where the field of that path is one of these words. */
  readonly when?: { readonly path: Column['path']; readonly is: readonly string[] }
  /** In files and on the form, but not in the table on screen. */
  readonly aside?: true
}

const length = { dimension: 'length' } as const
const mass = { dimension: 'mass' } as const

const text = (name: string, ...path: (string | number)[]): Column => ({ name, path, kind: 'text' })
const mm = (name: string, ...path: (string | number)[]): Column => ({ name, path, kind: length })
const kg = (name: string, ...path: (string | number)[]): Column => ({ name, path, kind: mass })
const optional = (column: Column): Column => ({ ...column, optional: true })

const ID = text('Id', 'id')
const NAME = text('Name', 'name')
const PRICE = optional({ name: 'Price', path: ['price'], kind: 'count' })

const words = (...list: string[]) => ({ words: list })

const given = (column: Column, kind: string): Column => ({
  ...column,
  optional: true,
  aside: true,
  when: { path: ['gives', 'kind'], is: [kind] },
})

/** How a thing is held: the kind, and the sizes that each kind asks for. */
function mountColumns(...at: string[]): Column[] {
  // A size is a column of those kinds that have it.
  const of = (column: Column): Column => ({
    ...column,
    optional: true,
    aside: true,
    when: {
      path: [...at, 'kind'],
      is: kindsOf(MOUNTS).filter((kind) => String(column.path[at.length]) in MOUNTS[kind].shape),
    },
  })
  const count = (name: string, field: string): Column => ({ name, path: [...at, field], kind: 'count' })
  return [
    { name: 'Mount', path: [...at, 'kind'], kind: words(...kindsOf(MOUNTS)), aside: true },
    of(mm('Section width from', ...at, 'sectionWidthMm', 'fromMm')),
    of(mm('Section width to', ...at, 'sectionWidthMm', 'toMm')),
    of(mm('Section height from', ...at, 'sectionHeightMm', 'fromMm')),
    of(mm('Section height to', ...at, 'sectionHeightMm', 'toMm')),
    of(mm('Room under bar', ...at, 'underBarMm')),
    of(mm('Slot', ...at, 'slotMm')),
    of(mm('Head height', ...at, 'headMm')),
    of(text('Thread', ...at, 'thread')),
    of(mm('Bolt in the box', ...at, 'boltMm')),
    of(mm('Stack under the nut', ...at, 'stackMm')),
    of(mm('Hole pitch', ...at, 'pitchMm')),
    of(count('Hole columns', 'columns')),
    of(count('Hole rows', 'rows')),
    of(mm('Bracket spacing from', ...at, 'spacingMm', 'fromMm')),
    of(mm('Bracket spacing to', ...at, 'spacingMm', 'toMm')),
    of({ name: 'Bracket direction', path: [...at, 'direction'], kind: words('along', 'across') }),
    of(mm('Handle', ...at, 'diameterMm')),
  ]
}

const several = (name: string, kind: 'texts' | 'counts' | 'railShapes', ...path: string[]): Column => ({
  name,
  path,
  kind,
  optional: true,
  aside: true,
})

/** What a kit's sheet says it is for, each a list. */
const KIT_LISTS: readonly Column[] = [
  several('Stands on', 'texts', 'suits'),
  several('Kit bodies', 'texts', 'kit', 'bodies'),
  several('Kit doors', 'counts', 'kit', 'doors'),
  several('Kit trims', 'texts', 'kit', 'trims'),
  several('Kit needs', 'texts', 'kit', 'needs'),
  several('Rail shapes', 'railShapes', 'kit', 'railShapes'),
]

/** The columns of each list, first the id by which a row finds the entry that it changes. */
export const STOCK_COLUMNS: Readonly<Record<StockKind, readonly Column[]>> = {
  vehicles: [
    ID,
    NAME,
    {
      name: 'Body',
      path: ['body'],
      kind: words(...kindsOf(BODIES)),
    },
    optional({ name: 'Year from', path: ['years', 'from'], kind: 'count' }),
    optional({ name: 'Doors', path: ['doors'], kind: 'count' }),
    optional(text('Trim', 'trim')),
    mm('Length', 'lengthMm'),
    mm('Width', 'widthMm'),
    mm('Height', 'heightMm'),
    mm('Wheelbase', 'wheelbaseMm'),
    mm('Roof crown', 'roof', 'crownMm'),
    optional(kg('Kerb mass', 'kerbKg')),
    optional(kg('Gross mass', 'grossKg')),
  ],
  racks: [ID, NAME, optional(mm('Foot width', 'footWidthMm')), optional(text('Note', 'note'))],
  bars: [
    ID,
    NAME,
    mm('Length', 'lengthMm'),
    mm('Usable width', 'usableMm'),
    { name: 'Profile', path: ['profile', 'kind'], kind: words('square', 'round', 'aero', 'flat', 'factory') },
    mm('Section width', 'profile', 'widthMm'),
    mm('Section height', 'profile', 'heightMm'),
    optional(mm('Slot', 'profile', 'channel', 'slotMm')),
    optional(mm('Head room in slot', 'profile', 'channel', 'headRoomMm')),
  ],
  parts: [
    ID,
    NAME,
    {
      name: 'Role',
      path: ['role'],
      kind: words(...kindsOf(PART_ROLES)),
    },
    { name: 'Pieces', path: ['count'], kind: 'count' },
    kg('Mass each', 'eachKg'),
    PRICE,
    ...KIT_LISTS,
    { ...optional({ name: 'Kit years from', path: ['kit', 'years', 'from'], kind: 'count' }), aside: true },
    { ...optional({ name: 'Kit years to', path: ['kit', 'years', 'to'], kind: 'count' }), aside: true },
    { ...optional({ name: 'Holes to drill', path: ['kit', 'drills', 'holes'], kind: 'count' }), aside: true },
    {
      ...optional({ name: 'Can be undone', path: ['kit', 'drills', 'reversible'], kind: 'yesNo' }),
      aside: true,
    },
    { ...optional(text('Cannot be undone', 'kit', 'cannotUndo')), aside: true },
    { ...optional(text('Not used again', 'kit', 'singleUse')), aside: true },
  ],
  gear: [
    ID,
    NAME,
    {
      name: 'Kind',
      path: ['kind'],
      kind: words(...kindsOf(GEAR_KINDS)),
    },
    mm('Length', 'lengthMm'),
    mm('Width', 'widthMm'),
    mm('Height', 'heightMm'),
    kg('Mass', 'mass', 'kg'),
    { name: 'Mass known by', path: ['mass', 'basis'], kind: words('weighed', 'maker', 'guess') },
    optional(mm('Stands over bar', 'standMm')),
    optional(mm('Spread from', 'fit', 'spreadMm', 'fromMm')),
    optional(mm('Spread to', 'fit', 'spreadMm', 'toMm')),
    optional(mm('Bar past foot', 'fit', 'overhangMm')),
    { ...optional(mm('Clear beside it', 'fit', 'besideMm')), aside: true },
    ...mountColumns('fit', 'mount'),
    { name: 'May lie on edge', path: ['onEdge'], kind: 'yesNo' },
    optional({ name: 'Most speed', path: ['maxKmH'], kind: { dimension: 'speed' } }),
    PRICE,
  ],
  adapters: [
    ID,
    NAME,
    kg('Mass', 'kg'),
    mm('Height', 'heightMm'),
    PRICE,
    ...mountColumns('mount'),
    { name: 'Gives', path: ['gives', 'kind'], kind: words('section', 'channel'), aside: true },
    given(mm('Given width', 'gives', 'widthMm'), 'section'),
    given(mm('Given height', 'gives', 'heightMm'), 'section'),
    given(mm('Room under what is given', 'gives', 'roomMm'), 'section'),
    given(mm('Given slot', 'gives', 'slotMm'), 'channel'),
    given(mm('Head room in what is given', 'gives', 'headRoomMm'), 'channel'),
  ],
}
