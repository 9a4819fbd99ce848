import type { StockKind } from '../formats/stock-kinds'
import { ADAPTER_FIELD } from './adapter-fields'
import type { Group, Variants } from './field'
import { GEAR_FIELD } from './gear-fields'
import { PART_FIELD } from './part-fields'
import { BAR_FIELD, RACK_FIELD } from './rack-fields'
import { VEHICLE_FIELD } from './vehicle-fields'

/** The fields of an entry of each list that a shop keeps. */
export const STOCK_FIELDS: Readonly<Record<StockKind, Group | Variants>> = {
  vehicles: VEHICLE_FIELD,
  racks: RACK_FIELD,
  bars: BAR_FIELD,
  parts: PART_FIELD,
  gear: GEAR_FIELD,
  adapters: ADAPTER_FIELD,
}
