import type { StockKind } from '@/core/formats/stock-kinds'

/** What each list is called, and one entry of it. */
export const LIST_WORD: Readonly<Record<StockKind, { readonly many: string; readonly one: string }>> = {
  vehicles: { many: 'Vehicles', one: 'vehicle' },
  racks: { many: 'Racks', one: 'rack' },
  bars: { many: 'Bars', one: 'bar' },
  parts: { many: 'Parts and kits', one: 'part' },
  gear: { many: 'Gear', one: 'piece of gear' },
  adapters: { many: 'Adapters', one: 'adapter' },
}

/** Where an entry has a form of its own with a drawing, that form. */
export function ownForm(kind: StockKind, id: string | undefined): string | undefined {
  const from = id === undefined ? '' : `?from=${encodeURIComponent(id)}`
  if (kind === 'gear') return `/gear${from}`
  return kind === 'vehicles' ? `/vehicle${from}` : undefined
}
