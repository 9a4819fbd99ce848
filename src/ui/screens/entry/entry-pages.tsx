'use client'
import { ButtonLink } from '@/ui/kit/button'
import { to } from '@/ui/routes'
import type { Plan, Vehicle } from '@/core'
import { useEffect, type ReactNode } from 'react'
import { usePlan } from '@/ui/state/plan-store'
import { typingSystem, useSettings, useUnits } from '@/ui/state/settings-store'
import { useStock } from '@/ui/state/stock'
import { GearForm } from './gear-form'
import { RackForm } from './rack-form'
import { VehicleForm } from './vehicle-form'
import { useSearch } from '@/ui/state/use-search'

/** The job a form belongs to, opened if need be; `none` when it belongs to no job. */
function useJob(job: string | undefined): 'none' | 'loading' | 'missing' | Plan {
  const ready = useSettings((store) => store.ready)
  const plan = usePlan((store) => store.plan)
  const opened = usePlan((store) => store.opened)
  const open = usePlan((store) => store.open)
  const here = plan?.id === job
  useEffect(() => {
    if (ready && job !== undefined && usePlan.getState().plan?.id !== job) void open(job)
  }, [ready, job, open])
  if (!ready) return 'loading'
  if (job === undefined) return 'none'
  if (here && plan) return plan
  return opened.at === 'missing' || opened.at === 'unreadable' ? 'missing' : 'loading'
}

function Wait() {
  return (
    <main className="p-8" aria-busy>
      <p className="text-xl">Fetching what is stored in this browser.</p>
    </main>
  )
}

function NotHere({ children }: { children: ReactNode }) {
  return (
    <main className="mx-auto max-w-xl p-8">
      <h1 className="mb-2 text-2xl">{children}</h1>
      <ButtonLink href={to('jobs')}>All jobs</ButtonLink>
    </main>
  )
}

function useVehicle(id: string | undefined): Vehicle | undefined {
  return useStock().vehicles.find((vehicle) => vehicle.id === id)
}

export function VehiclePage() {
  const job = useSearch('job')
  const from = useSearch('from')
  const found = useJob(job)
  const stock = useVehicle(from)
  const system = typingSystem(useUnits())
  if (found === 'loading') return <Wait />
  if (found === 'missing') return <NotHere>This job is not in this browser</NotHere>
  const was = found === 'none' ? stock : found.vehicle
  return <VehicleForm key={`${was?.id ?? 'new'} ${system}`} was={was} job={job} system={system} />
}

export function RackPage() {
  const job = useSearch('job')
  const vehicle = useSearch('vehicle')
  const rack = useSearch('rack')
  const found = useJob(job)
  const stock = useVehicle(vehicle)
  const system = typingSystem(useUnits())
  if (found === 'loading') return <Wait />
  if (found === 'missing') return <NotHere>This job is not in this browser</NotHere>
  const on = found === 'none' ? stock : found.vehicle
  if (!on) return <NotHere>Choose a vehicle first: a rack stands on one</NotHere>
  if (on.attachments.length === 0) return <NotHere>This vehicle offers nothing that holds a rack yet</NotHere>
  const was = found === 'none' ? undefined : found.racks.find((each) => each.id === rack)
  return <RackForm key={`${was?.id ?? 'new'} ${system}`} vehicle={on} was={was} job={job} system={system} />
}

export function GearPage() {
  const job = useSearch('job')
  const from = useSearch('from')
  const found = useJob(job)
  const own = useSettings((store) => store.own.gear)
  const system = typingSystem(useUnits())
  if (found === 'loading') return <Wait />
  if (found === 'missing') return <NotHere>This job is not in this browser</NotHere>
  const placed = found === 'none' ? undefined : found.gear.find((gear) => gear.id === from)
  const was = placed ?? own.find((gear) => gear.id === from)
  return <GearForm key={`${was?.id ?? 'new'} ${system}`} was={was} job={job} system={system} />
}
