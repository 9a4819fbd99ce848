import type { StockLists } from '@/core/formats/stock-kinds'
import { ADAPTERS } from './adapters'
import { GEAR } from './gear/gear'
import { RACKS, STOCK_BARS, STOCK_PARTS } from './racks'
import { VEHICLES } from './vehicles'

/** What the demo's outfitter keeps. */
export const DEMO_STOCK: StockLists = {
  vehicles: VEHICLES,
  racks: RACKS,
  gear: GEAR,
  parts: STOCK_PARTS,
  adapters: ADAPTERS,
  bars: STOCK_BARS,
}
