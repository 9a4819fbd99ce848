'use client'
import { useEffect, useState } from 'react'

/** So often a screen looks at the clock, ms. */
const LOOK_MS = 10_000

/** The time by this device's clock, ms since 1970, as it passes. */
export function useNow(): number {
  const [now, setNow] = useState(() => Date.now())
  useEffect(() => {
    const looking = setInterval(() => setNow(Date.now()), LOOK_MS)
    return () => clearInterval(looking)
  }, [])
  return now
}
