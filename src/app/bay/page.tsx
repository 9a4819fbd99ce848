import { titled } from '@/ui/routes'
import { BayScreen } from '@/ui/screens/bay/bay-screen'

export const metadata = titled('bay')
export default BayScreen
