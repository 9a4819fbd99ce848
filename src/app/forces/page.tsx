import type { Metadata } from 'next'
import { ForcesScreen } from '@/ui/screens/forces/forces-screen'

export const metadata: Metadata = { title: 'Forces · Ypsos' }

export default function Page() {
  return <ForcesScreen />
}
