import { assessedBy } from '../scripts/assessed-by.mjs'
import { ROOT } from '../scripts/project.mjs'
import { deeper, expect, shelved, test } from './fixtures'

test(
  'a board as a table: sorted by any column, narrowed, put into the archive and taken out of it',
  deeper,
  async ({ page }) => {
    await page.goto('/')
    await page.getByRole('button', { name: 'Table' }).click()
    const names = page.getByRole('table', { name: 'Jobs' }).getByRole('rowheader')
    // What is overdue stands first before anything is asked.
    await expect(names.first()).toContainText('Yard van, full summer load')
    const count = await names.count()
    await page.getByRole('button', { name: 'Job', exact: true }).click()
    const byName = await names.allTextContents()
    expect(byName).toEqual(byName.toSorted((a, b) => a.localeCompare(b)))
    await page.getByLabel('Work').selectOption('handed over')
    await expect(names).not.toHaveCount(count)
    await expect(page.getByRole('search').getByRole('status')).toHaveText(
      `${await names.count()} of ${count}`,
    )
    await page.getByRole('button', { name: 'Show all' }).click()
    await expect(names).toHaveCount(count)
    await page.getByLabel('Due').selectOption('overdue')
    await expect(names).toHaveCount(1)
    await page.getByRole('button', { name: 'Archive Yard van, full summer load' }).click()
    await expect(page.getByText('No job matches.')).toBeVisible()
    await page.reload()
    await expect(names).toHaveCount(count - 1)
    await page.getByRole('button', { name: 'The archive: 1' }).click()
    await expect(names).toHaveText([/Yard van, full summer load/])
    await page.getByRole('button', { name: 'Take Yard van, full summer load out of the archive' }).click()
    await expect(page.getByRole('heading', { name: 'Jobs', exact: true })).toBeVisible()
    await expect(names).toHaveCount(count)
    // Search everything: the shop's screens and its jobs, from any of them.
    await page.keyboard.press('Control+k')
    const palette = page.getByRole('dialog', { name: 'Search everything' })
    await palette.getByRole('combobox').fill('rules')
    await page.keyboard.press('Enter')
    await expect(page).toHaveURL(/\/rules$/)
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Rules: ')
    await page.keyboard.press('Control+k')
    await palette.getByRole('combobox').fill('yard 0431')
    await expect(palette.getByRole('option', { name: /^Yard van/ })).toBeVisible()
    await page.keyboard.press('Enter')
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Yard van, full summer load')
  },
)

test('cards are kept under the key of the program that worked them out', deeper, async ({ page }) => {
  await page.goto('/')
  await expect(page.getByText('Yard van, full summer load').first()).toBeVisible()
  const key = await assessedBy(ROOT)
  await expect
    .poll(async () =>
      (JSON.parse(await shelved(page, 'glances')) as { readonly assessedBy: string }[]).map(
        (kept) => kept.assessedBy,
      ),
    )
    .toContain(key)
})
