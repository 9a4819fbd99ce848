'use client'
import { FetchingForm, NotHere } from '@/ui/job/not-here'
import { typingSystem, useUnits } from '@/ui/state/settings-store'
import { useStockVehicle } from '@/ui/state/stock-vehicle'
import { useJob } from '@/ui/state/use-job'
import { useSearch } from '@/ui/state/use-search'
import { VehicleForm } from './vehicle-form'

/** The sheet of a vehicle: of a job, or of the stock. */
export function VehiclePage() {
  const job = useSearch('job')
  const from = useSearch('from')
  const found = useJob(job)
  const stock = useStockVehicle(from)
  const system = typingSystem(useUnits())
  if (found === 'loading') return <FetchingForm />
  if (found === 'missing') return <NotHere>This job is not in this browser</NotHere>
  const was = found === 'none' ? stock : found.vehicle
  return <VehicleForm key={`${was?.id ?? 'new'} ${system}`} was={was} job={job} system={system} />
}
