import type * as z from '../units/schema'
import { kindsOf } from '../kinds/kind'
import { gearSchema } from '../plan/schema/gear'
import { adapterSchema } from '../plan/schema/placement'
import { barSchema, partSchema, rackSchema } from '../plan/schema/rack'
import { vehicleSchema } from '../plan/schema/vehicle'

/** What a shop keeps, list by list. Kits are parts of that role. */
export const STOCK_SCHEMAS = {
  vehicles: vehicleSchema,
  racks: rackSchema,
  bars: barSchema,
  parts: partSchema,
  gear: gearSchema,
  adapters: adapterSchema,
} as const

export const STOCK_KINDS = kindsOf(STOCK_SCHEMAS)
export type StockKind = (typeof STOCK_KINDS)[number]

export type StockItem = { readonly [K in StockKind]: z.infer<(typeof STOCK_SCHEMAS)[K]> }

/** Everything a shop keeps. */
export type StockLists = { readonly [K in StockKind]: readonly StockItem[K][] }

export const EMPTY_STOCK: StockLists = {
  vehicles: [],
  racks: [],
  bars: [],
  parts: [],
  gear: [],
  adapters: [],
}
