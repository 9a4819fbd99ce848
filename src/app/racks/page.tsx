import { titled } from '@/ui/routes'
import { RacksScreen } from '@/ui/screens/racks/racks-screen'

export const metadata = titled('racks')
export default RacksScreen
