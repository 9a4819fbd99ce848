'use client'
import { STOCK_KINDS, type StockKind, type StockLists } from '@/core/api/files'
import { useSettings, settingsStore } from './settings-store'

/** The shop's own entries first; an entry of the same id stands in for the demo's. */
function joined<T extends { readonly id: string }>(own: readonly T[], demo: readonly T[]): T[] {
  const mine = new Set(own.map(({ id }) => id))
  return [...own, ...demo.filter(({ id }) => !mine.has(id))]
}

/** The lists of the shop, with the demo's invented ones only where the demo was asked for. */
function listsOf(own: StockLists, demo: StockLists | undefined): StockLists {
  if (!demo) return own
  const list = (kind: StockKind) => joined<{ readonly id: string }>(own[kind], demo[kind])
  return Object.fromEntries(STOCK_KINDS.map((kind) => [kind, list(kind)])) as unknown as StockLists
}

/** What remedies and forms draw on: the lists, with the parts and bars of own racks among those to change to. */
function stockOf(own: StockLists, demo: StockLists | undefined): StockLists {
  const lists = listsOf(own, demo)
  return {
    ...lists,
    parts: [...lists.parts, ...own.racks.flatMap((rack) => rack.parts)],
    bars: [...lists.bars, ...own.racks.flatMap((rack) => (rack.kind === 'ladder' ? [] : rack.bars))],
  }
}

export function useStock(): StockLists {
  const own = useSettings((store) => store.own)
  const demo = useSettings((store) => store.demo?.stock)
  return stockOf(own, demo)
}

/** The lists as they are kept, for the screen that edits them. */
export function useStockLists(): StockLists {
  const own = useSettings((store) => store.own)
  const demo = useSettings((store) => store.demo?.stock)
  return listsOf(own, demo)
}

let last: { readonly own: unknown; readonly demo: unknown; readonly stock: StockLists } | undefined

/** The stock as it stands now, for what is computed outside a screen; the same one as long as it is the same. */
export function stockNow(): StockLists {
  const { own, demo } = settingsStore.getState()
  if (last?.own !== own || last.demo !== demo?.stock)
    last = { own, demo: demo?.stock, stock: stockOf(own, demo?.stock) }
  return last.stock
}
