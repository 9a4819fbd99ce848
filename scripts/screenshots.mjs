import { readFile, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { to } from '../src/ui/routes.ts'
import { pdfPicture } from './pdf-picture.mjs'
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

/** Takes the pictures in docs/screenshots again, from the demo, one for each main view. */

/** Presses the large key of the bay, taping and proving on the way, until a step of this title is in hand. */
async function bayTo(page, title) {
  const rest = page.getByRole('button', { name: 'All the others are there' })
  if ((await rest.count()) > 0) await rest.click()
  for (let i = 0; i < 160; i += 1) {
    const now = (await page.locator('main h2').first().textContent()) ?? ''
    if (title.test(now) || (await page.getByText('Everything is done.').count()) > 0) return
    if (now.startsWith('Measure')) await tape(page, ['1760', '1761', '2250', '2249', '880', '880'])
    const good = page.getByRole('button', { name: 'Good', exact: true })
    if ((await good.count()) > 0) await good.first().click()
    const undriven = page.getByRole('button', { name: 'The rest was not driven' })
    if ((await undriven.count()) > 0) await undriven.click()
    await readAll(page)
    if ((await page.locator('[data-fit=done]').getByText('A Stop is open').count()) > 0) await answerFor(page)
    await page.locator('[data-fit=done]').click()
    await page.waitForTimeout(30)
  }
}

/** Types the figure shown at every place where the sheet wants the wrench read. */
async function readAll(page) {
  const wanted = page.locator('[data-fit=done]').getByText(/^Enter the wrench’s reading/)
  for (let places = 0; places < 40 && (await wanted.count()) > 0; places += 1) {
    const field = page.getByLabel(/^Reading, /)
    await field.fill(`${await page.locator('[data-fit=number]').textContent()} Nm`)
    await field.press('Enter')
    await page.waitForTimeout(60)
  }
}

/** Hands over in spite of every Stop, on a name and with a reason. */
async function answerFor(page) {
  await page.getByRole('button', { name: 'Say what differs', exact: true }).click()
  const dialog = page.getByRole('dialog')
  await dialog
    .getByLabel('What was done, and why')
    .fill('The customer sleeps one at a time; shown and signed')
  for (const box of await dialog.getByRole('checkbox').all()) await box.check()
  const who = dialog.getByLabel('Who says so')
  if ((await who.count()) > 0) await who.fill('Wren')
  await dialog.getByRole('button', { name: 'Put it in the log' }).click()
}

async function tape(page, [left, right, one, other, middleLeft, middleRight]) {
  const readings = [
    ['Spread, left', left, 0],
    ['Spread, right', right, 0],
    ['Diagonal, LHF to RHR', one, 0],
    ['Diagonal, RHF to LHR', other, 0],
    ['Spread, left', middleLeft, 1],
    ['Spread, right', middleRight, 1],
  ]
  for (const [label, value, nth] of readings) {
    const field = page.getByLabel(label, { exact: true }).nth(nth)
    await field.fill(`${value} mm`)
    await field.press('Enter')
  }
}

const PLATFORM = to('fit', { job: 'demo-ridge-tent' })

const MAIL = `Hello,
our car is an estate with raised rails. The manual says the roof takes 75 kg while driving, rack included.
The kerb weight is 1,495 kg; the car is 4.72 m long.
We want to take two bikes, 14 kg each, and a roof box.
The box weighs 19 kg and may carry 50 kg. It is 1800 x 780 x 400 mm.
Our trailer takes 400 kg. Can you have a look on Friday at 10:30?`

const VIEWS = [
  { name: 'board', path: to('board') },
  {
    name: 'load',
    path: to('load', { job: 'demo-boat-and-box' }),
    act: (page) =>
      page
        .locator('[data-testid=sheet]')
        .getByRole('button', { name: /^Long box/ })
        .focus(),
  },
  { name: 'load-dark', path: to('load', { job: 'demo-twin-span' }), dark: true },
  {
    name: 'text',
    path: to('text'),
    act: async (page) => {
      await page.getByLabel(/^The text of/).fill(MAIL)
      await page.getByRole('button', { name: 'Show the figures in the text' }).click()
      await page.getByRole('button', { name: '400 kg: left' }).click()
    },
  },
  {
    name: 'spread',
    path: to('load', { job: 'demo-three' }),
    act: (page) =>
      page
        .getByRole('slider', { name: /Rear bar/ })
        .first()
        .focus(),
  },
  { name: 'stock', path: to('stock') },
  { name: 'compare', path: to('compare', { a: 'demo-boat-and-box', b: 'demo-three' }), seed: to('board') },
  { name: 'rules', path: to('rules') },
  { name: 'racks', path: to('racks', { job: 'demo-boat-and-box' }) },
  {
    name: 'forces',
    path: to('forces', { job: 'demo-frame' }),
    act: (page) => page.getByLabel('Case').selectOption('Braking, road'),
  },
  {
    name: 'vehicle-form',
    path: to('vehicle'),
    act: async (page) => {
      await page.locator('summary', { hasText: 'Weight and balance' }).click()
      await page.getByLabel('Track, front').fill('60 in')
      await page.getByLabel('Kerb mass').fill('heavy')
      await page.getByRole('button', { name: 'Save this vehicle' }).click()
      await page
        .getByRole('group', { name: 'Fields that need another look' })
        .getByRole('button', { name: 'Kerb mass' })
        .click()
    },
  },
  {
    name: 'rack-form',
    path: to('rackForm', { vehicle: 'estate' }),
    act: async (page) => {
      const feet = page.getByRole('group', { name: 'Feet' }).first()
      await feet.locator('summary', { hasText: 'Joints and torque' }).click()
      await feet.getByRole('button', { name: 'Add a joint' }).click()
      await feet.locator('summary', { hasText: 'More of this joint' }).first().click()
      const washers = feet.getByRole('group', { name: 'Washers, from the head down' }).first()
      for (const [label, kind] of [
        ['First', 'lock'],
        ['Next', 'flat'],
        ['Next', 'flat'],
      ])
        await washers.getByLabel(label).selectOption(kind)
      await washers.evaluate((element) => element.scrollIntoView({ block: 'center' }))
    },
  },
  {
    name: 'parts',
    path: PLATFORM,
    act: async (page) => {
      await page.getByRole('button', { name: 'All 1 there: Slat platform, Slat platform' }).click()
      const bolts = page.getByLabel('Counted: Bolt M6 × 16, A2-70, Slat platform')
      await bolts.fill('23')
      await bolts.press('Enter')
    },
  },
  {
    name: 'fit-square',
    path: PLATFORM,
    act: async (page) => {
      await bayTo(page, /^Measure and/)
      await tape(page, ['1760', '1768', '2256', '2249', '880', '881'])
      await page.locator('[data-fit=side]').evaluate((side) => {
        side.scrollTop = 0
      })
    },
  },
  {
    name: 'fit-torque',
    path: PLATFORM,
    act: async (page) => {
      await bayTo(page, /gutter clamps/)
      for (let pass = 0; pass < 2; pass += 1) await page.locator('[data-fit=done]').click()
      await page.getByLabel('Reading, LHF').fill('12.2 Nm')
      await page.getByLabel('Reading, LHF').press('Enter')
      await page.getByLabel('Reading, RHR').fill('13.4 Nm')
      await page.getByLabel('Reading, RHR').press('Enter')
    },
  },
  {
    name: 'handover',
    path: PLATFORM,
    act: async (page) => {
      await bayTo(page, /never/)
      await page.goto(new URL(page.url()).origin + to('handover', { job: 'demo-ridge-tent' }))
      await page.waitForTimeout(1200)
      const [file] = await Promise.all([
        page.waitForEvent('download'),
        page.getByRole('button', { name: 'PDF file' }).click(),
      ])
      const picture = await pdfPicture(await readFile(await file.path()), 1, 1.4)
      await writeFile(join(ROOT, 'docs', 'screenshots', 'handover-pdf.png'), picture)
      console.log('docs/screenshots/handover-pdf.png')
    },
  },
  {
    name: 'log',
    path: to('log', { vehicle: 'car-demo-yard-van' }),
    act: (page) => page.waitForTimeout(1200),
  },
  {
    name: 'load-narrow',
    path: to('load', { job: 'demo-ridge-tent' }),
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
  const asked = process.argv.slice(2)
  const wanted = VIEWS.filter(({ name }) => asked.length === 0 || asked.includes(name))
  for (const { name, path, act, seed, dark = false, size = { width: 1280, height: 800 } } of wanted) {
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
