import type { Metadata } from 'next'
import { WhyScreen } from '@/ui/screens/why/why-screen'

export const metadata: Metadata = { title: 'Why · Ypsos' }

export default function Page() {
  return <WhyScreen />
}
