import type { Metadata } from 'next'
import { Bench } from '@/ui/bench/bench'
import { oneOf, type Search } from '../one-of'

export const metadata: Metadata = { title: 'Bench · Ypsos' }

export default async function BenchPage({ searchParams }: { searchParams: Search }) {
  const { job } = await searchParams
  return <Bench id={oneOf(job) ?? ''} />
}
