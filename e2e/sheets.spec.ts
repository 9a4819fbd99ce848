import type { Locator, Page } from '@playwright/test'
import {
  deeper,
  expect,
  goTo,
  inDrawing,
  openPart,
  openQuestions,
  saved,
  shelved,
  stateButton,
  test,
} from './fixtures'

const group = (page: Page, name: string | RegExp): Locator => page.getByRole('group', { name }).first()

async function open(within: Locator, title: string): Promise<void> {
  const summary = within.locator('summary[data-part]').filter({ hasText: title }).first()
  if ((await summary.locator('xpath=..').getAttribute('open')) === null) await summary.click()
}

async function begin(page: Page, job: string): Promise<string> {
  await page.getByLabel('Name of the job').fill(job)
  await page.getByRole('button', { name: 'Start the job' }).click()
  await expect(page.getByRole('heading', { name: job })).toBeVisible()
  await saved(page)
  return new URL(page.url()).searchParams.get('job') ?? ''
}

test(
  'a rack wholly by hand: its joints, marks, keys, box and step are seen again in the bay and on the sheet',
  deeper,
  async ({ page }) => {
    await page.goto('/rack-form?vehicle=estate')
    await page.getByRole('textbox', { name: 'Name' }).first().fill('Hand rack')
    await page.getByLabel('Source of these figures').selectOption('sheet')
    const feet = group(page, 'Feet')
    await open(feet, 'Joints and torque')
    await feet.getByRole('button', { name: 'Add a joint' }).click()
    await feet.getByLabel('Thread', { exact: true }).nth(0).fill('M8')
    await feet.getByLabel('Torque from').nth(0).fill('10 Nm')
    await feet.getByLabel('On page').nth(0).fill('4')
    await feet.getByRole('button', { name: 'Add a joint' }).click()
    await feet.getByLabel('Thread', { exact: true }).nth(1).fill('M6')
    await feet.getByLabel('Torque from').nth(1).fill('6 Nm')
    await open(feet, 'Box, keys and marks')
    await feet.getByLabel('Lock cores').fill('4')
    await feet.getByLabel('Key codes').fill('K417')
    await feet.getByLabel('Left and right').selectOption('marked')
    await feet.getByRole('button', { name: 'Add something it lacks' }).click()
    await feet.getByLabel('What', { exact: true }).fill('Long hex key')
    await open(feet, 'Steps of its own')
    await feet.getByRole('button', { name: 'Add a step' }).click()
    await feet.getByLabel('What is done').fill('Press the pads home')
    await page.getByRole('button', { name: 'Save this rack' }).click()
    const job = await begin(page, 'By hand')

    await page.goto(`/fit?job=${job}`)
    await expect(page.getByText('Press the pads home').first()).toBeVisible()
    await page.getByRole('button', { name: 'Parts', exact: true }).click()
    await expect(page.getByText(/Long hex key/).first()).toBeVisible()
    await page.goto(`/handover?job=${job}`)
    for (const seen of [/K417/, /10 N·m/, /6 N·m/]) await expect(page.getByText(seen).first()).toBeVisible()

    // Opened again, all of it stands there.
    await page.goto(`/load?job=${job}`)
    await goTo(page, 'Racks')
    await page.getByRole('link', { name: 'Change' }).click()
    const again = group(page, 'Feet')
    await open(again, 'Joints and torque')
    await expect(again.getByLabel('Torque from').nth(0)).toHaveValue('10 Nm')
    await open(again, 'Box, keys and marks')
    await expect(again.getByLabel('Key codes')).toHaveValue('K417')
  },
)

test('a rack wholly from stock parts has their figures with it', deeper, async ({ page }) => {
  await page.goto('/rack-form?vehicle=estate')
  await page.getByRole('textbox', { name: 'Name' }).first().fill('Stock rack')
  for (const name of ['Bars', 'Feet'])
    await page.getByRole('button', { name: `Remove ${name}`, exact: true }).click()
  for (const label of ['Rail feet, cast', 'Aero bars, heavy']) {
    await page.getByLabel('Take a part from stock').selectOption({ label })
    await page.getByRole('button', { name: 'Take it' }).last().click()
  }
  await page.getByRole('button', { name: 'Save this rack' }).click()
  await begin(page, 'From stock')
  const path = page.getByRole('region', { name: 'Load path' })
  await expect(path.getByRole('button', { name: /^Rail feet, cast, Road: 0 kg of 130 kg/ })).toBeVisible()
  await expect(path.getByRole('button', { name: /^Aero bars, heavy, Road: 0 kg of/ })).toBeVisible()
})

test('a boat lies in a cradle, both entered by hand (E1)', deeper, async ({ page }) => {
  await page.goto('/gear?job=demo-first-bike')
  await page.getByRole('textbox', { name: 'Name' }).first().fill('Own cradle')
  await page.getByLabel('Kind', { exact: true }).selectOption('carrier')
  await page.getByLabel('Its own weight').fill('6 kg')
  await page.getByLabel('Held by').selectOption('strap')
  await page.getByLabel('It is', { exact: true }).selectOption('cradle')
  await page.getByRole('checkbox', { name: 'Boats' }).check()
  await page.getByRole('button', { name: 'Save and place it' }).click()
  await expect(inDrawing(page, /^Own cradle/)).toBeVisible()
  await page.goto('/gear?job=demo-first-bike')
  await page.getByRole('textbox', { name: 'Name' }).first().fill('Own boat')
  await page.getByLabel('Kind', { exact: true }).selectOption('boat')
  await page.getByLabel('Its own weight').fill('20 kg')
  await page.getByLabel('Held by').selectOption('none')
  await page.getByRole('button', { name: 'Save and place it' }).click()
  await expect(inDrawing(page, /^Own boat/)).toBeVisible()
  await expect(page.getByText(/Own boat.*Own cradle|in Own cradle/).first()).toBeVisible()
})

test(
  'two weights of one thing disagree: it is asked which holds where a verdict would turn, and the other is kept',
  deeper,
  async ({ page }) => {
    await page.goto('/gear?job=demo-boat-and-box&from=long-box')
    await openPart(page, 'Weight, wet, wind and speed')
    await page.getByRole('button', { name: 'Add a weight' }).click()
    const other = page.getByRole('group', { name: /weight 1/ })
    await other.getByLabel('It weighs').fill('25 lb')
    await other.getByLabel('Known by').selectOption('weighed')
    await other.getByLabel('Says who').fill('yard scale')
    await page.getByRole('button', { name: 'Save and go back to Load' }).click()
    await inDrawing(page, /^Long box/).click()
    await expect(page.getByLabel('Its own weight')).toHaveValue('18 kg')
    await openQuestions(page)
    await expect(page.getByText(/11.3 kg \(weighed, yard scale\) differ by/).first()).toBeVisible()
    await page.getByLabel('Which weight of Long box holds').first().selectOption({ index: 2 })
    await expect(page.getByText(/yard scale\) differ by/)).toHaveCount(0)
    await expect(page.getByLabel('Its own weight')).toHaveValue('11.3 kg')
    await expect(page.getByText('typed 25 lb')).toBeVisible()
    await page.getByRole('link', { name: 'Its sheet' }).click()
    await openPart(page, 'Weight, wet, wind and speed')
    await expect(page.getByRole('group', { name: /weight 1/ }).getByLabel('It weighs')).toHaveValue('18 kg')
    await expect(page.getByLabel('Why it does not count')).toHaveValue(/looked at again: weighed holds/)
  },
)

test('two figures for one roof disagree: both are named, the lesser counts, and looking again settles it', async ({
  page,
}) => {
  await page.goto('/vehicle?job=demo-first-bike')
  const roof = group(page, 'Load limits of the roof')
  await roof.getByRole('button', { name: 'Add a figure' }).click()
  const other = roof.getByRole('group', { name: /figure 1/ })
  await other.getByLabel('Figure', { exact: true }).fill('20 kg')
  await other.getByLabel('Counts').selectOption(await roof.getByLabel('Counts').first().inputValue())
  await other.getByLabel('Read', { exact: true }).selectOption('label')
  await page.getByRole('button', { name: 'Save and go back to Load' }).click()
  await expect(stateButton(page, 'Road')).toContainText('Stop')
  await openQuestions(page)
  await expect(page.getByText(/20 kg \(label\) and 55 kg \(.*differ by/).first()).toBeVisible()
  await page.getByLabel('Which figure of Roof holds').first().selectOption({ index: 2 })
  await expect(page.getByText(/differ by/)).toHaveCount(0)
  await expect(stateButton(page, 'Road')).not.toContainText('Stop')
  await goTo(page, 'Vehicle')
  await expect(group(page, 'Load limits of the roof').getByLabel('Not in use, because')).toHaveValue(
    /looked at again/,
  )
})

test(
  'every sheet of a job opened in US units and saved leaves the job as it was',
  deeper,
  async ({ page }) => {
    await page.goto('/house')
    await page.getByLabel('Units', { exact: true }).selectOption('us')
    await expect.poll(() => shelved(page, 'settings')).toContain('"us"')
    await page.goto('/vehicle?job=demo-boat-and-box')
    await openPart(page, 'Sizes')
    await expect(page.getByLabel('Overall length')).toHaveValue(/in$/)
    const before = JSON.parse(await shelved(page, 'plans')) as unknown
    const back = page.getByRole('button', { name: 'Save and go back to Load' })
    await back.click()
    await expect(page).toHaveURL(/load/)
    await goTo(page, 'Racks')
    await page.getByRole('link', { name: 'Change' }).click()
    await back.click()
    await expect(page).toHaveURL(/load/)
    await saved(page)
    expect(JSON.parse(await shelved(page, 'plans'))).toEqual(before)
  },
)
