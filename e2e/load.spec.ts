import { readFile } from 'node:fs/promises'
import {
  deeper,
  empty,
  expect,
  fixKey,
  fromMenu,
  goTo,
  inDrawing,
  openJob,
  saved,
  shelved,
  stateButton,
  test,
} from './fixtures'

test('reads the verdict, fixes a Stop with its first button, undoes it, and finds it after a reload', async ({
  page,
}) => {
  await openJob(page, 'A boat and the long box')
  await expect(stateButton(page, 'Road')).toContainText('Stop, 6.4 kg over')
  await expect(stateButton(page, 'Parked')).toContainText('Clear, 127.2 kg left')
  const fix = fixKey(page, 'Box contents to 19 kg')
  await fix.click()
  await expect(stateButton(page, 'Road')).toContainText('Clear, 0.3 kg left')
  await expect(page.locator('[data-finding]').filter({ hasText: /^Stop/ })).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(stateButton(page, 'Road')).toContainText('Stop, 6.4 kg over')
  await page.getByRole('button', { name: 'Redo' }).click()
  await saved(page)
  await page.reload()
  await expect(stateButton(page, 'Road')).toContainText('Clear, 0.3 kg left')
})

test('moves a box with the mouse, and undoes the whole drag as one step', async ({ page }) => {
  await openJob(page, 'A boat and the long box')
  const box = inDrawing(page, /^Long box/)
  const from = (await box.boundingBox())!
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2)
  await page.mouse.down()
  await page.mouse.move(from.x + from.width / 2 - 30, from.y + from.height / 2, { steps: 6 })
  await page.mouse.move(from.x + from.width / 2 - 60, from.y + from.height / 2, { steps: 6 })
  await page.mouse.up()
  const x = page.getByLabel('x, middle')
  const moved = Number((await x.inputValue()).replace(/[^\d-]/g, ''))
  expect(moved).toBeLessThan(700)
  expect(moved).toBeGreaterThan(100)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(x).toHaveValue('960 mm')
})

test(
  'Ctrl Z after Enter takes the move back, a second press picks what lies under, and a long boat lies on chosen bars (F14, B11c)',
  deeper,
  async ({ page }) => {
    await openJob(page, 'A boat and the long box')
    const boat = inDrawing(page, /^Sea boat/)
    await boat.focus()
    const x = page.getByLabel('x in its place')
    const before = await x.inputValue()
    await x.fill('40')
    await x.press('Enter')
    await expect(x).toHaveValue('40 mm')
    await x.press('Control+z')
    await expect(x).toHaveValue(before)
    await expect(page.getByRole('button', { name: 'Redo' })).toBeEnabled()
    // What is typed and not taken yet is the field's own to undo.
    await x.pressSequentially('7')
    await x.press('Control+z')
    await expect(page.getByRole('button', { name: 'Redo' })).toBeEnabled()
    await x.press('Escape')
    await page.getByRole('button', { name: 'Redo' }).click()
    await expect(x).toHaveValue('40 mm')
    // The boat lies over its cradles: pressed again at one place, the next under it is picked.
    const cradles = inDrawing(page, /^Boat cradles/)
    const box = (await cradles.boundingBox())!
    const at = [box.x + box.width / 2, box.y + box.height / 2] as const
    await expect(boat).toHaveAttribute('aria-pressed', 'true')
    await page.mouse.click(...at)
    await expect(cradles).toHaveAttribute('aria-pressed', 'true')
    await page.mouse.click(...at)
    await expect(boat).toHaveAttribute('aria-pressed', 'true')
    await openJob(page, 'Double boat over cab and bed')
    await inDrawing(page, /^Double sea boat/).focus()
    await page.getByRole('button', { name: 'Choose bars' }).click()
    const bars = page.getByRole('dialog', { name: /^Bars under/ })
    for (const tick of await bars.getByRole('checkbox').all()) await tick.setChecked(true)
    await bars.getByLabel('Cab rack, Cab rear bar').uncheck()
    await bars.getByLabel('Bed rack, Bed front bar').uncheck()
    await bars.getByRole('button', { name: 'Close', exact: true }).click()
    await expect(page.getByLabel('Stands on').locator('option:checked')).toHaveText(
      'Cab rack, Cab front bar and Bed rack, Bed rear bar',
    )
  },
)

test('does a job with the keyboard alone', deeper, async ({ page }) => {
  await openJob(page, 'A boat and the long box')
  await inDrawing(page, /^Sea boat/).focus()
  await page.keyboard.press('Delete')
  await expect(page.locator('[data-testid=sheet] :focus')).toHaveCount(1)
  await page.keyboard.press('Control+z')
  await inDrawing(page, /^Long box/).focus()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByLabel('x, middle')).toHaveValue('965 mm')
  await page.keyboard.press('Shift+ArrowLeft')
  await expect(page.getByLabel('x, middle')).toHaveValue('915 mm')
  await page.keyboard.press('ArrowUp')
  await expect(page.getByLabel('y, right +')).toHaveValue('\u2212215 mm')
  await page.keyboard.press('r')
  await expect(page.getByRole('button', { name: 'Turn 180°' })).toBeVisible()
  await page.keyboard.press('2')
  await expect(stateButton(page, 'Trail')).toHaveAttribute('aria-pressed', 'true')
  await page.keyboard.press('f')
  await page.keyboard.press('Enter')
  await expect(stateButton(page, 'Trail')).toContainText('0.3 kg left')
  // The focus goes where the work goes.
  await expect(page.locator('#path :focus')).toHaveCount(1)
  await page.keyboard.press('Control+z')
  await expect(stateButton(page, 'Trail')).toContainText('Stop')
  await page.keyboard.press('/')
  await expect(page.getByLabel('Find gear')).toBeFocused()
  await page.keyboard.type('spade')
  await page.keyboard.press('Tab')
  await page.keyboard.press('Enter')
  await expect(inDrawing(page, /^Spade/)).toHaveAttribute('aria-pressed', 'true')
  await page.keyboard.press('Delete')
  await expect(inDrawing(page, /^Spade/)).toHaveCount(0)
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible()
  await page.keyboard.press('Escape')
  await page.keyboard.press('Control+k')
  await expect(page.getByRole('dialog', { name: 'Search everything' })).toBeVisible()
  await page.keyboard.type('house rules')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('dialog', { name: 'House rules for this job' })).toBeVisible()
})

test('types a weight in pounds, keeps what was typed, and says what is wrong with rubbish', async ({
  page,
}) => {
  await openJob(page, 'A boat and the long box')
  await inDrawing(page, /^Long box/).click({ position: { x: 30, y: 20 } })
  const contents = page.getByLabel('Box contents', { exact: true })
  await contents.fill('30 lb')
  await contents.press('Enter')
  await expect(contents).toHaveValue('13.6 kg')
  await expect(page.getByText('typed 30 lb')).toBeVisible()
  await expect(stateButton(page, 'Road')).toContainText('Clear')
  await contents.fill('heavy')
  await contents.press('Enter')
  await expect(page.getByText('"heavy" has no number in it.')).toBeVisible()
  await expect(contents).toHaveValue('heavy')
  await page.getByRole('button', { name: /^Units:/ }).click()
  await contents.fill('40')
  await contents.press('Enter')
  await expect(contents).toHaveValue('40 lb')
})

test('opens the sum behind a cell, and mends a figure there', deeper, async ({ page }) => {
  await openJob(page, 'A boat and the long box')
  await page
    .getByRole('button', { name: /^Roof, Road: 81.4 kg of 75 kg, 6.4 kg over, Stop, governs/ })
    .click()
  const sum = page.getByRole('dialog', { name: 'Roof, road' })
  await expect(sum.getByRole('row', { name: /Sea boat 24 kg weighed/ })).toBeVisible()
  await expect(sum.getByRole('row', { name: /Counted in all/ })).toContainText('81.4 kg')
  await expect(sum).toContainText('Read from: manual, page 214')
  const figure = sum.getByRole('group', { name: 'Road' }).getByLabel('Figure')
  await figure.fill('100 kg')
  await figure.press('Enter')
  await expect(sum).toContainText('18.6 kg left')
  await sum.getByRole('group', { name: 'Road' }).getByLabel('Counts').selectOption('load')
  await expect(sum).toContainText('27.2 kg left')
  await sum.getByRole('button', { name: 'Close', exact: true }).click()
  await expect(stateButton(page, 'Road')).toContainText('Mind, 17.2 kg left')
})

test('a missing figure is a thing to find out, and can be put in', deeper, async ({ page }) => {
  await openJob(page, 'Two bikes on the hatchback')
  await expect(stateButton(page, 'Road')).toContainText('Find out')
  await page.getByRole('button', { name: /^Door-frame feet, Road: .* no figure, Find out/ }).click()
  const sum = page.getByRole('dialog', { name: 'Door-frame feet, road' })
  await expect(sum).toContainText('cast into the foot')
  await sum.getByLabel('New figure').fill('90')
  await sum.getByLabel('New figure').press('Enter')
  await sum.getByRole('button', { name: 'Close', exact: true }).click()
  await expect(stateButton(page, 'Road')).toContainText('Mind, 1.2 kg left')
})

test('goes out to a file, is deleted, comes back, and is judged the same', async ({ page }, info) => {
  await openJob(page, 'Survey kit up the ridge road')
  const verdicts = await page.getByRole('group', { name: 'State' }).innerText()
  await expect(page.getByRole('button', { name: 'Take out levelling poles' })).toBeVisible()
  const findings = await page.getByRole('list', { name: 'Stops' }).innerText()
  const downloading = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Download', exact: true }).click()
  const download = await downloading
  expect(download.suggestedFilename()).toBe('survey-kit-up-the-ridge-road.ypsos.json')
  const path = info.outputPath('plan.ypsos.json')
  await download.saveAs(path)
  await fromMenu(page, 'Delete this job')
  await page.getByRole('dialog').getByRole('button', { name: 'Delete it' }).click()
  await expect(page.getByRole('list', { name: 'Jobs' })).toBeVisible()
  await expect(page.getByRole('link', { name: /Survey kit up/ })).toHaveCount(0)
  await page.getByLabel('Plan file to open').setInputFiles(path)
  await expect(page.getByRole('heading', { name: 'Survey kit up the ridge road' })).toBeVisible()
  expect(await page.getByRole('group', { name: 'State' }).innerText()).toBe(verdicts)
  await expect.poll(() => page.getByRole('list', { name: 'Stops' }).innerText()).toBe(findings)
})

test('a bad file dropped anywhere says what is wrong where, and changes nothing', async ({ page }) => {
  await openJob(page, 'Yard van, full summer load')
  const before = await page.getByRole('group', { name: 'State' }).innerText()
  const drop = (text: string) =>
    page.evaluate((content) => {
      const data = new DataTransfer()
      data.items.add(new File([content], 'job.json', { type: 'application/json' }))
      for (const type of ['dragover', 'drop'])
        window.dispatchEvent(new DragEvent(type, { dataTransfer: data, bubbles: true }))
    }, text)
  await drop('{"format":"ypsos-plan","version":1,"id":"x"}')
  const dialog = page.getByRole('dialog', { name: 'This file was not opened' })
  await expect(dialog).toContainText('vehicle is missing')
  await expect(dialog).toContainText('nothing was changed')
  await dialog.getByRole('button', { name: 'Close', exact: true }).click()
  expect(await page.getByRole('group', { name: 'State' }).innerText()).toBe(before)
  await drop('not json')
  await expect(dialog).toContainText('plan is not JSON')
})

test(
  'keys of one character act in the drawing and the lists alone, and can be turned off',
  deeper,
  async ({ page }) => {
    await openJob(page, 'A boat and the long box')
    const trail = stateButton(page, 'Trail')
    await page.getByRole('link', { name: 'Ypsos, all jobs' }).focus()
    await page.keyboard.press('2')
    await expect(trail).toHaveAttribute('aria-pressed', 'false')
    await inDrawing(page, /^Long box/).focus()
    await page.keyboard.press('2')
    await expect(trail).toHaveAttribute('aria-pressed', 'true')
    await page.keyboard.press('1')
    await page.goto('/house')
    await page.getByLabel('Keys of one character').uncheck()
    await expect.poll(() => shelved(page, 'settings')).toContain('"bareKeys":false')
    await page.goto('/load?job=demo-boat-and-box')
    await inDrawing(page, /^Long box/).focus()
    await page.keyboard.press('2')
    await page.keyboard.press('Delete')
    await expect(inDrawing(page, /^Long box/)).toBeVisible()
    await expect(trail).toHaveAttribute('aria-pressed', 'false')
    // Keys with Control go on.
    await page.keyboard.press('Control+k')
    await expect(page.getByRole('dialog', { name: 'Search everything' })).toBeVisible()
  },
)

test('the plan file of another job, dropped on the bench, opens', deeper, async ({ page }) => {
  await openJob(page, 'Frame rack for the survey')
  const downloading = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Download', exact: true }).click()
  const text = await readFile(await (await downloading).path(), 'utf8')
  await page.evaluate(
    (content) => {
      const data = new DataTransfer()
      data.items.add(new File([content], 'job.json'))
      window.dispatchEvent(new DragEvent('drop', { dataTransfer: data, bubbles: true }))
    },
    text.replace('"Frame rack for the survey"', '"Another frame"'),
  )
  await expect(page.getByRole('heading', { name: 'Another frame (from file)' })).toBeVisible()
  await page.goto('/')
  await expect(page.getByRole('link', { name: /^Frame rack for the survey/ })).toBeVisible()
})

test(
  'a full browser is said on every screen, the work can be saved to a file, and is kept when there is room',
  deeper,
  async ({ page }) => {
    await openJob(page, 'A boat and the long box')
    await saved(page)
    await page.evaluate(() => {
      const { put } = IDBObjectStore.prototype
      const full = () => {
        throw new DOMException('full', 'QuotaExceededError')
      }
      IDBObjectStore.prototype.put = full
      window.addEventListener('room-again', () => (IDBObjectStore.prototype.put = put))
    })
    await page.getByRole('button', { name: 'Take off sea boat' }).click()
    const alert = page.getByRole('alert').filter({ hasText: "This browser's storage is full." })
    await expect(alert).toContainText('only in memory: the job A boat and the long box')
    await expect(stateButton(page, 'Road')).toContainText('Clear')
    const downloading = page.waitForEvent('download')
    await alert.getByRole('button', { name: 'Download the job' }).click()
    const text = await readFile(await (await downloading).path(), 'utf8')
    expect(text).not.toContain('"gearId": "sea-boat"')
    await page.getByRole('link', { name: 'Ypsos, all jobs' }).click()
    await expect(page.getByRole('list', { name: 'Jobs' })).toBeVisible()
    await expect(alert).toBeVisible()
    await page.getByRole('link', { name: /A boat and the long box/ }).click()
    await expect(stateButton(page, 'Road')).toContainText('Clear')
    await page.evaluate(() => window.dispatchEvent(new Event('room-again')))
    // Any write that succeeds brings it along; the key does it at once.
    const again = alert.getByRole('button', { name: 'Try again' })
    if (await again.isVisible()) await again.click({ timeout: 2000 }).catch(() => undefined)
    await expect(alert).toHaveCount(0)
    await page.reload()
    await expect(stateButton(page, 'Road')).toContainText('Clear')
  },
)

test('a job that is not here, and a board with nothing on it, each say so', deeper, async ({ page }) => {
  await page.goto('/load?job=no-such-job')
  await expect(page.getByRole('heading', { name: 'This job is not in this browser' })).toBeVisible()
  await page.getByRole('link', { name: 'All jobs' }).click()
  const jobs = page.getByRole('list', { name: 'Jobs' }).getByRole('listitem')
  await expect(jobs).toHaveCount(14)
  await jobs
    .first()
    .getByRole('button', { name: /^Delete/ })
    .click()
  await jobs.first().getByRole('button', { name: 'Delete it' }).click()
  await expect(jobs).toHaveCount(13)
  await empty(page, 'plans')
  await page.reload()
  await expect(page.getByText('No jobs yet.')).toBeVisible()
  await page.getByRole('button', { name: "Add the demo's jobs" }).click()
  await expect(jobs).toHaveCount(14)
})

test('racks, doors, use and house rules of a job can be changed', async ({ page }) => {
  await openJob(page, 'Awning and hatch ladder')
  await fromMenu(page, 'House rules')
  await page.getByLabel('No trail figure').selectOption('strict')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(stateButton(page, 'Trail')).toContainText('Find out')
  await fromMenu(page, 'Doors and garages')
  await page.getByRole('button', { name: 'Add a door or garage' }).click()
  const doors = page.getByRole('dialog', { name: 'Doors and garages to pass' })
  await doors.getByLabel('Name').last().fill('Shed')
  await doors.getByLabel('Height').last().fill('2 m')
  await doors.getByRole('button', { name: 'Save' }).click()
  await expect(doors).toBeHidden()
  await expect(page.getByText(/^Stop.*Shed: 2\s?000 mm high/)).toBeVisible()
  await goTo(page, 'Racks')
  await page.getByRole('button', { name: 'Take off Hatch ladder' }).click()
  await goTo(page, 'Load')
  await expect(page.getByRole('rowheader', { name: /Hatch/ })).toHaveCount(0)
  await fromMenu(page, 'How it is used')
  await page.getByLabel('Snow when parked').fill('20')
  await page.getByLabel('Snow when parked').press('Enter')
  await page.getByRole('button', { name: /^Low bars, Parked/ }).click()
  await expect(page.getByRole('row', { name: /Snow on Short wide box/ })).toBeVisible()
})
