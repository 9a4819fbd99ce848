import { EMPTY_STOCK, STOCK_KINDS, STOCK_SCHEMAS, type StockKind, type StockLists } from '@/core/api/files'
import { stockShelf } from './database'

/** The shop's own stock; an entry that no longer reads is left where it is. */
export async function loadOwnStock(): Promise<StockLists> {
  const lists = structuredClone(EMPTY_STOCK) as unknown as Record<StockKind, unknown[]>
  await stockShelf.iterate((raw, key) => {
    const kind = STOCK_KINDS.find((each) => key.startsWith(`${each}/`))
    const read = kind && STOCK_SCHEMAS[kind].safeParse(raw)
    if (kind && read?.success) lists[kind].push(read.data)
  })
  return lists as unknown as StockLists
}
