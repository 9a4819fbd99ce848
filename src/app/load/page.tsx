import { titled } from '@/ui/routes'
import { LoadPage } from '@/ui/screens/load/load-page'

export const metadata = titled('load')
export default LoadPage
