import type { Metadata } from 'next'
import { HandoverScreen } from '@/ui/handover/handover-screen'

export const metadata: Metadata = { title: 'Handover · Ypsos' }

export default function Page() {
  return <HandoverScreen />
}
