'use client'
import type { Box } from '@/core/api/plan'
import type { Survey } from '@/core/api/assess'
import { createStore, useStore } from 'zustand'
import { extentOf, layoutSheet, type Zoom, type ViewName } from '@/drawing/layout'
import { pan, zoomAt, zoomOnto } from '@/ui/drawing/zoom'

interface ZoomStore {
  readonly size: { readonly width: number; readonly height: number }
  readonly zoom: Zoom | undefined
  setSize(width: number, height: number): void
  by(survey: Survey, factor: number, at?: readonly [number, number]): void
  onto(survey: Survey, box: Box): void
  pan(survey: Survey, view: ViewName, dx: number, dy: number): void
  whole(): void
}

/** How the sheet is looked at: not part of the plan, and not kept. */
export const zoomStore = createStore<ZoomStore>((set, get) => {
  const layout = (survey: Survey) => layoutSheet(extentOf(survey), get().size, get().zoom)
  return {
    size: { width: 0, height: 0 },
    zoom: undefined,
    setSize(width, height) {
      const { size } = get()
      if (size.width !== width || size.height !== height) set({ size: { width, height } })
    },
    by(survey, factor, at) {
      set({ zoom: zoomAt(layout(survey), get().zoom, factor, at) })
    },
    onto(survey, box) {
      set({ zoom: zoomOnto(extentOf(survey), get().size, box) })
    },
    pan(survey, view, dx, dy) {
      const { zoom } = get()
      if (zoom) set({ zoom: pan(layout(survey), zoom, view, dx, dy) })
    },
    whole() {
      set({ zoom: undefined })
    },
  }
})

export const useZoom = <Part>(part: (store: ZoomStore) => Part): Part => useStore(zoomStore, part)

const ROUND_A_RACK_MM = 350

/** The racks from end to end with the load's height on them; long things may run out of sight. mm. */
export function rackBox({ racks, things }: Survey): Box | undefined {
  const boxes = racks.flatMap((rack) => [
    ...rack.bars.map(({ box }) => box),
    ...(rack.deck ? [rack.deck.box] : []),
  ])
  if (boxes.length === 0) return undefined
  return {
    x0: Math.min(...boxes.map((box) => box.x0)) - ROUND_A_RACK_MM,
    x1: Math.max(...boxes.map((box) => box.x1)) + ROUND_A_RACK_MM,
    y0: Math.min(...boxes.map((box) => box.y0)),
    y1: Math.max(...boxes.map((box) => box.y1)),
    z0: Math.min(...boxes.map((box) => box.z0)),
    z1: Math.max(...boxes.map((box) => box.z1), ...things.map(({ box }) => box.z1)),
  }
}
