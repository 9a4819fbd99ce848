'use client'
import type { Step } from '@/core/bay/steps/step'
import type { Plan } from '@/core/plan/plan'
import { logFor } from '@/ui/log/log-store'
import { ReasonDialog } from '@/ui/shell/reason-dialog'

/** Says what was done other than the sheet has it, and why: it goes into the log and onto the handover sheet. */
export function DiffersDialog({ plan, step, onClose }: { plan: Plan; step: Step; onClose: () => void }) {
  return (
    <ReasonDialog
      title="Say what differs"
      label="What was done, and why"
      without="Write a reason: without one nobody can judge it later."
      action="Put it in the log"
      onReason={(reason) => {
        logFor(plan, { kind: 'deviated', stepId: step.id, title: step.title, reason })
      }}
      onClose={onClose}
    >
      {step.title}
    </ReasonDialog>
  )
}
