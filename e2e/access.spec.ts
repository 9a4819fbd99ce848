import AxeBuilder from '@axe-core/playwright'
import { expect, inDrawing, openJob, test } from './fixtures'

const TAGS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']

for (const theme of ['light', 'dark'] as const)
  test.describe(`in the ${theme} theme`, () => {
    test.use({ colorScheme: theme })
    for (const [name, path] of [
      ['jobs', '/'],
      ['bench, a Stop', '/bench?job=demo-boat-and-box'],
      ['bench, things to find out', '/bench?job=demo-ladder'],
      ['start a job', '/new?vehicle=estate'],
      ['vehicle form', '/vehicle'],
      ['rack form', '/rack?job=demo-boat-and-box'],
      ['gear form', '/gear'],
    ] as const)
      test(`${name}: no automated accessibility violation`, async ({ page }) => {
        await page.goto(path)
        await page.waitForLoadState('networkidle')
        await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
        const { violations } = await new AxeBuilder({ page }).withTags(TAGS).analyze()
        expect(
          violations.map(
            (each) => `${each.id}: ${each.nodes[0]?.target.join(' ')} ${each.nodes[0]?.failureSummary ?? ''}`,
          ),
        ).toEqual([])
      })

    test('picked thing, sum and dialogs: no automated accessibility violation', async ({ page }) => {
      await openJob(page, 'A boat and the long box')
      await inDrawing(page, /^Long box/).focus()
      await page.getByRole('button', { name: /^Roof, Road/ }).click()
      await expect(page.getByRole('dialog')).toBeVisible()
      const { violations } = await new AxeBuilder({ page }).withTags(TAGS).analyze()
      expect(violations.map((each) => `${each.id}: ${each.nodes[0]?.target.join(' ')}`)).toEqual([])
    })
  })

test('a narrow screen stacks the views and reaches load path and shelf', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await openJob(page, 'Ridge camp, tent for two')
  await expect(page.getByRole('heading', { name: 'Load path' })).toBeHidden()
  await page.getByRole('button', { name: /^Load path, 1 finding/ }).click()
  await expect(page.getByRole('heading', { name: 'Load path' })).toBeVisible()
  await page
    .getByRole('button', { name: /^Sleepers: 1 instead of 2|^Take/ })
    .first()
    .click()
  await page.getByRole('button', { name: 'Close the load path' }).click()
  await page.getByRole('button', { name: 'Shelf' }).click()
  await expect(page.getByLabel('Find gear')).toBeVisible()
  const wide = await page.evaluate(() => document.documentElement.scrollWidth > window.innerWidth)
  expect(wide).toBe(false)
})
