import { titled } from '@/ui/routes'
import { GearPage } from '@/ui/screens/gear/gear-page'

export const metadata = titled('gear')
export default GearPage
