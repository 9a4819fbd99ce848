import { deeper, expect, fromMenu, goTo, openJob, openPart, saved, stateButton, test } from './fixtures'

const STOPS = [
  ['Vehicle', /\/vehicle\?/],
  ['Racks', /\/racks\?/],
  ['Load', /\/load\?/],
  ['Forces', /\/forces\?/],
  ['Fit', /\/fit\?/],
  ['Handover', /\/handover\?/],
  ['Log', /\/log\?/],
] as const

test('one bar leads through a whole job and says at every stop how each stands', async ({ page }) => {
  await openJob(page, 'Two bikes on the hatchback')
  const stages = page.getByRole('navigation', { name: 'Stages of this job' })
  for (const [stop, address] of STOPS) {
    await goTo(page, stop)
    await expect(page).toHaveURL(address)
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Two bikes on the hatchback')
    await expect(stages.locator('[aria-current=step]')).toContainText(stop)
    await expect(stages).toContainText('1 to find out')
    await expect(stages).toContainText('0 of 27')
    await expect(stateButton(page, 'Road')).toContainText('Find out')
  }
  // From the log the next thing leads to its very field on the bench.
  await page.locator('[data-next]').getByRole('link', { name: 'Door-frame feet, on the road' }).click()
  await expect(page).toHaveURL(/\/load\?/)
  await expect(page.locator('#path').getByLabel('Door-frame feet, on the road')).toBeFocused()
  await page.keyboard.type('70 kg')
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-next]')).not.toContainText('Door-frame feet, on the road')
})

test(
  'search everything finds screens, fields, findings and dialogs from any screen of a job',
  deeper,
  async ({ page }) => {
    await page.goto('/handover?job=demo-hatch')
    const palette = page.getByRole('dialog', { name: 'Search everything' })
    const choose = async (words: string, name: RegExp) => {
      await expect(palette).toBeVisible()
      await page.keyboard.type(words)
      await palette.getByRole('option', { name }).first().click()
    }
    const find = async (words: string, name: RegExp) => {
      await expect(page.getByRole('navigation', { name: 'Stages of this job' })).toBeVisible()
      await page.keyboard.press('Control+k')
      await choose(words, name)
    }
    /** Presses the keys at the very moment at which the next screen stands in the page. */
    const searchAsComes = async (title: string) =>
      page.evaluate((words) => {
        const watch = new MutationObserver(() => {
          if (!document.querySelector('h1')?.textContent.startsWith(words)) return
          watch.disconnect()
          document.body.dispatchEvent(
            new KeyboardEvent('keydown', { key: 'k', ctrlKey: true, bubbles: true }),
          )
        })
        watch.observe(document.body, { childList: true, subtree: true, characterData: true })
      }, title)
    await find('overall length', /Vehicle: Overall length/)
    await expect(page).toHaveURL(/\/vehicle\?/)
    await expect(page.getByLabel('Overall length')).toBeFocused()
    await searchAsComes('Forces')
    await find('forces', /^Forces$/)
    await expect(page).toHaveURL(/\/forces\?/)
    await choose('hatch touches', /^Stop: Hatch touches Short wide box/)
    await expect(page).toHaveURL(/\/load\?/)
    await expect(page.locator('[data-finding]').filter({ hasText: /^Stop/ })).toBeFocused()
    await find('garages', /Doors and garages/)
    await expect(page.getByRole('dialog', { name: 'Doors and garages to pass' })).toBeVisible()
  },
)

test('a pasted sheet fills the fields it speaks of, keeps its words as the source, and is undone on its own page', async ({
  page,
}) => {
  await openJob(page, 'Yard van, full summer load')
  await goTo(page, 'Vehicle')
  const length = page.getByRole('textbox', { name: 'Overall length' })
  await openPart(page, 'Sizes')
  const before = await length.inputValue()
  // What was typed before gives way to what is taken, and stays beside it.
  await length.fill('5000 mm')
  await page.getByRole('button', { name: 'Paste a sheet' }).click()
  const dialog = page.getByRole('dialog', { name: 'Paste a sheet' })
  const text = dialog.getByLabel('The text of a maker’s sheet, a label, a manual’s page or a message')
  await text.fill('good morning, can you have a look at it on friday at 10?')
  await expect(dialog).toContainText('No figure found that belongs on this sheet')
  await text.fill(
    'Length 5 460 mm. Maximum roof load 61 kg (134 lb) including the rack, page 33. Off-road 40 kg (120 lb).',
  )
  await expect(dialog.getByRole('list', { name: 'What was read' }).getByRole('listitem')).toHaveCount(2)
  await expect(dialog).toContainText('The two units do not agree: 40 kg (120 lb). Neither is taken.')
  // What the text does not say is asked, and taken when it is answered: by its own key alone.
  await expect(dialog.getByRole('button', { name: 'Take it' })).toBeVisible()
  const asked = dialog.getByRole('group', { name: 'The text does not say when this holds:' })
  await asked.getByRole('button', { name: /^Driving/ }).focus()
  await page.keyboard.press('Enter')
  await expect(asked.getByRole('button', { name: /^Driving/ })).toHaveAttribute('aria-pressed', 'true')
  await dialog.getByRole('button', { name: 'Take these 2' }).click()
  await expect(length).toHaveValue(/5\s?460 mm/)
  const other = page.getByRole('group', { name: 'Another figure: Overall length' })
  await expect(other.getByRole('textbox', { name: 'Another figure', exact: true })).toHaveValue(/5\s?000 mm/)
  await page.getByRole('button', { name: 'Save and go back to Load' }).click()
  await page.getByRole('button', { name: /^Roof, Road/ }).click()
  const sum = page.getByRole('dialog')
  await expect(sum.locator('input[value*="61"]').first()).toBeVisible()
  await page.keyboard.press('Escape')
  await saved(page)
  await goTo(page, 'Vehicle')
  await openPart(page, 'Sizes')
  await expect(length).toHaveValue(/5\s?460 mm/)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(length).toHaveValue(before)
})

test(
  'racks from stock are tried on the vehicle: what suits, and why another cannot',
  deeper,
  async ({ page }) => {
    await openJob(page, 'A boat and the long box')
    await goTo(page, 'Racks')
    const suits = page.getByRole('row').filter({ hasText: 'Aero bars on rail feet' })
    await expect(suits).toContainText('Suits')
    await expect(suits).toContainText('66.4 kg')
    await page.getByText(/^Cannot stand on it: \d+$/).click()
    await expect(page.getByRole('row').filter({ hasText: /^Slat platform/ })).toContainText(
      'has no such attachment',
    )
    // The lengths of its bars beside each other, with all that stands on them; one of them taken, and given back.
    await page.getByText('Its bars in other lengths: 3 in stock').click()
    const lengths = page.getByRole('table', { name: 'Lengths of its bars beside each other' })
    await expect(lengths.getByRole('row').filter({ hasText: 'Aero bar 1520' })).toContainText('230 mm')
    await page.getByRole('button', { name: 'Take Aero bar 1520 for Aero bars on rail feet' }).click()
    await expect(lengths.getByRole('row').filter({ hasText: 'As they are' })).toContainText('230 mm')
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(lengths.getByRole('row').filter({ hasText: 'As they are' })).toContainText('105 mm')
    await fromMenu(page, 'Keys')
    await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible()
  },
)

test('on a phone the bar is the stop, the next thing and the verdicts, and all else a press away', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto('/load?job=demo-ladder')
  const stages = page.getByRole('navigation', { name: 'Stages of this job' })
  await expect(stages.getByRole('link', { name: /^Forces/ })).toBeHidden()
  await stages.getByRole('button', { name: /^Load 2 Stops/ }).click()
  await stages.getByRole('link', { name: /^Forces/ }).click()
  await expect(page).toHaveURL(/\/forces\?/)
  for (const path of [
    '/vehicle?job=demo-ladder',
    '/racks?job=demo-ladder',
    '/load?job=demo-ladder',
    '/house',
  ]) {
    await page.goto(path)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    expect(
      await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth),
    ).toBeLessThanOrEqual(0)
  }
})
