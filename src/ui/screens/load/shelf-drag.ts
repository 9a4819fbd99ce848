'use client'
import type { Gear } from '@/core/api/plan'
import type { PointerPlace } from '@/core/api/assess'
import { createStore, useStore } from 'zustand'
import { fromSheet, viewAt } from '@/drawing/layout'
import { drawnSheet, sheetNow } from './sheet-now'

/** A thing held over the drawing, from the shelf: where the hand is, in the vehicle frame. */
interface HeldShelf {
  readonly gear: Gear
  readonly rackId: string
  readonly near: PointerPlace
}

interface ShelfDrag {
  readonly held: HeldShelf | undefined
  hold(held: HeldShelf | undefined): void
}

export const shelfDragStore = createStore<ShelfDrag>((set) => ({
  held: undefined,
  hold(held) {
    set({ held })
  },
}))

export const useShelfDrag = <Part>(part: (store: ShelfDrag) => Part): Part => useStore(shelfDragStore, part)

/** The point of the vehicle under a place on the page, where that is over a view of the drawing; mm. */
export function pointUnder(left: number, top: number): PointerPlace | undefined {
  const now = sheetNow()
  const rect = drawnSheet.element?.getBoundingClientRect()
  if (!now || !rect) return undefined
  const { layout, survey } = now
  const [x, y] = [left - rect.left, top - rect.top]
  const view = viewAt(layout, x, y)
  if (!view) return undefined
  const [u, v] = fromSheet(layout, view, x, y)
  const xs = survey.bars.map(({ bar }) => bar.xMm)
  const middle = xs.length > 0 ? (Math.min(...xs) + Math.max(...xs)) / 2 : 0
  if (view === 'plan') return { xMm: Math.round(u), yMm: Math.round(v) }
  return view === 'side' ? { xMm: Math.round(u), yMm: 0 } : { xMm: Math.round(middle), yMm: Math.round(u) }
}
