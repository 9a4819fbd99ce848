import { chromium, type Page } from '@playwright/test'
import { ridgeTent } from '@/demo/plans'
import { allCards, ARGS, backupOf, entries, jobs, PAGE, restored } from './made-shop'
import { ratio, type Ratio } from './ratio'

const JOBS = 500
const LINES = 2000
const EVENTS = 20_000

/** The middle of three visits: ms from asking for the page until it says what it has to. */
async function visited(page: Page, address: string, said: (page: Page) => Promise<unknown>): Promise<number> {
  const times: number[] = []
  for (let i = 0; i < 3; i += 1) {
    await page.waitForTimeout(1500)
    const began = Date.now()
    await page.goto(address)
    await said(page)
    times.push(Date.now() - began)
  }
  return times.toSorted((a, b) => a - b)[1] ?? Number.NaN
}

/** A shop of years in the browser: its board, the log of one car, and all of it coming back from a backup. */
export async function shopRatios(address: string, executablePath: string): Promise<Ratio[]> {
  const browser = await chromium.launch({ executablePath, args: ARGS })
  try {
    const shop = await (await browser.newContext(PAGE)).newPage()
    await restored(shop, address, backupOf(jobs(JOBS), []))
    await allCards(shop)
    const board = await visited(shop, address, allCards)
    await shop.context().close()

    const car = await (await browser.newContext(PAGE)).newPage()
    const own = { vehicleId: ridgeTent.car.id, jobId: ridgeTent.id }
    await restored(
      car,
      address,
      backupOf(
        [],
        entries(LINES, () => own),
      ),
    )
    const log = await visited(car, `${address}/log?vehicle=${own.vehicleId}`, (page) =>
      page.getByText(/^2.?\d{3} entries, newest first/).waitFor({ timeout: 60_000 }),
    )
    await car.context().close()

    const back = await (await browser.newContext(PAGE)).newPage()
    const of = (i: number) => ({ vehicleId: `car-${i % JOBS}`, jobId: `many-${i % JOBS}` })
    const { backMs: all } = await restored(back, address, backupOf(jobs(JOBS), entries(EVENTS, of)))
    await back.context().close()
    return [
      ratio(`a board of ${JOBS} jobs judged before (${board} ms), against 1 s`, board / 1000, 1),
      ratio(`a car's log of ${LINES} lines (${log} ms), against 0.5 s`, log / 500, 1),
      ratio(
        `${JOBS} jobs and ${EVENTS} entries restored from a backup (${all} ms), against 5 s`,
        all / 5000,
        1,
      ),
    ]
  } finally {
    await browser.close()
  }
}
