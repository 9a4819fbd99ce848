'use client'
import { PageBar } from '@/ui/app/page-bar'
import { TextBox } from '@/ui/kit/field'
import { Button, ButtonLink } from '@/ui/kit/button'
import { to } from '@/ui/routes'
import { newPlan, type Plan, type Rack, type Vehicle } from '@/core/api/plan'
import { assess, racksForLike } from '@/core/api/assess'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { savePlan, loadPlan } from '@/storage/plans'
import { Alert } from '@/ui/kit/alert'
import { useSettings } from '@/ui/state/settings-store'
import { useStock } from '@/ui/state/stock'
import { CarBefore, newCar, type WhoseCarDraft } from './car-before'
import { Thumbnail } from '@/ui/drawing/thumbnail'
import { useSearch } from '@/ui/state/use-search'

function Offer({
  title,
  note,
  vehicle,
  rack,
  pressed,
  onChoose,
}: {
  title: string
  note: string
  vehicle: Vehicle
  rack?: Rack
  pressed: boolean
  onChoose: () => void
}) {
  const drawn = assess(
    newPlan({ id: 'drawing', job: { name: title }, vehicle, racks: rack ? [rack] : [] }),
  ).survey
  return (
    <button
      type="button"
      aria-pressed={pressed}
      className="block border border-edge bg-paper text-left cursor-pointer aria-pressed:[outline:3.5px_solid_var(--color-base-content)] aria-pressed:outline-offset-[-2px] aria-pressed:focus-visible:[outline-color:var(--color-accent)]"
      onClick={onChoose}
    >
      <Thumbnail survey={drawn} />
      <span className="block px-3 py-2">
        <span className="block leading-tight font-semibold">{title}</span>
        <span className="text-ink2 text-aside">{note}</span>
      </span>
    </button>
  )
}

/** Why no rack is offered for a vehicle, and what comes nearest. */
function noRackWords({ attachments }: Vehicle, likely: readonly Rack[]): string {
  if (attachments.length === 0) return 'Nothing on this vehicle holds a rack yet: change the vehicle first.'
  const names = likely.slice(0, 3).map(({ name }) => name)
  return names.length === 0
    ? `No rack in stock was entered for ${attachments.map(({ name }) => name).join(' or ')}. Enter one, or start without.`
    : `No rack in stock was entered for this vehicle. Nearest: ${names.join(', ')}, entered for another vehicle with the same kind of mount. Start without a rack, then try ${names.length === 1 ? 'it' : 'them'} under Racks.`
}

/** A new job in three choices: a vehicle, what rack it wears, and a name. */
export function StartScreen() {
  const vehicleId = useSearch('vehicle')
  const rackId = useSearch('rack')
  const router = useRouter()
  const ready = useSettings((store) => store.ready)
  const own = useSettings((store) => store.own)
  const house = useSettings((store) => store.settings.house)
  const [chosenVehicle, setVehicle] = useState(vehicleId)
  const [chosenRacks, setRacks] = useState<readonly string[]>(rackId?.split(',') ?? [])
  const [name, setName] = useState('')
  const [trouble, setTrouble] = useState<string>()
  const [whose, setWhose] = useState<WhoseCarDraft>({ plate: '', number: '', customer: '' })
  const { vehicles, racks } = useStock()
  const vehicle = vehicles.find((each) => each.id === chosenVehicle)
  const fitting = racks.filter((rack) =>
    vehicle?.attachments.some((attachment) => attachment.id === rack.attachmentId),
  )
  const chosen = fitting.filter((rack) => chosenRacks.includes(rack.id))

  const start = async (from: Pick<Plan, 'vehicle' | 'racks' | 'car'>, usualName: string) => {
    const customer = whose.customer.trim()
    const plan = newPlan({
      id: `plan-${crypto.randomUUID()}`,
      job: {
        name: name.trim() === '' ? usualName : name.trim(),
        ...(customer === '' ? {} : { customer }),
      },
      ...from,
      ...(house === undefined ? {} : { rules: house }),
    })
    // Where it cannot be kept it waits in this page, and the bar of every screen says so.
    await savePlan(plan)
    router.push(to('load', { job: plan.id }))
  }
  const begin = async () => {
    if (vehicle)
      await start({ vehicle, racks: chosen, car: newCar(whose, vehicle.id) }, `${vehicle.name}, new job`)
  }
  /** The car as it went out last: what is on it is on when it comes. */
  const again = async (jobId: string) => {
    const stored = await loadPlan(jobId)
    if (!stored?.ok) {
      setTrouble('The job of that car cannot be read. Start with the vehicle.')
      return
    }
    const { vehicle: same, racks: worn, car, job } = stored.plan
    await start(
      {
        vehicle: same,
        racks: worn
          .filter(({ status }) => status !== 'comesOff')
          .map((rack) => ({ ...rack, status: 'alreadyOn' as const })),
        car,
      },
      `${job.name}, again`,
    )
  }
  if (!ready)
    return (
      <main className="p-8" aria-busy>
        <p className="text-xl">Fetching vehicles and racks from this browser.</p>
      </main>
    )
  return (
    <>
      <PageBar screen="start" about="a new job">
        <ButtonLink variant="quiet" href={to('board')}>
          All jobs
        </ButtonLink>
      </PageBar>
      <main className="mx-auto max-w-[1500px] space-y-6 p-4">
        <CarBefore draft={whose} onDraft={setWhose} onSame={(id) => void again(id)} />
        {trouble !== undefined && <Alert variant="error">{trouble}</Alert>}
        <section aria-labelledby="vehicle-title">
          <div className="mb-2 flex flex-wrap items-center gap-3">
            <h2 id="vehicle-title" className="text-head">
              1. Vehicle
            </h2>
            <ButtonLink href={to('vehicle')}>Enter your own vehicle</ButtonLink>
          </div>
          <div className="grid grid-cols-[repeat(auto-fill,minmax(220px,1fr))] gap-3">
            {vehicles.length === 0 && (
              <p>
                No vehicle in stock yet. Enter the first one: its body type gives you numbers to start from.
              </p>
            )}
            {vehicles.map((each) => (
              <Offer
                key={each.id}
                title={each.name}
                note={each.attachments.map((attachment) => attachment.name).join(', ')}
                vehicle={each}
                pressed={each.id === chosenVehicle}
                onChoose={() => {
                  setVehicle(each.id)
                  setRacks([])
                }}
              />
            ))}
          </div>
        </section>
        {vehicle && (
          <section aria-labelledby="rack-title">
            {own.vehicles.includes(vehicle) && (
              <p className="mb-4">
                <ButtonLink href={to('vehicle', { from: vehicle.id })}>Change {vehicle.name}</ButtonLink>
              </p>
            )}
            <div className="mb-2 flex flex-wrap items-center gap-3">
              <h2 id="rack-title" className="text-head">
                2. Rack on it
              </h2>
              <ButtonLink
                href={to('rackForm', {
                  vehicle: vehicle.id,
                  ...(chosen.length > 0 && { beside: chosen.map(({ id }) => id).join(',') }),
                })}
              >
                Enter your own rack
              </ButtonLink>
            </div>
            <p className="text-ink2 mb-2">
              {fitting.length === 0
                ? noRackWords(vehicle, racksForLike(vehicle, racks, vehicles))
                : 'Choose each rack on the vehicle; a cab rack and a bed rack can share one vehicle.'}
            </p>
            <div className="grid grid-cols-[repeat(auto-fill,minmax(220px,1fr))] gap-3">
              {fitting.map((rack) => {
                const on = chosenRacks.includes(rack.id)
                return (
                  <Offer
                    key={rack.id}
                    title={rack.name}
                    note={rack.parts.map((part) => part.name).join(', ')}
                    vehicle={vehicle}
                    rack={rack}
                    pressed={on}
                    onChoose={() =>
                      setRacks(on ? chosenRacks.filter((id) => id !== rack.id) : [...chosenRacks, rack.id])
                    }
                  />
                )
              })}
            </div>
          </section>
        )}
        {vehicle && (
          <section aria-labelledby="name-title" className="max-w-xl">
            <h2 id="name-title" className="mb-2 text-head">
              3. Name
            </h2>
            <TextBox
              label="Name of the job"
              maxLength={120}
              value={name}
              placeholder={`${vehicle.name}, new job`}
              onText={setName}
              onKeyDown={(event) => {
                if (event.key === 'Enter') void begin()
              }}
            />
            <Button variant="solid" className="mt-3" onClick={() => void begin()}>
              Start the job
            </Button>
          </section>
        )}
      </main>
    </>
  )
}
