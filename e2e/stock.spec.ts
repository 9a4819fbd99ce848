import { readFile } from 'node:fs/promises'
import type { Page } from '@playwright/test'
import { deeper, expect, openJob, openPart, test } from './fixtures'

const take = (page: Page, name: string, text: string) =>
  page
    .getByLabel('A CSV or JSON file to take in')
    .setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) })

const list = (page: Page, name: string) =>
  page.getByRole('group', { name: 'Lists' }).getByRole('button', { name: new RegExp(`^${name}`) })

async function downloaded(page: Page, button: string): Promise<string> {
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: button }).click(),
  ])
  return readFile(await download.path(), 'utf8')
}

test('takes in a CSV with five bad lines: each is named, and nothing is taken before it is said', async ({
  page,
}) => {
  await page.goto('/stock')
  await expect(page.getByRole('row', { name: /^Long box/ })).toBeVisible()
  const text = [
    'Id,Name,Kind,Length (mm),Mass (lb)',
    'long-box,Long box,box,1950,40',
    'short-box,Short wide box,rocket,1350,31',
    'sea-boat,Sea boat,boat,very long,53',
    ',No id,box,900,4',
    'long-box,Twice,box,900,4',
    'gear-bag,Gear bag,bag,,5',
  ].join('\r\n')
  await take(page, 'gear.csv', text)
  const preview = page.getByRole('dialog', { name: 'What gear.csv would do' })
  await expect(preview).toContainText('1 line would change an entry, 0 lines would add one')
  const wrong = preview.getByRole('list', { name: 'Lines that cannot be read' }).getByRole('listitem')
  await expect(wrong).toHaveCount(5)
  await expect(wrong.nth(0)).toContainText('Line 3. Kind: "rocket" is none of box')
  await expect(wrong.nth(1)).toContainText('Line 4. Length: "very long" has no number in it.')
  await expect(wrong.nth(2)).toContainText('Line 5. Id is empty')
  await expect(wrong.nth(3)).toContainText('Line 6. Id "long-box" stands on two lines')
  await expect(wrong.nth(4)).toContainText('Line 7. Length is empty')
  await preview.getByRole('button', { name: 'Cancel' }).click()
  await expect(page.getByRole('row', { name: /^Long box/ })).toContainText('1900')
  await take(page, 'gear.csv', text)
  await preview.getByRole('button', { name: 'Take the 1 good line' }).click()
  await expect(page.getByRole('row', { name: /^Long box/ })).toContainText('1950')
  await page.reload()
  await expect(page.getByRole('row', { name: /^Long box/ })).toContainText('1950')
})

test('exports a list, edits the file, and takes it in again', deeper, async ({ page }) => {
  await page.goto('/stock')
  await expect(page.getByRole('row', { name: /^Sea boat/ })).toBeVisible()
  const text = await downloaded(page, 'Download CSV')
  expect(text.split('\r\n')[0]).toContain('Length (mm)')
  await take(page, 'same.csv', text)
  const same = page.getByRole('dialog', { name: 'What same.csv would do' })
  await expect(same).toContainText(
    '0 lines would change an entry, 0 lines would add one, 45 lines would change nothing',
  )
  await same.getByRole('button', { name: 'Cancel' }).click()
  const edited = text.replace('sea-boat,Sea boat,boat,5200', 'sea-boat,School sea boat,boat,5100')
  expect(edited).not.toBe(text)
  await take(page, 'edited.csv', edited)
  await page.getByRole('button', { name: 'Take 1 line', exact: true }).click()
  await expect(page.getByRole('row', { name: /^School sea boat/ })).toContainText('5100')
  await page.getByRole('button', { name: 'Delete School sea boat' }).click()
  await expect(page.getByRole('row', { name: /^Sea boat/ })).toContainText('5200')
})

test('sorts, filters, edits and copies; a new adapter is offered on the bench', async ({ page }) => {
  await page.goto('/stock')
  await page.getByRole('button', { name: 'Mass (kg)' }).click()
  await expect(page.getByRole('columnheader', { name: 'Mass (kg)' })).toHaveAttribute('aria-sort', /ending/)
  await page.getByLabel('Find in this list').fill('long box')
  await expect(page.getByRole('row')).toHaveCount(2)
  await page.getByRole('button', { name: 'Edit Long box' }).click()
  const form = page.getByRole('dialog', { name: 'Edit Long box' })
  await form.getByLabel('Length, along the vehicle').fill('wide')
  await form.getByRole('button', { name: /^Keep this/ }).click()
  await expect(form.getByText('"wide" has no number in it.')).toBeVisible()
  await form.getByLabel('Length, along the vehicle').fill('75 in')
  await form.getByLabel('Held by').selectOption('uBolt')
  for (const [label, value] of [
    ['Bars from this width', '20'],
    ['to this width', '90'],
    ['Bars from this height', '20'],
    ['to this height', '40'],
  ] as const)
    await form.getByLabel(label).fill(value)
  await form.getByRole('button', { name: /^Keep this/ }).click()
  await expect(page.getByRole('row', { name: /^Long box/ })).toContainText('1905')

  await list(page, 'Adapters').click()
  await page.getByLabel('Find in this list').fill('')
  await page.getByRole('button', { name: 'Copy Saddle adapters for heavy bars' }).click()
  const copy = page.getByRole('dialog', { name: 'Copy of Saddle adapters for heavy bars' })
  await copy.getByLabel('Name', { exact: true }).fill('Own saddles')
  await copy.getByRole('button', { name: /^Keep this/ }).click()
  await expect(page.getByRole('row', { name: /^Own saddles/ })).toBeVisible()
})

test(
  'takes the whole stock out as JSON and in again, and says what is wrong with another file',
  deeper,
  async ({ page }) => {
    await page.goto('/stock')
    await expect(page.getByRole('row', { name: /^Long box/ })).toBeVisible()
    const text = await downloaded(page, 'Download all as JSON')
    await take(page, 'stock.json', text)
    const preview = page.getByRole('dialog', { name: 'What stock.json would do' })
    await expect(preview.getByText(/0 entries would replace entries here/)).toBeVisible()
    await preview.getByRole('button', { name: /^Take in \d+ entries$/ }).click()
    await expect(page.getByText(/entries taken from stock.json/)).toBeVisible()

    // What differs is named and can be left as it is here.
    const other = text.replaceAll('"name": "Long box"', '"name": "Longest box"')
    await take(page, 'other.json', other)
    const changed = page.getByRole('dialog', { name: 'What other.json would do' })
    const one = changed.getByRole('checkbox', { name: /^Longest box/ })
    await expect(one).toBeChecked()
    await one.uncheck()
    await expect(changed.getByRole('button', { name: 'Nothing to import' })).toBeDisabled()
    await changed.getByRole('button', { name: 'Close' }).click()
    await expect(page.getByRole('row', { name: /^Long box/ })).toBeVisible()
    await take(page, 'bad.json', text.replace('"lengthMm": 1900', '"lengthMm": -1900'))
    const refused = page.getByRole('dialog', { name: 'Import failed' })
    await expect(refused).toContainText('lengthMm')
  },
)

test(
  'what a job found out of a rack is offered back to stock, and is taken by the next job',
  deeper,
  async ({ page }) => {
    await openJob(page, 'A boat and the long box')
    await page.goto('/racks?job=demo-boat-and-box')
    await expect(page.getByText(/^In stock/)).toHaveCount(0)
    await page.goto('/rack-form?job=demo-boat-and-box&rack=wing')
    await openPart(page, 'Bars')
    await page.getByLabel('Usable width').first().fill('960')
    await page.getByRole('button', { name: 'Save' }).click()
    await expect(page).toHaveURL(/load/)
    await page.goto('/racks?job=demo-boat-and-box')
    await page.getByText(/^In stock Aero bars on rail feet differs: Front bar$/).click()
    await expect(page.getByText('Front bar: the width that can be used')).toBeVisible()
    await page.getByRole('button', { name: /^Keep Aero bars on rail feet in stock/ }).click()
    await expect(page.getByText(/^In stock/)).toHaveCount(0)
    await page.reload()
    await expect(page.getByRole('button', { name: 'Take off Aero bars on rail feet' })).toBeVisible()
    await expect(page.getByText(/^In stock/)).toHaveCount(0)
  },
)
