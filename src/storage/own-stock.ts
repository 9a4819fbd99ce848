import { factText, STOCK_SCHEMAS, type StockItem, type StockKind } from '@/core'
import { tellKept } from './kept-elsewhere'
import { whyNotKept, type Kept } from './shelves'
import { rememberIn } from './removed'
import { inOneGo } from './transaction'

const keyOf = (kind: StockKind, id: string) => `${kind}/${id}`

/**
 * Stores one entry in place of what it was when it was opened, where it is a change; if another tab has written it in
 * this very moment nothing is put over that.
 */
export async function keepInStock<K extends StockKind>(
  kind: K,
  item: StockItem[K],
  was?: StockItem[K],
): Promise<Kept> {
  try {
    const stale = await inOneGo(['stock'], async (going) => {
      const key = keyOf(kind, item.id)
      const there = STOCK_SCHEMAS[kind].safeParse(await going.get('stock', key))
      if (was && there.success && factText(there.data) !== factText(was)) return true
      going.put('stock', key, item)
      return false
    })
    if (stale) return { ok: false, reason: 'Another tab has just changed it: look at it and save again.' }
    tellKept({ shelf: 'stock' })
    return { ok: true }
  } catch (error) {
    return { ok: false, reason: whyNotKept(error) }
  }
}

/** One entry of the stock, with the list it belongs to. */
export interface StockEntry<K extends StockKind = StockKind> {
  readonly kind: K
  readonly item: StockItem[K]
}

/** Stores several entries, all of them or none. */
export async function keepAllInStock(entries: readonly StockEntry[]): Promise<Kept> {
  try {
    await inOneGo(['stock', 'removed'], async (going) => {
      const keys = entries.map(({ kind, item }) => keyOf(kind, item.id))
      // One entry is typed and can be typed again; a list that was taken in can be taken back.
      if (keys.length > 1)
        await rememberIn(
          going,
          `${keys.length} entries taken into stock`,
          new Date().toISOString(),
          keys.map((key) => ['stock', key] as const),
        )
      for (const [i, { item }] of entries.entries()) going.put('stock', keys[i] ?? '', item)
    })
    tellKept({ shelf: 'stock' })
    return { ok: true }
  } catch (error) {
    return { ok: false, reason: whyNotKept(error) }
  }
}

export async function dropFromStock(kind: StockKind, id: string): Promise<Kept> {
  try {
    await inOneGo(['stock', 'removed'], async (going) => {
      const key = keyOf(kind, id)
      const read = STOCK_SCHEMAS[kind].safeParse(await going.get('stock', key))
      const name = read.success ? read.data.name : id
      await rememberIn(going, `From stock: ${name}`, new Date().toISOString(), [['stock', key]], 'away')
      going.remove('stock', key)
    })
    tellKept({ shelf: 'stock' })
    return { ok: true }
  } catch (error) {
    return { ok: false, reason: whyNotKept(error) }
  }
}
