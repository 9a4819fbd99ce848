import type { Metadata } from 'next'
import { BayScreen } from '@/ui/screens/bay/bay-screen'

export const metadata: Metadata = { title: 'Bay · Ypsos' }

export default function Page() {
  return <BayScreen />
}
