import { chromium } from '@playwright/test'
import { ratio, type Ratio } from './ratio'

const FRAME_MS = 16.7

/** How a browser is started whose frames are measured. */
export const BROWSER_ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-sync',
]

/** The files kept for working offline are fetched once, after the first visit of a browser: not what is measured here. */
export const PAGE = { viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' } as const

/** What was watched in a page: its frames and its long tasks, ms each. */
export interface Watch {
  readonly frames: number[]
  readonly tasks: number[]
}

/** Runs in the page, as text: what a compiler adds to a function would not be there. */
export const WATCH = `
  window.watch = { frames: [], tasks: [] }
  let before = performance.now()
  requestAnimationFrame(function frame(now) {
    watch.frames.push(now - before)
    before = now
    requestAnimationFrame(frame)
  })
  new PerformanceObserver((list) => {
    for (const entry of list.getEntries()) watch.tasks.push(entry.duration)
  }).observe({ type: 'longtask' })
`

/** What so many of a hundred times do not exceed. */
export const percentile = (times: readonly number[], part: number): number =>
  times.toSorted((a, b) => a - b)[Math.floor((times.length * part) / 100)] ?? Number.NaN

/** Draws the chances of a plan in their worker while the page is scrolled: the frames of the meantime. */
export async function chanceRatio(address: string, executablePath: string): Promise<Ratio> {
  const browser = await chromium.launch({ executablePath, args: BROWSER_ARGS })
  try {
    const page = await browser.newPage(PAGE)
    await page.goto(address)
    const again = page.getByRole('button', { name: 'Draw again' })
    await again.waitFor({ timeout: 60_000 })
    await page.waitForTimeout(1500)
    await page.evaluate(WATCH)
    const frames: number[] = []
    // One run of draws is soon over, and a percentile of a dozen frames is only their worst.
    for (let run = 0; run < 40 && frames.length < 200; run += 1) {
      await again.click()
      await page.getByRole('progressbar', { name: 'Draws done' }).waitFor()
      await page.evaluate('watch.frames.length = 0')
      for (let i = 0; !(await again.isVisible()) && i < 400; i += 1)
        await page.mouse.wheel(0, i % 2 === 0 ? 40 : -40)
      frames.push(...(await page.evaluate<Watch>('watch')).frames)
    }
    return ratio(
      `95th percentile of ${frames.length} frames while 20 000 draws run in their worker, against ${FRAME_MS} ms`,
      percentile(frames, 95) / FRAME_MS,
      1.02,
    )
  } finally {
    await browser.close()
  }
}

/** Moves a thing a step at a time: the frames after each step, while its worker judges the whole shelf against the plan as it now is. */
export async function shelfRatio(address: string, executablePath: string): Promise<Ratio> {
  const browser = await chromium.launch({ executablePath, args: BROWSER_ARGS })
  try {
    const page = await browser.newPage(PAGE)
    await page.goto(address)
    const thing = page.getByRole('group', { name: /^Drawing of/ }).getByRole('button', { name: /^Long box/ })
    await thing.first().click()
    await page.waitForTimeout(2000)
    await page.evaluate(WATCH)
    const path = await page.locator('#path').boundingBox()
    if (!path) throw new Error('there is no load path')
    await page.mouse.move(path.x + 100, path.y + 300)
    const frames: number[] = []
    for (let step = 0; step < 20; step += 1) {
      await thing.first().press(step % 2 === 0 ? 'ArrowRight' : 'ArrowLeft')
      await page.evaluate('watch.frames.length = 0')
      for (let i = 0; i < 24; i += 1) {
        await page.mouse.wheel(0, i % 2 === 0 ? 40 : -40)
        await page.waitForTimeout(16)
      }
      frames.push(...(await page.evaluate<Watch>('watch')).frames)
    }
    return ratio(
      `95th percentile of ${frames.length} frames while the shelf is judged in its worker, against ${FRAME_MS} ms`,
      percentile(frames, 95) / FRAME_MS,
      1.02,
    )
  } finally {
    await browser.close()
  }
}
