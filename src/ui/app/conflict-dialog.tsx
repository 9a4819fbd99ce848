'use client'
import { clashWords } from '@/core/api/plan'
import { useState } from 'react'
import { usePlan, type Conflict } from '@/ui/state/plan-store'
import { Button } from '@/ui/kit/button'
import { Modal } from '@/ui/kit/modal'

const MOST = 12

/** What was changed here and in another tab so that both cannot stand: it is asked which holds, and nothing is lost either way. */
export function ConflictDialog() {
  const conflict = usePlan((store) => store.conflict)
  const plan = usePlan((store) => store.plan)
  const settle = usePlan((store) => store.settle)
  const [later, setLater] = useState<Conflict>()
  if (!conflict || !plan || later === conflict) return null
  const words = [...new Set(conflict.clashes.map((clash) => clashWords(plan, clash)))]
  return (
    <Modal title="Changed in two places" onClose={() => setLater(conflict)}>
      <div className="grid gap-3">
        <p>
          Another tab or window saved this job while it was changed here. {conflict.reason} Both are kept
          until you choose one; undo brings back the other.
        </p>
        {words.length > 0 && (
          <ul className="list-disc pl-5" aria-label="Set differently">
            {words.slice(0, MOST).map((each) => (
              <li key={each}>{each}</li>
            ))}
            {words.length > MOST && <li>and {words.length - MOST} more</li>}
          </ul>
        )}
        <div className="flex flex-wrap gap-2">
          <Button variant="solid" onClick={() => void settle('mine')}>
            Keep what is here
          </Button>
          <Button onClick={() => void settle('theirs')}>Take the other version</Button>
          <Button variant="word" onClick={() => setLater(conflict)}>
            Decide later
          </Button>
        </div>
      </div>
    </Modal>
  )
}
