'use client'
import { useEffect, useLayoutEffect, useRef, type RefObject } from 'react'

/**
 * Where what has the focus goes away (a fix was applied, a thing taken off), the focus goes on to what stands in its
 * place among its like, and never falls to the page. Somebody who has left keeps where he went.
 */
export function useFocusKept(
  box: RefObject<HTMLElement | SVGElement | null>,
  like: string,
  again: unknown,
): void {
  const at = useRef<number>(undefined)
  useEffect(() => {
    const element = box.current
    if (!element) return
    const onIn = (event: Event) => {
      const { target } = event
      const all = [...element.querySelectorAll(like)]
      const found = target instanceof Node ? all.findIndex((each) => each.contains(target)) : -1
      at.current = found < 0 ? undefined : found
    }
    const onOut = (event: Event) => {
      // What was taken away has not been left.
      if (event.target instanceof Node && event.target.isConnected) at.current = undefined
    }
    element.addEventListener('focusin', onIn)
    element.addEventListener('focusout', onOut)
    return () => {
      element.removeEventListener('focusin', onIn)
      element.removeEventListener('focusout', onOut)
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
