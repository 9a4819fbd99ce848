'use client'
import { Problem } from '@/ui/kit/field-note'
import { Button } from '@/ui/kit/button'
import { to } from '@/ui/routes'
import type { Plan } from '@/core/api/plan'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { dropPlan } from '@/storage/drop-plan'
import { planStore } from '@/ui/state/plan-store'
import { Modal } from '@/ui/kit/modal'
import { downloadPlan } from '@/ui/app/open-file'

/** Asks once before a job is gone, and offers its file first. */
export function DeleteJob({ plan, onClose }: { plan: Plan; onClose: () => void }) {
  const router = useRouter()
  const [problem, setProblem] = useState<string>()
  return (
    <Modal title="Delete this job?" onClose={onClose}>
      <p className="mb-3">
        “{plan.job.name}” leaves the board. You can restore it for at least thirty days under{' '}
        <em>Removed items</em>.
      </p>
      {problem !== undefined && <Problem>{problem}</Problem>}
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => downloadPlan(plan)}>Download it first</Button>
        <Button
          className="bg-error! text-error-content!"
          onClick={() => {
            void dropPlan(plan.id).then((dropped) => {
              if (dropped.ok) {
                planStore.getState().letGo(plan.id)
                router.push(to('board'))
              } else setProblem(dropped.reason)
            })
          }}
        >
          Delete it
        </Button>
      </div>
    </Modal>
  )
}
