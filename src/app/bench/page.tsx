import { titled } from '@/ui/routes'
import { Bench } from '@/ui/screens/bench/bench'

export const metadata = titled('bench')
export default Bench
