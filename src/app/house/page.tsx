import { titled } from '@/ui/routes'
import { HouseScreen } from '@/ui/screens/house/house-screen'

export const metadata = titled('house')
export default HouseScreen
