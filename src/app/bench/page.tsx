import type { Metadata } from 'next'
import { Bench } from '@/ui/screens/bench/bench'

export const metadata: Metadata = { title: 'Bench · Ypsos' }

export default function Page() {
  return <Bench />
}
