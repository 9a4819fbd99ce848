import { JobsBoard } from '@/ui/jobs/board'

export default function JobsPage() {
  return <JobsBoard />
}
