'use client'
import { useEffect, useState } from 'react'
import { loadRemoved, restoreRemoved, type Removed } from '@/storage/removed'
import { whyNotSaved } from '@/storage/save-result'
import { Button } from '@/ui/kit/button'
import { Note, Problem } from '@/ui/kit/field-note'
import { Modal } from '@/ui/kit/modal'
import { whenWords } from '@/ui/kit/day-words'

/** What was taken away or put over, for thirty days at least, in one place, each to be taken back. */
export function RemovedDialog({ onClose, onBack }: { onClose: () => void; onBack: () => void }) {
  const [found, setFound] = useState<readonly Removed[]>()
  const [problem, setProblem] = useState<string>()
  const [done, setDone] = useState(0)
  useEffect(() => {
    let current = true
    loadRemoved()
      .then((list) => {
        if (current) setFound(list)
      })
      .catch((error: unknown) => {
        if (current) setProblem(whyNotSaved(error))
      })
    return () => {
      current = false
    }
  }, [done])
  const [newer, setNewer] = useState<string>()
  const back = async ({ id }: Removed, over?: 'over') => {
    const saved = await restoreRemoved(id, new Date().toISOString(), over)
    setNewer(!saved.ok && 'newer' in saved ? id : undefined)
    setProblem(saved.ok || 'newer' in saved ? undefined : saved.reason)
    setDone((count) => count + 1)
    if (saved.ok) onBack()
  }
  return (
    <Modal title="Removed items" onClose={onClose}>
      <div className="grid gap-3">
        <Note>Jobs, stock, imports and restores can be restored for at least thirty days.</Note>
        {problem !== undefined && <Problem>{problem}</Problem>}
        {found?.length === 0 && <p>Nothing was removed.</p>}
        <ul className="grid gap-2" aria-label="Removed">
          {found?.map((each) => (
            <li key={each.id} className="border-hair flex flex-wrap items-center gap-2 border-b-1 pb-2">
              <span className="flex-1">
                {each.what}
                <span className="text-ink2 block text-aside">
                  {whenWords(each.at)}
                  {each.count > 1 && `, ${each.count} records`}
                </span>
              </span>
              {newer === each.id ? (
                <div className="basis-full" role="alert">
                  <Note>
                    It exists again and has changed since. Restoring replaces the present one, which you can
                    then restore too.
                  </Note>
                  <Button onClick={() => void back(each, 'over')}>Replace the present one</Button>
                </div>
              ) : (
                <Button aria-label={`Restore ${each.what}`} onClick={() => void back(each)}>
                  Restore
                </Button>
              )}
            </li>
          ))}
        </ul>
      </div>
    </Modal>
  )
}
