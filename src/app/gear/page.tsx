import type { Metadata } from 'next'
import { GearPage } from '@/ui/own/own-pages'
import { oneOf, type Search } from '../one-of'

export const metadata: Metadata = { title: 'Gear · Ypsos' }

export default async function Page({ searchParams }: { searchParams: Search }) {
  const { job, from } = await searchParams
  return <GearPage job={oneOf(job)} from={oneOf(from)} />
}
