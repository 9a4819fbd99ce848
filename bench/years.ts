import { chromium, type Page } from '@playwright/test'
import { allCards, ARGS, backupOf, entries, jobs, PAGE, restored } from './made-shop'
import { ratio, type Ratio } from './ratio'

/** Ten years of a shop. */
const JOBS = 5000
const EVENTS = 23_000
/** A screen may take so many times as long as the page without records and one plain reading of what it shows. */
const TIMES = 3
/** One task of a screen may be longer. */
const LONG_TASK_MS = 100

/** What is read of a shelf: all of it, or what lies under keys that begin so. */
type Reading = readonly [shelf: string, beginning?: string]

/** One plain reading of some records, as the browser keeps them, from the page that is open. ms */
const plainly = (page: Page, readings: readonly Reading[]): Promise<number> =>
  page.evaluate(async (asked) => {
    const began = performance.now()
    const database = await new Promise<IDBDatabase>((resolve) => {
      const opening = indexedDB.open('ypsos')
      opening.onsuccess = () => resolve(opening.result)
    })
    for (const [shelf, beginning] of asked) {
      const transaction = database.transaction(shelf, 'readonly')
      const range = beginning === undefined ? undefined : IDBKeyRange.bound(beginning, `${beginning}\uffff`)
      transaction.objectStore(shelf).getAllKeys(range)
      transaction.objectStore(shelf).getAll(range)
      await new Promise((resolve) => {
        transaction.oncomplete = resolve
      })
    }
    database.close()
    return performance.now() - began
  }, readings)

/** Gathers how long the page was blocked at a time, from its first moment. */
const watchTasks = (page: Page) =>
  page.addInitScript(() => {
    const tasks: number[] = []
    Object.assign(globalThis, { blockedMs: tasks })
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) tasks.push(duration)
    }).observe({ type: 'longtask', buffered: true })
  })

const tasksOf = (page: Page): Promise<readonly number[]> =>
  page.evaluate(() => (globalThis as unknown as { blockedMs: number[] }).blockedMs)

const middle = (list: readonly number[]): number =>
  list.toSorted((a, b) => a - b)[Math.floor(list.length / 2)] ?? Number.NaN

interface Visit {
  readonly ms: number
  /** The longest task, and how many were too long. */
  readonly task: number
  readonly long: number
}

/** The middle of three visits: from asking for the page until it says what it has to, and its tasks. ms */
async function visits(page: Page, address: string, said: (page: Page) => Promise<unknown>): Promise<Visit> {
  const all: Visit[] = []
  for (let i = 0; i < 3; i += 1) {
    await page.waitForTimeout(1000)
    const began = Date.now()
    await page.goto(address)
    await said(page)
    const ms = Date.now() - began
    const tasks = await tasksOf(page)
    all.push({ ms, task: Math.max(0, ...tasks), long: tasks.filter((each) => each > LONG_TASK_MS).length })
  }
  const of = (key: keyof Visit) => middle(all.map((each) => each[key]))
  return { ms: of('ms'), task: of('task'), long: of('long') }
}

const heading = (words: string) => (page: Page) =>
  page.getByRole('heading', { name: words }).first().waitFor()

/** A shop of ten years: what comes back from a backup, and each screen against a plain reading of the records it shows. */
export async function yearsRatios(address: string, executablePath: string): Promise<Ratio[]> {
  const browser = await chromium.launch({ executablePath, args: ARGS })
  try {
    const of = (i: number) => ({ vehicleId: `car-${i % JOBS}`, jobId: `many-${i % JOBS}` })
    const page = await (await browser.newContext(PAGE)).newPage()
    await watchTasks(page)
    const { lookedMs, backMs } = await restored(page, address, backupOf(jobs(JOBS), entries(EVENTS, of)))
    const began = Date.now()
    await allCards(page)
    console.log(
      `${JOBS} jobs and ${EVENTS} entries: looked at in ${lookedMs} ms, put back in ${backMs} ms, judged ${Date.now() - began} ms later`,
    )
    // The list of all cars is worked out once.
    await page.goto(`${address}/log?vehicle=car-77`)
    await page.getByText(/more: type to find one/).waitFor({ timeout: 120_000 })

    const bare = await visits(page, `${address}/house`, heading('How this shop works'))
    const plain = async (...readings: readonly Reading[]) => {
      const times: number[] = []
      for (let i = 0; i < 3; i += 1) times.push(await plainly(page, readings))
      return middle(times)
    }
    const cards = await plain(['glances'])
    const own = await plain(['log', 'car-77/'])
    const stock = await plain(['stock'])
    const two = await plain(['glances'], ['plans', 'many-7'])

    const board = await visits(page, address, allCards)
    const typed = Date.now()
    await page.getByLabel('Find a job, customer, car or plate').fill('Job 4321')
    await page.waitForFunction(() => document.querySelectorAll('[aria-label="Jobs"] > li').length === 1)
    const search = Date.now() - typed
    const against = (name: string, visit: Visit, readMs: number): Ratio[] => [
      ratio(
        `${name} (${visit.ms} ms) against a page without records and one plain reading of what it shows (${bare.ms} and ${Math.round(readMs)} ms)`,
        visit.ms / (bare.ms + readMs),
        TIMES,
      ),
      ratio(
        `${name}: tasks over ${LONG_TASK_MS} ms (the longest ${Math.round(visit.task)} ms), against one`,
        visit.long,
        1,
      ),
    ]
    return [
      ...against('a board of ten years', board, cards),
      ratio(
        `a search in it (${search} ms) against one plain reading of its cards (${Math.round(cards)} ms)`,
        search / cards,
        TIMES,
      ),
      ...against(
        'one car’s log of ten years',
        await visits(page, `${address}/log?vehicle=car-77`, (each) =>
          each.getByText(/entries, newest first/).waitFor({ timeout: 120_000 }),
        ),
        own,
      ),
      ...against('stock', await visits(page, `${address}/stock`, heading('What can be fitted')), stock),
      ...against(
        'compare',
        await visits(page, `${address}/compare`, (each) =>
          each
            .getByText(/more: type to find one/)
            .first()
            .waitFor({ timeout: 120_000 }),
        ),
        two,
      ),
    ]
  } finally {
    await browser.close()
  }
}
