import type { Gear } from '@/core/plan/gear'
import type { Adapter } from '@/core/plan/placement'
import type { Bar, Part, Rack } from '@/core/plan/rack'
import type { Vehicle } from '@/core/plan/vehicle'
import { ADAPTERS } from './adapters'
import { GEAR } from './gear/gear'
import { RACKS, STOCK_BARS, STOCK_PARTS } from './racks'
import { VEHICLES } from './vehicles'

export interface Stock {
  readonly vehicles: readonly Vehicle[]
  readonly racks: readonly Rack[]
  readonly gear: readonly Gear[]
  readonly parts: readonly Part[]
  readonly adapters: readonly Adapter[]
  readonly bars: readonly Bar[]
}

/** What the demo's outfitter keeps. */
export const DEMO_STOCK: Stock = {
  vehicles: VEHICLES,
  racks: RACKS,
  gear: GEAR,
  parts: STOCK_PARTS,
  adapters: ADAPTERS,
  bars: STOCK_BARS,
}
