import type { Page } from '@playwright/test'
import { deeper, expect, fromMenu, inDrawing, openPart, saved, shelved, test } from './fixtures'

const JOB = '/load?job=demo-boat-and-box'

/** Where the long box stands along the vehicle, as it is kept. */
async function keptX(page: Page): Promise<number> {
  const all = JSON.parse(await shelved(page, 'plans')) as {
    id: string
    placements: { id: string; xMm: number }[]
  }[]
  const plan = all.find(({ id }) => id === 'demo-boat-and-box')
  return plan?.placements.find(({ id }) => id === 'long-box')?.xMm ?? Number.NaN
}

async function typeX(page: Page, mm: string): Promise<void> {
  await inDrawing(page, /^Long box/).click()
  const field = page.getByLabel('x, middle')
  await field.fill(mm)
  await field.press('Enter')
}

test('two tabs of one job: what each sets stands, the same set otherwise is asked, and undo brings back the other', async ({
  page,
  context,
}) => {
  await page.goto(JOB)
  await inDrawing(page, /^Long box/).click()
  const other = await context.newPage()
  await other.goto(JOB)
  await expect(inDrawing(other, /^Long box/)).toBeVisible()
  // Edited at the same time: neither hears of the other before it writes.
  await typeX(page, '900 mm')
  await inDrawing(other, /^Sea boat/).click()
  await other.getByLabel('On board', { exact: true }).selectOption('driving')
  await saved(page)
  await saved(other)
  await expect.poll(() => keptX(page)).toBe(900)
  await expect.poll(() => shelved(page, 'plans')).toContain('"when":"driving"')
  await expect(page.getByRole('dialog')).toHaveCount(0)

  // The same place set to two: the later one is asked, and what the first has kept stands meanwhile.
  await Promise.all([typeX(page, '850 mm'), typeX(other, '870 mm')])
  const asks = (each: Page) => each.getByRole('dialog', { name: 'Changed in two places' })
  let later: Page | undefined
  for (let wait = 0; wait < 20 && !later; wait += 1) {
    for (const each of [page, other]) if ((await asks(each).count()) > 0) later = each
    await page.waitForTimeout(100)
  }
  // Where one had heard of the other in time there is nothing to ask: the last one typed stands.
  if (later) {
    const dialog = asks(later)
    await expect(dialog.getByText('Long box: its place along the vehicle')).toBeVisible()
    const first = await keptX(later)
    await dialog.getByRole('button', { name: 'Keep what is here' }).click()
    await saved(later)
    const mine = await keptX(later)
    expect([first, mine].toSorted((a, b) => a - b)).toEqual([850, 870])
    await later.getByRole('button', { name: 'Undo' }).click()
    await saved(later)
    await expect.poll(() => keptX(later)).toBe(first)
  } else expect([850, 870]).toContain(await keptX(page))
})

test(
  'settings and stock follow from tab to tab, and one tab’s choice leaves the other’s',
  deeper,
  async ({ page, context }) => {
    await page.goto('/house')
    const other = await context.newPage()
    await other.goto('/house')
    await page.getByLabel('Units', { exact: true }).selectOption('us')
    await expect.poll(() => shelved(page, 'settings')).toContain('"us"')
    await expect(other.getByLabel('Units', { exact: true })).toHaveValue('us')
    await other.getByLabel('Theme', { exact: true }).selectOption('night-bay')
    await expect.poll(() => shelved(page, 'settings')).toContain('night-bay')
    expect(await shelved(page, 'settings')).toContain('"us"')
    await expect(page.locator('html')).toHaveAttribute('data-theme', 'night-bay')
  },
)

test(
  'one sheet open in two tabs: what each typed stands, and the same field is asked before mine goes over theirs',
  deeper,
  async ({ page, context }) => {
    const sheet = '/vehicle?job=demo-boat-and-box'
    const other = await context.newPage()
    const vehicle = async () => {
      const all = JSON.parse(await shelved(page, 'plans')) as {
        id: string
        vehicle: { name: string; kerbKg?: number; widthMm: number }
      }[]
      return all.find(({ id }) => id === 'demo-boat-and-box')?.vehicle
    }
    const keep = (tab: Page) => tab.getByRole('button', { name: 'Save and go back to Load' }).click()
    for (const tab of [page, other]) {
      await tab.goto(sheet)
      await openPart(tab, 'Sizes')
      await openPart(tab, 'Weight and balance')
    }
    await page.getByLabel('Kerb mass').fill('1 411 kg')
    await other.getByLabel('Body width, no mirrors').fill('1 799 mm')
    await keep(other)
    await expect.poll(async () => (await vehicle())?.widthMm).toBe(1799)
    await keep(page)
    await expect.poll(async () => (await vehicle())?.kerbKg).toBe(1411)
    expect((await vehicle())?.widthMm).toBe(1799)

    for (const tab of [page, other]) {
      await tab.goto(sheet)
      await openPart(tab, 'Weight and balance')
      await expect(tab.getByLabel('Kerb mass')).toHaveValue(/1\s?411/)
    }
    await page.getByLabel('Kerb mass').fill('1 420 kg')
    await other.getByLabel('Kerb mass').fill('1 430 kg')
    await other.getByLabel('Name', { exact: true }).first().fill('Estate, looked at again')
    await keep(other)
    await expect(page.getByText('Estate, looked at again').first()).toBeVisible()
    await keep(page)
    await expect(
      page.getByText(/Another tab has changed this sheet meanwhile\. It set: kerb\./),
    ).toBeInViewport({ ratio: 1 })
    expect((await vehicle())?.kerbKg).toBe(1430)
    await keep(page)
    await expect.poll(async () => (await vehicle())?.kerbKg).toBe(1420)
    expect((await vehicle())?.name).toBe('Estate, looked at again')
  },
)

test('a job deleted from the board is taken back from what was removed, as it was', async ({ page }) => {
  await page.goto('/')
  const jobs = page.getByRole('list', { name: 'Jobs' }).getByRole('listitem')
  const card = jobs.filter({ hasText: 'A boat and the long box' })
  await expect(card).toHaveCount(1)
  const before = await shelved(page, 'plans')
  await card.getByRole('button', { name: /Delete/ }).click()
  await card.getByRole('button', { name: 'Delete it' }).click()
  await expect(card).toHaveCount(0)
  await page.getByRole('button', { name: 'Removed items' }).click()
  await page.getByRole('button', { name: 'Restore Job: A boat and the long box' }).click()
  await expect(page.getByText('Restored: Job: A boat and the long box')).toBeVisible()
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click()
  await expect(card).toHaveCount(1)
  expect(await shelved(page, 'plans')).toBe(before)
})

test(
  'where the browser keeps nothing, the work goes on in memory, it is said, and leaving asks first',
  deeper,
  async ({ page }) => {
    await page.goto(JOB)
    await expect(inDrawing(page, /^Long box/)).toBeVisible()
    await page.evaluate(() => {
      IDBObjectStore.prototype.put = () => {
        throw new DOMException('full', 'QuotaExceededError')
      }
    })
    await typeX(page, '905 mm')
    await expect(page.getByText(/storage is full.*only in memory/)).toBeVisible()
    await expect(page.getByLabel('x, middle')).toHaveValue('905 mm')
    const asked = page.waitForEvent('dialog')
    await page.close({ runBeforeUnload: true })
    const dialog = await asked
    expect(dialog.type()).toBe('beforeunload')
    await dialog.dismiss()
    await expect(page.getByLabel('x, middle')).toHaveValue('905 mm')
  },
)

test('undo reaches over a reload, step by step, and what it undid stays undone', async ({ page }) => {
  await page.goto(JOB)
  await typeX(page, '910 mm')
  await typeX(page, '920 mm')
  await saved(page)
  await page.reload()
  await inDrawing(page, /^Long box/).click()
  await expect(page.getByLabel('x, middle')).toHaveValue('920 mm')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByLabel('x, middle')).toHaveValue('910 mm')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByLabel('x, middle')).toHaveValue('960 mm')
  await expect.poll(() => keptX(page)).toBe(960)
})

test(
  'a door that another tab adds while doors are typed here stands beside them',
  deeper,
  async ({ page, context }) => {
    const add = async (tab: Page, name: string) => {
      const doors = tab.getByRole('dialog', { name: 'Doors and garages to pass' })
      await doors.getByRole('button', { name: 'Add a door or garage' }).click()
      await doors.getByLabel('Name').last().fill(name)
      await doors.getByLabel('Height').last().fill('2.5 m')
      return doors
    }
    await page.goto('/load?job=demo-yard-van')
    await fromMenu(page, 'Doors and garages')
    const here = await add(page, 'Shed')
    const other = await context.newPage()
    await other.goto('/load?job=demo-yard-van')
    await fromMenu(other, 'Doors and garages')
    const there = await add(other, 'Barn')
    await there.getByRole('button', { name: 'Save' }).click()
    await saved(other)
    await expect.poll(() => shelved(page, 'plans')).toContain('Barn')
    await here.getByRole('button', { name: 'Save' }).click()
    await expect(here).toBeHidden()
    await saved(page)
    await expect.poll(() => shelved(page, 'plans')).toContain('Shed')
    expect(await shelved(page, 'plans')).toContain('Barn')
    await other.close()
  },
)
