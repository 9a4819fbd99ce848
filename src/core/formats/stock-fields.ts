import type { StockKind } from './stock-kinds'
import { ADAPTER_FIELD } from '../fields/adapter-fields'
import type { Group, Variants } from '../fields/field'
import { GEAR_FIELD } from '../fields/gear-fields'
import { PART_FIELD } from '../fields/part-fields'
import { BAR_FIELD, RACK_FIELD } from '../fields/rack-fields'
import { VEHICLE_FIELD } from '../fields/vehicle-fields'

/** The fields of an entry of each list that a shop keeps. */
export const STOCK_FIELDS: Readonly<Record<StockKind, Group | Variants>> = {
  vehicles: VEHICLE_FIELD,
  racks: RACK_FIELD,
  bars: BAR_FIELD,
  parts: PART_FIELD,
  gear: GEAR_FIELD,
  adapters: ADAPTER_FIELD,
}
