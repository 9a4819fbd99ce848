import { titled } from '@/ui/routes'
import { NewJob } from '@/ui/screens/board/new-job'

export const metadata = titled('start')
export default NewJob
