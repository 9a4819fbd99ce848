'use client'
import type { AttachmentKind, Plan, Rack } from '@/core/api/plan'
import { rackOffer, type RackOffer } from '@/core/api/assess'
import { useStock } from '@/ui/state/stock'
import { useInTurn } from './use-in-turn'

const ORDER = { suits: 0, asks: 1, cannot: 2 } as const

/** Every rack in stock as it would stand on this vehicle, judged one after the other; what suits comes first. */
export function useOffers(plan: Plan): { readonly offers: readonly RackOffer[]; readonly left: number } {
  const { racks, vehicles } = useStock()
  const kinds = new Map<string, AttachmentKind>(
    vehicles.flatMap(({ attachments }) => attachments).map(({ id, kind }) => [id, kind]),
  )
  // Judged alone: what else changes of the job changes nothing here.
  const offers = useInTurn(racks, [plan.vehicle, plan.rules], (rack: Rack) =>
    rackOffer(plan, rack, kinds.get(rack.attachmentId), crypto.randomUUID().slice(0, 6)),
  )
  return {
    offers: offers.toSorted(
      (a, b) =>
        ORDER[a.suits.kind] - ORDER[b.suits.kind] ||
        a.name.localeCompare(b.name) ||
        (a.barMm ?? 0) - (b.barMm ?? 0),
    ),
    left: racks.length - offers.length,
  }
}
