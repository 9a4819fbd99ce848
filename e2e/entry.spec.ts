import { deeper, expect, goTo, openPart, saved, shelved, test } from './fixtures'

test('a sheet that cannot be saved lists its wrong fields, and leads to each, in a closed part too', async ({
  page,
}) => {
  await page.goto('/vehicle')
  await openPart(page, 'Weight and balance')
  await page.getByLabel('Kerb mass').fill('heavy')
  await page.locator('summary', { hasText: 'Weight and balance' }).click()
  await expect(page.getByLabel('Kerb mass')).toBeHidden()
  await page.getByRole('button', { name: 'Save this vehicle' }).click()
  const wrong = page.getByRole('group', { name: 'Fields that need another look' })
  await expect(wrong.getByText('2 fields need another look.')).toBeVisible()
  // The first of them has the focus at once.
  await expect(page.getByRole('textbox', { name: 'Name' }).first()).toBeFocused()
  await wrong.getByRole('button', { name: 'Kerb mass' }).press('Enter')
  await expect(page.getByLabel('Kerb mass')).toBeFocused()
  await page.getByLabel('Kerb mass').fill('1500 kg')
  await expect(wrong.getByText('One field needs another look.')).toBeVisible()
  await wrong.getByRole('button', { name: 'Name' }).click()
  await page.keyboard.type('Our estate')
  await expect(wrong).toBeHidden()
})

test('half of what belongs together is saved, and nothing else than a name is wanted', async ({ page }) => {
  await page.goto('/load?job=demo-first-bike')
  await goTo(page, 'Vehicle')
  await openPart(page, 'Weight and balance')
  await page.getByLabel('Track, front').fill('60 in')
  await expect(page.getByText('Kept as typed, and not used yet. Missing: “Track, rear”.')).toBeVisible()
  await openPart(page, 'Sizes')
  await page.getByLabel('Wheelbase').fill('')
  await expect(page.getByText(/^Empty: .* stands in as a starting value\.$/)).toBeVisible()
  await page.getByRole('button', { name: 'Save and go back to Load' }).click()
  await expect(page).toHaveURL(/load/)
  await saved(page)
  await page.reload()
  await goTo(page, 'Vehicle')
  await openPart(page, 'Weight and balance')
  await expect(page.getByLabel('Track, front')).toHaveValue('60 in')
  await openPart(page, 'Sizes')
  await expect(page.getByLabel('How it is known').and(page.locator('.mind-hatch')).first()).toBeVisible()
})

test('an attachment that becomes another kind begins as that kind does, and the source is kept over a reload', async ({
  page,
}) => {
  await page.goto('/vehicle')
  await page.getByLabel('Source of these figures').selectOption('manual')
  await expect.poll(() => shelved(page, 'settings')).toContain('manual')
  await page.reload()
  await expect(page.getByLabel('Source of these figures')).toHaveValue('manual')
  const first = page.getByRole('group', { name: 'Raised rails, air under them' }).first()
  const name = first.getByRole('textbox', { name: 'Name' })
  await expect(name).toHaveValue('Raised rails')
  await first.getByLabel('What it is').selectOption('fixedPoint')
  const points = page.getByRole('group', { name: /^Fixed points/ }).first()
  await expect(points.getByRole('textbox', { name: 'Name' })).toHaveValue(/points/)
  await expect(points.getByLabel('Points at')).not.toHaveValue('')
  await expect(points.getByLabel('How it is known').first()).toHaveValue('start')
})

test('washers stand in the order they were given, and two alike may (F9)', deeper, async ({ page }) => {
  await page.goto('/rack-form?vehicle=estate')
  const feet = page.getByRole('group', { name: 'Feet' }).first()
  await feet.locator('summary', { hasText: 'Joints and torque' }).click()
  await feet.getByRole('button', { name: 'Add a joint' }).click()
  await feet.locator('summary', { hasText: 'More of this joint' }).first().click()
  const washers = feet.getByRole('group', { name: 'Washers, from the head down' }).first()
  await washers.getByLabel('First').selectOption('flat')
  await washers.getByLabel('Next').selectOption('lock')
  await washers.getByLabel('Next').selectOption('flat')
  await expect(washers.getByRole('listitem')).toHaveText(['1. flat', '2. lock', '3. flat'])
  await washers.getByRole('button', { name: 'Move lock, 2, up' }).press('Enter')
  await expect(washers.getByRole('listitem')).toHaveText(['1. lock', '2. flat', '3. flat'])
  await washers.getByRole('button', { name: 'Remove flat, 3' }).click()
  await expect(washers.getByRole('listitem')).toHaveText(['1. lock', '2. flat'])
})

test('a line pressed twice in a moment is never open and empty (W1)', async ({ page }) => {
  await page.goto('/vehicle')
  const line = page.locator('summary[data-part]').filter({ hasText: 'Sizes' })
  const part = line.locator('xpath=..')
  for (const presses of [2, 3, 2, 1, 5]) {
    for (let i = 0; i < presses; i += 1) await line.dispatchEvent('click')
    const isOpen = (await part.getAttribute('open')) !== null
    await expect(page.getByLabel('Wheelbase')).toHaveCount(isOpen ? 1 : 0)
  }
})

test('a weight is known as the sheet says on top, until somebody chooses how it is known', async ({
  page,
}) => {
  await page.goto('/gear?job=demo-ladder')
  const weight = page.getByRole('textbox', { name: 'Its own weight', exact: true })
  const how = page.getByLabel('Weight known by')
  await page.getByLabel('Source of these figures').selectOption('sheet')
  await weight.fill('12 kg')
  await expect(how).toHaveValue('maker')
  await how.selectOption('guess')
  await how.blur()
  await weight.fill('13 kg')
  await expect(how).toHaveValue('guess')
})

test('a panel that was just added goes with its hinge', deeper, async ({ page }) => {
  await page.goto('/vehicle')
  await openPart(page, 'Things the load may touch')
  await page.getByLabel('Add something the load may touch').selectOption('tailgate')
  await page.getByRole('button', { name: 'Add it' }).last().click()
  const hinge = page.getByRole('textbox', { name: 'Hinge at', exact: true })
  await hinge.fill('3350')
  await hinge.press('Tab')
  await expect(page.getByLabel('Corners of the closed panel')).toHaveValue(/^3\s?350 mm \/.*; 3\s?360 mm \//)
})
