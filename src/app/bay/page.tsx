import type { Metadata } from 'next'
import { BayScreen } from '@/ui/bay/bay-screen'
import { oneOf, type Search } from '../one-of'

export const metadata: Metadata = { title: 'Bay · Ypsos' }

export default async function Page({ searchParams }: { searchParams: Search }) {
  const { job } = await searchParams
  return <BayScreen id={oneOf(job) ?? ''} />
}
