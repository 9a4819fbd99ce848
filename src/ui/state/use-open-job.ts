'use client'
import { useEffect } from 'react'
import { onSaved } from '@/storage/saved-elsewhere'
import { usePlan, planStore } from './plan-store'
import { useSettings } from './settings-store'

/** Opens a job for a screen, follows what other tabs keep of it, and saves what is waiting when the page goes. */
export function useOpenJob(id: string | undefined): void {
  const ready = useSettings((store) => store.ready)
  const open = usePlan((store) => store.open)
  useEffect(() => {
    if (ready && id !== undefined) void open(id)
  }, [ready, open, id])
  useEffect(
    () =>
      id === undefined
        ? undefined
        : onSaved((what) => {
            if (what.shelf === 'plans' && what.id === id) void planStore.getState().follow(id)
          }),
    [id],
  )
  useEffect(() => {
    const flush = () => {
      if (planStore.getState().saving.at === 'waiting') void planStore.getState().saveNow()
    }
    document.addEventListener('visibilitychange', flush)
    window.addEventListener('pagehide', flush)
    return () => {
      document.removeEventListener('visibilitychange', flush)
      window.removeEventListener('pagehide', flush)
    }
  }, [])
}
