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
    | { readonly dimension: Dimension }
    | { readonly words: Readonly<Record<string, string>> }
  /** An empty cell leaves the field out; otherwise it is asked for. */
  readonly optional?: true
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

const words = (...list: string[]) => ({ words: Object.fromEntries(list.map((word) => [word, word])) })

/** The columns of each list, first the id by which a row finds the entry that it changes. */
export const STOCK_COLUMNS: Readonly<Record<StockKind, readonly Column[]>> = {
  vehicles: [
    ID,
    NAME,
    {
      name: 'Body',
      path: ['body'],
      kind: words('smallHatchback', 'saloon', 'estate', 'tallWagon', 'boxyOffRoader', 'tallVan', 'pickup'),
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
      kind: words('deck', 'panels', 'bars', 'ladder', 'trusses', 'legs', 'feet', 'fitKit', 'rails', 'whole'),
    },
    { name: 'Pieces', path: ['count'], kind: 'count' },
    kg('Mass each', 'eachKg'),
    PRICE,
    optional({ name: 'Kit years from', path: ['kit', 'years', 'from'], kind: 'count' }),
  ],
  gear: [
    ID,
    NAME,
    {
      name: 'Kind',
      path: ['kind'],
      kind: words(
        ...['box', 'basket', 'platform', 'boat', 'board', 'bike', 'skis', 'tent', 'awning', 'bag', 'can'],
        ...['lumber', 'ladder', 'tool', 'wheel', 'person', 'carrier', 'other'],
      ),
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
    { name: 'May lie on edge', path: ['onEdge'], kind: 'yesNo' },
    optional({ name: 'Most speed', path: ['maxKmH'], kind: { dimension: 'speed' } }),
    PRICE,
  ],
  adapters: [ID, NAME, kg('Mass', 'kg'), mm('Height', 'heightMm'), PRICE],
}
