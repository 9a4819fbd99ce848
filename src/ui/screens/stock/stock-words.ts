import { to } from '@/ui/routes'
import { BODIES, choicesOf, MOUNTS, PART_ROLES } from '@/core/api/plan'
import type { Column, StockKind } from '@/core/api/files'

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
  const from: Record<string, string> = id === undefined ? {} : { from: id }
  if (kind === 'gear') return to('gear', from)
  return kind === 'vehicles' ? to('vehicle', from) : undefined
}

/** Words of files as people say them. */
const SPELLED: Readonly<Record<string, string>> = Object.fromEntries([
  ...choicesOf(BODIES, ({ word }) => word),
  ...choicesOf(PART_ROLES, ({ word }) => word),
  ...choicesOf(MOUNTS, ({ word }) => word),
])

/** A word of a file as it is said on screen; a text of somebody's own stays as it is. */
export function spelledOut(word: string, column?: Column): string {
  const ofWords = column === undefined || column.field.is === 'choice'
  return ofWords ? (SPELLED[word] ?? word) : word
}
