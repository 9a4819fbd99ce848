import { titled } from '@/ui/routes'
import { BayPage } from '@/ui/screens/bay/bay-page'

export const metadata = titled('bay')
export default BayPage
