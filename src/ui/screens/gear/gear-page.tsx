'use client'
import { FetchingForm, NotHere } from '@/ui/job/not-here'
import { typingSystem, useSettings, useUnits } from '@/ui/state/settings-store'
import { useJob } from '@/ui/state/use-job'
import { useSearch } from '@/ui/state/use-search'
import { GearForm } from './gear-form'

/** The sheet of a thing to carry: of a job, or of the stock. */
export function GearPage() {
  const job = useSearch('job')
  const from = useSearch('from')
  const found = useJob(job)
  const own = useSettings((store) => store.own.gear)
  const system = typingSystem(useUnits())
  if (found === 'loading') return <FetchingForm />
  if (found === 'missing') return <NotHere>This job is not in this browser</NotHere>
  const placed = found === 'none' ? undefined : found.gear.find((gear) => gear.id === from)
  const was = placed ?? own.find((gear) => gear.id === from)
  return <GearForm key={`${was?.id ?? 'new'} ${system}`} was={was} job={job} system={system} />
}
