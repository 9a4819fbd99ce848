import type { Locator, Page } from '@playwright/test'
import { answerFor, done, readAll } from './bay-work'
import { deeper, empty, expect, goTo, inDrawing, shelved, stateButton, test, written } from './fixtures'

/** Somebody who has never seen the screens: every press and every value typed is counted. */
function hand(page: Page) {
  const count = { presses: 0, typed: 0 }
  return {
    count,
    press: async (what: Locator) => {
      count.presses += 1
      await what.click()
    },
    choose: async (what: Locator, option: string) => {
      count.presses += 1
      await what.selectOption(option)
    },
    type: async (what: Locator, text: string) => {
      count.typed += 1
      await what.fill(text)
    },
    button: (name: string | RegExp) => page.getByRole('button', { name, exact: true }),
    link: (name: string | RegExp) => page.getByRole('link', { name, exact: true }),
  }
}

const SYSTEMS = {
  metric: { units: 'metric', roof: '75 kg', bars: '100 kg', feet: '90 kg', box: '18 kg', inside: '30 kg' },
  us: { units: 'us', roof: '165 lb', bars: '220 lb', feet: '200 lb', box: '40 lb', inside: '66 lb' },
} as const

/** From an empty board to the first verdict: a car, bars and a box of one's own, with the figures that are at hand. */
async function firstVerdict(page: Page, system: keyof typeof SYSTEMS) {
  const { units, ...figures } = SYSTEMS[system]
  await page.goto('/house')
  await page.getByLabel('Units', { exact: true }).selectOption(units)
  await page.goto('/')
  await expect(page.getByRole('list', { name: 'Jobs' })).toBeVisible()
  await empty(page, 'plans')
  await page.reload()
  const { count, press, choose, type, button, link } = hand(page)
  await press(link('Begin with a vehicle'))
  await press(link('Enter your own vehicle'))
  await type(page.getByRole('textbox', { name: 'Name' }).first(), 'Blue estate')
  await choose(page.getByLabel('What I type here is from'), 'manual')
  const roof = page.getByRole('group', { name: 'What the roof may carry' })
  await type(roof.getByLabel('Road'), figures.roof)
  await choose(roof.getByLabel('Counts'), 'everything')
  await press(button('Save this vehicle'))
  await press(link('Enter your own rack'))
  await choose(page.getByLabel('What I type here is from'), 'sheet')
  const carries = page.getByRole('group', { name: 'What it may carry' })
  await type(carries.nth(0).getByLabel('Road'), figures.bars)
  await type(carries.nth(1).getByLabel('Road'), figures.feet)
  await press(button('Save this rack'))
  await press(button('Start on the bench'))
  await press(link('Enter your own gear'))
  await type(page.getByRole('textbox', { name: 'Name' }).first(), 'Long box')
  await type(page.getByLabel('Its own weight'), figures.box)
  await press(button('Save and put it on'))
  await expect(inDrawing(page, /./).first()).toBeVisible()
  await expect(stateButton(page, 'Road')).toContainText(/Find out|Mind|Clear|Stop/)
  return { count, verdict: (await stateButton(page, 'Road').textContent()) ?? '' }
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
async function fitAll(page: Page): Promise<void> {
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
      await field.fill(`${Math.round(value)} mm`)
      await field.press('Enter')
    }
    for (const name of ['The rest is all there', 'The rest was not driven']) {
      const rest = page.getByRole('button', { name })
      if ((await rest.count()) > 0) await rest.click()
    }
    for (const good of await page.getByRole('button', { name: 'Good', exact: true }).all()) await good.click()
    await readAll(page)
    if ((await done(page).getByText('A Stop stands').count()) > 0) await answerFor(page)
    await expect(done(page)).toBeEnabled()
    await done(page).click()
  }
  throw new Error('It never came to the end.')
}

for (const system of ['metric', 'us'] as const) {
  test(`a newcomer comes from an empty board to an honest first verdict in ${system} units`, async ({
    page,
  }) => {
    const { count, verdict } = await firstVerdict(page, system)
    console.log(`${system}: ${count.typed} values typed, ${count.presses} presses, then: ${verdict}`)
    expect(count.typed).toBeLessThanOrEqual(12)
    expect(count.presses).toBeLessThan(30)
    // Nothing says what the box may hold: that is asked, and it is not called clear.
    await expect(stateButton(page, 'Road')).toContainText('Find out, 1 open')
  })

  test(
    `and from there to the sheet, by the bar and the next thing alone, in ${system} units`,
    system === 'us' ? deeper : {},
    async ({ page }) => {
      await firstVerdict(page, system)
      const next = page.locator('[data-next]')
      await expect(next).toContainText("Find out, from the maker's sheet:")
      await next.getByRole('button').click()
      await expect(page.locator('#path').getByRole('link', { name: 'Open the gear' })).toBeFocused()
      await page.keyboard.press('Enter')
      await page.getByLabel('Held by').selectOption('uBolt')
      await page.getByRole('button', { name: 'Save and go back to the bench' }).click()
      await expect(page).toHaveURL(/bench/)
      await expect(next).not.toContainText('How Long box is held')
      await next.getByRole('button', { name: 'Long box: from one clamp to the other, across' }).click()
      const across = page.locator('#path').getByLabel('Long box: from one clamp to the other, across')
      await expect(across).toBeFocused()
      await page.keyboard.type(system === 'us' ? '24 in' : '600 mm')
      await page.keyboard.press('Enter')
      await expect(stateButton(page, 'Road')).not.toContainText('Find out')
      await expect(next).toContainText('No Stop stands, nothing is left to find out.')
      await next.getByRole('link').click()
      await fitAll(page)
      await written(page)
      await goTo(page, 'Hand over')
      await expect(page.getByRole('heading', { name: 'What it may carry' })).toBeVisible()
      await expect(page.getByText('The bay is not finished')).toHaveCount(0)
      await expect(page.getByText('Stop: it does not leave like this')).toHaveCount(0)
      await expect(next).toContainText('Handed over.')
      await expect(page.getByText('Bars: the weight of each.')).toBeVisible()
    },
  )
}
