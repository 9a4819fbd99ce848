'use client'
import { useMemo } from 'react'
import type { OwnStock } from '@/storage/own-stock'
import { DEMO_STOCK, type Stock } from '@/stock/stock'
import { useSettings } from './settings-store'

/** The shop's own things first; the demo's invented ones only where the demo was asked for. */
function stockOf(own: OwnStock, demo: boolean): Stock {
  const ownParts = own.racks.flatMap((rack) => rack.parts)
  if (!demo) return { ...own, parts: ownParts }
  const mine = (list: readonly { id: string }[]) => new Set(list.map((each) => each.id))
  const [vehicles, racks, gear] = [mine(own.vehicles), mine(own.racks), mine(own.gear)]
  return {
    vehicles: [...own.vehicles, ...DEMO_STOCK.vehicles.filter((each) => !vehicles.has(each.id))],
    racks: [...own.racks, ...DEMO_STOCK.racks.filter((each) => !racks.has(each.id))],
    gear: [...own.gear, ...DEMO_STOCK.gear.filter((each) => !gear.has(each.id))],
    parts: [...ownParts, ...DEMO_STOCK.parts],
  }
}

export function useStock(): Stock {
  const own = useSettings((store) => store.own)
  const demo = useSettings((store) => store.settings.seeded)
  return useMemo(() => stockOf(own, demo), [own, demo])
}

/** The stock as it stands now, for what is computed outside a screen. */
export function stockNow(): Stock {
  const { own, settings } = useSettings.getState()
  return stockOf(own, settings.seeded)
}
