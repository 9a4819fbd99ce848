import { titled } from '@/ui/routes'
import { LogScreen } from '@/ui/screens/log/log-screen'

export const metadata = titled('log')
export default LogScreen
