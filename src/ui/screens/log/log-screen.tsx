'use client'
import { Alert } from '@/ui/kit/alert'
import { PageBar } from '@/ui/kit/page-bar'
import { JobBar } from '@/ui/job/job-bar'
import { bayRulesOf, carName, carOf, carsByJob, DEFAULT_HOUSE_RULES, dueOf, type LogEvent } from '@/core'
import { useEffect, useMemo, useState } from 'react'
import { useSettings } from '@/ui/state/settings-store'
import { today } from '@/ui/state/today'
import { useJob } from '@/ui/state/use-job'
import { useSearch } from '@/ui/state/use-search'
import { CarPicker } from './car-picker'
import { useLog } from '@/ui/state/log-store'
import { TakeInLog } from './take-in-log'
import { useStoredPlans } from '@/ui/state/stored-plans'
import { VehicleLog } from './vehicle-log'

/** What happened to each vehicle's rack and what is due, overdue first. */
export function LogScreen() {
  const vehicle = useSearch('vehicle')
  const found = useJob(useSearch('job'))
  const job = typeof found === 'string' ? undefined : found
  const ready = useSettings((store) => store.ready)
  const open = useLog((store) => store.open)
  const read = useLog((store) => store.ready)
  const trouble = useLog((store) => store.trouble)
  const events = useLog((store) => store.events)
  const house = useSettings((store) => store.settings.house)
  const [picked, setPicked] = useState<string>()
  const [reads, setRead] = useState(0)
  const { plans, unread } = useStoredPlans(reads, ready)
  useEffect(() => {
    if (ready) void open()
  }, [ready, open, reads])
  const cars = useMemo(() => carsByJob(plans), [plans])
  const names = useMemo(() => new Map(plans.map((plan) => [plan.car.id, carName(plan)])), [plans])
  const vehicles = useMemo(() => {
    const rules = bayRulesOf(house ?? DEFAULT_HOUSE_RULES)
    const byCar = new Map<string, LogEvent[]>([...names.keys()].map((id) => [id, []]))
    for (const event of events) {
      const id = carOf(event, cars)
      const own = byCar.get(id)
      if (own) own.push(event)
      else byCar.set(id, [event])
    }
    return [...byCar]
      .map(([id, own]) => ({
        id,
        name: names.get(id) ?? id,
        next: dueOf(own, rules)[0]?.on,
        count: own.length,
      }))
      .sort(
        (a, b) =>
          (a.next ?? '9999').localeCompare(b.next ?? '9999') ||
          b.count - a.count ||
          a.name.localeCompare(b.name),
      )
  }, [cars, names, events, house])
  const day = today()
  const shown = picked ?? vehicle ?? vehicles[0]?.id
  return (
    <div>
      {job ? (
        <JobBar plan={job} at="log" screen="Log">
          <TakeInLog carOf={(event) => carOf(event, cars)} nameOf={(id) => names.get(id)} />
        </JobBar>
      ) : (
        <PageBar title="What was done to each car" at="log">
          <TakeInLog carOf={(event) => carOf(event, cars)} nameOf={(id) => names.get(id)} />
        </PageBar>
      )}
      {trouble !== undefined && <Alert look="error">{trouble}</Alert>}
      <main className="mx-auto max-w-[1300px] px-4 pb-8">
        {!read ? (
          <p className="py-6 text-xl">Fetching the log.</p>
        ) : (
          <>
            <CarPicker cars={vehicles} shown={shown} day={day} onPick={setPicked} />
            {unread > 0 && (
              <p className="border-hair border-b py-2">
                {unread === 1 ? 'A job of this browser' : `${unread} jobs of this browser`} cannot be read:
                whether {unread === 1 ? 'it shares' : 'they share'} one of these logs is not known.
              </p>
            )}
            {shown === undefined ? (
              <p className="py-6">No vehicle yet.</p>
            ) : (
              <VehicleLog
                key={shown}
                carId={shown}
                plans={plans}
                onParted={() => setRead((count) => count + 1)}
              />
            )}
          </>
        )}
      </main>
    </div>
  )
}
