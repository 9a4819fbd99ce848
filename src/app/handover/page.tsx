import type { Metadata } from 'next'
import { HandoverScreen } from '@/ui/screens/handover/handover-screen'

export const metadata: Metadata = { title: 'Handover · Ypsos' }

export default function Page() {
  return <HandoverScreen />
}
