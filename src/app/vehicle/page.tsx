import type { Metadata } from 'next'
import { VehiclePage } from '@/ui/screens/entry/entry-pages'

export const metadata: Metadata = { title: 'Vehicle · Ypsos' }

export default function Page() {
  return <VehiclePage />
}
