import type { StockLists } from '@/core/api/files'
import { ADAPTERS } from './adapters'
import { GEAR } from './gear/gear'
import { RACKS, DEMO_BARS, DEMO_PARTS } from './racks'
import { VEHICLES } from './vehicles'

/** What the demo's outfitter keeps. */
export const DEMO_STOCK: StockLists = {
  vehicles: VEHICLES,
  racks: RACKS,
  gear: GEAR,
  parts: DEMO_PARTS,
  adapters: ADAPTERS,
  bars: DEMO_BARS,
}
