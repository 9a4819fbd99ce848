'use client'
import { useEffect, useState } from 'react'

/** Keeps the screen lit while the bay is open, where the browser can; taken again when the page comes back into sight. */
export function useAwake(): boolean {
  const [awake, setAwake] = useState(false)
  useEffect(() => {
    let lock: WakeLockSentinel | undefined
    let gone = false
    const ask = async () => {
      if (!('wakeLock' in navigator) || document.visibilityState !== 'visible') return
      try {
        const got = await navigator.wakeLock.request('screen')
        if (gone) void got.release()
        else {
          lock = got
          setAwake(true)
          got.addEventListener('release', () => setAwake(false))
        }
      } catch {
        setAwake(false)
      }
    }
    const onVisible = () => void ask()
    void ask()
    document.addEventListener('visibilitychange', onVisible)
    return () => {
      gone = true
      document.removeEventListener('visibilitychange', onVisible)
      void lock?.release()
    }
  }, [])
  return awake
}
