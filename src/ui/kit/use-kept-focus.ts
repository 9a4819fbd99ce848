'use client'
import { useEffect, useLayoutEffect, useRef, type RefObject } from 'react'

/**
 * Where what has the focus goes away (a fix was applied, a thing taken off), the focus goes on to what stands in its
 * place among its like, and never falls to the page. Somebody who has left keeps where he went.
 */
export function useKeptFocus(
  box: RefObject<HTMLElement | SVGElement | null>,
  like: string,
  again: unknown,
): void {
  const at = useRef<number>(undefined)
  useEffect(() => {
    // What is taken away is not left: only a focus that comes elsewhere, or a press beside, leaves.
    const note = (event: Event) => {
      const { target } = event
      const all = [...(box.current?.querySelectorAll(like) ?? [])]
      const found = target instanceof Node ? all.findIndex((each) => each.contains(target)) : -1
      at.current = found < 0 ? undefined : found
    }
    document.addEventListener('focusin', note)
    document.addEventListener('pointerdown', note)
    return () => {
      document.removeEventListener('focusin', note)
      document.removeEventListener('pointerdown', note)
    }
  }, [box, like])
  useLayoutEffect(() => {
    const element = box.current
    if (!element || at.current === undefined || document.activeElement !== document.body) return
    const all = element.querySelectorAll<HTMLElement | SVGElement>(like)
    const next = all[Math.min(at.current, all.length - 1)]
    next?.focus({ preventScroll: true })
  }, [box, like, again])
}
