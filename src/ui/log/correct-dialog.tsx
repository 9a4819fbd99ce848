'use client'
import { useState } from 'react'
import { EVENT_WORD, type LogEvent } from '@/core/bay/log/event'
import { eventText } from '@/core/formats/log-file'
import { Modal } from '@/ui/shell/modal'
import { useLog } from './log-store'

/** Strikes an entry out, with the reason. */
export function CorrectDialog({ event, onClose }: { event: LogEvent; onClose: () => void }) {
  const [reason, setReason] = useState('')
  const [asked, setAsked] = useState(false)
  const add = useLog((store) => store.add)
  const said = reason.trim()
  return (
    <Modal title="Correct an entry" onClose={onClose}>
      <p className="mb-2">
        {EVENT_WORD[event.kind]}: {eventText(event)}. It stays in the log, struck out; what is right goes in
        as a new entry.
      </p>
      <label className="field-label" htmlFor="correct">
        Why it does not count
      </label>
      <input
        id="correct"
        data-first-focus
        className="field"
        value={reason}
        maxLength={1000}
        aria-invalid={asked && said === ''}
        onChange={(each) => {
          setReason(each.target.value)
        }}
      />
      {asked && said === '' && <p className="field-problem">Write why: the log is read by others.</p>}
      <button
        type="button"
        className="plain solid mt-3"
        onClick={() => {
          setAsked(true)
          if (said === '') return
          void add(
            { vehicleId: event.vehicleId, ...(event.jobId === undefined ? {} : { jobId: event.jobId }) },
            [{ kind: 'corrected', eventId: event.id, reason: said }],
          )
          onClose()
        }}
      >
        Strike it out
      </button>
    </Modal>
  )
}
