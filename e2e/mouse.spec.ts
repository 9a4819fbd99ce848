import { deeper, expect, fromMenu, inDrawing, openJob, saved, stateButton, test } from './fixtures'

test(
  'does a job with the mouse alone, and finds it after closing the page',
  deeper,
  async ({ page, context }) => {
    await openJob(page, 'Yard van, full summer load')
    await page.getByText(/^Cannot go on this rack: \d+$/).click()
    await page
      .getByRole('button', { name: /^Gear bag/ })
      .first()
      .click()
    const bag = inDrawing(page, /^Gear bag/)
    await expect(bag).toHaveAttribute('aria-pressed', 'true')
    await page.getByRole('button', { name: 'Turn 0°' }).click()
    await expect(page.getByRole('button', { name: 'Turn 90°' })).toBeVisible()
    await page.getByRole('button', { name: 'On edge' }).click()
    await expect(page.getByRole('button', { name: 'Lay flat' })).toBeVisible()
    await page.getByLabel('On board').selectOption('parked')
    await stateButton(page, 'Parked').click()
    await page.getByRole('button', { name: 'Add contents' }).click()
    const load = page.getByRole('dialog', { name: 'Add contents' })
    await load.getByLabel('What').selectOption('water')
    await load.getByLabel('Volume').fill('10 l')
    await load.getByLabel('Name').click()
    await load.getByRole('button', { name: 'Add it' }).click()
    await expect(page.getByLabel('Water', { exact: true })).toHaveValue('10 l')
    await page.getByRole('button', { name: /^Roof, Parked/ }).click()
    await expect(page.getByRole('row', { name: /Water 10 kg computed/ })).toBeVisible()
    await page.getByRole('button', { name: 'Close', exact: true }).click()
    await saved(page)
    const url = page.url()
    await page.close()
    const later = await context.newPage()
    await later.goto(url)
    await expect(inDrawing(later, /^Gear bag/)).toBeVisible()
    await inDrawing(later, /^Gear bag/).focus()
    await expect(later.getByLabel('Water', { exact: true })).toHaveValue('10 l')
  },
)

test('a bar is dragged along the vehicle, and the spread follows', deeper, async ({ page }) => {
  await openJob(page, 'Yard van, full summer load')
  const middleOf = async (name: RegExp) => {
    const box = (await inDrawing(page, name).boundingBox())!
    return { x: box.x + box.width / 2, y: box.y + box.height / 2 }
  }
  const rear = await middleOf(/^Rear bar/)
  const middle = await middleOf(/^Middle bar/)
  // The bars stand 1160 mm apart; the rear one is free at its right end, 850 mm from the centreline.
  const end = rear.y - (850 * (rear.x - middle.x)) / 1160
  await page.mouse.move(rear.x, end)
  await page.mouse.down()
  await page.mouse.move(rear.x + 10, end, { steps: 3 })
  await page.mouse.move(rear.x + 30, end, { steps: 3 })
  await page.mouse.up()
  const x = page.getByLabel('x, middle of bar')
  const moved = Number((await x.inputValue()).replace(/[^\d]/g, ''))
  expect(moved).toBeGreaterThan(3050)
  expect(moved % 5).toBe(0)
  await x.fill('31 5/8"')
  await x.press('Enter')
  await expect(x).toHaveValue('803.3 mm')
  await expect(page.getByText('typed 31 5/8"')).toBeVisible()
})

test(
  'dragging across snaps to the centreline and leaves the place along the vehicle as it was',
  deeper,
  async ({ page }) => {
    await openJob(page, 'Frame rack for the survey')
    const wheel = inDrawing(page, /^Spare wheel/)
    await wheel.focus()
    await page.getByLabel('y, right +').fill('200')
    await page.getByLabel('y, right +').press('Enter')
    const plan = (await wheel.boundingBox())!
    await page.mouse.move(plan.x + plan.width / 2, plan.y + plan.height / 2)
    await page.mouse.down()
    await page.mouse.move(plan.x + plan.width / 2, plan.y + plan.height / 2 + 10, { steps: 3 })
    const scale = plan.width / 780
    await page.mouse.move(plan.x + plan.width / 2, plan.y + plan.height / 2 + 200 * scale + 4, { steps: 5 })
    await page.mouse.up()
    await expect(page.getByLabel('y, right +')).toHaveValue('0 mm')
    await expect(page.getByLabel('x, middle')).toHaveValue(/2\s?290 mm/)
  },
)

test(
  'zooms with wheel and buttons, all views together, and back to the whole vehicle',
  deeper,
  async ({ page }) => {
    await openJob(page, 'A boat and the long box')
    const box = inDrawing(page, /^Long box/)
    const before = (await box.boundingBox())!
    await page.getByRole('button', { name: 'Rack', exact: true }).click()
    const zoomed = (await box.boundingBox())!
    expect(zoomed.width).toBeGreaterThan(before.width * 1.02)
    await page.mouse.move(zoomed.x + zoomed.width / 2, zoomed.y + zoomed.height / 2)
    await page.mouse.wheel(0, -400)
    await expect.poll(async () => (await box.boundingBox())!.width).toBeGreaterThan(zoomed.width * 1.5)
    // A key of one letter acts while nothing else has the focus.
    await page.getByRole('button', { name: 'Rack', exact: true }).blur()
    await page.keyboard.press('0')
    await expect.poll(async () => Math.round((await box.boundingBox())!.width)).toBe(Math.round(before.width))
  },
)

test('a dialog stays when a press in its text is let go outside it, and closes when it is pressed outside', async ({
  page,
}) => {
  await openJob(page, 'Yard van, full summer load')
  await fromMenu(page, 'Doors and garages')
  const dialog = page.getByRole('dialog')
  const field = dialog.getByRole('textbox').first()
  await field.fill('Half typed')
  const box = await field.boundingBox()
  if (!box) throw new Error('The field is not on the page.')
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(4, 4, { steps: 5 })
  await page.mouse.up()
  await expect(field).toHaveValue('Half typed')
  await page.mouse.click(4, 4)
  await expect(dialog).toHaveCount(0)
})
