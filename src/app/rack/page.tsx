import type { Metadata } from 'next'
import { RackPage } from '@/ui/own/own-pages'
import { oneOf, type Search } from '../one-of'

export const metadata: Metadata = { title: 'Rack · Ypsos' }

export default async function Page({ searchParams }: { searchParams: Search }) {
  const { job, vehicle, rack } = await searchParams
  return <RackPage job={oneOf(job)} vehicle={oneOf(vehicle)} rack={oneOf(rack)} />
}
