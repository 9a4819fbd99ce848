'use client'
import { Labelled } from './labelled'
import { Problem } from './field-note'
import { CONTROL_CLASS } from './control-class'
import { Button } from './button'
import { useState, type ReactNode } from 'react'
import { Modal } from './modal'

/** Asks for a reason that others will read: none is refused, and what was typed stays. */
export function ReasonDialog({
  title,
  label,
  without,
  lacks,
  action,
  onReason,
  onClose,
  children,
}: {
  title: string
  label: string
  /** What is said when nothing was written. */
  without: string
  /** What else is still wanted before it can be taken. */
  lacks?: string | undefined
  action: string
  onReason: (reason: string) => void
  onClose: () => void
  children: ReactNode
}) {
  const [reason, setReason] = useState('')
  const [asked, setAsked] = useState(false)
  const text = reason.trim()
  const lacking = asked && text === ''
  return (
    <Modal title={title} onClose={onClose}>
      <div className="mb-2">{children}</div>
      <Labelled label={label} problem={lacking ? without : undefined}>
        {(control) => (
          <textarea
            {...control}
            data-first-focus
            className={`${CONTROL_CLASS.textarea} h-28`}
            maxLength={1000}
            value={reason}
            onChange={(event) => setReason(event.target.value)}
          />
        )}
      </Labelled>
      {asked && lacks !== undefined && <Problem>{lacks}</Problem>}
      <Button
        variant="solid"
        className="mt-3"
        onClick={() => {
          setAsked(true)
          if (text === '' || lacks !== undefined) return
          onReason(text)
          onClose()
        }}
      >
        {action}
      </Button>
    </Modal>
  )
}
