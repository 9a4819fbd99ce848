'use client'
import { useEffect } from 'react'
import * as z from 'zod'

/** Lets the browser keep this build, so that the bay goes on without a network. What is open loads first. */
export function useOffline(): void {
  useEffect(() => {
    if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return
    const register = async () => {
      try {
        const answer = await fetch('/offline', { cache: 'no-store' })
        const { build } = z.object({ build: z.string().min(1) }).parse(await answer.json())
        await navigator.serviceWorker.register(`/sw.js?build=${encodeURIComponent(build)}`, {
          updateViaCache: 'none',
        })
      } catch {
        // No network, or this browser keeps nothing: what is open goes on all the same.
      }
    }
    const timer = setTimeout(() => void register(), 2500)
    return () => clearTimeout(timer)
  }, [])
}
