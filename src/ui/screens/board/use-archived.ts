import { useCallback, useEffect, useState } from 'react'
import { loadArchived, saveArchived } from '@/storage/archive'
import { onSaved } from '@/storage/saved-elsewhere'
import { today } from '@/ui/state/today'

const NONE: ReadonlySet<string> = new Set()

/** The archived jobs, and a function that archives a job or takes it out of the archive. */
export function useArchived(ready: boolean, again: unknown) {
  const [archived, setArchived] = useState(NONE)
  const [trouble, setTrouble] = useState<string>()
  const read = useCallback(() => {
    // Where nothing can be read, nothing is hidden either.
    loadArchived().then(setArchived, () => setArchived(NONE))
  }, [])
  useEffect(() => {
    if (ready) read()
  }, [ready, again, read])
  useEffect(
    () =>
      onSaved(({ shelf }) => {
        if (shelf === 'settings') read()
      }),
    [read],
  )
  const archive = useCallback(
    async (jobId: string, away: boolean) => {
      const saved = await saveArchived(jobId, away, today())
      setTrouble(saved.ok ? undefined : saved.reason)
      read()
    },
    [read],
  )
  return { archived, archive, trouble }
}
