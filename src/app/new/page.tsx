import type { Metadata } from 'next'
import { NewJob } from '@/ui/screens/board/new-job'

export const metadata: Metadata = { title: 'Start a job · Ypsos' }

export default function Page() {
  return <NewJob />
}
