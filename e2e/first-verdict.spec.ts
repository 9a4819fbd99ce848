import type { Locator, Page } from '@playwright/test'
import { deeper, empty, expect, inDrawing, stateButton, test } from './fixtures'
import { mouse } from './hands'

interface Figures {
  readonly Road?: string
  readonly Trail?: string
  readonly Parked?: string
}

/** A job as it is entered for its first verdict: what is printed on vehicle, rack and gear, and nothing that is measured. */
interface Job {
  readonly name: string
  readonly body: string
  readonly holds: string
  readonly roof?: Figures
  readonly held?: Figures
  readonly rackKind?: string
  readonly parts: Readonly<Record<string, Figures>>
  readonly gear?: { readonly kind: string; readonly weight: string; readonly takes?: Figures }
  /** What the first verdict on the road may be: with so little known, never clear but where nothing is missing. */
  readonly road: RegExp
}

const JOBS: readonly Job[] = [
  {
    name: 'saloon, bars in its door frames',
    body: 'saloon',
    holds: 'bareRoof',
    roof: { Road: '70 kg' },
    parts: { Bars: { Road: '180 lb' }, Feet: { Road: '68 kg' } },
    road: /kg left|Find out|Mind/,
  },
  {
    name: 'pickup, cab bars and a platform',
    body: 'pickup',
    holds: 'roofChannel',
    roof: { Road: '75 kg' },
    parts: { Bars: { Road: '80 kg' }, Feet: { Road: '85 kg' } },
    gear: { kind: 'platform', weight: '18.2 kg' },
    road: /Find out|Stop/,
  },
  {
    name: 'pickup, bars latched into bed sockets, tent',
    body: 'pickup',
    holds: 'bedSocket',
    held: { Road: '150 kg' },
    parts: { 'Bed bars': { Road: '130 kg', Parked: '320 kg' } },
    gear: { kind: 'tent', weight: '62 kg', takes: { Parked: '280 kg' } },
    road: /Find out|Stop/,
  },
  {
    name: 'pickup, truss rack in bed channels',
    body: 'pickup',
    holds: 'bedChannel',
    held: { Road: '200 kg' },
    parts: { Trusses: { Road: '250 kg', Trail: '140 kg', Parked: '360 kg' } },
    gear: { kind: 'tent', weight: '61 kg', takes: { Parked: '240 kg' } },
    road: /Find out|Stop/,
  },
  {
    name: 'off-roader, platform on drilled mounts',
    body: 'boxyOffRoader',
    holds: 'drilledTop',
    held: { Road: '140 kg' },
    rackKind: 'platform',
    parts: { Platform: { Road: '115 kg', Parked: '370 kg' } },
    gear: { kind: 'can', weight: '12.6 kg' },
    road: /Find out|Stop/,
  },
  {
    name: 'off-roader, bars in its gutters, box',
    body: 'boxyOffRoader',
    holds: 'gutter',
    roof: { Road: '110 lb' },
    parts: {},
    gear: { kind: 'box', weight: '12.5 kg', takes: { Road: '75 lb' } },
    road: /Find out|Stop/,
  },
  {
    name: 'pickup, bed rack, tent',
    body: 'pickup',
    holds: 'bedRail',
    held: { Road: '550 lb' },
    parts: { Trusses: { Road: '420 lb', Trail: '260 lb', Parked: '700 lb' } },
    gear: { kind: 'tent', weight: '148 lb', takes: { Parked: '500 lb' } },
    road: /Find out|Stop/,
  },
  {
    name: 'crossover, bars on hook points, kayak',
    body: 'tallWagon',
    holds: 'hookPoint',
    parts: { Feet: { Road: '158 lb' } },
    gear: { kind: 'boat', weight: '26.5 kg' },
    road: /Find out|Stop/,
  },
]

async function firstVerdict(page: Page, job: Job) {
  const { count, press, choose, type } = mouse(page)
  const figures = async (group: Locator, { ...said }: Figures) => {
    for (const [state, text] of Object.entries(said)) await type(group.getByLabel(state), text)
  }
  await page.goto('/')
  await expect(page.getByRole('list', { name: 'Jobs' })).toBeVisible()
  for (const shelf of ['plans', 'stock']) await empty(page, shelf)
  await page.goto('/vehicle')
  await type(page.getByRole('textbox', { name: 'Name' }).first(), 'Vehicle')
  await choose(page.getByLabel('Source of these figures'), 'manual')
  await choose(page.getByLabel('Body', { exact: true }), job.body)
  const what = page.getByLabel('What it is').first()
  if ((await what.inputValue()) !== job.holds) await choose(what, job.holds)
  if (job.roof) await figures(page.getByRole('group', { name: 'Load limits of the roof' }), job.roof)
  if (job.held) await figures(page.getByRole('group', { name: 'Load limits', exact: true }).first(), job.held)
  await press(page.getByRole('button', { name: 'Save this vehicle' }))
  await press(page.getByRole('link', { name: 'Enter your own rack' }))
  await choose(page.getByLabel('Source of these figures'), 'sheet')
  if (job.rackKind !== undefined) await choose(page.getByLabel('Kind', { exact: true }), job.rackKind)
  const parts = page.locator('details').filter({ hasText: 'Parts, each with its own figures' }).first()
  for (const [name, said] of Object.entries(job.parts))
    await figures(parts.getByRole('group', { name, exact: true }).first(), said)
  await press(page.getByRole('button', { name: 'Save this rack' }))
  await press(page.getByRole('button', { name: 'Start the job' }))
  if (job.gear) {
    const { kind, weight, takes } = job.gear
    await press(page.getByRole('link', { name: 'Enter your own gear' }))
    await type(page.getByRole('textbox', { name: 'Name' }).first(), 'Thing')
    await choose(page.getByLabel('Kind', { exact: true }), kind)
    await type(page.getByLabel('Its own weight'), weight)
    if (takes) await figures(page.getByRole('group', { name: 'What may be in it or on it' }), takes)
    await press(page.getByRole('button', { name: 'Save and place it' }))
    await expect(inDrawing(page, /^Thing/).first()).toBeVisible()
  }
  await expect(stateButton(page, 'Road')).toContainText(job.road)
  return { ...count, verdict: (await stateButton(page, 'Road').textContent()) ?? '' }
}

for (const job of JOBS)
  test(`a first verdict of a real job, from what is printed: ${job.name}`, deeper, async ({ page }) => {
    const { typed, presses, verdict } = await firstVerdict(page, job)
    console.log(`${job.name}: ${typed} values typed, ${presses} presses, then: ${verdict}`)
    expect(typed).toBeLessThanOrEqual(12)
    expect(presses).toBeLessThan(20)
  })
