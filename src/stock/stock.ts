import type { Gear } from '@/core/plan/gear'
import type { Part, Rack } from '@/core/plan/rack'
import type { Vehicle } from '@/core/plan/vehicle'
import { GEAR } from './gear'
import { RACKS, STOCK_PARTS } from './racks'
import { VEHICLES } from './vehicles'

export interface Stock {
  readonly vehicles: readonly Vehicle[]
  readonly racks: readonly Rack[]
  readonly gear: readonly Gear[]
  readonly parts: readonly Part[]
}

/** What the demo's outfitter keeps. */
export const DEMO_STOCK: Stock = { vehicles: VEHICLES, racks: RACKS, gear: GEAR, parts: STOCK_PARTS }
