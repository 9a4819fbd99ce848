import type { Metadata } from 'next'
import { ForcesScreen } from '@/ui/forces/forces-screen'

export const metadata: Metadata = { title: 'Forces · Ypsos' }

export default function Page() {
  return <ForcesScreen />
}
