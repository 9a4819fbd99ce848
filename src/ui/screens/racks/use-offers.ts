'use client'
import { type AttachmentKind, type Plan, type Rack, rackOffer, type RackOffer } from '@/core'
import { useEffect, useEffectEvent, useState } from 'react'
import { useStock } from '@/ui/state/stock'

interface Offered {
  readonly of: readonly unknown[]
  readonly offers: readonly RackOffer[]
}

const ORDER = { suits: 0, asks: 1, cannot: 2 } as const

/** Between two racks the page draws, and hears. */
const pause = () => new Promise((resolve) => setTimeout(resolve))

/** Every rack in stock as it would stand on this vehicle, judged one after the other; what suits comes first. */
export function useOffers(plan: Plan): { readonly offers: readonly RackOffer[]; readonly left: number } {
  const { racks, vehicles } = useStock()
  const [offered, setOffered] = useState<Offered>({ of: [], offers: [] })
  const { vehicle, rules } = plan
  // Judged alone: what else changes of the job changes nothing here.
  const tried = useEffectEvent((rack: Rack, madeFor: AttachmentKind | undefined) =>
    rackOffer(plan, rack, madeFor, crypto.randomUUID().slice(0, 6)),
  )
  useEffect(() => {
    let current = true
    const of = [vehicle, rules, racks]
    const kinds = new Map<string, AttachmentKind>(
      vehicles.flatMap(({ attachments }) => attachments).map(({ id, kind }) => [id, kind]),
    )
    const judge = async () => {
      const offers: RackOffer[] = []
      for (const rack of racks) {
        offers.push(tried(rack, kinds.get(rack.attachmentId)))
        await pause()
        if (!current) return
        setOffered({ of, offers: [...offers] })
      }
    }
    void judge()
    return () => {
      current = false
    }
  }, [vehicle, rules, racks, vehicles])
  const known = offered.of[0] === vehicle && offered.of[1] === rules && offered.of[2] === racks
  const offers = known ? offered.offers : []
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
