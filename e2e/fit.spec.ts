import { spawn } from 'node:child_process'
import { readFile } from 'node:fs/promises'
import { ridgeTent } from '../src/demo/plans'
import { done, doneUpTo, read, readAll, said, tape, title, until, sayFound } from './fit-work'
import { deeper, expect, fromMenu, goTo, saved, shelved, test, written } from './fixtures'

const FIT = '/fit?job=demo-ridge-tent'

test('takes the platform job from parts check to handover, first out of square and then right', async ({
  page,
}) => {
  test.setTimeout(120_000)
  await page.goto(FIT)
  await expect(title(page)).toHaveText('Lay out and count the parts')
  await expect(done(page)).toBeDisabled()
  await page.getByLabel('Who fits it').fill('Wren')
  const bolts = page.getByLabel('Counted: Bolt M8 × 40, 8.8, Gutter feet')
  await bolts.fill('a dozen')
  await bolts.press('Enter')
  await expect(page.getByText('Count in whole pieces, 0 or more.')).toBeVisible()
  await bolts.fill('11')
  await bolts.press('Enter')
  await page.getByRole('button', { name: 'All the others are there' }).click()
  await expect(said(page, 'stop')).toContainText('11 of 12. 1 missing')
  await expect(done(page)).toBeDisabled()
  await bolts.fill('12')
  await bolts.press('Enter')
  await expect(said(page, 'stop')).toHaveCount(0)
  const press = () => done(page).click()
  await until(page, /Measure and square up/, press)
  await read(page, 'Spread, left', '99 m')
  await expect(page.getByText('That is longer than any rack')).toBeVisible()
  await tape(page, '1768 mm')
  await expect(said(page, 'stop').filter({ hasText: '8 mm out of parallel' })).toContainText(
    'its right end 8 mm forward',
  )
  await expect(done(page)).toBeDisabled()
  await tape(page, '1761 mm')
  await expect(said(page, 'stop')).toHaveCount(0)
  await press()

  await until(page, /gutter clamps/, press)
  await expect(page.getByRole('img', { name: /next is LHF/ })).toBeVisible()
  await page.getByLabel('Reading, LHF').fill('6 Nm')
  await page.getByLabel('Reading, LHF').press('Enter')
  await expect(page.getByRole('img', { name: /next is RHR/ })).toBeVisible()
  // One place of the first pass goes too far: Stop at once, and saying something else lets nothing pass.
  await page.getByLabel('Reading, RHR').fill('19 Nm')
  await page.getByLabel('Reading, RHR').press('Enter')
  await expect(said(page, 'stop')).toContainText('is over 11 N·m to 13 N·m')
  await expect(done(page)).toBeDisabled()
  await expect(done(page)).toContainText('Over torque')
  await expect(page.getByRole('row', { name: /^RHR/ })).toContainText('! 19 N·m')
  await page.getByRole('button', { name: 'Say what differs', exact: true }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('What was done, and why').fill('A pad is scratched')
  await expect(dialog.getByText(/is over 11 N·m/)).toHaveCount(0)
  await dialog.getByRole('button', { name: 'Put it in the log' }).click()
  await expect(done(page)).toBeDisabled()
  await page.getByLabel('Reading, RHR').fill('6 Nm')
  await page.getByLabel('Reading, RHR').press('Enter')
  await sayFound(page, 'RHR', 'Thread sound, pad renewed')
  await expect(said(page, 'stop')).toHaveCount(0)
  await expect(done(page)).toContainText(/^Clicked at 6 N·m, pass 1: (?!.*LHF)(?!.*RHR)/)
  await press()
  await expect(done(page)).toContainText(/^Clicked at 9 N·m, pass 2: LHF RHR/)
  await press()
  // The sheet wants the wrench read at the last pass: the key waits for each place.
  await expect(done(page)).toContainText('Enter the wrench’s reading at LHF')
  await page.getByLabel('Reading, LHF').fill('12.4 Nm')
  await page.getByLabel('Reading, LHF').press('Enter')
  await readAll(page)
  await press()

  await until(page, /never/, press)
  await written(page)
  await page.getByRole('link', { name: 'To the handover sheet' }).click()
  await expect(page.getByRole('heading', { name: 'Load limits' })).toBeVisible()
  await expect(page.getByRole('region', { name: 'Torque' })).toContainText('LHF 12.4 N·m')
  await expect(page.getByRole('region', { name: 'Come back' })).toContainText(
    're-tighten after the first trip',
  )
  await expect(page.getByText('Stop: it must not leave like this')).toBeVisible()
  // One good drive stands for no other.
  await expect(page.getByText('Drive it, windows open: not driven.')).toBeVisible()
  await expect(page.getByText('Drive it, windows shut')).toHaveCount(0)

  const [pdf] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'PDF file' }).click(),
  ])
  expect((await readFile(await pdf.path())).subarray(0, 5).toString()).toBe('%PDF-')
  const [calendar] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Calendar file' }).click(),
  ])
  expect(await readFile(await calendar.path(), 'utf8')).toContain('BEGIN:VEVENT')

  await goTo(page, 'Log')
  await expect(page.getByRole('region', { name: 'The rack now' })).toContainText(
    'Slat platform on gutter feet: on since',
  )
  await expect(page.getByRole('region', { name: /^Entries of/ }).first()).toContainText('Wren')
  await page.goto('/')
  await expect(
    page
      .getByRole('listitem')
      .filter({ hasText: 'Ridge camp' })
      .getByRole('link', { name: /^Back 20/ }),
  ).toBeVisible()

  // Driven at one speed is not driven at a higher one: the drive is open again, and the sheet opens with it.
  await page.goto('/load?job=demo-ridge-tent')
  await fromMenu(page, 'How it is used')
  await page.getByLabel('Speed on the road').fill('150 km/h')
  await page.getByLabel('Speed on the road').press('Enter')
  await saved(page)
  await page.goto(FIT)
  await expect(title(page)).toHaveText('Drive it')
  await expect(
    page.getByText('Again: the speed it is to be driven at changed since it was done.'),
  ).toBeVisible()
  await page.goto('/handover?job=demo-ridge-tent')
  await expect(page.getByText('Drive it: the speed it is to be driven at changed since.')).toBeVisible()
})

test('goes on at the same step after closing, by foot switch and keys alone', async ({ page, context }) => {
  await page.goto(FIT)
  await page.getByRole('button', { name: 'All the others are there' }).click()
  const press = () => page.keyboard.press('PageDown')
  await page.locator('body').click({ position: { x: 640, y: 106 } })
  await until(page, /Place the bars/, press)
  await written(page)
  await page.close()
  const again = await context.newPage()
  await again.goto(FIT)
  await expect(title(again)).toHaveText('Place the bars')
  await again.keyboard.press('ArrowLeft')
  await expect(title(again)).not.toHaveText('Place the bars')
  await again.keyboard.press('ArrowRight')
  await expect(title(again)).toHaveText('Place the bars')
  await again.keyboard.press(' ')
  await expect(title(again)).toHaveText('Measure and square up')
  await written(again)
  await again.reload()
  await expect(title(again)).toHaveText('Measure and square up')
})

test('a pad on the wrong corner is said before anything is clamped, and the large key confirms the rest', async ({
  page,
}) => {
  await page.goto('/fit?job=demo-first-bike')
  await page.getByRole('button', { name: 'All the others are there' }).click()
  await done(page).click()
  await expect(title(page)).toHaveText('Put each marked piece to its place')
  await expect(done(page)).toHaveText('As marked: Front bar Rear bar LHF RHF LHR RHR')
  const atRear = page.getByLabel('Mark seen at RHR, Pad')
  await atRear.selectOption('LHR')
  await expect(said(page, 'stop')).toContainText('It belongs at LHR.')
  await expect(done(page)).toBeDisabled()
  await atRear.selectOption('RHR')
  await expect(said(page, 'stop')).toHaveCount(0)
  await expect(done(page)).toHaveText('As marked: Front bar Rear bar LHF RHF LHR')
  await done(page).click()
  await done(page).click()
  await expect(title(page)).not.toHaveText('Put each marked piece to its place')
  await goTo(page, 'Log')
  await expect(page.getByText('Pad, RHR: LHR').first()).toBeVisible()
  await goTo(page, 'Handover')
  await expect(page.getByText(/Pad marked with its own place, icon three dots/)).toBeVisible()
})

test('says what differs, and then lets the step pass', deeper, async ({ page }) => {
  await page.goto(FIT)
  await expect(done(page)).toBeDisabled()
  await page.getByRole('button', { name: 'Say what differs', exact: true }).click()
  await page.getByRole('button', { name: 'Put it in the log' }).click()
  await expect(page.getByText('Write a reason')).toBeVisible()
  await page.getByLabel('What was done, and why').fill('Box was open')
  await page.getByRole('button', { name: 'Put it in the log' }).click()
  await expect(page.getByText('Differs: Box was open')).toBeVisible()
  await expect(done(page)).toBeDisabled()
  await page.getByRole('button', { name: 'Say what differs', exact: true }).click()
  await page.getByLabel('What was done, and why').fill('Counted at the store')
  await page.getByLabel('Count every line first').check()
  await page.getByRole('button', { name: 'Put it in the log' }).click()
  await expect(page.getByText('A waiver needs a name')).toBeVisible()
  await page.getByLabel('Who says so').fill('Wren')
  await page.getByRole('button', { name: 'Put it in the log' }).click()
  await expect(page.getByText('Differs: Counted at the store')).toBeVisible()
  await done(page).click()
  await expect(title(page)).not.toHaveText('Lay out and count the parts')
  await written(page)
  await page.goto('/handover?job=demo-ridge-tent')
  await expect(page.getByRole('region', { name: 'Deviations from the sheet' })).toContainText(
    'Counted at the store',
  )
})

test(
  'reads a wrench; a connection dropped in the middle of a pull loses nothing',
  deeper,
  async ({ page }) => {
    await doneUpTo(page, ridgeTent, 'platform/torque-platform-feet-0')
    await page.goto('/fit?job=demo-ridge-tent')
    await expect(title(page)).toContainText('gutter clamps')
    // What is only played is never chosen for anybody.
    await expect(page.getByRole('button', { name: 'Connect' })).toBeDisabled()
    await page.getByLabel('Device', { exact: true }).selectOption('Simulated torque wrench')
    await page.getByRole('button', { name: 'Connect' }).click()
    // Three pulls on one connection: each goes to its own place.
    for (const at of ['LHF', 'RHR']) {
      await page.getByRole('button', { name: 'Pull to the figure' }).click()
      await expect(page.getByRole('row', { name: new RegExp(`^${at}`) })).toContainText('✓')
    }
    await page.getByRole('button', { name: 'Pull to the figure' }).click()
    await expect(page.getByRole('row').filter({ hasText: '✓' })).toHaveCount(3)
    const first = page.getByRole('row', { name: /^LHF/ })
    await page.getByRole('button', { name: 'Drop the connection' }).click()
    await expect(page.getByRole('alert').filter({ hasText: 'The connection dropped' })).toContainText(
      'Earlier readings are kept',
    )
    await expect(first).toContainText('✓')
    await page.getByRole('button', { name: 'Connect' }).click()
    await page.getByRole('button', { name: 'Pull to the figure' }).click()
    await expect(page.getByRole('row').filter({ hasText: '✓' })).toHaveCount(4)
    // Half as much again at the first pass is not over its figure, but one place runs ahead of the others.
    await page.getByRole('button', { name: 'Pull too far' }).click()
    await expect(said(page, 'mind').filter({ hasText: 'tightened unevenly' })).toBeVisible()
    await written(page)
    await page.goto('/handover?job=demo-ridge-tent')
    await expect(page.getByText('5 readings on this sheet came from a simulated device.')).toBeVisible()
    await expect(page.getByText('The fitting is not finished')).toBeVisible()
  },
)

test('a shop’s own job is offered no played device', deeper, async ({ page }) => {
  await page.goto('/start?vehicle=estate&rack=wing')
  await page.getByRole('button', { name: 'Start the job' }).click()
  await goTo(page, 'Fit')
  await page.getByRole('button', { name: 'All the others are there' }).click()
  await page
    .getByRole('navigation', { name: 'Steps of this job' })
    .getByRole('button', { name: /^Tighten/ })
    .first()
    .click()
  await expect(page.getByLabel('Device', { exact: true })).toBeVisible()
  await expect(page.getByRole('option', { name: /Simulated/ })).toHaveCount(0)
})

test('weighs a guess on the simulated scale, and the plan takes it', deeper, async ({ page }) => {
  // No verdict of this job depends on a guess: the house has every guess weighed.
  await page.goto('/load?job=demo-twin-span')
  await fromMenu(page, 'House rules')
  await page.getByLabel('A guessed weight').selectOption('weighIt')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await saved(page)
  await page.goto('/fit?job=demo-twin-span')
  await page.getByRole('button', { name: 'All the others are there' }).click()
  await done(page).click()
  await until(page, /^Weigh: Paddles and vests/, () => done(page).click())
  await expect(done(page)).toBeDisabled()
  await page.getByLabel('Device', { exact: true }).selectOption('Simulated hanging scale')
  await page.getByRole('button', { name: 'Connect' }).click()
  await page.getByRole('button', { name: 'Drop the connection' }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'The connection dropped' })).toBeVisible()
  await expect(done(page)).toBeDisabled()
  await page.getByRole('button', { name: 'Connect' }).click()
  await page.getByRole('button', { name: 'Hang it on' }).click()
  await expect(page.getByLabel('Weight of Paddles and vests')).toHaveValue('17.1 kg')
  await expect(page.locator('[data-fit=detail]')).toContainText('It weighs 17.1 kg, as read here')
  await done(page).click()
  await expect(title(page)).not.toHaveText(/^Weigh/)
  await written(page)
  await page.reload()
  await expect(title(page)).not.toHaveText(/^Weigh/)
})

test('corrects an entry: struck out, never deleted', async ({ page }) => {
  await page.goto('/log?vehicle=car-demo-ridge-tent')
  await page.getByLabel('Kind').selectOption('Taken off')
  await page.getByLabel('Which rack').selectOption('Slat platform on gutter feet')
  await page.getByRole('button', { name: 'Add to the log' }).click()
  await expect(page.getByRole('row').filter({ hasText: 'Taken off' })).toContainText(
    'gutter clamps 11 to 13 N·m',
  )
  await page.getByLabel('Kind').selectOption('Lost')
  await page.getByLabel('What', { exact: true }).fill('Key')
  await page.getByLabel('How many').fill('2')
  await page.getByRole('button', { name: 'Add to the log' }).click()
  await expect(page.getByRole('region', { name: 'The rack now' })).toContainText('Missing: 2 × Key')
  await page.getByRole('button', { name: 'Correct: Lost 2 × Key' }).click()
  await page.getByLabel('Reason').fill('In the glovebox')
  await page.getByRole('button', { name: 'Strike it out' }).click()
  await expect(page.getByRole('region', { name: 'The rack now' })).not.toContainText('Missing')
  await written(page)
  await page.reload()
  await expect(page.getByRole('row').filter({ hasText: '2 × Key (struck out)' })).toBeVisible()
})

test('backs up, wipes, restores, and all is there again', async ({ page }) => {
  await page.goto('/log?vehicle=car-demo-boat-and-box')
  await page.getByLabel('What', { exact: true }).fill('Aero bars')
  await page.getByRole('button', { name: 'Add to the log' }).click()
  await expect.poll(() => shelved(page, 'log')).toContain('Aero bars')
  await page.goto('/')
  // What is due on a card is a link too, and comes a moment after it.
  const links = page.getByRole('list', { name: 'Jobs' }).getByRole('link')
  const names = () => links.filter({ hasNotText: /^(Back|Overdue) / }).allTextContents()
  await expect(page.getByRole('list', { name: 'Jobs' })).toBeVisible()
  const before = await names()
  await page.getByRole('button', { name: 'Backup' }).click()
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Back everything up' }).click(),
  ])
  const text = await readFile(await file.path(), 'utf8')
  await page.evaluate(async () => {
    for (const { name } of await indexedDB.databases()) if (name !== undefined) indexedDB.deleteDatabase(name)
  })
  await page.goto('/')
  await page.getByRole('button', { name: 'Backup' }).click()
  const chooser = page.getByLabel('Backup file to open')
  await chooser.setInputFiles({
    name: 'bad.json',
    mimeType: 'application/json',
    buffer: Buffer.from(text.replace('Ridge camp', 'Ridge champ')),
  })
  await expect(page.getByRole('alert').filter({ hasText: 'check sum' })).toBeVisible()
  await chooser.setInputFiles({
    name: 'backup.json',
    mimeType: 'application/json',
    buffer: Buffer.from(text),
  })
  const preview = page.getByRole('region', { name: 'What restoring would change' })
  await expect(
    preview.getByRole('row').filter({ hasText: 'Log entries' }).getByRole('cell').first(),
  ).toHaveText('1')
  await page.getByLabel('How').selectOption({ label: 'Replace: restore the backup and nothing else' })
  // What was restored is read by a page that begins again.
  await Promise.all([
    page.waitForEvent('load'),
    page.getByRole('button', { name: 'Replace everything' }).click(),
  ])
  await expect(page.getByRole('list', { name: 'Jobs' })).toBeVisible()
  await expect(async () => {
    expect(await names()).toEqual(before)
  }).toPass()
  await page.goto('/log?vehicle=car-demo-boat-and-box')
  await expect(page.getByRole('row').filter({ hasText: 'Checked Aero bars' })).toBeVisible()
})

for (const [paper, width] of [
  ['A4', 210],
  ['Letter', 215.9],
] as const)
  test(
    `prints the handover on ${paper} with nothing cut off`,
    paper === 'A4' ? {} : deeper,
    async ({ page }) => {
      for (const job of ['demo-frame', 'demo-twin-span']) {
        await page.goto(`/handover?job=${job}`)
        await page.getByRole('button', { name: paper, exact: true }).click()
        await page.emulateMedia({ media: 'print' })
        await page.setViewportSize({ width: Math.floor(((width - 26) / 25.4) * 96), height: 1000 })
        const cut = await page.evaluate(() => {
          const room = document.documentElement.clientWidth
          return [...document.querySelectorAll('main *')]
            .filter(
              (each) =>
                each.getBoundingClientRect().right > room + 1 && each.getBoundingClientRect().width > 0,
            )
            .map((each) => `${each.tagName} ${each.textContent.slice(0, 40)}`)
        })
        expect(cut).toEqual([])
        await page.emulateMedia({ media: null })
        await page.setViewportSize({ width: 1280, height: 800 })
      }
    },
  )

test.describe('without a network', () => {
  test.use({ serviceWorkers: 'allow' })
  test(
    'works in the bay, keeps its place, hands over and opens jobs with the server stopped',
    deeper,
    async ({ browser }) => {
      test.setTimeout(150_000)
      const port = 4395
      const server = spawn(
        process.execPath,
        ['node_modules/next/dist/bin/next', 'start', '-p', String(port), '-H', '127.0.0.1'],
        {
          env: { ...process.env, YPSOS_DEMO: '1' },
          stdio: 'ignore',
        },
      )
      const context = await browser.newContext({ serviceWorkers: 'allow' })
      try {
        const page = await context.newPage()
        const address = `http://localhost:${port}`
        await expect
          .poll(
            () =>
              page.goto(address).then(
                (answer) => answer?.status(),
                () => 0,
              ),
            { timeout: 30_000 },
          )
          .toBe(200)
        await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
        await expect(page.getByRole('list', { name: 'Jobs' })).toBeVisible()
        const stopped = new Promise((resolve) => server.once('exit', resolve))
        server.kill()
        await stopped
        await expect(
          fetch(address).then(
            () => 'answers',
            () => 'gone',
          ),
        ).resolves.toBe('gone')

        await page.goto(`${address}${FIT}`)
        await expect(title(page)).toHaveText('Lay out and count the parts')
        await page.getByRole('button', { name: 'All the others are there' }).click()
        await until(page, /Place the bars/, () => done(page).click())
        await written(page)
        await page.reload()
        await expect(title(page)).toHaveText('Place the bars')
        await page.goto(`${address}/handover?job=demo-ridge-tent`)
        const [pdf] = await Promise.all([
          page.waitForEvent('download'),
          page.getByRole('button', { name: 'PDF file' }).click(),
        ])
        expect((await readFile(await pdf.path())).length).toBeGreaterThan(4000)
        await page.goto(`${address}/load?job=demo-twin-span`)
        await expect(page.getByRole('heading', { name: 'Double boat over cab and bed' })).toBeVisible()
      } finally {
        server.kill()
        await context.close()
      }
    },
  )
})
