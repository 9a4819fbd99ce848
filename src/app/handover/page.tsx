import { titled } from '@/ui/routes'
import { HandoverPage } from '@/ui/screens/handover/handover-page'

export const metadata = titled('handover')
export default HandoverPage
