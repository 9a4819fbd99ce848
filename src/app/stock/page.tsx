import type { Metadata } from 'next'
import { StockScreen } from '@/ui/screens/stock/stock-screen'

export const metadata: Metadata = { title: 'Stock · Ypsos' }

export default function Page() {
  return <StockScreen />
}
