import { createHash } from 'node:crypto'
import { checkedText, type LogEvent, type Plan, printBackup, type Shelves } from '@/core'
import { demoLog } from '@/demo/demo-log'
import { DEMO_PLANS, ridgeTent } from '@/demo/plans'

export const ARGS = ['--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking']
export const PAGE = { viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' } as const

/** So many jobs, one car each, made of the demo's. */
export const jobs = (count: number): Plan[] =>
  Array.from({ length: count }, (_, i) => {
    const plan = structuredClone(DEMO_PLANS[i % DEMO_PLANS.length] ?? ridgeTent)
    const job = { ...plan.job, name: `Job ${i}`, customer: `Customer ${i % Math.ceil(count / 3)}` }
    return { ...plan, id: `many-${i}`, job, car: { id: `car-${i}` } }
  })

/** A log of so many entries about so many cars, three years of them. */
export function entries(count: number, of: (i: number) => { vehicleId: string; jobId: string }): LogEvent[] {
  const few = demoLog('2026-11-01')
  const [first] = few
  if (!first) throw new Error('the demo has no log')
  return Array.from({ length: count }, (_, i) => {
    const at = new Date(Date.UTC(2024, 0, 1) + (i % 1000) * 86_400_000 + i * 1000).toISOString()
    const { vehicleId, jobId } = of(i)
    return {
      ...structuredClone(few[i % few.length] ?? first),
      id: `entry-${i}`,
      at,
      turn: i + 1,
      vehicleId,
      jobId,
    }
  })
}

/** All of it as a backup file. */
export function backupOf(plans: readonly Plan[], events: readonly LogEvent[]): string {
  const shelves: Shelves = {
    plans: Object.fromEntries(plans.map((plan) => [plan.id, plan])),
    stock: {},
    settings: {},
    log: Object.fromEntries(
      events.map((event, i) => [
        `${event.vehicleId}/${event.at}/${String(i).padStart(6, '0')}/${event.id}`,
        event,
      ]),
    ),
    pictures: {},
  }
  const sum = createHash('sha256').update(checkedText(shelves, {})).digest('hex')
  return printBackup(shelves, {}, '2026-11-01T00:00:00.000Z', sum)
}
