import { titled } from '@/ui/routes'
import { VehiclePage } from '@/ui/screens/vehicle/vehicle-page'

export const metadata = titled('vehicle')
export default VehiclePage
