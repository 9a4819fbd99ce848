'use client'
import { useSyncExternalStore } from 'react'
import { today } from './today'

const MINUTE_MS = 60_000

function onMinute(look: () => void): () => void {
  const timer = setInterval(look, MINUTE_MS)
  document.addEventListener('visibilitychange', look)
  return () => {
    clearInterval(timer)
    document.removeEventListener('visibilitychange', look)
  }
}

/** The day by this device's clock. A screen that stays open past midnight is drawn anew with the next. */
export const useToday = (): string => useSyncExternalStore(onMinute, today, today)
