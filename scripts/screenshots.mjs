import { join } from 'node:path'
import { chromium } from '@playwright/test'
import {
  answers,
  ensureBuilt,
  ensureChromium,
  findChromium,
  freePort,
  NEXT,
  ROOT,
  start,
} from './project.mjs'

/** Takes the pictures in docs/screenshots anew, from the demo, one for each main view. */

const VIEWS = [
  { name: 'jobs', path: '/' },
  {
    name: 'bench',
    path: '/bench?job=demo-boat-and-box',
    act: (page) =>
      page
        .locator('[data-testid=sheet]')
        .getByRole('button', { name: /^Long box/ })
        .focus(),
  },
  { name: 'bench-dark', path: '/bench?job=demo-twin-span', dark: true },
  {
    name: 'sum',
    path: '/bench?job=demo-boat-and-box',
    act: (page) => page.getByRole('button', { name: /^Roof, Road/ }).click(),
  },
  {
    name: 'hatch',
    path: '/bench?job=demo-hatch',
    act: (page) => page.locator('[data-finding]').first().focus(),
  },
  {
    name: 'spread',
    path: '/bench?job=demo-three',
    act: (page) =>
      page
        .getByRole('slider', { name: /Rear bar/ })
        .first()
        .focus(),
  },
  {
    name: 'measuring',
    path: '/bench?job=demo-ladder',
    act: (page) => page.getByRole('button', { name: 'Measurements', exact: true }).click(),
  },
  { name: 'stock', path: '/stock' },
  { name: 'compare', path: '/compare?a=demo-boat-and-box&b=demo-three', seed: '/' },
  { name: 'why', path: '/why' },
  {
    name: 'forces',
    path: '/forces?job=demo-frame',
    act: (page) => page.getByLabel('Case').selectOption('Braking, road'),
  },
  {
    name: 'chance',
    path: '/forces?job=demo-ladder',
    act: (page) =>
      page.getByRole('heading', { name: 'Chance of exceeding a limit' }).evaluate((heading) => {
        heading.scrollIntoView()
      }),
  },
  {
    name: 'next-kilo',
    path: '/bench?job=demo-ridge-road',
    act: async (page) => {
      await page.getByRole('button', { name: 'Next kilo' }).click()
      await page.getByRole('button', { name: 'Rack', exact: true }).click()
    },
  },
  { name: 'start', path: '/new?vehicle=pickup' },
  { name: 'vehicle-form', path: '/vehicle' },
  {
    name: 'bench-narrow',
    path: '/bench?job=demo-ridge-tent',
    size: { width: 390, height: 844 },
    act: (page) => page.getByRole('button', { name: /^Load path,/ }).click(),
  },
]

await ensureBuilt()
await ensureChromium()
const port = await freePort(4340)
const server = start([NEXT, 'start', '-p', String(port), '-H', '127.0.0.1'], { YPSOS_DEMO: '1' }, 'ignore')
try {
  const address = `http://localhost:${port}`
  if (!(await answers(address, server))) throw new Error('the server did not start')
  const browser = await chromium.launch({
    executablePath: findChromium() ?? 'chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-sync',
    ],
  })
  for (const { name, path, act, seed, dark = false, size = { width: 1280, height: 800 } } of VIEWS) {
    const page = await browser.newPage({
      viewport: size,
      colorScheme: dark ? 'dark' : 'light',
      reducedMotion: 'reduce',
    })
    if (seed !== undefined) {
      await page.goto(address + seed)
      await page.waitForTimeout(1500)
    }
    await page.goto(address + path)
    await page.waitForTimeout(1800)
    if (act) await act(page)
    await page.waitForTimeout(700)
    await page.screenshot({ path: join(ROOT, 'docs', 'screenshots', `${name}.png`) })
    await page.close()
    console.log(`docs/screenshots/${name}.png`)
  }
  await browser.close()
} finally {
  server.kill()
}
