import * as z from '../units/schema'
import { fieldMessages, type FieldMessage } from '../plan/schema/messages'
import { unopened } from './opened'
import { factText } from '../log/fact-print'
import { STOCK_KINDS, STOCK_SCHEMAS, type StockItem, type StockKind, type StockLists } from './stock-kinds'

const FORMAT = 'ypsos-stock'

const fileSchema = z.strictObject({
  format: z.literal(FORMAT),
  version: z.literal(1),
  vehicles: z.array(STOCK_SCHEMAS.vehicles).check(z.maxLength(5000)),
  racks: z.array(STOCK_SCHEMAS.racks).check(z.maxLength(5000)),
  bars: z.array(STOCK_SCHEMAS.bars).check(z.maxLength(5000)),
  parts: z.array(STOCK_SCHEMAS.parts).check(z.maxLength(5000)),
  gear: z.array(STOCK_SCHEMAS.gear).check(z.maxLength(5000)),
  adapters: z.array(STOCK_SCHEMAS.adapters).check(z.maxLength(5000)),
})

type ReadStock =
  | { readonly ok: true; readonly stock: StockLists }
  | { readonly ok: false; readonly problems: readonly FieldMessage[] }

/** A shop's whole stock as a JSON file. */
export function stockText(stock: StockLists): string {
  const lists = Object.fromEntries(STOCK_KINDS.map((kind) => [kind, stock[kind]]))
  return `${JSON.stringify({ format: FORMAT, version: 1, ...lists }, undefined, 2)}\n`
}

/** Reads a stock file. Fails with every field that is wrong and its fix; an id that repeats in a list is one. */
export function parseStockText(text: string): ReadStock {
  let raw: unknown
  try {
    raw = JSON.parse(text.replace(/^\uFEFF/, ''))
  } catch {
    return { ok: false, problems: [{ path: 'stock', text: 'This file is not JSON.' }] }
  }
  const shut = unopened(raw, 'stock', 1)
  if (shut) return { ok: false, problems: [shut] }
  const read = fileSchema.safeParse(raw)
  if (!read.success) return { ok: false, problems: fieldMessages(read.error) }
  const problems = STOCK_KINDS.flatMap((kind) => {
    const ids = read.data[kind].map(({ id }) => id)
    return ids.flatMap((id, i): FieldMessage[] =>
      ids.indexOf(id) < i
        ? [{ path: `${kind}[${i}].id`, text: `${kind}[${i}].id repeats "${id}": each needs its own.` }]
        : [],
    )
  })
  if (problems.length > 0) return { ok: false, problems }
  const { format: _, version: __, ...stock } = read.data
  return { ok: true, stock }
}

/** One entry of a stock file, with the list it belongs to. */
interface FileEntry {
  readonly kind: StockKind
  readonly item: StockItem[StockKind]
}

/** What taking a stock file in would do, before anything is written. */
export interface StockChanges {
  readonly added: readonly FileEntry[]
  /** Entries that are here under the same id and say something else. */
  readonly changed: readonly FileEntry[]
  readonly same: number
}

/** Compares a stock file with what is here; the order of fields makes no difference. */
export function stockChanges(here: StockLists, file: StockLists): StockChanges {
  const added: FileEntry[] = []
  const changed: FileEntry[] = []
  let same = 0
  for (const kind of STOCK_KINDS) {
    const own = new Map<string, StockItem[StockKind]>(here[kind].map((item) => [item.id, item]))
    for (const item of file[kind]) {
      const now = own.get(item.id)
      if (now === undefined) added.push({ kind, item })
      else if (factText(now) === factText(item)) same += 1
      else changed.push({ kind, item })
    }
  }
  return { added, changed, same }
}
