import { titled } from '@/ui/routes'
import { ForcesPage } from '@/ui/screens/forces/forces-page'

export const metadata = titled('forces')
export default ForcesPage
