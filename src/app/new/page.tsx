import type { Metadata } from 'next'
import { NewJob } from '@/ui/jobs/new-job'

export const metadata: Metadata = { title: 'Start a job · Ypsos' }

export default function Page() {
  return <NewJob />
}
