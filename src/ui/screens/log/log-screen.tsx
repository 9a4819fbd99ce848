'use client'
import { Alert } from '@/ui/kit/alert'
import { PageBar } from '@/ui/app/page-bar'
import { JobBar } from '@/ui/job/job-bar'
import { bayRulesOf, DEFAULT_HOUSE_RULES } from '@/core/api/plan'
import { carName, carOf, carsByJob } from '@/core/api/fit'
import { useEffect, useState } from 'react'
import { type ListedCar, listCars } from '@/storage/car-logs'
import { onSaved } from '@/storage/saved-elsewhere'
import { whyNotSaved } from '@/storage/save-result'
import { useSettings } from '@/ui/state/settings-store'
import { useToday } from '@/ui/state/use-today'
import { useJob } from '@/ui/state/use-job'
import { useSearch } from '@/ui/state/use-search'
import { CarPicker } from './car-picker'
import { isLogHere, useLog } from '@/ui/state/log-store'
import { ImportLog } from './import-log'
import { VehicleLog } from './vehicle-log'

const nameOf = ({ id, about }: ListedCar) => (about ? carName(about) : id)

const byName = new Intl.Collator().compare
const byDay = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0)

/** Those due first, then those of which most is written. */
const listed = (cars: readonly ListedCar[]) =>
  cars
    .map((car) => ({ ...car, name: nameOf(car) }))
    .sort((a, b) => byDay(a.next ?? '9999', b.next ?? '9999') || b.count - a.count || byName(a.name, b.name))

/** Every car with a log or a job, read again whenever `again` changes or another tab writes; nothing until it is there. */
function useCars(ready: boolean, again: unknown) {
  const house = useSettings((store) => store.settings.house)
  const [cars, setCars] = useState<ReturnType<typeof listed>>()
  const [trouble, setTrouble] = useState<string>()
  const [elsewhere, setElsewhere] = useState(0)
  useEffect(
    () =>
      onSaved(({ shelf }) => {
        if (shelf === 'log' || shelf === 'plans') setElsewhere((count) => count + 1)
      }),
    [],
  )
  useEffect(() => {
    if (!ready) return
    let wanted = true
    listCars(bayRulesOf(house ?? DEFAULT_HOUSE_RULES))
      .then((found) => {
        if (wanted) setCars(listed(found))
      })
      .catch((error: unknown) => {
        if (wanted) setTrouble(whyNotSaved(error))
      })
    return () => {
      wanted = false
    }
  }, [ready, house, again, elsewhere])
  return { cars, unlisted: trouble }
}

/** What happened to each vehicle's rack and what is due, overdue first. */
export function LogScreen() {
  const vehicle = useSearch('vehicle')
  const found = useJob(useSearch('job'))
  const job = typeof found === 'string' ? undefined : found
  const ready = useSettings((store) => store.ready)
  const open = useLog((store) => store.open)
  const of = useLog((store) => store.of)
  const glimpsed = useLog((store) => store.glimpsed)
  const trouble = useLog((store) => store.trouble)
  const unread = useLog((store) => store.unread)
  const writes = useLog((store) => store.writes)
  const jobs = useLog((store) => store.jobs)
  const [picked, setPicked] = useState<string>()
  const [reads, setReads] = useState(0)
  const asked = picked ?? vehicle
  const isThere = (id: string) => isLogHere(of, { carId: id }) || glimpsed.includes(id)
  // The car that was asked for goes before the list of all of them.
  const { cars, unlisted } = useCars(ready && (asked === undefined || isThere(asked)), `${reads} ${writes}`)
  const shown = asked ?? cars?.[0]?.id
  useEffect(() => {
    if (ready && shown !== undefined) void open({ carId: shown })
  }, [ready, open, shown, reads])
  const carsOf = carsByJob(jobs)
  const nameById = new Map(cars?.map(({ id, name }) => [id, name]))
  const day = useToday()
  const takeIn = <ImportLog carOf={(event) => carOf(event, carsOf)} nameOf={(id) => nameById.get(id)} />
  const read = shown !== undefined && isThere(shown)
  return (
    <div>
      {job ? (
        <JobBar plan={job} at="log">
          {takeIn}
        </JobBar>
      ) : (
        <PageBar screen="log" about="the work on each car">
          {takeIn}
        </PageBar>
      )}
      {trouble !== undefined && <Alert variant="error">{trouble}</Alert>}
      {unlisted !== undefined && <Alert variant="error">The cars cannot be listed. {unlisted}</Alert>}
      <main className="mx-auto max-w-[1300px] px-4 pb-8">
        {cars && <CarPicker cars={cars} shown={shown} day={day} onPick={setPicked} />}
        {unread > 0 && (
          <p className="border-hair border-b-1 py-2">
            {unread === 1 ? 'A job of this browser' : `${unread} jobs of this browser`} cannot be read:
            whether {unread === 1 ? 'it shares' : 'they share'} one of these logs is not known.
          </p>
        )}
        {read ? (
          <VehicleLog key={shown} carId={shown} onParted={() => setReads((count) => count + 1)} />
        ) : (
          <p className="py-6 text-xl">
            {cars?.length === 0 && shown === undefined ? 'No vehicle yet.' : 'Fetching the log.'}
          </p>
        )}
      </main>
    </div>
  )
}
