'use client'
import { Section } from '@/ui/kit/section'
import { Button } from '@/ui/kit/button'
import { bayRulesOf, DEFAULT_HOUSE_RULES } from '@/core/api/plan'
import { calendarFile, logCsv, printLog } from '@/core/api/files'
import { carName, carOf, carsByJob, dueOf, isOverdue, perhapsSame } from '@/core/api/fit'
import { downloadText } from '@/ui/kit/download'
import { useSettings } from '@/ui/state/settings-store'
import { useToday } from '@/ui/state/use-today'
import { AddEvent } from './add-event'
import { recordOf, useLog } from '@/ui/state/log-store'
import { usePlansOf } from '@/ui/state/stored-plans'
import { VisitList } from './visit-list'
import { WhoseCar } from '@/ui/forms/whose-car'

/** One car's log: what is due, what is on, and every entry. */
export function VehicleLog({ carId, onParted }: { carId: string; onParted: () => void }) {
  const events = useLog((store) => store.events)
  const jobs = useLog((store) => store.jobs)
  const add = useLog((store) => store.add)
  const house = useSettings((store) => store.settings.house)
  const day = useToday()
  const cars = carsByJob(jobs)
  const own = events.filter((event) => carOf(event, cars) === carId)
  const about = jobs.filter(({ car }) => car.id === carId)
  const theirs = usePlansOf(
    about.map(({ id }) => id),
    jobs,
  )
  const name = about[0] ? carName(about[0]) : carId
  const dues = dueOf(own, bayRulesOf(house ?? DEFAULT_HOUSE_RULES), theirs)
  const record = recordOf(own)
  return (
    <>
      <div className="flex flex-wrap items-center gap-2 pt-3">
        <h2 className="flex-1 text-xl">{name}</h2>
        <Button onClick={() => downloadText(`log-${carId}.csv`, logCsv(own), 'text/csv')}>CSV file</Button>
        <Button onClick={() => downloadText(`log-${carId}.json`, printLog(own), 'application/json')}>
          JSON file
        </Button>
        <Button
          disabled={dues.length === 0}
          onClick={() => {
            downloadText(
              `due-${carId}.ics`,
              calendarFile(dues, { vehicle: name, jobId: carId, madeAt: new Date().toISOString() }),
              'text/calendar',
            )
          }}
        >
          Calendar file
        </Button>
      </div>
      {theirs.map((plan) => (
        <WhoseCar key={plan.id} plan={plan} perhaps={perhapsSame(plan, jobs)} onParted={onParted} />
      ))}
      <div className="log-page">
        <div>
          <Section level={3} id="log-due" title="Due">
            {dues.length === 0 && <p>Nothing is due: this log has no rack on the car.</p>}
            <ul>
              {dues.map((due) => (
                <li
                  key={due.id}
                  className={`flex items-center justify-between gap-2.5 py-1.5 ${isOverdue(due, day) ? 'border-error border-[2.5px] px-2.5' : 'border-hair border-b-1'}`}
                >
                  <span>
                    <strong>{due.on}</strong>
                    {isOverdue(due, day) ? ' overdue' : ''}
                    <span className="block">
                      {due.what}: {due.why}
                      {due.km === undefined ? '' : `, or after ${due.km} km`}
                    </span>
                  </span>
                  <Button
                    aria-label={`Checked: ${due.what}`}
                    onClick={() => void add({ vehicleId: carId }, [{ kind: 'checked', what: due.what }])}
                  >
                    Checked
                  </Button>
                </li>
              ))}
            </ul>
          </Section>
          <Section level={3} id="log-rack" title="The rack now">
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
          </Section>
          <AddEvent vehicleId={carId} racks={theirs.flatMap(({ racks }) => racks)} />
        </div>
        <Section
          level={3}
          id="log-entries"
          title={`${own.length} ${own.length === 1 ? 'entry' : 'entries'}, newest first`}
        >
          <VisitList
            events={own}
            counting={record.counting}
            jobName={(id) => jobs.find((job) => job.id === id)?.job.name}
          />
        </Section>
      </div>
    </>
  )
}
