import { titled } from '@/ui/routes'
import { StockScreen } from '@/ui/screens/stock/stock-screen'

export const metadata = titled('stock')
export default StockScreen
