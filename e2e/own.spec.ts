import { deeper, expect, goTo, inDrawing, openPart, shelved, stateButton, test } from './fixtures'

test(
  'enters a vehicle, a rack and a box by hand, and gets the right governing link',
  deeper,
  async ({ page }) => {
    await page.goto('/')
    await page.getByRole('link', { name: 'Start a job' }).click()
    await page.getByRole('link', { name: 'Enter your own vehicle' }).click()
    await page.getByRole('textbox', { name: 'Name', exact: true }).first().fill('School saloon')
    await page.getByLabel('Source of these figures').selectOption('manual')
    await page.getByLabel('Body', { exact: true }).selectOption('saloon')
    await openPart(page, 'Sizes')
    await expect(page.getByLabel('Overall length')).toHaveValue(/4\s?650 mm/)
    await page.getByLabel('Overall length').fill('nonsense')
    await page.getByRole('button', { name: 'Save this vehicle' }).click()
    await expect(page.getByText('"nonsense" has no number in it.')).toBeVisible()
    await expect(page.getByText('One field needs another look.')).toBeVisible()
    await expect(page.getByRole('textbox', { name: 'Name', exact: true }).first()).toHaveValue(
      'School saloon',
    )
    await page.getByLabel('Overall length').fill('183 1/2 in')
    const roof = page.getByRole('group', { name: 'Load limits of the roof' })
    await roof.getByLabel('Road').fill('165 lb')
    await roof.getByLabel('Trail').fill('150 lb')
    await roof.getByLabel('Parked').fill('440 lb')
    await roof.getByLabel('Counts').selectOption('everything')
    // The rails have no figure of their own: their manual says the same 165 lb.
    const rails = page.getByRole('group', { name: 'Load limits', exact: true }).first()
    await rails.getByLabel('Road').fill('165 lb')
    await rails.getByLabel('Trail').fill('150 lb')
    await rails.getByLabel('Parked').fill('440 lb')
    await page.getByRole('button', { name: 'Save this vehicle' }).click()

    await expect(page.getByRole('button', { name: /^School saloon/ })).toHaveAttribute('aria-pressed', 'true')
    await page.getByRole('link', { name: 'Enter your own rack' }).click()
    await page.getByRole('textbox', { name: 'Name', exact: true }).first().fill('School bars')
    await page.getByLabel('Source of these figures').selectOption('sheet')
    // The forms begin with weights: typed over, they are no starting values any more.
    await page.getByLabel('Weight of each').nth(0).fill('2.6 kg')
    await page.getByLabel('Weight of each').nth(1).fill('0.85 kg')
    const bars = page.getByRole('group', { name: 'Load limits' }).nth(0)
    await bars.getByLabel('Road').fill('100')
    await bars.getByLabel('Trail').fill('80')
    await bars.getByLabel('Parked').fill('200')
    const feet = page.getByRole('group', { name: 'Load limits' }).nth(1)
    await feet.getByLabel('Road').fill('60')
    await feet.getByLabel('Trail').fill('50')
    await feet.getByLabel('Parked').fill('180')
    await page.getByRole('button', { name: 'Save this rack' }).click()

    await expect(page.getByRole('button', { name: /^School bars/ })).toHaveAttribute('aria-pressed', 'true')
    // A second rack entered for the same job leaves the first one chosen (F12).
    await page.getByRole('link', { name: 'Enter your own rack' }).click()
    await page.getByRole('textbox', { name: 'Name', exact: true }).first().fill('School spare bars')
    await page.getByRole('button', { name: 'Save this rack' }).click()
    const spare = page.getByRole('button', { name: /^School spare bars/ })
    await expect(spare).toHaveAttribute('aria-pressed', 'true')
    await expect(page.getByRole('button', { name: /^School bars/ })).toHaveAttribute('aria-pressed', 'true')
    await spare.click()
    await page.getByLabel('Name of the job').fill('School run')
    await page.getByRole('button', { name: 'Start the job' }).click()
    await expect(page.getByRole('heading', { name: 'School run' })).toBeVisible()
    await expect(page.getByText('you can add 60 kg, spread evenly (Feet binds).')).toBeVisible()

    await page.getByRole('link', { name: 'Enter your own gear' }).click()
    await page.getByRole('textbox', { name: 'Name', exact: true }).first().fill('School box')
    await page.getByLabel('Its own weight').fill('20 kg')
    await page.getByLabel('Source of these figures').selectOption('sheet')
    await page.getByLabel('Weight known by').selectOption('maker')
    const box = page.getByRole('group', { name: 'What may be in it or on it' })
    for (const state of ['Road', 'Trail', 'Parked']) await box.getByLabel(state).fill('75')
    await page.getByRole('button', { name: 'Save and place it' }).click()
    await expect(inDrawing(page, /^School box/)).toHaveAttribute('aria-pressed', 'true')
    await page.getByRole('button', { name: 'Add contents' }).click()
    const load = page.getByRole('dialog', { name: 'Add contents' })
    await load.getByLabel('Weight').fill('45')
    await load.getByLabel('Weight').press('Enter')
    await load.getByLabel('Known by').selectOption('weighed')
    await load.getByRole('button', { name: 'Add it' }).click()
    // 20 + 45 on feet of 60; the roof takes 74.8 kg with 8.6 kg of rack on it: 1.2 kg left, so the feet govern.
    await expect(stateButton(page, 'Road')).toContainText('Stop, 5 kg over')
    await expect(
      page.getByRole('button', { name: /^Feet, Road: 65 kg of 60 kg, 5 kg over, Stop, governs/ }),
    ).toBeVisible()
    await expect(
      page.getByRole('button', { name: /^Roof, Road: 73.6 kg of 74.8 kg, 1.2 kg left, Clear/ }),
    ).toBeVisible()
  },
)

test('loses nothing typed into a form when the page is reloaded in the middle', deeper, async ({ page }) => {
  await page.goto('/gear')
  await page.getByRole('textbox', { name: 'Name', exact: true }).first().fill('Half typed')
  await page.getByLabel('Its own weight').fill('17 lb')
  await expect.poll(() => shelved(page, 'settings')).toContain('17 lb')
  await page.reload()
  await expect(page.getByRole('textbox', { name: 'Name', exact: true }).first()).toHaveValue('Half typed')
  await expect(page.getByLabel('Its own weight')).toHaveValue('17 lb')
})

test('changes the vehicle of a job from the bench, and the drawing follows', deeper, async ({ page }) => {
  await page.goto('/load?job=demo-first-bike')
  await goTo(page, 'Vehicle')
  await openPart(page, 'Sizes')
  await page.getByLabel('Height, unladen').fill('1600 mm')
  await page.getByRole('button', { name: 'Save and go back to Load' }).click()
  await expect(page.getByText(/2\s?817 mm/).first()).toBeVisible()
  await goTo(page, 'Racks')
  await page.getByRole('link', { name: 'Change' }).click()
  await page.getByRole('textbox', { name: 'Name', exact: true }).first().fill('Renamed bars')
  await page.getByRole('button', { name: 'Save and go back to Load' }).click()
  await expect(page.getByText('Renamed bars').first()).toBeVisible()
})
