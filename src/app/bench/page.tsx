import type { Metadata } from 'next'
import { Bench } from '@/ui/bench/bench'

export const metadata: Metadata = { title: 'Bench · Ypsos' }

export default function Page() {
  return <Bench />
}
