'use client'
import { useLog } from '@/ui/state/log-store'
import { ReasonDialog } from '@/ui/kit/reason-dialog'
import { Table } from '@/ui/kit/table'
import { Button } from '@/ui/kit/button'
import { EVENT_WORD, type LogEvent, replacements, type Visit, visitsOf, visitWords } from '@/core/api/fit'
import { eventText } from '@/core/api/files'
import { useState } from 'react'

/** Strikes an entry out, with the reason. */
function CorrectDialog({ event, onClose }: { event: LogEvent; onClose: () => void }) {
  const add = useLog((store) => store.add)
  const { vehicleId, jobId } = event
  return (
    <ReasonDialog
      title="Correct an entry"
      label="Reason"
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

type Standing = '' | ' (struck out)' | ' (replaced)'

/** One visit: a line that opens, and is written out only then. */
function VisitLine({
  visit,
  opens,
  jobName,
  standing,
  byId,
  onCorrect,
}: {
  visit: Visit
  /** Whether it is open from the start. */
  opens: boolean
  jobName: string | undefined
  standing: (event: LogEvent) => Standing
  byId: ReadonlyMap<string, LogEvent>
  onCorrect: (event: LogEvent) => void
}) {
  const [open, setOpen] = useState(opens)
  return (
    <details
      open={opens}
      onToggle={(event) => setOpen(event.currentTarget.open)}
      className="border-hair border-b-1"
    >
      <summary className="min-h-11 cursor-pointer py-2">
        <strong>{visit.day}</strong> ·{' '}
        {visit.jobId === undefined ? 'by hand' : (jobName ?? 'a job that is not here')}
        {visit.by.length > 0 ? `, ${visit.by.join(', ')}` : ''}: {visitWords(visit)}
      </summary>
      {open && (
        <div className="overflow-x-auto" role="region" aria-label={`Entries of ${visit.day}`} tabIndex={0}>
          <Table>
            <thead>
              <tr>
                <th scope="col">At</th>
                <th scope="col">Entry</th>
                <th scope="col">By</th>
                <th scope="col">
                  <span className="sr-only">Tools</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {visit.events.toReversed().map((event) => (
                <tr key={event.id} className={standing(event) === '' ? '' : 'line-through text-ink2'}>
                  <td className="whitespace-nowrap">{event.at.slice(11, 16)}</td>
                  <th scope="row" className="font-normal">
                    <strong>{EVENT_WORD[event.kind]}</strong> {eventText(event, byId)}
                    {event.note === undefined ? '' : ` (${event.note})`}
                    {standing(event)}
                  </th>
                  <td>{event.by ?? ''}</td>
                  <td>
                    {standing(event) !== ' (struck out)' && (
                      <Button
                        variant="word"
                        aria-label={`Correct: ${EVENT_WORD[event.kind]} ${eventText(event, byId)}`}
                        onClick={() => onCorrect(event)}
                      >
                        Correct
                      </Button>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </Table>
        </div>
      )}
    </details>
  )
}

/** So many visits are listed at first. */
const LISTED = 60

/** A log as its visits, newest first: each a line that opens. */
export function VisitList({
  events,
  counting,
  jobName,
}: {
  events: readonly LogEvent[]
  /** The entries that were not struck out. */
  counting: readonly LogEvent[]
  jobName: (jobId: string) => string | undefined
}) {
  const [correcting, setCorrecting] = useState<LogEvent>()
  const [listed, setListed] = useState(LISTED)
  const visits = visitsOf(events).toReversed()
  const byId = new Map(events.map((event) => [event.id, event]))
  const counts = new Set(counting.map(({ id }) => id))
  const replaced = replacements(counting)
  const standing = (event: LogEvent): Standing =>
    !counts.has(event.id) ? ' (struck out)' : replaced.has(event.id) ? ' (replaced)' : ''
  return (
    <>
      {visits.slice(0, listed).map((visit, i) => (
        <VisitLine
          key={visit.id}
          visit={visit}
          opens={i === 0}
          jobName={visit.jobId === undefined ? undefined : jobName(visit.jobId)}
          standing={standing}
          byId={byId}
          onCorrect={setCorrecting}
        />
      ))}
      {listed < visits.length && (
        <Button variant="word" onClick={() => setListed((count) => count + LISTED)}>
          {visits.length - listed} earlier visits
        </Button>
      )}
      {correcting && <CorrectDialog event={correcting} onClose={() => setCorrecting(undefined)} />}
    </>
  )
}
