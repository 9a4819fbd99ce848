import { titled } from '@/ui/routes'
import { BenchPage } from '@/ui/screens/bench/bench-page'

export const metadata = titled('bench')
export default BenchPage
