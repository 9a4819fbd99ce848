'use client'
import { useState } from 'react'
import type { Step } from '@/core/bay/steps/step'
import type { Plan } from '@/core/plan/plan'
import { logFor } from '@/ui/log/log-store'
import { Modal } from '@/ui/shell/modal'

/** Says what was done other than the sheet has it, and why: it goes into the log and onto the handover sheet. */
export function DiffersDialog({ plan, step, onClose }: { plan: Plan; step: Step; onClose: () => void }) {
  const [reason, setReason] = useState('')
  const [asked, setAsked] = useState(false)
  const said = reason.trim()
  return (
    <Modal title="Say what differs" onClose={onClose}>
      <p className="mb-2">{step.title}</p>
      <label className="field-label" htmlFor="differs">
        What was done, and why
      </label>
      <textarea
        id="differs"
        data-first-focus
        className="field h-28! py-2"
        maxLength={1000}
        value={reason}
        aria-invalid={asked && said === ''}
        onChange={(event) => {
          setReason(event.target.value)
        }}
      />
      {asked && said === '' && (
        <p className="field-problem">Write a reason: without one nobody can judge it later.</p>
      )}
      <button
        type="button"
        className="plain solid mt-3"
        onClick={() => {
          setAsked(true)
          if (said === '') return
          logFor(plan, { kind: 'deviated', stepId: step.id, title: step.title, reason: said })
          onClose()
        }}
      >
        Put it in the log
      </button>
    </Modal>
  )
}
