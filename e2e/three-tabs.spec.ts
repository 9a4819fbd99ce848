import type { Page } from '@playwright/test'
import type { Plan } from '../src/core/api/plan'
import { deeper, expect, inDrawing, saved, shelved, test } from './fixtures'

const JOB = '/load?job=demo-boat-and-box'

async function kept(page: Page): Promise<Plan> {
  const all = JSON.parse(await shelved(page, 'plans')) as Plan[]
  const plan = all.find(({ id }) => id === 'demo-boat-and-box')
  if (!plan) throw new Error('The job is gone.')
  return plan
}

interface Edit {
  readonly what: string
  readonly make: (page: Page) => Promise<unknown>
  readonly stands: (plan: Plan) => boolean
}

const placed = (plan: Plan, id: string) => plan.placements.find((each) => each.id === id)

const moved = (mm: number): Edit => ({
  what: `long box to ${mm} mm`,
  make: async (page) => {
    await inDrawing(page, /^Long box/).click()
    await page.getByLabel('x, middle').fill(`${mm} mm`)
    await page.getByLabel('x, middle').press('Enter')
  },
  stands: (plan) => placed(plan, 'long-box')?.xMm === mm,
})
const aboard = (when: 'driving' | 'parked'): Edit => ({
  what: `sea boat on board ${when}`,
  make: async (page) => {
    await inDrawing(page, /^Sea boat/).click()
    await page.getByLabel('On board', { exact: true }).selectOption(when)
  },
  stands: (plan) => placed(plan, 'boat')?.when === when || plan.placements.some((each) => each.when === when),
})
const barAt = (mm: number): Edit => ({
  what: `rear bar to ${mm} mm`,
  make: async (page) => {
    await inDrawing(page, /^Rear bar/).focus()
    await page.getByLabel('x, middle of bar').fill(`${mm} mm`)
    await page.getByLabel('x, middle of bar').press('Enter')
  },
  stands: (plan) => plan.racks.some((rack) => 'bars' in rack && rack.bars.some(({ xMm }) => xMm === mm)),
})
const loaded = (kg: number): Edit => ({
  what: `box contents to ${kg} kg`,
  make: async (page) => {
    await inDrawing(page, /^Long box/).click()
    const field = page.getByLabel('Box contents', { exact: true })
    await field.fill(`${kg} kg`)
    await field.press('Enter')
  },
  stands: (plan) => JSON.stringify(plan.placements).includes(`"kg":${kg}`),
})
const tookOff: Edit = {
  what: 'sea boat taken off',
  make: async (page) => {
    await inDrawing(page, /^Sea boat/).click()
    await page
      .getByRole('region', { name: 'The picked thing' })
      .getByRole('button', { name: 'Take off' })
      .click()
  },
  stands: (plan) => placed(plan, 'sea-boat') === undefined,
}

/** Who edits what: in one row all at the same time. What stands after is all of it. */
const ROWS: readonly (readonly [Edit, Edit, Edit])[] = [
  [moved(900), aboard('driving'), barAt(1150)],
  [loaded(21), barAt(1180), tookOff],
  [barAt(1210), moved(930), loaded(17)],
]

test(
  'three tabs of one job edit at once, row after row: each has what all did, and nothing is lost',
  deeper,
  async ({ page, context }) => {
    const tabs = [page, await context.newPage(), await context.newPage()]
    for (const tab of tabs) {
      await tab.goto(JOB)
      await expect(inDrawing(tab, /^Long box/)).toBeVisible()
    }
    for (const row of ROWS) {
      await Promise.all(row.map((edit, i) => edit.make(tabs[i] ?? page)))
      for (const tab of tabs) {
        await saved(tab)
        await expect(tab.getByRole('dialog')).toHaveCount(0)
      }
      await expect
        .poll(async () => {
          const plan = await kept(page)
          return row.filter((edit) => !edit.stands(plan)).map(({ what }) => what)
        })
        .toEqual([])
      console.log(row.map(({ what }, i) => `tab ${i + 1}: ${what}`).join(' | '), '| stands: all')
    }
    // Each tab shows the same, without being loaded again, and takes back only what was done in it.
    for (const tab of tabs) {
      await inDrawing(tab, /^Long box/).click()
      await expect(tab.getByLabel('x, middle')).toHaveValue('930 mm')
      await expect(tab.getByLabel('Box contents', { exact: true })).toHaveValue('17 kg')
    }
    await tabs[2]?.getByRole('button', { name: 'Undo' }).click()
    for (const tab of tabs) await expect(tab.getByLabel('Box contents', { exact: true })).toHaveValue('21 kg')
    expect(moved(930).stands(await kept(page))).toBe(true)
  },
)
