import { titled } from '@/ui/routes'
import { StartScreen } from '@/ui/screens/start/start-screen'

export const metadata = titled('start')
export default StartScreen
