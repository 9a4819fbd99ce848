import { createHash } from 'node:crypto'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { BrowserContext, Page } from '@playwright/test'
import { checkedText, printBackup } from '../src/core/api/files'
import type { Plan } from '../src/core/api/plan'
import { boatAndBox, DEMO_PLANS } from '../src/demo/plans'
import { deeper, expect, inDrawing, test } from './fixtures'

/** So often each deed is cut off, each time a little later. */
const TIMES = 8
const JOBS = 200

const jobs: readonly Plan[] = Array.from({ length: JOBS }, (_, i) => ({
  ...structuredClone(boatAndBox),
  id: `many-${i}`,
  job: { ...boatAndBox.job, name: `Job ${i}` },
  car: { id: `car-${i}` },
}))

function backup(): string {
  const shelves = {
    plans: Object.fromEntries(jobs.map((plan) => [plan.id, plan])),
    stock: {},
    // Else the copy that is served with the demo puts it there again.
    settings: { settings: { seeded: true } },
    log: {},
    pictures: {},
  }
  const sum = createHash('sha256').update(checkedText(shelves, {})).digest('hex')
  return printBackup(shelves, {}, '2026-11-01T00:00:00.000Z', sum)
}

type Lying = Readonly<Record<string, readonly string[]>>

/** Every record of every shelf as it lies there, without a word of the app's own. */
const lying = (page: Page): Promise<Lying> =>
  page.evaluate(async () => {
    const open = await new Promise<IDBDatabase>((resolve, reject) => {
      const asked = indexedDB.open('ypsos')
      asked.onsuccess = () => resolve(asked.result)
      asked.onerror = () => reject(new Error('The shelves do not open.'))
    })
    const all = await Promise.all(
      ['plans', 'history', 'removed'].map(
        (name) =>
          new Promise<readonly [string, readonly string[]]>((resolve) => {
            const asked: IDBRequest<unknown[]> = open.transaction(name).objectStore(name).getAll()
            asked.onsuccess = () => resolve([name, asked.result.map((each) => JSON.stringify(each))])
          }),
      ),
    )
    open.close()
    return Object.fromEntries(all)
  })

interface Deed {
  readonly name: string
  /** Brings the page to where one press does it; gives that press. */
  readonly ready: (page: Page) => Promise<() => Promise<unknown>>
  /** What lies there once it is done whole, as against before. */
  readonly whole: (before: Lying, after: Lying) => boolean
}

const count = (lies: Lying, shelf: string) => lies[shelf]?.length ?? 0
const has = (lies: Lying, shelf: string, words: string) =>
  lies[shelf]?.some((each) => each.includes(words)) === true

const DEEDS: readonly Deed[] = [
  {
    name: 'a backup of two hundred jobs replaces everything',
    ready: async (page) => {
      await page.goto('/')
      await page.getByRole('button', { name: 'Backup' }).click()
      await page.getByLabel('Backup file to open').setInputFiles({
        name: 'backup.json',
        mimeType: 'application/json',
        buffer: Buffer.from(backup()),
      })
      await page.getByLabel('How', { exact: true }).selectOption('replace')
      await expect(page.getByRole('row', { name: /^Jobs/ })).toBeVisible()
      return () => page.getByRole('button', { name: 'Replace everything' }).click()
    },
    whole: (before, after) =>
      count(after, 'plans') === JOBS &&
      !has(after, 'plans', '"demo-boat-and-box"') &&
      count(after, 'removed') === count(before, 'removed') + 1,
  },
  {
    name: 'a job is deleted with its past',
    ready: async (page) => {
      await page.goto('/load?job=demo-boat-and-box')
      await inDrawing(page, /^Long box/).click()
      await page.getByLabel('x, middle').fill('930 mm')
      await page.getByLabel('x, middle').press('Enter')
      await expect.poll(async () => count(await lying(page), 'history')).toBeGreaterThan(0)
      await page.goto('/')
      await page.getByRole('button', { name: 'Delete A boat and the long box' }).click()
      return () => page.getByRole('button', { name: 'Delete it' }).click()
    },
    whole: (before, after) =>
      count(after, 'plans') === count(before, 'plans') - 1 &&
      count(after, 'history') === count(before, 'history') - 1 &&
      count(after, 'removed') === count(before, 'removed') + 1,
  },
  {
    name: 'an edit is kept with its past',
    ready: async (page) => {
      await page.goto('/load?job=demo-boat-and-box')
      await inDrawing(page, /^Long box/).click()
      await page.getByLabel('x, middle').fill('910 mm')
      return () => page.getByLabel('x, middle').press('Enter')
    },
    whole: (before, after) =>
      has(after, 'plans', '"xMm":910') &&
      has(after, 'history', '"xMm"') &&
      !has(before, 'plans', '"xMm":910'),
  },
]

for (const { name, ready, whole } of DEEDS)
  test(
    `${name}: the browser killed at any moment leaves all of it or nothing`,
    deeper,
    async ({ playwright, baseURL }, { project }) => {
      const { launchOptions } = project.use
      const ends = { whole: 0, nothing: 0 }
      const open = (profile: string): Promise<BrowserContext> =>
        playwright.chromium.launchPersistentContext(profile, {
          ...launchOptions,
          serviceWorkers: 'block',
          viewport: { width: 1280, height: 800 },
          ...(baseURL !== undefined && { baseURL }),
        })
      for (let time = 0; time < TIMES; time += 1) {
        const profile = await mkdtemp(join(tmpdir(), 'ypsos-killed-'))
        const context = await open(profile)
        const page = await context.newPage()
        await page.goto('/')
        await expect(page.getByRole('list', { name: 'Jobs' })).toContainText(DEMO_PLANS[0]?.job.name ?? '')
        const press = await ready(page)
        const before = await lying(page)
        const devtools = await context.browser()?.newBrowserCDPSession()
        const gone = new Promise<void>((resolve) => context.on('close', () => resolve()))
        await press()
        await page.waitForTimeout(time * time * 12)
        await devtools?.send('Browser.crash').catch(() => undefined)
        await gone

        const again = await open(profile)
        const later = await again.newPage()
        await later.goto('/icon.svg')
        const after = await lying(later)
        if (JSON.stringify(after) === JSON.stringify(before)) ends.nothing += 1
        else {
          expect(whole(before, after), `killed ${time * time * 12} ms after the press`).toBe(true)
          ends.whole += 1
        }
        await again.close()
        await rm(profile, { recursive: true, force: true })
      }
      console.log(
        `${name}: of ${TIMES} killed, ${ends.whole} were whole and ${ends.nothing} had not happened`,
      )
      expect(ends.whole + ends.nothing).toBe(TIMES)
    },
  )
