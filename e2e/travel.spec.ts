import { createHash } from 'node:crypto'
import { readFile } from 'node:fs/promises'
import type { Page } from '@playwright/test'
import { deeper, expect, fromMenu, inDrawing, saved, test } from './fixtures'

const JOB = '/load?job=demo-boat-and-box'

async function typed(page: Page, thing: RegExp, mm: string): Promise<void> {
  await inDrawing(page, thing).click()
  const field = page.getByLabel('x, middle')
  await field.fill(mm)
  await field.press('Enter')
  await saved(page)
}

const xOf = async (page: Page, thing: RegExp): Promise<string> => {
  await inDrawing(page, thing).click()
  return page.getByLabel('x, middle').inputValue()
}

async function packed(page: Page): Promise<{ name: string; mimeType: string; buffer: Buffer }> {
  const [download] = await Promise.all([page.waitForEvent('download'), fromMenu(page, 'Take it along')])
  return {
    name: download.suggestedFilename(),
    mimeType: 'application/json',
    buffer: await readFile(await download.path()),
  }
}

async function opened(page: Page, file: Awaited<ReturnType<typeof packed>>) {
  await page.goto('/')
  await expect(page.getByRole('list', { name: 'Jobs' }).getByText('A boat and the long box')).toBeVisible()
  await page.getByLabel('Plan file to open').setInputFiles(file)
  return page.getByRole('dialog', { name: 'Job bundle: A boat and the long box' })
}

test(
  'a job’s past is there after a reload, each step beside today’s, and is taken back as one more step',
  deeper,
  async ({ page }) => {
    await page.goto(JOB)
    await typed(page, /^Long box/, '900 mm')
    await typed(page, /^Long box/, '870 mm')
    await page.reload()
    await fromMenu(page, 'History')
    const dialog = page.getByRole('dialog', { name: 'History of this job' })
    const steps = dialog.getByRole('list', { name: 'Steps, the latest first' })
    await expect(steps.getByText('Long box, its place along the vehicle: 900 mm to 870 mm')).toBeVisible()
    await steps.getByRole('button').last().click()
    const beside = dialog.getByRole('region', { name: 'Compared with today' })
    await expect(beside.getByText('Long box, its place along the vehicle: 960 mm to 870 mm')).toBeVisible()
    await expect(beside.getByRole('row', { name: /^Road/ }).getByRole('cell')).toHaveCount(2)
    await beside.getByRole('button', { name: 'Restore this state' }).click()
    await saved(page)
    expect(await xOf(page, /^Long box/)).toBe('960 mm')
    await page.getByRole('button', { name: 'Undo' }).click()
    expect(await xOf(page, /^Long box/)).toBe('870 mm')
  },
)

test(
  'a job goes from desk to tablet and back: what was done there is shown before anything is written, and nothing is lost',
  deeper,
  async ({ page, browser, baseURL }) => {
    await page.goto(JOB)
    await typed(page, /^Long box/, '900 mm')
    const outward = await packed(page)
    expect(outward.name).toBe('a-boat-and-the-long-box.ypsos-parcel.json')

    const context = await browser.newContext({ baseURL: baseURL ?? '' })
    const tablet = await context.newPage()
    const there = await opened(tablet, outward)
    await expect(there.getByText('The bundle continues the job here.')).toBeVisible()
    await expect(there.getByText('Long box, its place along the vehicle: 960 mm to 900 mm')).toBeVisible()
    await there.getByRole('button', { name: 'Import' }).click()
    await expect(tablet).toHaveURL(/load/)
    expect(await xOf(tablet, /^Long box/)).toBe('900 mm')
    await inDrawing(tablet, /^Sea boat/).click()
    await tablet.getByLabel('On board', { exact: true }).selectOption('driving')
    await saved(tablet)
    const homeward = await packed(tablet)
    await context.close()

    // Meanwhile the desk went on too.
    await typed(page, /^Long box/, '870 mm')
    const here = await opened(page, homeward)
    await expect(here.getByText('The changes fit together.')).toBeVisible()
    await here.getByRole('button', { name: 'Import' }).click()
    await expect(page).toHaveURL(/load/)
    expect(await xOf(page, /^Long box/)).toBe('870 mm')
    await inDrawing(page, /^Sea boat/).click()
    await expect(page.getByLabel('On board', { exact: true })).toHaveValue('driving')

    // The same job bundle once more has nothing to say, and one that sets the same otherwise is asked.
    await expect(
      (await opened(page, homeward)).getByText('already has everything in the bundle'),
    ).toBeVisible()
    const other = JSON.parse(homeward.buffer.toString()) as {
      plan: { placements: { id: string; xMm: number }[] }
      steps: { at: string; by?: string; back: unknown[] }[]
      sha256: string
    }
    const box = other.plan.placements.find(({ id }) => id === 'long-box')
    if (!box) throw new Error('no box')
    other.steps.push({
      at: '2026-03-02T08:00:00.000Z',
      by: 'Tablet',
      back: [{ at: ['placements', 'long-box', 'xMm'], is: box.xMm }],
    })
    box.xMm = 930
    const { sha256: _, ...content } = other
    const sha256 = createHash('sha256').update(JSON.stringify(content)).digest('hex')
    const clash = await opened(page, {
      ...homeward,
      buffer: Buffer.from(JSON.stringify({ ...content, sha256 })),
    })
    await expect(clash.getByText('Long box: its place along the vehicle', { exact: true })).toBeVisible()
    await expect(clash.getByText(/, Tablet$/)).toBeVisible()
    await clash.getByRole('button', { name: 'Take the job in the bundle' }).click()
    await expect(page).toHaveURL(/load/)
    expect(await xOf(page, /^Long box/)).toBe('930 mm')
    await page.getByRole('button', { name: 'Undo' }).click()
    expect(await xOf(page, /^Long box/)).toBe('870 mm')
  },
)

test('a job bundle that cannot be read says what is wrong, and changes nothing', deeper, async ({ page }) => {
  await page.goto(JOB)
  await saved(page)
  const file = await packed(page)
  const raw = JSON.parse(file.buffer.toString()) as { madeAt: string }
  await page.goto('/')
  await page.getByLabel('Plan file to open').setInputFiles({
    ...file,
    buffer: Buffer.from(JSON.stringify({ ...raw, madeAt: 'yesterday' })),
  })
  const dialog = page.getByRole('dialog', { name: 'This file was not opened' })
  await expect(dialog.getByText(/madeAt/)).toBeVisible()
})

test(
  'a backup goes into the folder that was picked, by itself once a day, and opens again',
  deeper,
  async ({ page }) => {
    // The origin's own private folder stands in for one that a person picks.
    await page.addInitScript(() => {
      const picking = window as unknown as { showDirectoryPicker: () => Promise<FileSystemDirectoryHandle> }
      picking.showDirectoryPicker = async () =>
        (await navigator.storage.getDirectory()).getDirectoryHandle('shop', { create: true })
    })
    const files = () =>
      page.evaluate(async () => {
        const shop = await (await navigator.storage.getDirectory()).getDirectoryHandle('shop')
        const found: [string, string][] = []
        for await (const name of (shop as unknown as { keys(): AsyncIterable<string> }).keys())
          found.push([name, await (await (await shop.getFileHandle(name)).getFile()).text()])
        return found
      })
    await page.goto('/')
    await expect(page.getByRole('list', { name: 'Jobs' })).toBeVisible()
    await page.getByRole('button', { name: 'Backup' }).click()
    const dialog = page.getByRole('dialog', { name: 'Backup' })
    await dialog.getByRole('button', { name: 'Choose a folder' }).click()
    await expect(
      dialog.getByText(/goes into the folder shop once a day.*The last backup was made/),
    ).toBeVisible()
    const [[name, text] = ['', '']] = await files()
    expect(name).toMatch(/^ypsos-backup-\d{4}-\d{2}-\d{2}\.json$/)
    await dialog.getByLabel('Backup file to open').setInputFiles({
      name,
      mimeType: 'application/json',
      buffer: Buffer.from(text),
    })
    await expect(dialog.getByRole('row', { name: /^Jobs/ })).toBeVisible()
    await expect(dialog.getByRole('button', { name: 'Merge' })).toBeVisible()
  },
)
