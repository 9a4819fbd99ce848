'use client'
import { EVENT_WORD, eventText, type LogEvent } from '@/core'
import { ReasonDialog } from '@/ui/kit/reason-dialog'
import { useLog } from '@/ui/state/log-store'

/** Strikes an entry out, with the reason. */
export function CorrectDialog({ event, onClose }: { event: LogEvent; onClose: () => void }) {
  const add = useLog((store) => store.add)
  const { vehicleId, jobId } = event
  return (
    <ReasonDialog
      title="Correct an entry"
      label="Why it does not count"
      without="Write why: the log is read by others."
      action="Strike it out"
      onReason={(reason) => {
        void add({ vehicleId, ...(jobId === undefined ? {} : { jobId }) }, [
          { kind: 'corrected', eventId: event.id, reason },
        ])
      }}
      onClose={onClose}
    >
      {EVENT_WORD[event.kind]}: {eventText(event)}. It stays in the log, struck out; what is right goes in as
      a new entry.
    </ReasonDialog>
  )
}
