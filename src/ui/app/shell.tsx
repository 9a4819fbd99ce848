'use client'
import * as z from '@/core/units/schema'
import { Alert } from '@/ui/kit/alert'
import { useEffect, type ReactNode } from 'react'
import dynamic from 'next/dynamic'
import { FileDrop } from './file-drop'
import { WaitingBar } from './waiting-bar'
import { allWaiting } from '@/storage/waiting'
import { usePlan, planStore } from '@/ui/state/plan-store'
import { useSettings } from '@/ui/state/settings-store'

/** Lets the browser keep this build, so that the bay goes on without a network. What is open loads first. */
function useOffline(): void {
  useEffect(() => {
    if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return
    const register = async () => {
      try {
        const answer = await fetch('/offline', { cache: 'no-store' })
        const { build } = z.object({ build: z.string().check(z.minLength(1)) }).parse(await answer.json())
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

/** Seldom wanted, and then at leisure. */
const ConflictDialog = dynamic(() => import('./conflict-dialog').then((module) => module.ConflictDialog))

const DeletedDialog = dynamic(() => import('./deleted-dialog').then((module) => module.DeletedDialog))

/** Leaving asks first where something is in memory alone: what could not be kept, or is not chosen yet. */
function useAskBeforeLeaving(): void {
  useEffect(() => {
    const ask = (event: BeforeUnloadEvent) => {
      const { conflict, deleted, saving } = planStore.getState()
      const undecided = conflict !== undefined || (deleted !== undefined && saving.at === 'waiting')
      if (allWaiting().size > 0 || undecided) event.preventDefault()
    }
    window.addEventListener('beforeunload', ask)
    return () => window.removeEventListener('beforeunload', ask)
  }, [])
}

/** What every screen shares: settings read once, the theme, and a file dropped anywhere. */
export function AppShell({ demo, children }: { demo: boolean; children: ReactNode }) {
  const start = useSettings((store) => store.start)
  const theme = useSettings((store) => store.settings.theme)
  const trouble = useSettings((store) => store.trouble)
  const conflict = usePlan((store) => store.conflict !== undefined)
  const deleted = usePlan((store) => store.deleted !== undefined)
  useOffline()
  useAskBeforeLeaving()
  useEffect(() => void start(demo), [start, demo])
  useEffect(() => {
    if (theme === 'system') document.documentElement.removeAttribute('data-theme')
    else document.documentElement.dataset['theme'] = theme
  }, [theme])
  return (
    <>
      {trouble !== undefined && (
        <Alert variant="error">{trouble} Work on, but download each plan before you close this page.</Alert>
      )}
      <WaitingBar />
      {children}
      {conflict && <ConflictDialog />}
      {deleted && <DeletedDialog />}
      <FileDrop />
    </>
  )
}
