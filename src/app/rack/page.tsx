import type { Metadata } from 'next'
import { RackPage } from '@/ui/screens/entry/entry-pages'

export const metadata: Metadata = { title: 'Rack · Ypsos' }

export default function Page() {
  return <RackPage />
}
