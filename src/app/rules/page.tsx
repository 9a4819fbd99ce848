import { titled } from '@/ui/routes'
import { RulesScreen } from '@/ui/screens/rules/rules-screen'

export const metadata = titled('rules')
export default RulesScreen
