import { titled } from '@/ui/routes'
import { RacksPage } from '@/ui/screens/racks/racks-page'

export const metadata = titled('racks')
export default RacksPage
