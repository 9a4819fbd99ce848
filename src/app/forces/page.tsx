import { titled } from '@/ui/routes'
import { ForcesScreen } from '@/ui/screens/forces/forces-screen'

export const metadata = titled('forces')
export default ForcesScreen
