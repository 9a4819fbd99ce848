'use client'
import { CONTROL_CLASS } from '@/ui/kit/control-class'
import { TickBox } from '@/ui/kit/field'
import type { Finding } from '@/core/api/assess'
import type { Hold, Step } from '@/core/api/fit'
import { phraseText, type Plan } from '@/core/api/plan'
import { useState } from 'react'
import { logFor } from '@/ui/state/log-store'
import { ReasonDialog } from '@/ui/kit/reason-dialog'
import { useUnits } from '@/ui/state/settings-store'
import { NameField, useShiftName } from './name-field'

/**
 * Says what was done other than the sheet has it, and why: it goes into the log and onto the handover sheet. It lets pass
 * only what it is said to be about; a joint over its figure is never among that.
 */
export function DiffersDialog({
  plan,
  step,
  holds,
  findings,
  onClose,
}: {
  plan: Plan
  step: Step
  holds: readonly Hold[]
  findings: readonly Finding[]
  onClose: () => void
}) {
  const units = useUnits()
  const [about, setAbout] = useState<readonly string[]>([])
  const open = holds.filter(({ coverable }) => coverable)
  const { name, asks } = useShiftName()
  const wordsOf = ({ id, message, words }: Hold) => {
    const phrase = words ?? findings.find((each) => each.id === id)?.sentence
    return phrase ? phraseText(phrase, units) : message.replace(', or say what differs', '')
  }
  return (
    <ReasonDialog
      title="Say what differs"
      label="What was done, and why"
      without="Write a reason: without one nobody can judge it later."
      lacks={about.length > 0 && name.trim() === '' ? 'Enter who says so. A waiver needs a name.' : undefined}
      action="Put it in the log"
      onReason={(reason) => {
        logFor(plan, {
          kind: 'deviated',
          stepId: step.id,
          title: step.title,
          reason,
          ...(about.length > 0 && { about: [...about] }),
        })
      }}
      onClose={onClose}
    >
      {step.title}
      {open.length > 0 && (
        <fieldset className="mt-2 grid gap-1">
          <legend className={CONTROL_CLASS.label}>Applies to (nothing else is waived)</legend>
          {open.map((hold) => (
            <TickBox
              key={hold.id}
              checked={about.includes(hold.id)}
              onTick={(on) => setAbout(on ? [...about, hold.id] : about.filter((each) => each !== hold.id))}
            >
              {wordsOf(hold)}
            </TickBox>
          ))}
        </fieldset>
      )}
      {asks && <NameField />}
    </ReasonDialog>
  )
}
