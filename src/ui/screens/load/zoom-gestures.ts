import { useEffect, type RefObject } from 'react'
import { zoomStore } from '@/ui/drawing/zoom-store'
import { sheetNow } from './sheet-now'

async function listen(svg: SVGSVGElement) {
  const { createGesture, pinchAction, wheelAction } = await import('@use-gesture/vanilla')
  const Gesture = createGesture([pinchAction, wheelAction])
  const place = (x: number, y: number): readonly [number, number] => {
    const { left, top } = svg.getBoundingClientRect()
    return [x - left, y - top]
  }
  return Gesture(
    svg,
    {
      onWheel: ({ event, delta: [, dy] }) => {
        const now = sheetNow()
        if (!now || now.layout.stacked) return
        event.preventDefault()
        zoomStore.getState().by(now.survey, Math.exp(-dy / 500), place(event.clientX, event.clientY))
      },
      onPinch: ({ event, delta: [d], origin: [x, y] }) => {
        event.preventDefault()
        const now = sheetNow()
        if (now) zoomStore.getState().by(now.survey, 1 + d, place(x, y))
      },
    },
    { eventOptions: { passive: false } },
  )
}

/** Wheel and pinch zoom the drawing; what hears them is fetched once the drawing stands. */
export function useZoomGestures(svg: RefObject<SVGSVGElement | null>, ready: boolean): void {
  useEffect(() => {
    if (!ready || !svg.current) return undefined
    let gone = false
    let end: (() => void) | undefined
    void listen(svg.current).then(
      (gesture) => {
        if (gone) gesture.destroy()
        else end = () => gesture.destroy()
      },
      // Offline and never fetched: the keys beside the drawing zoom as well.
      () => undefined,
    )
    return () => {
      gone = true
      end?.()
    }
  }, [svg, ready])
}
