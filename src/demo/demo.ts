import { demoLog } from './demo-log'
import { DEMO_PLANS } from './plans'
import { DEMO_STOCK } from './stock'

/** All of the demo: its outfitter's jobs, stock and log. Fetched only where the demo is shown. */
export const DEMO = { plans: DEMO_PLANS, stock: DEMO_STOCK, log: demoLog } as const
export type Demo = typeof DEMO
