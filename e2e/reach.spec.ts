import type { Page } from '@playwright/test'
import { DEMO_PLANS } from '../src/demo/plans'
import { DEEP, expect, test } from './fixtures'

/** The one with most on it; the deep run takes every job. */
const IN_THE_GATE: ReadonlySet<string> = new Set(['demo-frame'])

const focused = (page: Page) =>
  page.evaluate(() => {
    const now = document.activeElement
    const kind = now instanceof SVGElement || now instanceof HTMLElement ? now.dataset['roving'] : undefined
    return { name: now?.getAttribute('aria-label') ?? now?.textContent ?? '', kind: kind ?? '' }
  })

for (const plan of DEMO_PLANS.filter(({ id }) => DEEP || IN_THE_GATE.has(id)))
  test(`${plan.job.name}: every bar, thing, foot, ruler and cell is reached by keys in few presses`, async ({
    page,
  }) => {
    await page.goto(`/load?job=${plan.id}`)
    await expect(page.locator('[data-words] text').first()).toBeVisible()
    await page.keyboard.press('Tab')
    await expect(page.getByRole('link', { name: 'To the drawing' })).toBeFocused()
    await page.keyboard.press('Enter')
    const drawn = page.locator('[data-roving]')
    const count = await drawn.count()
    const kinds = new Set(
      await drawn.evaluateAll((all) => all.map((each) => each.getAttribute('data-roving'))),
    )
    // A press for the link, one to take it; each kind is a press further, each of its like another.
    const seen = new Map<string, number>()
    let most = 0
    const first = (await focused(page)).kind
    for (let kind = 0; kind < kinds.size; kind += 1) {
      let presses = 2 + kind
      const now = await focused(page)
      for (let next = now; next.kind === now.kind && !seen.has(next.name); next = await focused(page)) {
        seen.set(next.name, presses)
        most = Math.max(most, presses)
        presses += 1
        await page.keyboard.press('PageDown')
      }
      // Back to the first of this kind, and from it to the next.
      while ((await focused(page)).kind !== now.kind) await page.keyboard.press('PageUp')
      await page.keyboard.press('Shift+PageDown')
    }
    expect((await focused(page)).kind).toBe(first)
    expect(seen.size).toBe(count)
    console.log(`${plan.id}: ${count} things in the drawing, the farthest ${most} presses away`)
    expect(most).toBeLessThanOrEqual(2 + kinds.size + count / 2)

    await page.getByRole('link', { name: 'To the load path' }).press('Enter')
    const cells = page.locator('#path td button')
    await expect(cells.first()).toBeFocused()
    await page.keyboard.press('ArrowRight')
    await expect(cells.nth(1)).toBeFocused()
    await page.keyboard.press('End')
    await expect(cells.last()).toBeFocused()
    await page.keyboard.press('ArrowUp')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('dialog')).toBeVisible()
    await page.keyboard.press('Escape')
    await expect(page.locator('#path td button:focus')).toHaveCount(1)
    await page.getByRole('link', { name: 'To the shelf' }).press('Enter')
    // What cannot go on this rack is folded: opened, the same keys lead on into it.
    const folded = page.locator('#shelf details:not([open]) summary')
    if ((await folded.count()) > 0) await folded.press('Enter')
    const item = page.locator('[data-shelf-item][tabindex="0"]')
    await item.focus()
    const top = await focused(page)
    await page.keyboard.press('ArrowDown')
    expect((await focused(page)).name).not.toBe(top.name)
    await page.keyboard.press('ArrowUp')
    expect((await focused(page)).name).toBe(top.name)
  })
