import type { Metadata } from 'next'
import { GearPage } from '@/ui/screens/entry/entry-pages'

export const metadata: Metadata = { title: 'Gear · Ypsos' }

export default function Page() {
  return <GearPage />
}
