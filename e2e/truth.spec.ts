import type { Page } from '@playwright/test'
import { deeper, expect, goTo, openJob, openQuestions, saved, stateButton, test, written } from './fixtures'

const STATES = ['Road', 'Trail', 'Parked'] as const

/** A vehicle and a rack of one's own with nothing but names: every figure is left empty. */
async function bareOwnCar(page: Page, name: string): Promise<void> {
  await page.goto('/vehicle')
  await page.getByRole('textbox', { name: 'Name' }).first().fill(name)
  await page.getByRole('button', { name: 'Save this vehicle' }).click()
  await page.getByRole('link', { name: 'Enter your own rack' }).click()
  await page.getByRole('textbox', { name: 'Name' }).first().fill(`${name} bars`)
  await page.getByRole('button', { name: 'Save this rack' }).click()
  await page.getByLabel('Name of the job').fill(`${name}, job`)
  await page.getByRole('button', { name: 'Start the job' }).click()
  await expect(page.getByRole('heading', { name: `${name}, job` })).toBeVisible()
}

const verdicts = (page: Page) =>
  Promise.all(
    STATES.map(async (state) => (await stateButton(page, state).innerText()).split('\n').at(-1) ?? ''),
  )

test('an own car without any figure is clear nowhere; each question is answered in its row, and all say the same', async ({
  page,
}) => {
  await bareOwnCar(page, 'Stranger')
  for (const state of STATES) await expect(stateButton(page, state)).toContainText('Find out')
  // A first look shows three lines of questions at most.
  expect(
    await page
      .locator('summary[data-finding-group]')
      .filter({ hasText: /^Find out/ })
      .count(),
  ).toBeLessThanOrEqual(3)
  await openQuestions(page)
  // The bare rack weighs on the roof, and nobody knows what the roof may carry.
  const field = page.getByLabel('Roof, on the road', { exact: true })
  await field.fill('75 kg')
  await field.press('Enter')
  await expect(field).toHaveCount(0)
  // What the rails may carry is a question of its own: no form says that they are rated with the roof.
  const rails = page.getByLabel('Raised rails, on the road', { exact: true })
  await rails.fill('80 kg')
  await rails.press('Enter')
  await expect(rails).toHaveCount(0)
  // The trail follows by the house's two thirds, and is minded; parked is within the driving figure.
  for (const state of STATES) await expect(stateButton(page, state)).toContainText('Mind')
  await expect(page.getByText(/starting values of the forms are/)).toBeVisible()
  await page.getByRole('button', { name: 'They are right' }).click()
  await expect(stateButton(page, 'Road')).toContainText('Clear')
  await expect(stateButton(page, 'Trail')).toContainText('Mind')
  await expect(stateButton(page, 'Parked')).toContainText('Clear')
  await expect(page.getByText('Payload, bending, axles, tipping not looked at.')).toBeVisible()
  await saved(page)

  // Bench, board, sheet and placard read the same.
  const onLoad = (await verdicts(page)).map((text) => text.split(',')[0])
  await page.goto('/')
  const card = page.getByRole('listitem').filter({ hasText: 'Stranger, job' })
  for (const verdict of onLoad) await expect(card).toContainText(verdict ?? '')
  await expect(card).toContainText('Not looked at: payload, bending, axles, tipping')
  await card.getByRole('link').first().click()
  await goTo(page, 'Handover')
  const placard = page.getByRole('region', { name: 'Placard' })
  for (const [i, state] of STATES.entries()) {
    await expect(placard).toContainText(`${state}: ${onLoad[i] ?? ''}`)
    await expect(page.getByRole('table').first()).toContainText(`${state}: ${onLoad[i] ?? ''}`)
  }
  const notLooked = 'payload, bending, axles, tipping.'
  await expect(page.getByText(notLooked, { exact: true })).toBeVisible()
  await expect(placard).toContainText(`Not looked at: ${notLooked}`)
})

test(
  'a question set aside keeps its word, says who and why, and opens the sheet',
  deeper,
  async ({ page }) => {
    await page.goto('/load?job=demo-first-bike')
    await openQuestions(page)
    await page.getByRole('button', { name: 'Set aside for this job' }).first().click()
    const dialog = page.getByRole('dialog', { name: 'Set aside for this job' })
    await dialog.getByRole('button', { name: 'Set it aside' }).click()
    await expect(dialog.getByText('Enter who sets it aside, and why.')).toBeVisible()
    await dialog.getByLabel('Who sets it aside').fill('Ida')
    await dialog.getByLabel('Why').fill('The sheet is not to be had.')
    await dialog.getByRole('button', { name: 'Set it aside' }).click()
    await expect(stateButton(page, 'Road')).toContainText('Find out')
    await page.getByText('Set aside for this job: 1').click()
    await expect(page.getByText(/Set aside by Ida on .*: The sheet is not to be had\./)).toBeVisible()
    await goTo(page, 'Handover')
    await expect(page.getByText('Set aside for this job, still unknown')).toBeVisible()
    await expect(page.getByText(/Set aside by Ida on/).first()).toBeVisible()
  },
)

test(
  'two jobs on one car from stock have a log each, and the next job for one of them finds it',
  deeper,
  async ({ page }) => {
    const start = async (name: string, plate: string) => {
      await page.goto('/start?vehicle=estate&rack=wing')
      await page.getByLabel('Plate').fill(plate)
      await page.getByLabel('Name of the job').fill(name)
      await page.getByRole('button', { name: 'Start the job' }).click()
      await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible()
    }
    await start('First estate', 'GQ 417')
    await goTo(page, 'Log')
    await page.getByLabel('Kind').selectOption('Lost')
    await page.getByLabel('What', { exact: true }).fill('Key of the first')
    await page.getByRole('button', { name: 'Add to the log' }).click()
    await expect(page.getByRole('region', { name: 'The rack now' })).toContainText('Key of the first')
    await written(page)
    await start('Second estate', 'GQ 418')
    await goTo(page, 'Log')
    await expect(page.getByRole('region', { name: 'The rack now' })).not.toContainText('Key of the first')
    await page.goto('/start')
    await page.getByLabel('Plate').fill('gq-417')
    const before = page.getByRole('list', { name: 'Here before' })
    await expect(before).toContainText('First estate')
    await before.getByRole('button', { name: 'The same car again' }).click()
    await expect(page.getByRole('heading', { level: 1 })).toContainText('again')
    await goTo(page, 'Log')
    await expect(page.getByRole('region', { name: 'The rack now' })).toContainText('Key of the first')
  },
)

test(
  'a rack on a canopy is held by its tracks and, with the canopy, by the bed',
  deeper,
  async ({ page }) => {
    await openJob(page, 'Ladder and timber on the canopy')
    await expect(stateButton(page, 'Road')).toContainText('Clear')
    await expect(stateButton(page, 'Trail')).toContainText('Stop, 6.4 kg over')
    await stateButton(page, 'Trail').click()
    const path = page.getByRole('region', { name: 'Load path' })
    await expect(path.getByText('Canopy tracks').first()).toBeVisible()
    // 66.4 kg on the tracks and 86 kg of canopy.
    await expect(path.getByText('152.4').first()).toBeVisible()
    await expect(path.getByText('Roof', { exact: true })).toHaveCount(0)
    await page.goto('/vehicle?job=demo-canopy')
    await expect(page.getByLabel('The canopy’s own mass')).toHaveValue('86 kg')
  },
)
