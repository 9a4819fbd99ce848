import type { Metadata } from 'next'
import { LogScreen } from '@/ui/screens/log/log-screen'

export const metadata: Metadata = { title: 'Log · Ypsos' }

export default function Page() {
  return <LogScreen />
}
