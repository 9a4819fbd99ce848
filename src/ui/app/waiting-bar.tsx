'use client'
import { useSyncExternalStore } from 'react'
import { unsavedPlans } from '@/storage/plans'
import { allWaiting, saveAllWaiting, whenWaiting, type Waiting } from '@/storage/waiting'
import { Alert } from '@/ui/kit/alert'
import { Button } from '@/ui/kit/button'
import { downloadPlan } from './open-file'

const NOTHING: ReadonlyMap<string, Waiting> = new Map()

/** What is in this page alone, as this browser refused to keep it. */
export const useWaiting = (): ReadonlyMap<string, Waiting> =>
  useSyncExternalStore(whenWaiting, allWaiting, () => NOTHING)

/** Over every screen until all is kept: what is in memory alone, why, and what can be done. */
export function WaitingBar() {
  const waiting = useWaiting()
  if (waiting.size === 0) return null
  const all = [...waiting.values()]
  const what = [...new Set(all.map((each) => each.what))].join(', ')
  const reasons = [...new Set(all.map(({ reason }) => reason))].join(' ')
  const plans = unsavedPlans()
  return (
    <Alert variant="error" className="no-print sticky top-0 z-30">
      {reasons} Not saved yet, only in memory: {what}. Ypsos saves it as soon as the browser allows.
      <Button onClick={() => void saveAllWaiting()}>Try again</Button>
      {plans.length > 0 && (
        <Button onClick={() => plans.forEach(downloadPlan)}>
          {plans.length === 1 ? 'Download the job' : `Download the ${plans.length} jobs`}
        </Button>
      )}
    </Alert>
  )
}
