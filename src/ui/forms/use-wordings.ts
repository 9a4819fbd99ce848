'use client'
// The form library writes into what it gives out: what is worked out of that may not be kept by the compiler.
'use no memo'
import {
  GEAR_FIELD,
  type Group,
  RACK_FIELD,
  toDraft,
  type Variants,
  VEHICLE_FIELD,
  type Wording,
  wordsFor,
} from '@/core/api/fields'
import type { UseFormReturn } from 'react-hook-form'
import { useStockLists } from '@/ui/state/stock'

/** Of so many things of a kind the words are looked through: more would keep a field waiting. */
const MOST = 200

/** The words for one kind of thing, those of this sheet first, then those of the shop's stock: looked up when asked. */
export function useWordings(
  form: UseFormReturn,
  field: Group | Variants,
): (of: Wording) => readonly string[] {
  const { vehicles, racks, gear } = useStockLists()
  return (of) => {
    const shown = { system: 'metric', typed: {}, rel: '' } as const
    const drafts = (sheet: Group | Variants, things: readonly unknown[]) =>
      things.slice(0, MOST).map((thing) => [sheet, toDraft(sheet, thing, shown)] as const)
    const own = wordsFor(of, [[field, form.getValues()]])
    const stocked = wordsFor(of, [
      ...drafts(VEHICLE_FIELD, vehicles),
      ...drafts(RACK_FIELD, racks),
      ...drafts(GEAR_FIELD, gear),
    ])
    const taken = new Set(own.map((word) => word.toLowerCase()))
    return [...own, ...stocked.filter((word) => !taken.has(word.toLowerCase()))]
  }
}
