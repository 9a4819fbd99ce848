import type { Metadata } from 'next'
import { VehiclePage } from '@/ui/screens/own/own-pages'

export const metadata: Metadata = { title: 'Vehicle · Ypsos' }

export default function Page() {
  return <VehiclePage />
}
