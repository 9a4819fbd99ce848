import { JobsBoard } from '@/ui/screens/board/board'

export default function JobsPage() {
  return <JobsBoard />
}
