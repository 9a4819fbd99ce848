import { assess } from '../src/core/api/assess'
import { bayRulesOf, type Plan } from '../src/core/api/plan'
import { type WorkedEvent, workedEvents } from '../src/core/api/fit'
import type { Page } from '@playwright/test'
import { expect, written } from './fixtures'

/** The title of the step in hand. */
export const title = (page: Page) => page.locator('main h2').first()
/** The large key. */
export const done = (page: Page) => page.locator('[data-fit=done]')
/** What the bay says, by how grave it is. */
export const said = (page: Page, severity: string) => page.locator(`[data-fit-finding=${severity}]`)

/** Types a reading into its field. */
export async function read(page: Page, label: string, value: string, nth = 0) {
  const field = page.getByLabel(label, { exact: true }).nth(nth)
  await field.fill(value)
  await field.press('Enter')
}

/** Types what a tape reads on the platform's beams, front to rear and then front to middle. */
export async function tape(page: Page, right: string) {
  await read(page, 'Spread, left', '1760 mm')
  await read(page, 'Spread, right', right)
  const far = Number(right.replace(/\D/g, ''))
  await read(page, 'Diagonal, LHF to RHR', `${Math.hypot(far, 1400).toFixed(0)} mm`)
  await read(page, 'Diagonal, RHF to LHR', '2249 mm')
  await read(page, 'Spread, left', '880 mm', 1)
  await read(page, 'Spread, right', '880 mm', 1)
}

/** Types the figure shown at every place where the sheet wants the wrench read. */
export async function readAll(page: Page) {
  const wanted = done(page).getByText(/^Enter the wrench’s reading at/)
  for (let places = 0; places < 40 && (await wanted.count()) > 0; places += 1) {
    const before = await wanted.textContent()
    const field = page.getByLabel(/^Reading, /)
    await field.fill(`${(await page.locator('[data-fit=number]').textContent()) ?? ''} Nm`)
    await field.press('Enter')
    await expect(done(page)).not.toContainText(before ?? '')
  }
}

/** Says what was found at a place that was over its figure: a lower reading alone forgives it nothing. */
export async function sayFound(page: Page, at: string, found: string) {
  await expect(said(page, 'stop')).toContainText(`${at}, `)
  await page.getByRole('button', { name: `Say what you found at ${at}` }).click()
  const dialog = page.getByRole('dialog', { name: `Over torque at ${at}` })
  const who = dialog.getByLabel('Who says so')
  if ((await who.count()) > 0) await who.fill('Wren')
  await dialog.getByLabel('What you found, and what you renewed').fill(found)
  await dialog.getByRole('button', { name: 'Put it in the log' }).click()
  await expect(dialog).toBeHidden()
}

/** Hands over in spite of every Stop, on a name and with a reason. */
export async function answerFor(page: Page) {
  await page.getByRole('button', { name: 'Say what differs', exact: true }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('What was done, and why').fill('Customer takes it as it is')
  for (const box of await dialog.getByRole('checkbox').all()) await box.check()
  const who = dialog.getByLabel('Who says so')
  if ((await who.count()) > 0) await who.fill('Wren')
  await dialog.getByRole('button', { name: 'Put it in the log' }).click()
  await expect(dialog).toBeHidden()
}

/** Presses the large key until a step with this title is in hand. */
export async function until(page: Page, wanted: RegExp, press: () => Promise<void>) {
  for (let i = 0; i < 160; i += 1) {
    const now = (await title(page).textContent()) ?? ''
    if (wanted.test(now)) return
    if (/Measure (and|again)/.test(now)) await tape(page, '1760 mm')
    const good = page.getByRole('button', { name: 'Good', exact: true })
    if ((await good.count()) > 0) await good.first().click()
    const rest = page.getByRole('button', { name: 'The rest was not driven' })
    if ((await rest.count()) > 0) await rest.click()
    await readAll(page)
    if ((await done(page).getByText('A Stop is open').count()) > 0) await answerFor(page)
    await expect(done(page)).toBeEnabled()
    await press()
    if ((await page.getByText('Everything is done.').count()) > 0) return
  }
  throw new Error(`never came to ${wanted.source}`)
}

/** A log file of another device: what somebody wrote there of a job, from a turn on. */
export function logFile(plan: Plan, events: readonly WorkedEvent[], from: number) {
  const signed = events.map((event, i) => ({
    ...event,
    id: `other-${from + i}`,
    at: '2026-11-20T09:00:00Z',
    vehicleId: plan.car.id,
    jobId: plan.id,
    by: 'Imre',
    turn: from + i,
    device: 'other',
  }))
  return {
    name: 'log.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify({ format: 'ypsos-log', version: 1, events: signed })),
  }
}

/** Takes a log file in on the log's page; gives what its preview said. */
export async function takeInFile(page: Page, file: ReturnType<typeof logFile>): Promise<string> {
  await page.goto('/log')
  await expect(page.getByRole('heading', { name: 'Due' })).toBeVisible()
  await page.getByLabel('Log file to take in').setInputFiles(file)
  const dialog = page.getByRole('dialog')
  await expect(dialog).toContainText('not here yet')
  const words = await dialog.textContent()
  await dialog.getByRole('button', { name: /^Take in \d+ entr/ }).press('Enter')
  await expect(dialog).toBeHidden()
  await written(page)
  return words ?? ''
}

/** Everything of a job done as its sheets have it, up to a step: by a log from another device. */
export async function doneUpTo(page: Page, plan: Plan, stepId: string): Promise<void> {
  const worked = workedEvents(assess(plan).survey, bayRulesOf(plan.rules))
  const ticks = worked.flatMap((each, i) => (each.kind === 'stepDone' ? [{ id: each.stepId, i }] : []))
  const at = ticks.findIndex(({ id }) => id === stepId)
  await takeInFile(page, logFile(plan, worked.slice(0, (ticks[at - 1]?.i ?? -1) + 1), 1))
}
