import { spawn } from 'node:child_process'
import { printPlan } from '@/core/api/files'
import { chromium } from '@playwright/test'
import { withThings } from './core'
import { ratio, type Ratio } from './ratio'

const FRAME_MS = 16.7
const LONG_TASK_MS = 50
/** What is left of a frame then is the browser's, which sets and paints what was written. */
const MOVE_MS = 8

const ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-sync',
]

/** The files kept for working offline are fetched once, after the first visit of a browser: not what is measured here. */
const PAGE = { viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' } as const

interface Watch {
  readonly frames: number[]
  readonly tasks: number[]
  /** What each move of the pointer had done in the page before anything else could run. ms. */
  readonly moves: number[]
}

/** Runs in the page, as text: what a compiler adds to a function would not be there. */
const WATCH = `
  window.watch = { frames: [], tasks: [], moves: [] }
  let before = performance.now()
  requestAnimationFrame(function frame(now) {
    watch.frames.push(now - before)
    before = now
    requestAnimationFrame(frame)
  })
  new PerformanceObserver((list) => {
    for (const entry of list.getEntries()) watch.tasks.push(entry.duration)
  }).observe({ type: 'longtask' })
  // First and last of all that hear a move: what is drawn for it is drawn between the two.
  let moved = 0
  addEventListener('pointermove', () => { moved = performance.now() }, true)
  addEventListener('pointermove', () => { watch.moves.push(performance.now() - moved) })
`

const percentile95 = (times: readonly number[]) =>
  times.toSorted((a, b) => a - b)[Math.floor(times.length * 0.95)] ?? Number.NaN

/** Draws the chances of a plan in their worker while the page is scrolled: the frames of the meantime. */
export async function chanceRatio(address: string, executablePath: string): Promise<Ratio> {
  const browser = await chromium.launch({ executablePath, args: ARGS })
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
      percentile95(frames) / FRAME_MS,
      1.02,
    )
  } finally {
    await browser.close()
  }
}

/** Moves a thing a step at a time: the frames after each step, while its worker judges the whole shelf against the plan as it now is. */
export async function shelfRatio(address: string, executablePath: string): Promise<Ratio> {
  const browser = await chromium.launch({ executablePath, args: ARGS })
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
      percentile95(frames) / FRAME_MS,
      1.02,
    )
  } finally {
    await browser.close()
  }
}

/** A frame that took longer was missed. */
const MISSED_MS = 25

/** Another process that keeps one core busy as long as it is not ended. */
const busyCore = () => spawn(process.execPath, ['-e', 'for (;;);'], { stdio: 'ignore' })

/** The same drag while another process keeps one core busy: how many frames were missed. */
export async function busyDragRatios(address: string, executablePath: string): Promise<Ratio[]> {
  const other = busyCore()
  try {
    return await dragRatios(address, executablePath, ' with one core kept busy', 0.05)
  } finally {
    other.kill()
  }
}

/** Drags one of 40 things about the bench in a real browser: the frames it took, and the longest task. */
export async function dragRatios(
  address: string,
  executablePath: string,
  when = '',
  mostMissed = 0.01,
): Promise<Ratio[]> {
  const browser = await chromium.launch({ executablePath, args: ARGS })
  try {
    const page = await browser.newPage(PAGE)
    await page.goto(address)
    await page.getByLabel('Plan file to open').setInputFiles({
      name: 'things.ypsos.json',
      mimeType: 'application/json',
      buffer: Buffer.from(printPlan(withThings(40))),
    })
    const target = page
      .getByRole('group', { name: /^Drawing of/ })
      .getByRole('button', { name: /^Gear bag/ })
      .last()
    await target.waitFor()
    await page.waitForTimeout(3000)
    const box = await target.boundingBox()
    if (!box) throw new Error('there is nothing to drag')
    await page.evaluate(WATCH)
    const x = box.x + box.width / 2
    const y = box.y + box.height / 2
    await page.mouse.move(x, y)
    await page.mouse.down()
    await page.evaluate('watch.frames.length = 0; watch.tasks.length = 0; watch.moves.length = 0')
    for (let i = 0; i < 240; i += 1) {
      await page.mouse.move(x + 60 * Math.sin(i / 12), y + 12 * Math.cos(i / 9))
      await page.waitForTimeout(8)
    }
    const { frames, tasks, moves } = await page.evaluate<Watch>('watch')
    await page.mouse.up()
    const missed = frames.filter((ms) => ms > MISSED_MS).length
    return [
      // On a busy machine the browser itself is late now and then: there the missed ones are counted.
      ...(when === ''
        ? [
            ratio(
              `95th percentile of ${frames.length} frames while dragging with 40 things, against ${FRAME_MS} ms`,
              percentile95(frames) / FRAME_MS,
              1.02,
            ),
            ratio(
              `95th percentile of what the page computes and writes for each of ${moves.length} moves, against ${MOVE_MS} ms`,
              percentile95(moves) / MOVE_MS,
              1,
            ),
          ]
        : []),
      ratio(
        `${missed} of ${frames.length} frames over ${MISSED_MS} ms while dragging${when}, as a part`,
        missed / frames.length,
        mostMissed,
      ),
      ratio(
        `longest task while dragging${when}, against ${LONG_TASK_MS} ms`,
        Math.max(0, ...tasks) / LONG_TASK_MS,
        1,
      ),
    ]
  } finally {
    await browser.close()
  }
}
