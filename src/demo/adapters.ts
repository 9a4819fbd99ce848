import type { Adapter } from '@/core/api/plan'
import { sheet } from './compose'

/** Invented adapters, each a set for one thing on two bars. */
export const ADAPTERS: readonly Adapter[] = [
  {
    id: 'clamp-saddles',
    name: 'Saddle adapters for heavy bars',
    kg: 1.1,
    heightMm: 24,
    mount: {
      kind: 'uBolt',
      sectionWidthMm: { fromMm: 50, toMm: 70 },
      sectionHeightMm: { fromMm: 28, toMm: 45 },
    },
    gives: { kind: 'section', widthMm: 70, heightMm: 24, roomMm: 30 },
    rated: sheet('clamp-saddles', { road: 60, trail: 45, parked: 90 }),
    price: 58,
  },
  {
    id: 'slot-rails',
    name: 'Slot rails for square bars',
    kg: 1.8,
    heightMm: 20,
    mount: {
      kind: 'uBolt',
      sectionWidthMm: { fromMm: 20, toMm: 40 },
      sectionHeightMm: { fromMm: 18, toMm: 40 },
    },
    gives: { kind: 'channel', slotMm: 20, headRoomMm: 8 },
    rated: sheet('slot-rails', { road: 50, trail: 40, parked: 80 }),
    price: 72,
  },
]
