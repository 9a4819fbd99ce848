import { gearSchema, type Gear } from '@/core/plan/gear'
import { rackSchema, type Rack } from '@/core/plan/rack'
import { vehicleSchema, type Vehicle } from '@/core/plan/vehicle'
import { stockShelf, whyNotKept, type Kept } from './shelves'

export interface OwnStock {
  readonly vehicles: readonly Vehicle[]
  readonly racks: readonly Rack[]
  readonly gear: readonly Gear[]
}

type Kind = keyof OwnStock
type ItemOf = { vehicles: Vehicle; racks: Rack; gear: Gear }

export const NO_STOCK: OwnStock = { vehicles: [], racks: [], gear: [] }

/** The shop's own vehicles, racks and gear; an entry that no longer reads is left where it is. */
export async function loadOwnStock(): Promise<OwnStock> {
  const stock = { vehicles: [] as Vehicle[], racks: [] as Rack[], gear: [] as Gear[] }
  await stockShelf.iterate((raw, key) => {
    if (key.startsWith('vehicles/')) {
      const read = vehicleSchema.safeParse(raw)
      if (read.success) stock.vehicles.push(read.data)
    } else if (key.startsWith('racks/')) {
      const read = rackSchema.safeParse(raw)
      if (read.success) stock.racks.push(read.data)
    } else if (key.startsWith('gear/')) {
      const read = gearSchema.safeParse(raw)
      if (read.success) stock.gear.push(read.data)
    }
  })
  return stock
}

export async function keepInStock<K extends Kind>(kind: K, item: ItemOf[K]): Promise<Kept> {
  try {
    await stockShelf.setItem(`${kind}/${item.id}`, item)
    return { ok: true }
  } catch (error) {
    return { ok: false, reason: whyNotKept(error) }
  }
}
