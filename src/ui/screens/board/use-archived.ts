import { useCallback, useEffect, useState } from 'react'
import { loadArchived, putAway } from '@/storage/archive'
import { onSaved } from '@/storage/saved-elsewhere'
import { today } from '@/ui/state/today'

const NONE: ReadonlySet<string> = new Set()

/** Which jobs are put away, here and by other tabs; and the deed of putting one away or taking it out. */
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
      const saved = await putAway(jobId, away, today())
      setTrouble(saved.ok ? undefined : saved.reason)
      read()
    },
    [read],
  )
  return { archived, put: archive, trouble }
}
