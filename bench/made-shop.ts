import { createHash } from 'node:crypto'
import { mkdtemp, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Page } from '@playwright/test'
import { checkedText, printBackup, type Shelves } from '@/core/api/files'
import type { LogEvent } from '@/core/api/fit'
import type { Plan } from '@/core/api/plan'
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

/** A board that shows jobs, each of them judged. */
export const allCards = (page: Page) =>
  page.waitForFunction(
    () =>
      document.querySelectorAll('[aria-label="Jobs"] > li').length > 20 &&
      !document.body.innerText.includes('being looked at'),
    undefined,
    { timeout: 600_000 },
  )

/** Restores a backup through its dialog: the ms until it says what that would change, and from the key to the page that has it all. */
export async function restored(
  page: Page,
  address: string,
  text: string,
): Promise<{ readonly lookedMs: number; readonly backMs: number }> {
  const folder = await mkdtemp(join(tmpdir(), 'ypsos-shop-'))
  try {
    const file = join(folder, 'backup.json')
    await writeFile(file, text)
    await page.goto(address)
    await page.getByRole('list', { name: 'Jobs' }).waitFor()
    await page.waitForTimeout(1500)
    await page.getByRole('button', { name: 'Backup' }).click()
    const asked = Date.now()
    await page.getByLabel('Backup file to open').setInputFiles(file)
    await page.getByRole('row', { name: /^Jobs/ }).waitFor({ timeout: 120_000 })
    const pressed = Date.now()
    await Promise.all([
      page.waitForEvent('load', { timeout: 300_000 }),
      page.getByRole('button', { name: 'Merge' }).click(),
    ])
    return { lookedMs: pressed - asked, backMs: Date.now() - pressed }
  } finally {
    await rm(folder, { recursive: true, force: true })
  }
}
