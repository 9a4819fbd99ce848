import { STOCK_KINDS, STOCK_SCHEMAS, type StockItem, type StockKind, type StockLists } from '@/core'
import { stockShelf, whyNotKept, type Kept } from './shelves'

const keyOf = (kind: StockKind, id: string) => `${kind}/${id}`

/** The shop's own stock; an entry that no longer reads is left where it is. */
export async function loadOwnStock(): Promise<StockLists> {
  const lists: Record<StockKind, unknown[]> = {
    vehicles: [],
    racks: [],
    bars: [],
    parts: [],
    gear: [],
    adapters: [],
  }
  await stockShelf.iterate((raw, key) => {
    const kind = STOCK_KINDS.find((each) => key.startsWith(`${each}/`))
    const read = kind && STOCK_SCHEMAS[kind].safeParse(raw)
    if (kind && read?.success) lists[kind].push(read.data)
  })
  return lists as unknown as StockLists
}

export async function keepInStock<K extends StockKind>(kind: K, item: StockItem[K]): Promise<Kept> {
  return keepAllInStock([{ kind, item }])
}

/** One entry of the stock, with the list it belongs to. */
export interface StockEntry<K extends StockKind = StockKind> {
  readonly kind: K
  readonly item: StockItem[K]
}

/** Stores several entries; when one cannot be stored, those written before it are put back as they were. */
export async function keepAllInStock(entries: readonly StockEntry[]): Promise<Kept> {
  const before: { key: string; raw: unknown }[] = []
  try {
    for (const { kind, item } of entries) {
      const key = keyOf(kind, item.id)
      before.push({ key, raw: await stockShelf.getItem(key) })
      await stockShelf.setItem(key, item)
    }
    return { ok: true }
  } catch (error) {
    for (const { key, raw } of before.reverse())
      await (raw === null ? stockShelf.removeItem(key) : stockShelf.setItem(key, raw)).catch(() => undefined)
    return { ok: false, reason: whyNotKept(error) }
  }
}

export async function dropFromStock(kind: StockKind, id: string): Promise<Kept> {
  try {
    await stockShelf.removeItem(keyOf(kind, id))
    return { ok: true }
  } catch (error) {
    return { ok: false, reason: whyNotKept(error) }
  }
}
