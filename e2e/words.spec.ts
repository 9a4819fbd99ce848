import type { Page } from '@playwright/test'
import { DEMO_PLANS } from '../src/demo/plans'
import { deeper, expect, inDrawing, test } from './fixtures'
import { textFaults } from './text-boxes'

/** What the drawing shows: words that lie over each other or over the mark of a centre of gravity, as the page has them. */
const onMarks = (page: Page) =>
  page.evaluate(() => {
    const words = [...document.querySelectorAll('[data-words] text')].map((each) => ({
      text: each.textContent,
      box: each.getBoundingClientRect(),
    }))
    const marks = [...document.querySelectorAll('[data-gravity]')].map((each) => each.getBoundingClientRect())
    return words
      .filter(({ box }) =>
        marks.some(
          (mark) =>
            box.left + 1 < mark.right &&
            box.right - 1 > mark.left &&
            box.top + 2 < mark.bottom &&
            box.bottom - 2 > mark.top,
        ),
      )
      .map(({ text }) => `${text} lies on a centre of gravity`)
  })

// The gate places the same words without a page, in sheet-labels.test.ts.
for (const plan of DEMO_PLANS)
  test(
    `${plan.job.name}: no word of the drawing over another at three zooms, in both unit systems`,
    deeper,
    async ({ page }) => {
      await page.goto(`/load?job=${plan.id}`)
      await expect(page.locator('[data-words] text').first()).toBeVisible()
      await page.getByRole('button', { name: /^Next kilo/ }).click()
      let counted = 0
      for (const units of ['mm kg', 'in lb'] as const) {
        await expect(page.getByRole('button', { name: new RegExp(`^Units: ${units}`) })).toBeVisible()
        for (const zoom of ['Vehicle', 'Rack', 'Zoom in'] as const) {
          await page.getByRole('button', { name: zoom, exact: true }).click()
          await inDrawing(page, /./).last().focus()
          expect(await textFaults(page, 12), `${units}, ${zoom}`).toEqual([])
          expect(await onMarks(page), `${units}, ${zoom}`).toEqual([])
          counted += await page.locator('[data-words] text').count()
        }
        await page.getByRole('button', { name: /^Units: / }).click()
      }
      expect(counted).toBeGreaterThan(60)
    },
  )
