import { titled } from '@/ui/routes'
import { CompareScreen } from '@/ui/screens/compare/compare-screen'

export const metadata = titled('compare')
export default CompareScreen
