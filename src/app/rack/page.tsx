import { titled } from '@/ui/routes'
import { RackPage } from '@/ui/screens/entry/entry-pages'

export const metadata = titled('rack')
export default RackPage
