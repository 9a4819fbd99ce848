import type { Page } from '@playwright/test'
import { deeper, expect, goTo, inDrawing, openJob, stateButton, test } from './fixtures'

const finding = (page: Page, text: RegExp) => page.locator('[data-finding]').filter({ hasText: text })

test('drags a boat outward until a foot lifts, and says so', deeper, async ({ page }) => {
  await openJob(page, 'Double boat over cab and bed')
  const boat = inDrawing(page, /^Sea boat/)
  const box = (await boat.boundingBox())!
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  await expect(finding(page, /lifts the RHF foot/)).toHaveCount(0)
  await page.mouse.move(x, y)
  await page.mouse.down()
  for (let step = 1; step <= 10; step += 1) {
    await page.mouse.move(x, y + step * 12)
    if ((await finding(page, /: the load lifts the \w+ foot by/).count()) > 0) break
  }
  await page.mouse.up()
  await expect(finding(page, /: the load lifts the \w+ foot by/).first()).toBeVisible()
  await expect(
    page
      .getByTestId('sheet')
      .getByText(/^lifts \d/)
      .first(),
  ).toBeVisible()
})

test('shows what each spot still takes, and says it', deeper, async ({ page }) => {
  await openJob(page, 'Survey kit up the ridge road')
  await page.getByRole('button', { name: 'Next kilo' }).click()
  const field = page.getByRole('img', {
    name: /^Bed rack, next kilogram on the road: \d+ kg at its worst spot/,
  })
  await expect(field).toBeVisible()
  await stateButton(page, 'Trail').click()
  await expect(page.getByRole('img', { name: /next kilogram on the trail: 0 kg at its worst/ })).toBeVisible()
  await page.getByRole('button', { name: 'Next kilo' }).click()
  await expect(page.getByRole('img', { name: /next kilogram/ })).toHaveCount(0)
})

test('places sleepers, and the feet follow', deeper, async ({ page }) => {
  await openJob(page, 'Ridge camp, tent for two')
  await inDrawing(page, /^Shell tent for two/).focus()
  await stateButton(page, 'Parked').click()
  const rear = page.getByTestId('sheet').getByText('42.4', { exact: true }).first()
  await expect(rear).toBeVisible()
  await page.getByLabel('lie rearward').fill('400')
  await page.getByLabel('lie rearward').press('Enter')
  await expect(rear).toHaveCount(0)
  await expect(page.getByLabel('lie rearward')).toHaveValue('400 mm')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByTestId('sheet').getByText('42.4', { exact: true }).first()).toBeVisible()
})

test('reads the tie-down list, plans straps, and the list has them', deeper, async ({ page }) => {
  await openJob(page, 'Frame rack for the survey')
  await inDrawing(page, /^Tripod case/).focus()
  await page.getByLabel('How many').selectOption('1')
  await page.getByLabel('Each, by its label').fill('120 kg')
  await page.getByLabel('Each, by its label').press('Enter')
  await goTo(page, 'Forces')
  await expect(page.getByRole('heading', { name: 'Forces: Frame rack for the survey' })).toBeVisible()
  const straps = page.getByRole('region', { name: 'Straps' })
  await expect(straps.getByRole('row', { name: /^Tripod case/ })).toContainText('1 of 120 kg')
  await expect(straps.getByRole('row', { name: /^Gear bag/ })).toContainText('1, no figure read')
})

test('shows a case of motion in its chart and its table', deeper, async ({ page }) => {
  await page.goto('/forces?job=demo-frame')
  await page.getByLabel('Case').selectOption('Braking, road')
  await page.getByText('Frame rack: feet in figures').click()
  await expect(page.getByRole('row', { name: /^RHR/ })).toContainText('19.7 kg, lifts')
  await expect(
    page.getByRole('img', { name: /Front hoop carries .* it bends down 11.4 mm at most/ }),
  ).toBeVisible()
})

test('weighs the worst guess, and the chance narrows', deeper, async ({ page }) => {
  await page.goto('/forces?job=demo-ladder')
  await expect(page.getByTestId('chance')).toBeVisible({ timeout: 30_000 })
  const before = await page.getByTestId('chance').textContent()
  await page.getByLabel('Chairs and table, weighed').fill('15 kg')
  await page.getByLabel('Chairs and table, weighed').press('Enter')
  await expect(page.getByText('There is nothing to weigh.')).toBeVisible({ timeout: 30_000 })
  await expect(page.getByText(/is uncertain.*in every draw/)).toBeVisible()
  await expect(page.getByTestId('chance')).not.toHaveText(before ?? '')
  await goTo(page, 'Load')
  await expect(page.getByRole('heading', { name: 'Awning and hatch ladder', level: 1 })).toBeVisible()
})

test('stops the drawing when asked, and draws again', deeper, async ({ page }) => {
  // A slow worker: every pause takes a while, so that a hand finds the button.
  await page.addInitScript(() => {
    const Real = Worker
    class Slow extends Real {
      override postMessage(message: unknown) {
        const draw = message as { ask?: string; draws?: number }
        super.postMessage(draw.ask === 'draw' ? { ...draw, draws: 2_000_000 } : message)
      }
    }
    window.Worker = Slow
  })
  await page.goto('/forces?job=demo-ladder')
  await page.getByRole('button', { name: 'Stop it' }).click()
  await expect(page.getByText('Stopped. Nothing was counted.')).toBeVisible()
  await page.getByRole('button', { name: 'Draw again' }).click()
  await expect(page.getByRole('progressbar', { name: 'Draws done' })).toBeVisible()
})

test('starts a worker again that dies, and says so', async ({ page }) => {
  await page.addInitScript(() => {
    const Real = Worker
    let deaths = 0
    class Mortal extends Real {
      override postMessage(message: unknown) {
        if ((message as { ask?: string }).ask === 'draw' && deaths === 0) {
          deaths += 1
          this.dispatchEvent(new ErrorEvent('error', { cancelable: true }))
          return
        }
        super.postMessage(message)
      }
    }
    window.Worker = Mortal
  })
  await page.goto('/forces?job=demo-ladder')
  await expect(page.getByText('The calculation stopped by itself and was started again.')).toBeVisible()
  await expect(page.getByTestId('chance')).toBeVisible({ timeout: 30_000 })
})

test('says on every screen that waits for it where what works beside the page is given up', async ({
  page,
}) => {
  await page.addInitScript(() => {
    const Real = Worker
    class Dead extends Real {
      override postMessage() {
        setTimeout(() => this.dispatchEvent(new ErrorEvent('error', { cancelable: true })))
      }
    }
    window.Worker = Dead
  })
  const given = (what: string) =>
    page.getByText(`${what} stopped by itself. Nothing was changed. Reload the page to try again.`)
  await page.goto('/load?job=demo-ladder')
  await expect(given('The trial of the shelf on this rack')).toBeVisible()
  await expect(given('The search for fixes')).toBeVisible()
  await page.goto('/forces?job=demo-ladder')
  await expect(given('The calculation')).toBeVisible()
  await page.goto('/')
  await expect(given('The reading of the jobs')).toBeVisible()
})
