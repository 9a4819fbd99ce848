import type { Metadata } from 'next'
import { NewJob } from '@/ui/jobs/new-job'
import { oneOf, type Search } from '../one-of'

export const metadata: Metadata = { title: 'Start a job · Ypsos' }

export default async function NewJobPage({ searchParams }: { searchParams: Search }) {
  const { vehicle, rack } = await searchParams
  return <NewJob vehicleId={oneOf(vehicle)} rackId={oneOf(rack)} />
}
