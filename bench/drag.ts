import { spawn } from 'node:child_process'
import { chromium, type CDPSession, type Page } from '@playwright/test'
import { printPlan } from '@/core/api/files'
import { withThings } from './core'
import { BROWSER_ARGS, PAGE, percentile, WATCH, type Watch } from './frames'
import { ratio, type Ratio } from './ratio'

const MOVES = 240
/** Two frames and more: whatever a move had the page do is done. */
const SETTLED_MS = 16
/** A frame that took longer was missed. */
const MISSED_MS = 25
const LONG_TASK_MS = 50
/** A page that does so little in so long has loaded. */
const REST_MS = 500
const REST_WORK_MS = 25

/** The least that any page does for a drag: one group of an SVG is moved by the same events of the pointer. */
const BARE = `<!doctype html><title>Bare</title><svg width="1200" height="700" viewBox="0 0 1200 700">
  <g id="thing" style="touch-action: none"><rect x="560" y="320" width="80" height="60"></rect></g></svg>
  <script>
    const thing = document.getElementById('thing')
    let from
    thing.addEventListener('pointerdown', (event) => {
      from = event
      thing.setPointerCapture(event.pointerId)
    })
    thing.addEventListener('pointermove', (event) => {
      if (from) thing.setAttribute('transform', 'translate(' + (event.x - from.x) + ' ' + (event.y - from.y) + ')')
    })
  </script>`

/** Somewhere a thing can be dragged. */
interface Place {
  readonly page: Page
  readonly x: number
  readonly y: number
}

async function barePlace(page: Page): Promise<Place> {
  await page.setContent(BARE)
  const box = await page.locator('#thing').boundingBox()
  if (!box) throw new Error('there is nothing to drag')
  return { page, x: box.x + box.width / 2, y: box.y + box.height / 2 }
}

/** Waits until a page that is loading has nothing more to do for a moment. */
async function atRest(page: Page): Promise<void> {
  const session = await page.context().newCDPSession(page)
  await session.send('Performance.enable')
  for (let before = 0, now = await workOf(session); now - before > REST_WORK_MS;) {
    before = now
    await page.waitForTimeout(REST_MS)
    now = await workOf(session)
  }
  await session.detach()
}

/** One of 40 things, as soon as the page is loaded: no drag has made it ready for this one. */
async function ownPlace(page: Page, address: string): Promise<Place> {
  await page.goto(address)
  await page.getByLabel('Plan file to open').setInputFiles({
    name: 'things.ypsos.json',
    mimeType: 'application/json',
    buffer: Buffer.from(printPlan(withThings(40))),
  })
  await page.waitForURL(/load/)
  await page.reload()
  const target = page
    .getByRole('group', { name: /^Drawing of/ })
    .getByRole('button', { name: /^Gear bag/ })
    .last()
  await target.waitFor()
  await atRest(page)
  const box = await target.boundingBox()
  if (!box) throw new Error('there is nothing to drag')
  return { page, x: box.x + box.width / 2, y: box.y + box.height / 2 }
}

const at = ({ x, y }: Place, i: number) => [x + 60 * Math.sin(i / 12), y + 12 * Math.cos(i / 9)] as const

/** All that the main thread of a page has done, ms. */
async function workOf(session: CDPSession): Promise<number> {
  const { metrics } = await session.send('Performance.getMetrics')
  return (metrics.find(({ name }) => name === 'TaskDuration')?.value ?? Number.NaN) * 1000
}

/** What the page did for each move of the pointer, one after the other, its frame included. ms. */
async function workOfMoves(place: Place): Promise<number[]> {
  const { page } = place
  const session = await page.context().newCDPSession(page)
  await session.send('Performance.enable')
  await page.mouse.move(place.x, place.y)
  await page.mouse.down()
  const work: number[] = []
  for (let i = 0; i < MOVES; i += 1) {
    const before = await workOf(session)
    await page.mouse.move(...at(place, i))
    await page.waitForTimeout(SETTLED_MS)
    work.push((await workOf(session)) - before)
  }
  await page.mouse.up()
  return work
}

/** A drag as fast as a hand moves: the frames it took, and its long tasks. */
async function watchedDrag(place: Place): Promise<Watch> {
  const { page } = place
  await page.evaluate(WATCH)
  await page.mouse.move(place.x, place.y)
  await page.mouse.down()
  await page.evaluate('watch.frames.length = 0; watch.tasks.length = 0')
  for (let i = 0; i < MOVES; i += 1) {
    await page.mouse.move(...at(place, i))
    await page.waitForTimeout(8)
  }
  const watch = await page.evaluate<Watch>('watch')
  await page.mouse.up()
  return watch
}

/** Does the same in a fresh browser for the bare page and for ours. */
async function both<Found>(
  address: string,
  executablePath: string,
  drag: (place: Place) => Promise<Found>,
): Promise<{ readonly bare: Found; readonly own: Found }> {
  const browser = await chromium.launch({ executablePath, args: BROWSER_ARGS })
  try {
    const bare = await drag(await barePlace(await browser.newPage(PAGE)))
    const own = await drag(await ownPlace(await browser.newPage(PAGE), address))
    return { bare, own }
  } finally {
    await browser.close()
  }
}

/** What the page does for a move of the pointer, against what a bare page does for the same. */
export async function moveRatios(address: string, executablePath: string): Promise<Ratio[]> {
  const { bare, own } = await both(address, executablePath, workOfMoves)
  return [50, 95].map((part) =>
    ratio(
      `work of the page for a move of the pointer, with 40 things, the first drag after loading, at percentile ${part}: ${percentile(own, part).toFixed(1)} ms against ${percentile(bare, part).toFixed(1)} ms of a bare page`,
      percentile(own, part) / percentile(bare, part),
      5,
    ),
  )
}

/** Frames missed and long tasks in the first drag after loading, against those of a bare page. */
export async function dragRatios(address: string, executablePath: string, when = ''): Promise<Ratio[]> {
  const { bare, own } = await both(address, executablePath, watchedDrag)
  const missed = ({ frames }: Watch) => frames.filter((ms) => ms > MISSED_MS).length / frames.length
  const longest = ({ tasks }: Watch) => Math.max(LONG_TASK_MS, ...tasks)
  return [
    ratio(
      `part of ${own.frames.length} frames over ${MISSED_MS} ms while dragging${when}, less the bare page's ${missed(bare).toFixed(3)} of ${bare.frames.length}`,
      missed(own) - missed(bare),
      0.01,
    ),
    ratio(
      `longest task over ${LONG_TASK_MS} ms while dragging${when}, against the bare page's`,
      longest(own) / longest(bare),
      1,
    ),
  ]
}

/** The same while another process keeps one core busy. */
export async function busyDragRatios(address: string, executablePath: string): Promise<Ratio[]> {
  const other = spawn(process.execPath, ['-e', 'for (;;);'], { stdio: 'ignore' })
  try {
    return await dragRatios(address, executablePath, ' with one core kept busy')
  } finally {
    other.kill()
  }
}
