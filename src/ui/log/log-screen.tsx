'use client'
import Link from 'next/link'
import { useEffect, useMemo, useState } from 'react'
import { dueOf, isOverdue } from '@/core/bay/due'
import { EVENT_WORD, type LogEvent } from '@/core/bay/log/event'
import { countingEvents } from '@/core/bay/log/replay'
import { eventText, logCsv, printLog } from '@/core/formats/log-file'
import { calendarFile } from '@/core/formats/calendar'
import type { Plan } from '@/core/plan/plan'
import { bayRulesOf, DEFAULT_HOUSE_RULES } from '@/core/rules/house'
import { loadPlans } from '@/storage/plans'
import { downloadText } from '@/ui/shell/download'
import { Mark } from '@/ui/shell/mark'
import { Modal } from '@/ui/shell/modal'
import { useSettings } from '@/ui/shell/settings-store'
import { today } from '@/ui/shell/today'
import { AddEvent } from './add-event'
import { recordOf, useLog } from './log-store'
import { useSearch } from '@/ui/shell/use-search'

function Correct({ event, onClose }: { event: LogEvent; onClose: () => void }) {
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

const timeOf = ({ at }: LogEvent) => `${at.slice(0, 10)} ${at.slice(11, 16)}`

function VehicleLog({ vehicleId, plans }: { vehicleId: string; plans: readonly Plan[] }) {
  const events = useLog((store) => store.events)
  const add = useLog((store) => store.add)
  const house = useSettings((store) => store.settings.house)
  const [day] = useState(today)
  const [correcting, setCorrecting] = useState<LogEvent>()
  const own = useMemo(() => events.filter((event) => event.vehicleId === vehicleId), [events, vehicleId])
  const theirs = plans.filter((plan) => plan.vehicle.id === vehicleId)
  const name = theirs[0]?.vehicle.name ?? vehicleId
  const dues = useMemo(
    () =>
      dueOf(
        own,
        bayRulesOf(house ?? DEFAULT_HOUSE_RULES),
        plans.filter((plan) => plan.vehicle.id === vehicleId),
      ),
    [own, house, plans, vehicleId],
  )
  const record = recordOf(events, vehicleId)
  const counting = useMemo(() => new Set(countingEvents(own).map(({ id }) => id)), [own])
  return (
    <>
      <div className="flex flex-wrap items-center gap-2 pt-3">
        <h2 className="flex-1 text-xl">{name}</h2>
        <button
          type="button"
          className="plain"
          onClick={() => {
            downloadText(`log-${vehicleId}.csv`, logCsv(own), 'text/csv')
          }}
        >
          CSV file
        </button>
        <button
          type="button"
          className="plain"
          onClick={() => {
            downloadText(`log-${vehicleId}.json`, printLog(own), 'application/json')
          }}
        >
          JSON file
        </button>
        <button
          type="button"
          className="plain"
          disabled={dues.length === 0}
          onClick={() => {
            downloadText(
              `due-${vehicleId}.ics`,
              calendarFile(dues, { vehicle: name, jobId: vehicleId, madeAt: new Date().toISOString() }),
              'text/calendar',
            )
          }}
        >
          Calendar file
        </button>
      </div>
      <div className="log-grid">
        <div>
          <section aria-label="What is due" className="forces-panel">
            <h3 className="text-[17px]">Due</h3>
            {dues.length === 0 && <p>Nothing is due: no rack is on, as far as this log goes.</p>}
            <ul>
              {dues.map((due) => (
                <li key={due.id} className={`log-due ${isOverdue(due, day) ? 'bay-finding bay-stop' : ''}`}>
                  <span>
                    <strong>{due.on}</strong>
                    {isOverdue(due, day) ? ' overdue' : ''}
                    <span className="block">
                      {due.what}: {due.why}
                      {due.km === undefined ? '' : `, or after ${due.km} km`}
                    </span>
                  </span>
                  <button
                    type="button"
                    className="plain"
                    aria-label={`Checked: ${due.what}`}
                    onClick={() => {
                      void add({ vehicleId }, [{ kind: 'checked', what: due.what }])
                    }}
                  >
                    Checked
                  </button>
                </li>
              ))}
            </ul>
          </section>
          <section aria-label="The rack now" className="forces-panel">
            <h3 className="text-[17px]">The rack now</h3>
            <ul>
              {record.racks.map((rack) => (
                <li key={rack.rackId}>
                  {rack.what}: {rack.on ? 'on' : 'off'} since {rack.since.slice(0, 10)}
                </li>
              ))}
              {[...record.missing].map(([what, count]) => (
                <li key={what} className="font-semibold">
                  Missing: {count} × {what}
                </li>
              ))}
              {record.racks.length === 0 && <li>Nothing was fitted yet.</li>}
            </ul>
          </section>
          <AddEvent vehicleId={vehicleId} racks={theirs.flatMap(({ racks }) => racks)} />
        </div>
        <section aria-label="Entries" className="forces-panel min-w-0">
          <h3 className="text-[17px]">
            {own.length} {own.length === 1 ? 'entry' : 'entries'}, newest first
          </h3>
          <div className="overflow-x-auto" role="region" aria-label="Log" tabIndex={0}>
            <table className="forces-table">
              <thead>
                <tr>
                  <th scope="col">When</th>
                  <th scope="col">Entry</th>
                  <th scope="col">By</th>
                  <th scope="col">
                    <span className="sr-only">Tools</span>
                  </th>
                </tr>
              </thead>
              <tbody>
                {own.toReversed().map((event) => (
                  <tr key={event.id} className={counting.has(event.id) ? '' : 'log-struck'}>
                    <td className="whitespace-nowrap">{timeOf(event)}</td>
                    <th scope="row" className="font-normal">
                      <strong>{EVENT_WORD[event.kind]}</strong> {eventText(event)}
                      {event.note === undefined ? '' : ` (${event.note})`}
                      {counting.has(event.id) ? '' : ' (struck out)'}
                    </th>
                    <td>{event.by ?? ''}</td>
                    <td>
                      {counting.has(event.id) && (
                        <button
                          type="button"
                          className="quiet"
                          aria-label={`Correct: ${EVENT_WORD[event.kind]} ${eventText(event)}`}
                          onClick={() => {
                            setCorrecting(event)
                          }}
                        >
                          Correct
                        </button>
                      )}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </section>
      </div>
      {correcting && (
        <Correct
          event={correcting}
          onClose={() => {
            setCorrecting(undefined)
          }}
        />
      )}
    </>
  )
}

/** What happened to each vehicle's rack and what is due, overdue first. */
export function LogScreen() {
  const vehicle = useSearch('vehicle')
  const ready = useSettings((store) => store.ready)
  const open = useLog((store) => store.open)
  const read = useLog((store) => store.ready)
  const trouble = useLog((store) => store.trouble)
  const events = useLog((store) => store.events)
  const house = useSettings((store) => store.settings.house)
  const [plans, setPlans] = useState<readonly Plan[]>([])
  const [picked, setPicked] = useState<string>()
  useEffect(() => {
    if (!ready) return
    void open()
    loadPlans()
      .then((stored) => {
        setPlans(stored.flatMap((each) => (each.ok ? [each.plan] : [])))
      })
      .catch(() => {
        setPlans([])
      })
  }, [ready, open])
  const vehicles = useMemo(() => {
    const rules = bayRulesOf(house ?? DEFAULT_HOUSE_RULES)
    const names = new Map(plans.map((plan) => [plan.vehicle.id, plan.vehicle.name]))
    const ids = [...new Set([...events.map(({ vehicleId }) => vehicleId), ...names.keys()])]
    return ids
      .map((id) => {
        const own = events.filter(({ vehicleId }) => vehicleId === id)
        return { id, name: names.get(id) ?? id, next: dueOf(own, rules)[0]?.on, count: own.length }
      })
      .sort(
        (a, b) =>
          (a.next ?? '9999').localeCompare(b.next ?? '9999') ||
          b.count - a.count ||
          a.name.localeCompare(b.name),
      )
  }, [plans, events, house])
  const day = today()
  const shown = picked ?? vehicle ?? vehicles[0]?.id
  return (
    <div>
      <header className="bay-head">
        <Mark />
        <h1 className="flex-1 text-[17px]">Log</h1>
        <Link href="/" className="plain">
          All jobs
        </Link>
      </header>
      {trouble !== undefined && (
        <p role="alert" className="bg-error text-error-content px-4 py-2 font-semibold">
          {trouble}
        </p>
      )}
      <main className="mx-auto max-w-[1300px] px-4 pb-8">
        {!read ? (
          <p className="py-6 text-xl">Fetching the log.</p>
        ) : (
          <>
            <nav aria-label="Vehicles" className="flex flex-wrap gap-1.5 pt-3">
              {vehicles.map(({ id, name, next }) => (
                <button
                  key={id}
                  type="button"
                  className={`plain ${shown === id ? 'solid' : ''}`}
                  aria-pressed={shown === id}
                  onClick={() => {
                    setPicked(id)
                  }}
                >
                  {name}
                  {next !== undefined && (
                    <span className="font-normal">{next < day ? `overdue ${next}` : next}</span>
                  )}
                </button>
              ))}
            </nav>
            {shown === undefined ? (
              <p className="py-6">No vehicle yet.</p>
            ) : (
              <VehicleLog key={shown} vehicleId={shown} plans={plans} />
            )}
          </>
        )}
      </main>
    </div>
  )
}
