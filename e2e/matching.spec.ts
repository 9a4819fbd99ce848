import type { Page } from '@playwright/test'
import {
  deeper,
  expect,
  fixKey,
  fromMenu,
  goTo,
  inDrawing,
  openJob,
  openPart,
  openQuestions,
  saved,
  stateButton,
  test,
} from './fixtures'

const handle = (page: Page, bar: string) =>
  page.getByRole('slider', { name: new RegExp(`^Spread ruler: ${bar}`) })

async function middleOf(page: Page, bar: string) {
  const box = (await handle(page, bar).boundingBox())!
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 }
}

test('drags a bar along the spread ruler until the finding clears', async ({ page }) => {
  await openJob(page, 'Box, bike and boat on one spread')
  await expect(
    page.locator('#path').getByText('Edge cradles, folding needs 750 mm to 770 mm: 30 mm too wide.'),
  ).toBeVisible()
  const front = await middleOf(page, 'Front bar')
  const rear = await middleOf(page, 'Rear bar')
  // The two stand 800 mm apart; 40 mm forward is 760.
  const forward = (40 * (rear.x - front.x)) / 800
  await page.mouse.move(rear.x, rear.y)
  await page.mouse.down()
  await page.mouse.move(rear.x - forward / 2, rear.y, { steps: 4 })
  await page.mouse.move(rear.x - forward, rear.y, { steps: 4 })
  await page.mouse.up()
  await expect(stateButton(page, 'Road')).toContainText('Clear')
  await expect(page.getByText('Nothing to mend.')).toBeVisible()
  await expect(handle(page, 'Rear bar')).toHaveAttribute('aria-valuetext', /suits all from 750 mm to 770 mm/)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(stateButton(page, 'Road')).toContainText('Stop')
})

test('does the same with the keyboard, and reads who binds the spread', deeper, async ({ page }) => {
  await openJob(page, 'Box, bike and boat on one spread')
  await handle(page, 'Rear bar').focus()
  for (let i = 0; i < 6; i += 1) await page.keyboard.press('ArrowLeft')
  await expect(stateButton(page, 'Road')).toContainText('Clear')
  await expect(page.getByText(/all fit from 750 mm \(Edge cradles, folding\)/)).toBeVisible()
})

test('puts gear on by keyboard alone, with the nuts that the bar takes', async ({ page }) => {
  await openJob(page, 'Pod with thin clamps on heavy bars')
  await page.keyboard.press('/')
  await page.keyboard.type('tool clamps')
  await expect(
    page.getByRole('button', { name: /^Tool clamps, pair fits with its nuts for a slot of 11 mm/ }),
  ).toBeVisible()
  await page.keyboard.press('Tab')
  await expect(page.getByRole('button', { name: /^Tool clamps, pair/ }).first()).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(inDrawing(page, /^Tool clamps/)).toHaveAttribute('aria-pressed', 'true')
  await expect(page.getByRole('button', { name: /^Nuts for 11 mm/ })).toBeVisible()
  await expect(page.locator('[data-finding]').filter({ hasText: /^Stop.*Tool clamps/ })).toHaveCount(0)
})

test('shows where a thing from the shelf may go before it is let go, and puts it there', async ({ page }) => {
  await openJob(page, 'Pod with thin clamps on heavy bars')
  await page.getByLabel('Find gear').fill('tube')
  const item = page.getByRole('button', { name: /^Pole tube fits/ })
  await expect(item).toBeVisible()
  const from = (await item.boundingBox())!
  const sheet = (await page.getByTestId('sheet').boundingBox())!
  await page.mouse.move(from.x + 40, from.y + 20)
  await page.mouse.down()
  await page.mouse.move(sheet.x + sheet.width * 0.35, sheet.y + sheet.height * 0.8, { steps: 8 })
  await expect(page.locator('[data-ghost="fits"]')).toBeVisible()
  await expect(page.getByText('Pole tube goes here')).toBeVisible()
  await page.mouse.up()
  await expect(page.locator('[data-ghost]')).toHaveCount(0)
  await expect(inDrawing(page, /^Pole tube/)).toHaveAttribute('aria-pressed', 'true')
  await expect(page.locator('[data-finding]').filter({ hasText: /^Stop.*Pole tube/ })).toHaveCount(0)
})

test(
  'shows why a thing cannot go where it is held, and leaves the plan as it was',
  deeper,
  async ({ page }) => {
    await openJob(page, 'Wide box under the hatch')
    await page.getByLabel('Find gear').fill('open basket')
    const item = page.getByRole('button', { name: /^Open basket no: 65 mm of bar is left, it takes/ })
    await expect(item).toBeVisible()
    const from = (await item.boundingBox())!
    const sheet = (await page.getByTestId('sheet').boundingBox())!
    await page.mouse.move(from.x + 40, from.y + 20)
    await page.mouse.down()
    await page.mouse.move(sheet.x + sheet.width * 0.35, sheet.y + sheet.height * 0.8, { steps: 8 })
    await expect(page.locator('[data-ghost="cannot"]')).toBeVisible()
    await page.mouse.up()
    await expect(inDrawing(page, /^Open basket/)).toHaveCount(0)
  },
)

test('sees the hatch touch, and applies its fix', async ({ page }) => {
  await openJob(page, 'Wide box under the hatch')
  await expect(page.locator('[data-opening]')).toHaveCount(0)
  await page.keyboard.press('f')
  await expect(page.locator('[data-opening="wide-estate-hatch"]')).toBeVisible()
  await expect(page.getByText(/^touches Short wide box at 60.3°/)).toBeVisible()
  await expect(fixKey(page, 'Move short wide box forward 251 mm')).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(stateButton(page, 'Road')).toContainText('Clear')
  await page.getByRole('button', { name: 'Open hatch' }).click()
  await expect(page.getByText(/mm to Short wide box/)).toBeVisible()
  await page.getByRole('button', { name: 'Open hatch' }).click()
  await expect(page.locator('[data-opening]')).toHaveCount(0)
})

test.describe('under reduced motion', () => {
  test.use({ contextOptions: { reducedMotion: 'reduce' } })
  test('the hatch is drawn open, and does not move', deeper, async ({ page }) => {
    await openJob(page, 'Wide box under the hatch')
    await page.getByRole('button', { name: 'Open hatch' }).click()
    const moving = await page
      .locator('.opening-turns')
      .first()
      .evaluate((element) => getComputedStyle(element).animationName)
    expect(moving).toBe('none')
  })
})

test(
  'a clamp that cannot close is given its adapter, which can be taken off again',
  deeper,
  async ({ page }) => {
    await openJob(page, 'Pod with thin clamps on heavy bars')
    await fixKey(page, 'Put Saddle adapters for heavy bars under short pod, thin clamps').click()
    await expect(page.locator('#path').getByText(/Short pod, thin clamps does not hold/)).toHaveCount(0)
    await expect(page.getByRole('button', { name: /^Saddle adapters for heavy bars, Road/ })).toBeVisible()
    await inDrawing(page, /^Short pod/).focus()
    await page.getByRole('button', { name: 'Take off saddle adapters for heavy bars' }).click()
    await expect(page.locator('#path').getByText(/Short pod, thin clamps does not hold/)).toBeVisible()
  },
)

test('measures the gates of the ladder, reading by reading', deeper, async ({ page }) => {
  await openJob(page, 'Awning and hatch ladder')
  await fromMenu(page, 'Measurements')
  const form = page.getByRole('dialog', { name: 'Measurements' })
  const gap = form.getByRole('listitem').filter({ hasText: 'Gap from rack to spoiler' }).first()
  await expect(gap).toContainText('Not measured yet.')
  await gap.getByLabel('Reading').fill('tight')
  await gap.getByLabel('Reading').press('Enter')
  await expect(gap).toContainText('"tight" has no number in it.')
  await gap.getByLabel('Reading').fill('2 3/4 in')
  await gap.getByLabel('Reading').press('Enter')
  await gap.getByLabel('Reading', { exact: true }).fill('74')
  await gap.getByLabel('Reading', { exact: true }).press('Enter')
  await expect(gap).toContainText('readings 4.2 mm apart')
  await expect(gap).toContainText('Holds.')
  await gap.getByLabel('Taken by').fill('Bay two')
  await gap.getByLabel('Taken by').press('Enter')
  const helper = form.getByRole('listitem').filter({ hasText: 'Who steps on the hook' }).first()
  await helper.getByLabel('Mass').fill('97')
  await helper.getByLabel('Mass').press('Enter')
  await expect(helper).toContainText('Does not hold.')
  await form.getByRole('button', { name: 'Close', exact: true }).click()
  await expect(
    page.locator('#path').getByText(/Who steps on the hook to seat it: 97 kg; it asks for 68 kg to 95 kg/),
  ).toBeVisible()
  await saved(page)
  await page.reload()
  await fromMenu(page, 'Measurements')
  await expect(gap.getByLabel('Taken by')).toHaveValue('Bay two')
})

test('compares two lengths of bar on a copy of the job', deeper, async ({ page }) => {
  await openJob(page, 'Box, bike and boat on one spread')
  await fromMenu(page, 'Copy this job')
  await expect(page.getByRole('heading', { name: /\(copy\)/, level: 1 })).toBeVisible()
  for (const bar of ['Front bar', 'Rear bar']) {
    await handle(page, bar).focus()
    await page.getByLabel('Length overall').fill('1400 mm')
    await page.getByLabel('Length overall').press('Enter')
  }
  await handle(page, 'Rear bar').focus()
  await page.getByLabel('x, middle of bar').fill('1190')
  await page.getByLabel('x, middle of bar').press('Enter')
  await saved(page)
  await fromMenu(page, 'Compare with another')
  const second = page.getByRole('region', { name: 'Second' })
  await second.getByLabel('Second: find a job').fill('box bike boat')
  await second.getByRole('button', { name: /^Box, bike and boat on one spread(?!.*copy)/ }).click()
  await expect(
    page.getByText(/Front bar: 1\s?400 mm long, aero, at 430 mm in the first, 1\s?270 mm long/),
  ).toBeVisible()
  await expect(page.getByRole('row', { name: /Findings: Stop/ })).toContainText('01')
  await expect(page.getByRole('listitem').filter({ hasText: 'Spread' })).toContainText('Clear then Stop')
})

test(
  'describes a hatch and a sunroof of its own vehicle, and meets them on the bench',
  deeper,
  async ({ page }) => {
    await page.goto('/load?job=demo-boat-and-box')
    await goTo(page, 'Vehicle')
    await openPart(page, 'Things the load may touch')
    await page.getByLabel('Add something the load may touch').selectOption('hatch')
    await page.getByRole('button', { name: 'Add it' }).last().click()
    const form = page.getByRole('group', { name: 'Hatch' })
    await form.getByLabel('Corners of the closed panel').fill('2780')
    await page.getByRole('button', { name: 'Save and go back to Load' }).click()
    await expect(page.getByText(/Give each by two figures with a stroke between/)).toBeVisible()
    await form.getByLabel('Hinge at').fill('2410')
    await form.getByLabel('Corners of the closed panel').fill('2780 / 1030; 2980 / 960')
    await page.getByRole('button', { name: 'Save and go back to Load' }).click()
    await expect(page.locator('#path').getByText(/Hatch touches Sea boat after/)).toBeVisible()
  },
)

test(
  'asks for a gate of its own gear, with a mount that is still to be found out',
  deeper,
  async ({ page }) => {
    await page.goto('/gear?job=demo-boat-and-box')
    await page.getByRole('textbox', { name: 'Name' }).first().fill('Roof safe')
    await page.getByLabel('Its own weight').fill('9 kg')
    await page.getByLabel('Length, along the vehicle').fill('900 mm')
    await page.getByLabel('Width, across it').fill('100 mm')
    await openPart(page, 'To be measured before ordering')
    await page.getByRole('button', { name: 'Add something to measure' }).click()
    await page.getByLabel('What is measured').fill('Gap under the lid')
    const gate = page.getByRole('group', { name: 'Gap under the lid' })
    await gate.getByLabel('At least').fill('40')
    await gate.getByLabel('At most').fill('30')
    await page.getByRole('button', { name: 'Save and place it' }).click()
    await expect(gate.getByText(/The bounds must rise/)).toBeVisible()
    await gate.getByLabel('At most').fill('90')
    await page.getByRole('button', { name: 'Save and place it' }).click()
    await openQuestions(page)
    await expect(page.getByText(/Roof safe on .*: find out how it is held/)).toBeVisible()
    await expect(
      page.getByText(/Roof safe, Gap under the lid: not measured yet. It asks for 40 mm to 90 mm/),
    ).toBeVisible()
    // A question leads to the very field that answers it.
    await page.getByRole('link', { name: 'Open the gear' }).first().click()
    await expect(page.getByLabel('Held by')).toBeFocused()
    await page.getByLabel('Held by').selectOption('strap')
    await page.getByRole('button', { name: 'Save and go back to Load' }).click()
    await openQuestions(page)
    await expect(page.getByText(/Roof safe, Gap under the lid/)).toBeVisible()
    await expect(page.getByText(/Roof safe on .*: find out how it is held/)).toHaveCount(0)
  },
)

test(
  'shows every rule with its question, formula, source and what it says of a job',
  deeper,
  async ({ page }) => {
    await page.goto('/rules')
    await expect(page.getByRole('heading', { name: 'Spread', exact: true })).toBeVisible()
    await page.getByLabel('Find a rule').fill('hatch')
    const rule = page.getByRole('listitem').filter({ hasText: 'Hatch and tailgate' }).first()
    await expect(rule).toContainText('turned about its hinge')
    await expect(rule).toContainText('Hatch touches Short wide box after 60.3°')
    await rule.getByRole('link', { name: 'Wide box under the hatch' }).click()
    await expect(page.getByRole('heading', { name: 'Wide box under the hatch', level: 1 })).toBeVisible()
  },
)
