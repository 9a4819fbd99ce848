import { DEMO_PLANS } from '../src/demo/plans'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { test as base, expect, type BrowserContext, type Locator, type Page } from '@playwright/test'

/** The deep run: everything, at every size. */
export const DEEP = process.env['YPSOS_DEEP'] === '1'

/** Marks a test that only the deep run takes: what it shows is shown in parts by quicker ones in the gate. */
export const deeper = { tag: '@deep' }

/** Every test starts in an empty browser, and fails when the page asks for anything off its own origin, breaks its security policy, or throws. */
export const test = base.extend<{ watched: undefined }, { shared: BrowserContext }>({
  // A context of its own for each test would fetch and compile the whole app again, and its first page would start
  // another process: one profile is kept, with what is compiled already, and a page stays open in it.
  browser: [
    async ({ playwright }, give, { project }) => {
      const { baseURL, viewport, serviceWorkers, launchOptions } = project.use
      const profile = await mkdtemp(join(tmpdir(), 'ypsos-profile-'))
      const context = await playwright.chromium.launchPersistentContext(profile, {
        ...launchOptions,
        ...(baseURL !== undefined && { baseURL }),
        ...(viewport !== undefined && { viewport }),
        ...(serviceWorkers !== undefined && { serviceWorkers }),
      })
      const browser = context.browser()
      if (!browser) throw new Error('The browser does not say which it is.')
      await give(browser)
      await context.close()
      await rm(profile, { recursive: true, force: true })
    },
    { scope: 'worker' },
  ],
  shared: [
    async ({ browser }, give) => {
      const [context] = browser.contexts()
      if (!context) throw new Error('The profile that is kept was closed.')
      const [kept] = context.pages()
      await kept?.goto('/icon.svg')
      await give(context)
    },
    { scope: 'worker' },
  ],
  context: async ({ shared, baseURL }, give) => {
    const [kept] = shared.pages()
    if (!kept) throw new Error('The page that is kept open was closed.')
    const devtools = await shared.newCDPSession(kept)
    await devtools.send('Storage.clearDataForOrigin', {
      origin: new URL(baseURL ?? '').origin,
      storageTypes: 'cookies,file_systems,indexeddb,local_storage,service_workers,cache_storage',
    })
    await devtools.detach()
    await give(shared)
    for (const page of shared.pages()) if (page !== kept) await page.close()
  },
  page: async ({ context, colorScheme, contextOptions }, give) => {
    const page = await context.newPage()
    await page.emulateMedia({ colorScheme, reducedMotion: contextOptions.reducedMotion ?? null })
    await give(page)
  },
  watched: [
    async ({ page, baseURL }, give) => {
      const faults: string[] = []
      const origin = new URL(baseURL ?? '').origin
      page.on('request', (request) => {
        const url = new URL(request.url())
        if (url.protocol.startsWith('http') && url.origin !== origin)
          faults.push(`asked for ${request.url()}`)
      })
      page.on('pageerror', (error) => faults.push(`threw ${error.message}`))
      page.on('console', (message) => {
        if (message.type() === 'error' || /content security policy/i.test(message.text()))
          faults.push(`said ${message.text()} at ${message.location().url}`)
      })
      await page.addInitScript(() => {
        document.addEventListener('securitypolicyviolation', (event) => {
          console.error(`Content Security Policy: ${event.violatedDirective} ${event.blockedURI}`)
        })
      })
      await give(undefined)
      expect(faults).toEqual([])
    },
    { auto: true },
  ],
})

export { expect }

export async function openJob(page: Page, name: string): Promise<void> {
  const plan = DEMO_PLANS.find(({ job }) => job.name === name)
  if (!plan) throw new Error(`No job of the demo is called ${name}.`)
  await page.goto(`/load?job=${plan.id}`)
  await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible()
}

/** Opens a part of a sheet that starts closed. */
export async function openPart(page: Page, title: string): Promise<void> {
  const summary = page.locator('summary[data-part]').filter({ hasText: title })
  if ((await summary.locator('xpath=..').getAttribute('open')) === null) await summary.click()
}

export const stateButton = (page: Page, state: 'Road' | 'Trail' | 'Parked'): Locator =>
  page.getByRole('group', { name: 'State' }).getByRole('button', { name: new RegExp(`^${state}`) })

export const inDrawing = (page: Page, name: RegExp): Locator =>
  page.getByRole('group', { name: /^Drawing of/ }).getByRole('button', { name })

/** Goes to another stop of the open job, by its bar. */
export async function goTo(page: Page, stop: string): Promise<void> {
  await page
    .getByRole('navigation', { name: 'Stages of this job' })
    .getByRole('link', { name: new RegExp(`^${stop}`) })
    .click()
}

/** The key of a finding's fix, in its own row. */
export const fixKey = (page: Page, name: string | RegExp): Locator =>
  page.locator('#path').getByRole('button', { name })

/** Chooses something from the open job's menu. */
export async function fromMenu(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: 'This job', exact: true }).click()
  await page
    .getByRole('group', { name: 'This job' })
    .locator('a, button')
    .filter({ hasText: new RegExp(`^${name}$`) })
    .click()
}

export const saved = (page: Page) => expect(page.getByText('saved', { exact: true })).toBeVisible()

/** What one of the browser's shelves holds now, as text: to wait for a write instead of for a while. */
export const shelved = (page: Page, shelf: string): Promise<string> => onShelf(page, shelf, 'read')

/** Waits until nothing more is being written into the log: a page that is left at once leaves its last writes behind. */
export async function written(page: Page): Promise<void> {
  let before = ''
  await expect
    .poll(
      async () => {
        const now = await shelved(page, 'log')
        const still = now === before
        before = now
        return still
      },
      { intervals: [150] },
    )
    .toBe(true)
}

/** Takes everything off one of the browser's shelves, behind the app's back. */
export const empty = (page: Page, shelf: string): Promise<string> => onShelf(page, shelf, 'empty')

const onShelf = (page: Page, shelf: string, doing: 'read' | 'empty'): Promise<string> =>
  page.evaluate(
    ([name, what]) =>
      new Promise<string>((resolve, reject) => {
        const opening = indexedDB.open('ypsos')
        opening.onerror = () => {
          reject(new Error('The shelves cannot be opened.'))
        }
        opening.onsuccess = () => {
          const store = opening.result.transaction(name, 'readwrite').objectStore(name)
          const request = what === 'read' ? store.getAll() : store.clear()
          request.onsuccess = () => {
            opening.result.close()
            resolve(JSON.stringify(what === 'read' ? request.result : []))
          }
          request.onerror = () => {
            reject(new Error('The shelf does not answer.'))
          }
        }
      }),
    [shelf, doing] as const,
  )

/**
 * Opens every folded line of questions, so that each can be read and answered. The lines follow the drawing a moment
 * later: where one question is awaited, until it is there.
 */
export async function openQuestions(page: Page, awaited?: Locator): Promise<void> {
  const lines = page.locator('summary[data-finding-group]').filter({ hasText: /^Find out/ })
  await expect(lines.first()).toBeVisible()
  const folded = page
    .locator('details:not([open]) > summary[data-finding-group]')
    .filter({ hasText: /^Find out/ })
  await expect(async () => {
    while ((await folded.count()) > 0) await folded.first().click({ timeout: 2_000 })
    if (awaited) await expect(awaited).toBeVisible({ timeout: 1_000 })
  }).toPass()
}
