import { JobsBoard } from '@/ui/screens/board/board'

export default JobsBoard
