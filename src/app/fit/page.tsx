import { titled } from '@/ui/routes'
import { FitPage } from '@/ui/screens/fit/fit-page'

export const metadata = titled('fit')
export default FitPage
