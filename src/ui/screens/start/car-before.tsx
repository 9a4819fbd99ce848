'use client'
import { useJobAbouts } from '@/ui/state/stored-plans'
import { TextBox } from '@/ui/kit/field'
import { Button } from '@/ui/kit/button'
import { type Car, sameCar } from '@/core/api/plan'
import { carName, type JobAbout } from '@/core/api/fit'

/** Whose car a job is about, as far as it was typed. */
export interface WhoseCarDraft {
  readonly plate: string
  readonly number: string
  readonly customer: string
}

const given = (text: string) => (text.trim() === '' ? undefined : text.trim())

/** The identity that was typed, with an id of its own. */
export function newCar({ plate, number }: WhoseCarDraft, stockId: string): Car {
  const [onPlate, byShop] = [given(plate), given(number)]
  return {
    id: `car-${crypto.randomUUID()}`,
    stockId,
    ...(onPlate === undefined ? {} : { plate: onPlate }),
    ...(byShop === undefined ? {} : { number: byShop }),
  }
}

function matches({ car, job }: JobAbout, { plate, number, customer }: WhoseCarDraft): boolean {
  const [onPlate, byShop, name] = [given(plate), given(number), given(customer)]
  const same = sameCar(
    {
      ...(onPlate === undefined ? {} : { plate: onPlate }),
      ...(byShop === undefined ? {} : { number: byShop }),
    },
    car,
  )
  return same || (name !== undefined && job.customer?.trim().toLowerCase() === name.toLowerCase())
}

/** Plate, the shop's number and the customer; and the cars that were here before under one of them. */
export function CarBefore({
  draft,
  onDraft,
  onSame,
}: {
  draft: WhoseCarDraft
  onDraft: (draft: WhoseCarDraft) => void
  onSame: (jobId: string) => void
}) {
  const jobs = useJobAbouts()
  const byCar = new Map(jobs.filter((job) => matches(job, draft)).map((job) => [job.car.id, job] as const))
  const found = [...byCar.values()].slice(0, 6)
  const fields = [
    ['plate', 'Plate'],
    ['number', 'The shop’s number for the car'],
    ['customer', 'Customer'],
  ] as const
  return (
    <section aria-labelledby="car-title" className="max-w-3xl">
      <h2 id="car-title" className="mb-2 text-head">
        Whose car
      </h2>
      <p className="text-ink2 mb-2">
        Each car has its own log. Search an earlier car by plate, number or customer.
      </p>
      <div className="grid grid-cols-1 gap-3 sm:grid-cols-3">
        {fields.map(([field, label]) => (
          <TextBox
            key={field}
            label={label}
            maxLength={field === 'customer' ? 120 : 40}
            value={draft[field]}
            onText={(text) => onDraft({ ...draft, [field]: text })}
          />
        ))}
      </div>
      {found.length > 0 && (
        <ul aria-label="Here before" className="mt-2 grid gap-1.5">
          {found.map((job) => (
            <li key={job.car.id} className="flex flex-wrap items-center gap-2">
              <span>
                {carName(job)}, last in <strong>{job.job.name}</strong>
              </span>
              <Button onClick={() => onSame(job.id)}>The same car again</Button>
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}
