import { titled } from '@/ui/routes'
import { TextScreen } from '@/ui/screens/text/text-screen'

export const metadata = titled('text')
export default TextScreen
