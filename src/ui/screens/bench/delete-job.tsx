'use client'
import { to } from '@/ui/routes'
import type { Plan } from '@/core'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { dropPlan } from '@/storage/plans'
import { Modal } from '@/ui/kit/modal'
import { downloadPlan } from '@/ui/kit/open-file'

/** Asks once before a job is gone, and offers its file first. */
export function DeleteJob({ plan, onClose }: { plan: Plan; onClose: () => void }) {
  const router = useRouter()
  const [problem, setProblem] = useState<string>()
  return (
    <Modal title="Delete this job?" onClose={onClose}>
      <p className="mb-3">
        “{plan.job.name}” will be gone from this browser. A file you downloaded can be opened again.
      </p>
      {problem !== undefined && (
        <p role="alert" className="field-problem mb-2">
          {problem}
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        <button
          type="button"
          className="plain"
          onClick={() => {
            downloadPlan(plan)
          }}
        >
          Download it first
        </button>
        <button
          type="button"
          className="plain bg-error! text-error-content!"
          onClick={() => {
            void dropPlan(plan.id).then((dropped) => {
              if (dropped.ok) router.push(to('jobs'))
              else setProblem(dropped.reason)
            })
          }}
        >
          Delete it
        </button>
      </div>
    </Modal>
  )
}
