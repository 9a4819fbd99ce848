import { factText } from '@/core/api/fit'
import { STOCK_SCHEMAS, type StockItem, type StockKind } from '@/core/api/files'
import { announceSaved } from './saved-elsewhere'
import { whyNotSaved, type SaveResult } from './save-result'
import { rememberIn } from './removed'
import { transaction } from './database'

const keyOf = (kind: StockKind, id: string) => `${kind}/${id}`

/**
 * Stores one entry in place of what it was when it was opened, where it is a change; if another tab has written it in
 * this very moment nothing is put over that.
 */
export async function saveInStock<K extends StockKind>(
  kind: K,
  item: StockItem[K],
  was?: StockItem[K],
): Promise<SaveResult> {
  try {
    const stale = await transaction(['stock'], async (tx) => {
      const key = keyOf(kind, item.id)
      const there = STOCK_SCHEMAS[kind].safeParse(await tx.get('stock', key))
      if (was && there.success && factText(there.data) !== factText(was)) return true
      tx.put('stock', key, item)
      return false
    })
    if (stale) return { ok: false, reason: 'Another tab has just changed it. Check it and save again.' }
    announceSaved({ shelf: 'stock' })
    return { ok: true }
  } catch (error) {
    return { ok: false, reason: whyNotSaved(error) }
  }
}

/** One entry of the stock, with the list it belongs to. */
export interface StockEntry<K extends StockKind = StockKind> {
  readonly kind: K
  readonly item: StockItem[K]
}

/** Stores several entries, all of them or none. */
export async function saveAllInStock(entries: readonly StockEntry[]): Promise<SaveResult> {
  try {
    await transaction(['stock', 'removed'], async (tx) => {
      const keys = entries.map(({ kind, item }) => keyOf(kind, item.id))
      // One entry is typed and can be typed again; a list that was taken in can be taken back.
      if (keys.length > 1)
        await rememberIn(
          tx,
          `${keys.length} entries imported into stock`,
          new Date().toISOString(),
          keys.map((key) => ['stock', key] as const),
        )
      for (const [i, { item }] of entries.entries()) tx.put('stock', keys[i] ?? '', item)
    })
    announceSaved({ shelf: 'stock' })
    return { ok: true }
  } catch (error) {
    return { ok: false, reason: whyNotSaved(error) }
  }
}

export async function dropFromStock(kind: StockKind, id: string): Promise<SaveResult> {
  try {
    await transaction(['stock', 'removed'], async (tx) => {
      const key = keyOf(kind, id)
      const read = STOCK_SCHEMAS[kind].safeParse(await tx.get('stock', key))
      const name = read.success ? read.data.name : id
      await rememberIn(tx, `From stock: ${name}`, new Date().toISOString(), [['stock', key]], 'away')
      tx.remove('stock', key)
    })
    announceSaved({ shelf: 'stock' })
    return { ok: true }
  } catch (error) {
    return { ok: false, reason: whyNotSaved(error) }
  }
}
