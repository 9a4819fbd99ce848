import type { Metadata } from 'next'
import { CompareScreen } from '@/ui/compare/compare-screen'
import { oneOf, type Search } from '../one-of'

export const metadata: Metadata = { title: 'Compare · Ypsos' }

export default async function Page({ searchParams }: { searchParams: Search }) {
  const { a, b } = await searchParams
  return <CompareScreen a={oneOf(a)} b={oneOf(b)} />
}
