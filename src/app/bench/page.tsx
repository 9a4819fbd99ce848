import type { Metadata } from 'next'
import { Bench } from '@/ui/bench/bench'

export const metadata: Metadata = { title: 'Bench · Ypsos' }

export default async function BenchPage({
  searchParams,
}: {
  searchParams: Promise<{ job?: string | string[] }>
}) {
  const { job } = await searchParams
  return <Bench id={typeof job === 'string' ? job : ''} />
}
