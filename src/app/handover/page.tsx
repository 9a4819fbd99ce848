import { titled } from '@/ui/routes'
import { HandoverScreen } from '@/ui/screens/handover/handover-screen'

export const metadata = titled('handover')
export default HandoverScreen
