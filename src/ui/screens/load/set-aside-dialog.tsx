'use client'
import { Labelled } from '@/ui/kit/labelled'
import { Problem } from '@/ui/kit/field-note'
import { CONTROL_CLASS } from '@/ui/kit/control-class'
import { TextBox } from '@/ui/kit/field'
import { Button } from '@/ui/kit/button'
import { ASIDE_FIELDS } from '@/core/api/fields'
import { type Finding, findingText } from '@/core/api/assess'
import { useState } from 'react'
import { Modal } from '@/ui/kit/modal'
import { useSettings } from '@/ui/state/settings-store'
import { today } from '@/ui/state/today'
import { planStore } from '@/ui/state/plan-store'

/** A question set aside for this job, by a person with a name and for a reason: the state keeps its word, and the sheet opens with it. */
export function SetAsideDialog({ findings, onClose }: { findings: readonly Finding[]; onClose: () => void }) {
  const fitter = useSettings((store) => store.settings.fitter)
  const [by, setBy] = useState(fitter)
  const [reason, setReason] = useState('')
  const [asked, setAsked] = useState(false)
  const lacking = by.trim() === '' || reason.trim() === ''
  const setAside = () => {
    setAsked(true)
    if (lacking) return
    const { run } = planStore.getState()
    for (const finding of findings)
      run({
        do: 'setAside',
        aside: {
          findingId: finding.id,
          said: findingText(finding),
          by: by.trim(),
          reason: reason.trim(),
          on: today(),
        },
      })
    onClose()
  }
  return (
    <Modal title="Set aside for this job" onClose={onClose}>
      <p className="mb-2">
        It stays Find out and heads the handover sheet. It is asked again when the facts behind it change.
      </p>
      <TextBox label={ASIDE_FIELDS.by.label} maxLength={80} value={by} onText={setBy} />
      <Labelled label={ASIDE_FIELDS.reason.label} className="mt-2">
        {(control) => (
          <textarea
            {...control}
            data-first-focus
            className={`${CONTROL_CLASS.textarea} h-24`}
            maxLength={1000}
            value={reason}
            onChange={(event) => setReason(event.target.value)}
          />
        )}
      </Labelled>
      {asked && lacking && <Problem>Enter who sets it aside, and why.</Problem>}
      <Button variant="solid" className="mt-3" onClick={setAside}>
        Set it aside
      </Button>
    </Modal>
  )
}
