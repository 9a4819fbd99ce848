import type { Metadata } from 'next'
import { CompareScreen } from '@/ui/screens/compare/compare-screen'

export const metadata: Metadata = { title: 'Compare · Ypsos' }

export default function Page() {
  return <CompareScreen />
}
