import type { Locator, Page } from '@playwright/test'
import { expect, inDrawing } from '../fixtures'
import type { Hands } from '../hands'

/** What somebody does on Load, again and again. */
export interface OnLoad {
  pick(name: string): Promise<void>
  /** A number of what is picked. */
  strip(label: string): Locator
  /** Confirms all starting values; the list may move under the hand while the review of the last answer comes in. */
  confirmStarts(): Promise<void>
  /** Puts something into what is picked, weighed. */
  contents(what: 'mass' | 'people', name: string, weight: string, when?: string): Promise<void>
}

export const onLoad = (page: Page, hands: Hands): OnLoad => ({
  async pick(name) {
    await page.keyboard.press('Escape')
    await hands.press(inDrawing(page, new RegExp(`^${name}`)).first())
  },
  strip: (label) => page.getByRole('textbox', { name: label, exact: true }),
  async confirmStarts() {
    const key = page.getByRole('button', { name: 'They are right' })
    await expect(key).toBeVisible()
    await expect(async () => {
      if ((await key.count()) > 0) await hands.press(key)
      await expect(key).toHaveCount(0, { timeout: 2_000 })
    }).toPass()
  },
  async contents(what, name, weight, when) {
    await hands.press(page.getByRole('button', { name: 'Add contents' }))
    const dialog = page.getByRole('dialog')
    await hands.choose(dialog.getByLabel('What', { exact: true }), what)
    if (what === 'people') await hands.choose(dialog.getByLabel('How many'), '1')
    await hands.type(dialog.getByLabel('Name'), name)
    const weighs = what === 'people' ? 'Weight of each' : 'Weight'
    await hands.type(dialog.getByLabel(weighs, { exact: true }), weight)
    await hands.choose(dialog.getByLabel(/known/i), 'weighed')
    if (when !== undefined) await hands.choose(dialog.getByLabel('On board'), when)
    await hands.press(dialog.getByRole('button', { name: /^Add/ }).first())
  },
})

/** What somebody does in the bay, again and again. */
export interface InBay {
  readonly title: Locator
  readonly done: Locator
  /** Takes a step in hand, wherever it stands. */
  step(name: RegExp): Promise<void>
  /** Where readings are typed, and the field of one of them. */
  readonly readings: Locator
  reading(name: string): Locator
  /** Opens what is folded around a field there. */
  unfold(field: string): Promise<void>
  /** Presses the large key until a step with this title is in hand. */
  on(wanted: RegExp): Promise<void>
}

const MOST_PRESSES = 40

export function inBay(page: Page, hands: Hands): InBay {
  const title = page.locator('main h2').first()
  const done = page.locator('[data-fit=done]')
  const readings = page.getByRole('complementary', { name: 'Readings and what they say' })
  const now = async () => `${(await title.textContent()) ?? ''} ${(await done.textContent()) ?? ''}`
  return {
    title,
    done,
    async step(name) {
      const list = page.getByRole('navigation', { name: 'Steps of this job' })
      await hands.press(list.getByRole('button', { name }).first())
      await expect(title).toHaveText(name)
    },
    readings,
    reading: (name) => readings.getByRole('textbox', { name, exact: true }),
    async unfold(field) {
      const fold = readings
        .locator('details')
        .filter({ has: page.getByLabel(field, { exact: true }) })
        .last()
      if ((await fold.getAttribute('open')) === null) await hands.press(fold.locator('summary').first())
    },
    async on(wanted) {
      for (let i = 0; i < MOST_PRESSES && !wanted.test((await title.textContent()) ?? ''); i += 1) {
        const was = await now()
        await hands.press(done)
        await expect.poll(now).not.toBe(was)
      }
    },
  }
}
