import type { Page } from '@playwright/test'
import { done } from './fit-work'
import { deeper, empty, expect, inDrawing, shelved, stateButton, test, written } from './fixtures'
import { finger, type Hands, keyboard, mouse } from './hands'

const SYSTEMS = {
  metric: { units: 'metric', roof: '75 kg', bars: '100 kg', feet: '90 kg', box: '18 kg', inside: '30 kg' },
  us: { units: 'us', roof: '150 lb', bars: '210 lb', feet: '200 lb', box: '40 lb', inside: '66 lb' },
} as const

/** From an empty board to the first verdict: a car, bars and a box of one's own, with the figures that are at hand. */
async function firstVerdict(page: Page, system: keyof typeof SYSTEMS, hands: Hands) {
  const { units, ...figures } = SYSTEMS[system]
  await page.goto('/house')
  await page.getByLabel('Units', { exact: true }).selectOption(units)
  await page.goto('/')
  await expect(page.getByRole('list', { name: 'Jobs' })).toBeVisible()
  await empty(page, 'plans')
  await page.reload()
  const { press, choose, type } = hands
  const button = (name: string | RegExp) => page.getByRole('button', { name, exact: true })
  const link = (name: string | RegExp) => page.getByRole('link', { name, exact: true })
  await press(link('Begin with a vehicle'))
  await press(link('Enter your own vehicle'))
  await type(page.getByRole('textbox', { name: 'Name' }).first(), 'Blue estate')
  await choose(page.getByLabel('Source of these figures'), 'manual')
  const roof = page.getByRole('group', { name: 'Load limits of the roof' })
  await type(roof.getByLabel('Road'), figures.roof)
  await choose(roof.getByLabel('Counts'), 'everything')
  await press(button('Save this vehicle'))
  await press(link('Enter your own rack'))
  await choose(page.getByLabel('Source of these figures'), 'sheet')
  const carries = page.getByRole('group', { name: 'Load limits' })
  await type(carries.nth(0).getByLabel('Road'), figures.bars)
  await type(carries.nth(1).getByLabel('Road'), figures.feet)
  await press(button('Save this rack'))
  await press(button('Start the job'))
  await expect(inDrawing(page, /./).first()).toBeVisible()
  // On a tablet the shelf, and its way to gear of one's own, is a press away.
  const shelf = button('Shelf')
  if (await shelf.isVisible()) await press(shelf)
  await press(link('Enter your own gear'))
  await type(page.getByRole('textbox', { name: 'Name' }).first(), 'Long box')
  await type(page.getByLabel('Its own weight'), figures.box)
  await press(button('Save and place it'))
  await expect(inDrawing(page, /./).first()).toBeVisible()
  await expect(stateButton(page, 'Road')).toContainText(/Find out|Mind|Clear|Stop/)
  return (await stateButton(page, 'Road').textContent()) ?? ''
}

/** What a tape reads between the bars as they are planned. mm. */
async function planned(page: Page): Promise<{ readonly spread: number; readonly diagonal: number }> {
  const [plan] = JSON.parse(await shelved(page, 'plans')) as readonly {
    readonly racks: readonly {
      readonly bars: readonly { readonly xMm: number; readonly feetYMm: readonly number[] }[]
    }[]
  }[]
  const [front, rear] = plan?.racks[0]?.bars ?? []
  if (!front || !rear) throw new Error('Two bars were entered.')
  const spread = Math.abs(rear.xMm - front.xMm)
  return { spread, diagonal: Math.hypot(spread, 2 * Math.max(...front.feetYMm.map(Math.abs))) }
}

/** Every step of the bay as its sheet has it, to the last. */
async function fitAll(page: Page, { press, type }: Hands): Promise<void> {
  const read = { ...(await planned(page)) }
  for (let i = 0; i < 80; i += 1) {
    await expect(page.getByText('Everything is done.').or(done(page)).first()).toBeVisible()
    if ((await page.getByText('Everything is done.').count()) > 0) return
    for (const [label, value] of [
      ['Spread, left', read.spread],
      ['Spread, right', read.spread],
      ['Diagonal, LHF to RHR', read.diagonal],
      ['Diagonal, RHF to LHR', read.diagonal],
    ] as const) {
      const field = page.getByLabel(label, { exact: true })
      if ((await field.count()) === 0) continue
      await type(field, `${Math.round(value)} mm`)
    }
    for (const name of ['All the others are there', 'The rest was not driven']) {
      const rest = page.getByRole('button', { name })
      if ((await rest.count()) > 0) await press(rest)
    }
    for (const good of await page.getByRole('button', { name: 'Good', exact: true }).all()) await press(good)
    const reading = done(page).getByText(/^Enter the wrench’s reading at/)
    for (let places = 0; places < 40 && (await reading.count()) > 0; places += 1) {
      const before = (await reading.textContent()) ?? ''
      await type(
        page.getByLabel(/^Reading, /),
        `${(await page.locator('[data-fit=number]').textContent()) ?? ''} Nm`,
      )
      await expect(done(page)).not.toContainText(before)
    }
    await expect(done(page)).toBeEnabled()
    await press(done(page))
  }
  throw new Error('It never came to the end.')
}

/** From the first verdict to the handed-over sheet, by the bar and the next thing alone. */
async function toTheSheet(page: Page, system: keyof typeof SYSTEMS, hands: Hands): Promise<void> {
  const { press, choose, type } = hands
  const next = page.locator('[data-next]')
  await expect(next).toContainText("Find out, from the maker's sheet:")
  await press(next.getByRole('button'))
  const gear = page.locator('#path').getByRole('link', { name: 'Open the gear' })
  await expect(gear).toBeFocused()
  await press(gear)
  await choose(page.getByLabel('Held by'), 'uBolt')
  await press(page.getByRole('button', { name: 'Save and go back to Load' }))
  await expect(page).toHaveURL(/load/)
  await expect(next).not.toContainText('How Long box is held')
  await press(next.getByRole('button', { name: 'Long box: from one clamp to the other, across' }))
  const across = page.locator('#path').getByLabel('Long box: from one clamp to the other, across')
  await expect(across).toBeFocused()
  await type(across, system === 'us' ? '24 in' : '600 mm')
  // What the rails may carry nobody has said: no form begins with a figure.
  await expect(next).toContainText('Raised rails, on the road')
  await press(next.getByRole('button'))
  const rails = page.locator('#path').getByLabel('Raised rails, on the road')
  await expect(rails).toBeFocused()
  await type(rails, system === 'us' ? '180 lb' : '80 kg')
  await expect(stateButton(page, 'Road')).not.toContainText('Find out')
  await expect(next).toContainText('No Stop is open, and no question either.')
  await press(next.getByRole('link'))
  await fitAll(page, hands)
  await written(page)
  const stages = page.getByRole('navigation', { name: 'Stages of this job' })
  const last = stages.getByRole('link', { name: /^Handover/ })
  // On a phone all stops but the present one are a press away.
  if (!(await last.isVisible())) await press(stages.getByRole('button', { name: /All stages$/ }))
  await press(last)
  await expect(page.getByRole('heading', { name: 'Load limits' })).toBeVisible()
  await expect(page.getByText('The fitting is not finished')).toHaveCount(0)
  await expect(page.getByText('Stop: it must not leave like this')).toHaveCount(0)
  await expect(next).toContainText('Handed over.')
  await expect(page.getByText('Bars: the weight of each.')).toBeVisible()
}

for (const system of ['metric', 'us'] as const)
  test(
    `a newcomer comes from an empty board to an honest first verdict in ${system} units`,
    deeper,
    async ({ page }) => {
      const hands = mouse(page)
      const verdict = await firstVerdict(page, system, hands)
      const { count } = hands
      console.log(`${system}: ${count.typed} values typed, ${count.presses} presses, then: ${verdict}`)
      expect(count.typed).toBeLessThanOrEqual(12)
      expect(count.presses).toBeLessThan(30)
      // Nothing says what the box may hold: that is asked, and it is not called clear.
      await expect(stateButton(page, 'Road')).toContainText('Find out, 2 open')
    },
  )

const HANDS = [
  ['keyboard', 'metric', { width: 1280, height: 800 }, keyboard],
  ['mouse', 'us', { width: 1280, height: 800 }, mouse],
  ['touch', 'metric', { width: 820, height: 1180 }, finger],
  ['touch on a phone', 'us', { width: 390, height: 844 }, finger],
] as const

for (const [name, system, size, handsOf] of HANDS)
  test(
    `a whole job by ${name} alone, from an empty board to the sheet handed over`,
    deeper,
    async ({ page }) => {
      await page.setViewportSize(size)
      const hands = await handsOf(page)
      await firstVerdict(page, system, hands)
      await toTheSheet(page, system, hands)
      const { presses, typed, keys } = hands.count
      console.log(`${name}: ${presses} presses, ${typed} values typed, ${keys} other keys`)
    },
  )
