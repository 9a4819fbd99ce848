import type { Locator, Page } from '@playwright/test'
import { deeper, expect, shelved, test } from './fixtures'
import { mouse } from './hands'

/** Opens a part of a sheet, or of an entry of it. */
async function open(page: Page, title: string, press: (what: Locator) => Promise<void>, within?: Locator) {
  const part = (within ?? page.locator('form')).locator('summary').filter({ hasText: title }).first()
  if ((await part.locator('xpath=..').getAttribute('open')) === null) await press(part)
}

test(
  'what a saloon with bars in its door frames is given is typed once, figure by figure',
  deeper,
  async ({ page }) => {
    test.setTimeout(120_000)
    const { count, press, choose, type } = mouse(page)
    let figures = 0
    /** Types a figure of what is given. */
    const figure = async (what: Locator, text: string) => {
      figures += 1
      await type(what, text)
    }
    const field = (label: string | RegExp, within: Locator = page.locator('form')) =>
      within.getByRole('textbox', { name: label, exact: true }).first()

    await page.goto('/vehicle')
    await type(field('Name'), 'Saloon')
    await choose(page.getByLabel('Source of these figures'), 'manual')
    await choose(page.getByLabel('Body', { exact: true }), 'saloon')
    await choose(page.getByLabel('What it is').first(), 'bareRoof')
    const roof = page.getByRole('group', { name: 'Load limits of the roof' })
    await figure(roof.getByLabel('Road'), '70 kg')
    await figure(roof.getByLabel('Page'), '212')
    await open(page, 'Sizes', press)
    for (const [label, text] of [
      ['Overall length', '4795'],
      ['Body width, no mirrors', '1830'],
      ['Height, unladen', '57 1/2 in'],
      ['Wheelbase', '2780'],
      ['Front overhang', '905'],
      ["Nose to windscreen's upper edge", '1650'],
    ] as const)
      await figure(field(label), text)
    await open(page, 'Roof', press)
    for (const [label, text] of [
      ['Roof ends at', '1350'],
      ['Roof width, front', '1120'],
      ['Roof width, rear', '1080'],
      ['Crown', '12'],
    ] as const)
      await figure(field(label), text)
    await open(page, 'Weight and balance', press)
    await figure(field('Track, front'), '1560')
    await figure(field('Track, rear'), '1555')
    await open(page, 'What kits ask for', press)
    await figure(field('Built from'), '2014')
    await figure(field('Doors'), '4')
    await press(page.getByRole('button', { name: 'Save this vehicle' }))

    await press(page.getByRole('link', { name: 'Enter your own rack' }))
    await choose(page.getByLabel('Source of these figures'), 'sheet')
    const bar = page.getByRole('group', { name: 'Front bar', exact: true })
    await open(page, 'Profile and channel', press, bar)
    await figure(field('Length overall', bar), '1180')
    await choose(bar.getByLabel('Bar profile'), 'square')
    await figure(field('Profile width', bar), '30')
    await figure(field('Profile height', bar), '20')
    await figure(field('End cap’s thickness', bar), '10')
    await press(page.getByRole('button', { name: 'Copy the first to all' }))
    const parts = page.locator('details').filter({ hasText: 'Parts, each with its own figures' }).first()
    const bars = parts.getByRole('group', { name: 'Bars', exact: true })
    const feet = parts.getByRole('group', { name: 'Feet', exact: true })
    await figure(field('Weight of each', bars), '2.9')
    await figure(bars.getByLabel('Road'), '180 lb')
    await open(page, 'its price', press, bars)
    await figure(field('Price of all', bars), '118')
    await figure(field('Weight of each', feet), '0.95')
    await figure(feet.getByLabel('Road'), '68')
    await open(page, 'its price', press, feet)
    await figure(field('Price of all', feet), '164')
    await open(page, 'Joints and torque', press, feet)
    await press(feet.getByRole('button', { name: 'Add a joint' }))
    await figure(field('Torque from', feet), '4 Nm')
    await press(page.getByRole('button', { name: 'Add a part' }))
    const kit = parts.getByRole('group', { name: 'Fit kit', exact: true })
    await figure(field('Weight of each', kit), '0.6')
    await choose(kit.getByLabel('Its figure'), 'with')
    await type(kit.getByLabel('Rated with'), 'the feet')
    await open(page, 'its price', press, kit)
    await press(kit.getByLabel('Saloon'))
    await press(kit.getByLabel('4', { exact: true }))
    await figure(field('Years from', kit), '2012')
    await figure(field('to', kit), '2018')
    await figure(field('Price of all', kit), '79')
    await open(page, 'Feet and fit sheet', press)
    await figure(field('Foot’s width along the bar'), '88')
    await press(page.getByRole('button', { name: 'Add a row' }))
    await figure(field('Tower spacing, front'), '862')
    await figure(field('Spread between the bars'), '28 3/8 in')
    await figure(field('Front bar at'), '310')
    await press(page.getByRole('button', { name: 'Save this rack' }))
    await expect(page.getByRole('button', { name: 'Start the job' })).toBeVisible()

    const [rack] = JSON.parse(await shelved(page, 'stock')) as readonly {
      readonly bars: readonly { readonly xMm: number; readonly feetYMm: readonly number[] }[]
    }[]
    const placed = rack?.bars.map(({ xMm, feetYMm }) => [Math.round(xMm * 10) / 10, ...feetYMm])
    // What the fit sheet says of the bars is not typed for them again.
    expect(placed).toEqual([
      [310, -431, 431],
      [1030.7, -431, 431],
    ])
    console.log(`${figures} figures given, ${count.typed} values typed, ${count.presses} presses`)
    expect(count.typed).toBeLessThanOrEqual(figures + 3)
  },
)
