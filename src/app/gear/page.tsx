import { titled } from '@/ui/routes'
import { GearPage } from '@/ui/screens/entry/entry-pages'

export const metadata = titled('gear')
export default GearPage
