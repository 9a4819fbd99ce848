'use client'
import { ButtonLink } from '@/ui/kit/button'
import { to } from '@/ui/routes'
import type { Vehicle } from '@/core'
import type { ReactNode } from 'react'
import { typingSystem, useSettings, useUnits } from '@/ui/state/settings-store'
import { useJob } from '@/ui/state/use-job'
import { useStock } from '@/ui/state/stock'
import { GearForm } from './gear-form'
import { RackForm } from './rack-form'
import { VehicleForm } from './vehicle-form'
import { useSearch } from '@/ui/state/use-search'

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
