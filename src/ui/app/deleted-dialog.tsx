'use client'
import { useState } from 'react'
import { usePlan, planStore } from '@/ui/state/plan-store'
import { Button } from '@/ui/kit/button'
import { Modal } from '@/ui/kit/modal'
import { downloadPlan } from './open-file'

/** The open job was deleted in another tab: it comes back when that is chosen, and not by going on with it. */
export function DeletedDialog() {
  const deleted = usePlan((store) => store.deleted)
  const plan = usePlan((store) => store.plan)
  const changed = usePlan((store) => store.saving.at === 'waiting')
  const [later, setLater] = useState<typeof deleted>()
  const { putBack, letGo } = planStore.getState()
  if (!deleted || !plan || later === deleted) return null
  return (
    <Modal title="Deleted in another tab" onClose={() => setLater(deleted)}>
      <div className="grid gap-3">
        <p>
          “{plan.job.name}” was deleted in another tab or window. The deleted version is under{' '}
          <em>Removed items</em>.{changed && ' Your later changes wait in this browser until you choose.'}
        </p>
        <div className="flex flex-wrap gap-2">
          <Button variant="solid" onClick={() => void putBack()}>
            Restore it with these changes
          </Button>
          <Button onClick={() => downloadPlan(plan)}>Download it</Button>
          <Button variant="word" onClick={() => letGo(plan.id)}>
            Leave it deleted
          </Button>
        </div>
      </div>
    </Modal>
  )
}
