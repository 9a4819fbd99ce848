'use client'
import { FetchingForm, NotHere } from '@/ui/job/not-here'
import { typingSystem, useUnits } from '@/ui/state/settings-store'
import { useStockVehicle } from '@/ui/state/stock-vehicle'
import { useJob } from '@/ui/state/use-job'
import { useSearch } from '@/ui/state/use-search'
import { RackForm } from './rack-form'

/** The sheet of a rack, on the vehicle of a job or on one of the stock. */
export function RackFormPage() {
  const job = useSearch('job')
  const vehicle = useSearch('vehicle')
  const rack = useSearch('rack')
  const beside = useSearch('beside')
  const found = useJob(job)
  const stock = useStockVehicle(vehicle)
  const system = typingSystem(useUnits())
  if (found === 'loading') return <FetchingForm />
  if (found === 'missing') return <NotHere>This job is not in this browser</NotHere>
  const on = found === 'none' ? stock : found.vehicle
  if (!on) return <NotHere>Choose a vehicle first: a rack stands on one</NotHere>
  if (on.attachments.length === 0) return <NotHere>This vehicle offers nothing that holds a rack yet</NotHere>
  const was = found === 'none' ? undefined : found.racks.find((each) => each.id === rack)
  return (
    <RackForm
      key={`${was?.id ?? 'new'} ${system}`}
      vehicle={on}
      was={was}
      job={job}
      beside={beside}
      system={system}
    />
  )
}
