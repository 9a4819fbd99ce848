import type { Locator, Page } from '@playwright/test'
import { done, title } from './fit-work'
import {
  deeper,
  expect,
  fromMenu,
  inDrawing,
  openPart,
  openQuestions,
  saved,
  shelved,
  stateButton,
  test,
  written,
} from './fixtures'

const group = (page: Page, name: string | RegExp): Locator => page.getByRole('group', { name }).first()

async function open(within: Locator, part: string): Promise<void> {
  const summary = within.locator('summary[data-part]').filter({ hasText: part }).first()
  if ((await summary.locator('xpath=..').getAttribute('open')) === null) await summary.click()
}

test(
  'a drilled top from plan to sealed holes: each hole by its place, size and work, ticked one by one',
  deeper,
  async ({ page }) => {
    test.setTimeout(90_000)
    await page.goto('/vehicle')
    await page.getByRole('textbox', { name: 'Name', exact: true }).first().fill('Hard top')
    await page.getByRole('button', { name: /^Remove Raised rails/ }).click()
    await page.getByLabel('Add something that holds a rack').selectOption('drilledTop')
    await page.getByRole('button', { name: 'Add it' }).first().click()
    const top = group(page, /Drilled mounts/)
    await top.getByLabel('Points at').fill('400; 1300')
    await top.getByLabel('Left point to right point').fill('1100')
    await page.getByRole('button', { name: 'Save this vehicle' }).click()
    await page.getByRole('link', { name: 'Enter your own rack' }).click()
    await page.getByRole('textbox', { name: 'Name', exact: true }).first().fill('Top rack')
    const feet = group(page, 'Feet')
    await open(feet, 'What it suits')
    const drilling = group(page, 'Drilling')
    await drilling.getByLabel('Holes to drill').fill('4')
    await drilling.getByLabel('It can be undone').selectOption('no')
    await drilling.getByLabel('Pilot', { exact: true }).fill('9 mm')
    await drilling.getByLabel('Final size', { exact: true }).fill('3 mm')
    await page.getByRole('button', { name: 'Save this rack' }).click()
    await expect(page.getByText('A pilot is smaller than the final hole.')).toBeVisible()
    await drilling.getByLabel('Pilot', { exact: true }).fill('3 mm')
    await drilling.getByLabel('Final size', { exact: true }).fill('9 mm')
    await drilling.getByLabel('Through').fill('skin; rib')
    await drilling.getByLabel('Sealed with').fill('butyl')
    await drilling.getByLabel('Edges painted with').fill('zinc primer')
    await drilling.getByRole('button', { name: 'Add a hole' }).click()
    await drilling.getByLabel('Hole', { exact: true }).fill('Point 2, right')
    await drilling.getByLabel('Its final size').fill('11 mm')
    await drilling.getByLabel('Done to it').fill('step drill; deburr')
    await page.getByRole('button', { name: 'Save this rack' }).click()
    await page.getByLabel('Name of the job').fill('Top job')
    await page.getByRole('button', { name: 'Start the job' }).click()
    await expect(page.getByRole('heading', { name: 'Top job' })).toBeVisible()
    await saved(page)
    const job = new URL(page.url()).searchParams.get('job') ?? ''

    await page.goto(`/fit?job=${job}`)
    await page.getByLabel('Who fits it').fill('Wren')
    await page.getByRole('button', { name: 'All the others are there' }).click()
    const holes: string[] = []
    for (let step = 0; step < 20; step += 1) {
      const now = await title(page).textContent()
      if (now === 'Seal and paint the holes') break
      if (now?.startsWith('Drill: ')) {
        holes.push(now)
        if (now === 'Drill: Point 2, right') {
          const detail = page.locator('[data-fit=detail]')
          await expect(detail).toContainText(/1.300 mm behind the windscreen’s upper edge, 550 mm right/)
          await expect(detail).toContainText(
            'Pilot 3 mm. Final size 11 mm. Through skin, rib. step drill, then deburr.',
          )
        }
      }
      await done(page).click()
      await expect(title(page)).not.toHaveText(now ?? '')
    }
    expect(holes.toSorted()).toEqual([
      'Drill: Point 1, left',
      'Drill: Point 1, right',
      'Drill: Point 2, left',
      'Drill: Point 2, right',
    ])
    await expect(page.locator('[data-fit=detail]')).toContainText('zinc primer; then butyl')
    await done(page).click()
    await written(page)
    const log = await shelved(page, 'log')
    for (const hole of holes) expect(log).toContain(hole)
    expect(log).toContain('Seal and paint the holes')
  },
)

test(
  'two lengths for one field: both stand in the sheet, it is asked where a verdict turns, and settled in the row',
  deeper,
  async ({ page }) => {
    await page.goto('/vehicle?job=demo-yard-van')
    await openPart(page, 'Sizes')
    const height = page.getByLabel('Height, unladen')
    const frame = height.locator('xpath=ancestor::div[contains(@class, "group")][1]')
    await frame.getByLabel('How it is known').selectOption('another')
    const other = page.getByRole('group', { name: /^Another figure: Height, unladen/ })
    await other.getByLabel('Another figure', { exact: true }).fill('3.4 m')
    await other.getByLabel('Known by').selectOption('manual')
    await other.getByLabel('Person or page').fill('p. 301')
    await page.getByRole('button', { name: 'Save and go back to Load' }).click()
    await openQuestions(page)
    await expect(
      page.getByText(/height, .* mm \(told\) and 3.400 mm \(manual, p\. 301\) differ by/).first(),
    ).toBeVisible()
    await page
      .getByLabel(/: height$/)
      .first()
      .selectOption({ index: 1 })
    await expect(page.getByText(/p\. 301\) differ by/)).toHaveCount(0)
    await saved(page)
    await page.goto('/vehicle?job=demo-yard-van')
    await openPart(page, 'Sizes')
    const kept = page.getByRole('group', { name: /^Another figure: Height, unladen/ })
    await expect(kept.getByLabel('Another figure', { exact: true })).toHaveValue('3.4 m')
    await expect(kept.getByLabel(/Reason/)).toHaveValue('looked at again: told holds')
  },
)

test('gear whose weight nobody knows yet can be put on, is Clear nowhere, and is weighed in its row', async ({
  page,
}) => {
  await page.goto('/gear?job=demo-first-bike')
  await page.getByRole('textbox', { name: 'Name', exact: true }).first().fill('Old chest')
  await page.getByRole('button', { name: 'Save and place it' }).click()
  await expect(inDrawing(page, /^Old chest/)).toBeVisible()
  for (const state of ['Road', 'Trail', 'Parked'] as const)
    await expect(stateButton(page, state)).not.toContainText('Clear')
  await openQuestions(page, page.getByLabel('What Old chest weighs').first())
  await expect(page.getByText(/nobody knows yet what Old chest weighs/).first()).toBeVisible()
  await page.getByLabel('What Old chest weighs').first().fill('7 kg')
  await page.getByLabel('What Old chest weighs').first().press('Enter')
  await expect(page.getByText(/nobody knows yet what Old chest weighs/)).toHaveCount(0)
})

const DOT = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8z8BQDwAEhQGAhKmMIQAAAABJRU5ErkJggg==',
  'base64',
)

test(
  'pictures of the car as it came are kept small in the browser, named on the sheet, and a file that is none is refused',
  deeper,
  async ({ page }) => {
    await page.goto('/load?job=demo-boat-and-box')
    await fromMenu(page, 'Job details')
    const dialog = page.getByRole('dialog', { name: 'Job details' })
    await dialog
      .getByLabel('Picture of the car to add')
      .setInputFiles({ name: 'note.txt', mimeType: 'text/plain', buffer: Buffer.from('no') })
    await expect(dialog.getByText(/note\.txt cannot be read as a picture/)).toBeVisible()
    await dialog
      .getByLabel('Picture of the car to add')
      .setInputFiles({ name: 'side.png', mimeType: 'image/png', buffer: DOT })
    await dialog.getByLabel('What picture 1 shows').fill('Dent, left rail')
    await dialog.getByLabel('What picture 1 shows').press('Tab')
    await expect(dialog.getByRole('img', { name: 'Dent, left rail' })).toBeVisible()
    await expect.poll(() => shelved(page, 'pictures')).toContain('data:image/jpeg')
    await dialog.getByRole('button', { name: 'Close' }).click()
    await saved(page)
    await page.goto('/handover?job=demo-boat-and-box')
    await expect(page.getByText('A picture is kept with the job.')).toBeVisible()
    await expect(page.getByRole('img', { name: 'Dent, left rail' })).toBeVisible()
  },
)
