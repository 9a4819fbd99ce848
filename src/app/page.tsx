import { titled } from '@/ui/routes'
import { BoardScreen } from '@/ui/screens/board/board-screen'

export const metadata = titled('board')
export default BoardScreen
