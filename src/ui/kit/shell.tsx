'use client'
import { Alert } from './alert'
import { useEffect, type ReactNode } from 'react'
import { FileDrop } from './file-drop'
import { useSettings } from '@/ui/state/settings-store'
import { useOffline } from '@/ui/state/use-offline'

/** What every screen shares: settings read once, the theme, and a file dropped anywhere. */
export function AppShell({ demo, children }: { demo: boolean; children: ReactNode }) {
  const start = useSettings((store) => store.start)
  const theme = useSettings((store) => store.settings.theme)
  const trouble = useSettings((store) => store.trouble)
  useOffline()
  useEffect(() => void start(demo), [start, demo])
  useEffect(() => {
    if (theme === 'system') document.documentElement.removeAttribute('data-theme')
    else document.documentElement.dataset['theme'] = theme
  }, [theme])
  return (
    <>
      {trouble !== undefined && (
        <Alert look="error">{trouble} Work on, but download each plan before you close this page.</Alert>
      )}
      {children}
      <FileDrop />
    </>
  )
}
