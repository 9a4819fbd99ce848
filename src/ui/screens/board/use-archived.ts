import { useEffect, useState } from 'react'
import { loadArchived, saveArchived } from '@/storage/archive'
import { onSaved } from '@/storage/saved-elsewhere'
import { today } from '@/ui/state/today'

const NONE: ReadonlySet<string> = new Set()

/** Where nothing can be read, nothing is hidden either. */
const archivedNow = () => loadArchived().catch(() => NONE)

/** The archived jobs, and a function that archives a job or takes it out of the archive. */
export function useArchived(ready: boolean, again: unknown) {
  const [archived, setArchived] = useState(NONE)
  const [trouble, setTrouble] = useState<string>()
  useEffect(() => {
    if (ready) void archivedNow().then(setArchived)
  }, [ready, again])
  useEffect(
    () =>
      onSaved(({ shelf }) => {
        if (shelf === 'settings') void archivedNow().then(setArchived)
      }),
    [],
  )
  const archive = async (jobId: string, away: boolean) => {
    const saved = await saveArchived(jobId, away, today())
    setTrouble(saved.ok ? undefined : saved.reason)
    setArchived(await archivedNow())
  }
  return { archived, archive, trouble }
}
