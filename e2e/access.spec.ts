import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { boatAndBox } from '../src/demo/plans'
import { SHOWN } from '../src/ui/routes'
import { doneUpTo } from './fit-work'
import { textFaults, touchFaults } from './text-boxes'
import { DEEP, deeper, expect, fromMenu, inDrawing, openJob, test } from './fixtures'

const TAGS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']

const DESK = { width: 1280, height: 800 }
/** The gate's part: the screens that have most on them. */
const IN_THE_GATE: ReadonlySet<string> = new Set(['load, a Stop', 'vehicle form', 'handover'])

/** A desk is the gate's part; the deep run looks at a tablet on a stand and at a phone too. */
const SIZES = DEEP ? [DESK, { width: 820, height: 1180 }, { width: 390, height: 844 }] : [DESK]

/** The least a text may measure at a desk, where hands are dirty, and the least a target may measure for a finger. */
const DESK_PX = 12
const DIRTY_HANDS_PX = 18
const FINGER_PX = 44

type Theme = 'light' | 'dark'

/**
 * What the automated rules find wrong with the page as it stands. A theme changes colours and nothing else: in the dark
 * one only they are looked at again. What passes is not gathered, which is most of the time it takes, and no second
 * page is opened to gather it: no page here has frames.
 */
async function violationsOf(
  page: Page,
  within?: string,
  themes: readonly Theme[] = ['light', 'dark'],
): Promise<string[]> {
  const found: string[] = []
  for (const theme of themes) {
    await page.emulateMedia({ colorScheme: theme })
    const whole = new AxeBuilder({ page }).options({ resultTypes: ['violations'] }).setLegacyMode()
    const axe = within === undefined ? whole : whole.include(within)
    const { violations } = await (
      theme === 'light' ? axe.withTags(TAGS) : axe.withRules(['color-contrast'])
    ).analyze()
    for (const { id, nodes } of violations)
      found.push(`${theme}, ${id}: ${nodes[0]?.target.join(' ')} ${nodes[0]?.failureSummary ?? ''}`)
  }
  return found
}

for (const [i, [name, path]] of SHOWN.filter(([name]) => DEEP || IN_THE_GATE.has(name)).entries())
  for (const { width, height } of SIZES)
    test(`${name}, ${width} wide: no automated accessibility violation`, async ({ page }) => {
      await page.setViewportSize({ width, height })
      await page.goto(path)
      await page.waitForLoadState('networkidle')
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
      // The gate looks at every other screen in the dark: their colours come from one table.
      expect(
        await violationsOf(page, undefined, DEEP || i % 2 === 0 ? ['light', 'dark'] : ['light']),
      ).toEqual([])
      const isDesk = width === DESK.width
      expect(await textFaults(page, !isDesk && name === 'fit' ? DIRTY_HANDS_PX : DESK_PX)).toEqual([])
      if (!isDesk) expect(await touchFaults(page, FINGER_PX)).toEqual([])
    })

test(
  'a hatch drawn open, the measuring form and a line that cannot be read: no violation in either theme',
  deeper,
  async ({ page }) => {
    await openJob(page, 'Wide box under the hatch')
    await page.keyboard.press('f')
    await expect(page.getByText(/^touches Short wide box/)).toBeVisible()
    expect(await violationsOf(page)).toEqual([])
    await page.goto('/load?job=demo-ladder')
    await fromMenu(page, 'Measurements')
    await expect(page.getByRole('dialog')).toBeVisible()
    expect(await violationsOf(page, 'dialog')).toEqual([])
    await page.goto('/stock')
    await page
      .getByLabel('A CSV or JSON file to take in')
      .setInputFiles({ name: 'x.csv', mimeType: 'text/csv', buffer: Buffer.from('Id,Name\n,x\n') })
    await expect(page.getByRole('dialog')).toBeVisible()
    expect(await violationsOf(page, 'dialog')).toEqual([])
  },
)

test('a picked thing and its sum: no violation in either theme', deeper, async ({ page }) => {
  await openJob(page, 'A boat and the long box')
  await inDrawing(page, /^Long box/).focus()
  await page.getByRole('button', { name: /^Roof, Road/ }).click()
  await expect(page.getByRole('dialog')).toBeVisible()
  expect(await violationsOf(page, 'dialog')).toEqual([])
})

test('a narrow screen stacks the views and reaches load path and shelf', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await openJob(page, 'Ridge camp, tent for two')
  await expect(page.getByRole('heading', { name: 'Load path' })).toBeHidden()
  await page.getByRole('button', { name: /^Load path, \d+ findings?$/ }).click()
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

test(
  'a torque step, taped bars that are out, and the dialogs of bay and backup: no violation in either theme',
  deeper,
  async ({ page }) => {
    await doneUpTo(page, boatAndBox, 'wing/square')
    await page.goto('/fit?job=demo-boat-and-box')
    const step = (name: RegExp) =>
      page.getByRole('navigation', { name: 'Steps of this job' }).getByRole('button', { name })
    for (const [label, value] of [
      ['Spread, left', '760'],
      ['Spread, right', '770'],
    ] as const) {
      await page.getByLabel(label, { exact: true }).fill(value)
      await page.getByLabel(label, { exact: true }).press('Enter')
    }
    await expect(page.locator('[data-fit-finding=stop]')).toBeVisible()
    expect(await violationsOf(page)).toEqual([])
    await step(/^Tighten: rail clamps/).click()
    await expect(page.getByRole('table')).toBeVisible()
    expect(await violationsOf(page)).toEqual([])
    await page.getByRole('button', { name: 'Say what differs', exact: true }).click()
    await expect(page.getByRole('dialog')).toBeVisible()
    expect(await violationsOf(page, 'dialog')).toEqual([])
    await page.keyboard.press('Escape')
    await page.getByRole('button', { name: 'Not done' }).click()
    await expect(page.getByRole('dialog')).toBeVisible()
    expect(await violationsOf(page, 'dialog')).toEqual([])
    await page.goto('/fit?job=demo-boat-and-box')
    await page.getByRole('button', { name: 'Plan of work' }).click()
    expect(await violationsOf(page)).toEqual([])
    await page.goto('/')
    await page.getByRole('button', { name: 'Backup' }).click()
    await expect(page.getByRole('dialog')).toBeVisible()
    expect(await violationsOf(page, 'dialog')).toEqual([])
  },
)

/** A desk's window and a tablet's with everything twice as large. */
const TWICE = [
  { width: 640, height: 400 },
  { width: 410, height: 590 },
] as const

for (const [name, path] of SHOWN)
  test(`${name} at 200 %: nothing off the screen, nothing over another`, deeper, async ({ page }) => {
    for (const size of TWICE) {
      await page.setViewportSize(size)
      await page.goto(path)
      await page.waitForLoadState('networkidle')
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
      expect(await textFaults(page, DESK_PX), JSON.stringify(size)).toEqual([])
      expect(await touchFaults(page, FINGER_PX), JSON.stringify(size)).toEqual([])
      const wider = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)
      expect(wider, JSON.stringify(size)).toBeLessThanOrEqual(0)
    }
  })
