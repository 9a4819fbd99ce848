'use client'
import { useEffectEvent, useLayoutEffect } from 'react'

/**
 * Hears every key pressed in the page, from the moment at which a screen stands in it to the moment at which it goes.
 * An effect after painting would come too late: a key pressed as one screen follows another would be lost, or be heard
 * by the screen that has gone.
 */
export function usePageKeys(onKey: (event: KeyboardEvent) => void): void {
  const heard = useEffectEvent(onKey)
  useLayoutEffect(() => {
    const hear = (event: KeyboardEvent) => heard(event)
    window.addEventListener('keydown', hear)
    return () => window.removeEventListener('keydown', hear)
  }, [])
}
