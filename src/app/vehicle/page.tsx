import type { Metadata } from 'next'
import { VehiclePage } from '@/ui/own/own-pages'
import { oneOf, type Search } from '../one-of'

export const metadata: Metadata = { title: 'Vehicle · Ypsos' }

export default async function Page({ searchParams }: { searchParams: Search }) {
  const { job, from } = await searchParams
  return <VehiclePage job={oneOf(job)} from={oneOf(from)} />
}
