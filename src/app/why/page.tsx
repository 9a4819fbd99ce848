import { titled } from '@/ui/routes'
import { WhyScreen } from '@/ui/screens/why/why-screen'

export const metadata = titled('why')
export default WhyScreen
