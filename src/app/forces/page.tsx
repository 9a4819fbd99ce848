import type { Metadata } from 'next'
import { ForcesScreen } from '@/ui/forces/forces-screen'
import { oneOf, type Search } from '../one-of'

export const metadata: Metadata = { title: 'Forces · Ypsos' }

export default async function Page({ searchParams }: { searchParams: Search }) {
  const { job } = await searchParams
  return <ForcesScreen id={oneOf(job) ?? ''} />
}
