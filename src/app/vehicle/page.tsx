import { titled } from '@/ui/routes'
import { VehiclePage } from '@/ui/screens/entry/entry-pages'

export const metadata = titled('vehicle')
export default VehiclePage
