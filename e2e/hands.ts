import type { CDPSession, Locator, Page } from '@playwright/test'
import { expect } from './fixtures'

/** How somebody works the page, counted: each press and each value typed. */
export interface Hands {
  readonly count: { presses: number; typed: number; keys: number }
  press(what: Locator): Promise<void>
  choose(what: Locator, option: string): Promise<void>
  /** Types a value and leaves the field as this hand would. */
  type(what: Locator, text: string): Promise<void>
}

const MOST_TABS = 220
const FINGER_PX = 44

/** Nothing but keys: the focus goes to everything by Tab, and what has it is pressed by Enter or the space bar. */
export function keyboard(page: Page): Hands {
  const count = { presses: 0, typed: 0, keys: 0 }
  const key = async (name: string) => {
    count.keys += 1
    await page.keyboard.press(name)
  }
  const reach = async (what: Locator) => {
    await expect(what).toBeVisible()
    await expect(what).toBeEnabled()
    // Asked of the thing itself: finding it by its name again at every Tab takes longest of all.
    const thing = await what.elementHandle()
    for (let i = 0; i < MOST_TABS; i += 1) {
      const way = await thing.evaluate((each) => {
        const now = document.activeElement
        if (now === each) return 'there'
        const isBehind =
          now !== null && (now.compareDocumentPosition(each) & Node.DOCUMENT_POSITION_PRECEDING) !== 0
        return isBehind ? 'back' : 'on'
      })
      if (way === 'there') return
      await key(way === 'back' ? 'Shift+Tab' : 'Tab')
    }
    throw new Error(`The focus does not come to ${what.toString()} by Tab.`)
  }
  return {
    count,
    async press(what) {
      count.presses += 1
      await reach(what)
      const isBox = await what.evaluate(
        (each) => each instanceof HTMLInputElement && ['checkbox', 'radio'].includes(each.type),
      )
      await key(isBox ? 'Space' : 'Enter')
    },
    async choose(what, option) {
      count.presses += 1
      await reach(what)
      const options = await what.evaluate((each) =>
        each instanceof HTMLSelectElement ? [...each.options].map(({ value, label }) => [value, label]) : [],
      )
      const at = options.findIndex((words) => words.includes(option))
      // Where the browser shows its choices as a list of their own, an arrow opens it, and Enter takes one.
      await key('ArrowDown')
      const isList = await page.evaluate(() => document.activeElement instanceof HTMLOptionElement)
      await key('Home')
      for (let i = 0; i < at; i += 1) await key('ArrowDown')
      if (isList) await key('Enter')
      await expect(what).toHaveValue(options[at]?.[0] ?? option)
    },
    async type(what, text) {
      count.typed += 1
      await reach(what)
      await key('Control+a')
      await page.keyboard.type(text)
      await key('Tab')
    },
  }
}

/** Where a pointer meets a thing: its middle, which nothing may lie over. */
async function middleOf(what: Locator, leastPx: number): Promise<{ x: number; y: number }> {
  await expect(what).toBeVisible()
  await expect(what).toBeEnabled()
  let at = { x: 0, y: 0 }
  await expect
    .poll(async () => {
      const { words, ...met } = await what.evaluate(async (each, least) => {
        const target = each instanceof HTMLInputElement ? (each.closest('label') ?? each) : each
        const look = () => {
          const { left, top, width, height } = target.getBoundingClientRect()
          const x = left + width / 2
          const y = top + height / 2
          const over = document.elementFromPoint(x, y)
          const isHit = over !== null && (target.contains(over) || over.contains(target))
          const words = isHit
            ? Math.min(width, height) < least - 0.5
              ? `${width} by ${height} px`
              : 'met'
            : `under ${over?.outerHTML.slice(0, 160) ?? 'the edge of the page'}`
          return { x, y, words }
        }
        const so = look()
        if (so.words !== 'met') {
          target.scrollIntoView({ block: 'center' })
          return look()
        }
        // A hand waits until what it presses stands still.
        await new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve)))
        const then = look()
        return then.x === so.x && then.y === so.y ? then : { ...then, words: 'moving' }
      }, leastPx)
      at = met
      return words
    })
    .toBe('met')
  return at
}

/** A pointer that types values and nothing else: no Tab, no Enter, no shortcut. */
function pointer(page: Page, leastPx: number, meet: (at: { x: number; y: number }) => Promise<void>): Hands {
  const count = { presses: 0, typed: 0, keys: 0 }
  const press = async (what: Locator) => {
    count.presses += 1
    await meet(await middleOf(what, leastPx))
  }
  return {
    count,
    press,
    async choose(what, option) {
      count.presses += 1
      await middleOf(what, leastPx)
      // The list of choices is the system's own, not the page's.
      await what.selectOption(option)
    },
    async type(what, text) {
      count.typed += 1
      await meet(await middleOf(what, leastPx))
      await what.evaluate((each) => {
        if (each instanceof HTMLInputElement || each instanceof HTMLTextAreaElement) each.select()
      })
      await page.keyboard.type(text)
      // Whoever has no Enter puts a value down by pressing elsewhere.
      await what.evaluate((each) => (each instanceof HTMLElement ? each.blur() : undefined))
    },
  }
}

export const mouse = (page: Page): Hands =>
  pointer(page, 0, async ({ x, y }) => {
    await page.mouse.click(x, y)
  })

/** A finger on a tablet's glass: 44 px at least, and nothing that needs a pointer to hover. */
export async function finger(page: Page): Promise<Hands> {
  const devtools: CDPSession = await page.context().newCDPSession(page)
  await devtools.send('Emulation.setTouchEmulationEnabled', { enabled: true, maxTouchPoints: 1 })
  return pointer(page, FINGER_PX, async ({ x, y }) => {
    await devtools.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [{ x, y }] })
    await devtools.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] })
  })
}
