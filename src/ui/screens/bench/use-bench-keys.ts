'use client'
import { useEffect, useEffectEvent } from 'react'
import { pressed, type OnBench } from '@/ui/actions'

/** The bench's keys, as long as it is open. */
export function useBenchKeys(on: OnBench): void {
  const onKey = useEffectEvent((event: KeyboardEvent) => pressed(on, event))
  useEffect(() => {
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [])
}
