'use client'
import { useEffect, useState, type ComponentType } from 'react'
import type { Plan } from '@/core/api/plan'
import { useSearch } from '@/ui/state/use-search'
import { Fetching, JobLoader } from './job-loader'

type Shown = ComponentType<{ plan: Plan }>

/**
 * A screen of a job. What reads the job comes with the page; what shows it is fetched beside the reading, which takes
 * as long. Not by a boundary of React's: that would hold it back for a third of a second after it is there.
 */
export function jobScreen(fetched: () => Promise<Shown>): ComponentType {
  let here: Shown | undefined
  const fetchOnce = async (): Promise<Shown> => {
    here ??= await fetched()
    return here
  }
  // Where it cannot be fetched yet, the screen asks again when it is shown.
  if (typeof window !== 'undefined') void fetchOnce().catch(() => undefined)
  return function JobScreen() {
    const id = useSearch('job') ?? ''
    const [shown, setShown] = useState<{ readonly screen: Shown | undefined; readonly failed?: Error }>({
      screen: here,
    })
    useEffect(() => {
      let current = true
      fetchOnce().then(
        (screen) => current && setShown({ screen }),
        (reason: unknown) => {
          const failed = reason instanceof Error ? reason : new Error('This screen could not be fetched.')
          if (current) setShown({ screen: undefined, failed })
        },
      )
      return () => {
        current = false
      }
    }, [])
    // The page's own boundary says so, and tries again.
    if (shown.failed !== undefined) throw shown.failed
    const Screen = shown.screen
    return <JobLoader id={id}>{(plan) => (Screen ? <Screen plan={plan} /> : <Fetching />)}</JobLoader>
  }
}
