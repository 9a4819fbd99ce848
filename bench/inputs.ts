import { chromium, type Page } from 'playwright-core'
import { SHOWN } from '../src/ui/routes'
import type { Ratio } from './ratio'

/** From an input to the next paint, at the 75th percentile of a screen's inputs. */
const MOST_MS = 100
/** Inputs of each kind on every screen. */
const TIMES = 4
/** Keys that lead elsewhere or ask first are not pressed: what is measured is the screen itself. */
const LEADS_AWAY =
  /save|start|delete|take the demo|open|file|print|pdf|calendar|csv|json|enter your own|back|download|put on|take off|removed|backup|add to the log/i

interface Met {
  readonly name: string
  readonly ms: number
}

/** Listens to how long each input of the page takes until what it changed is painted; whole multiples of 8 ms. */
const LISTEN = () => {
  const met: Met[] = []
  Object.assign(window, { met })
  new PerformanceObserver((list) => {
    for (const entry of list.getEntries())
      if ('interactionId' in entry && Number(entry.interactionId) > 0)
        met.push({ name: entry.name, ms: entry.duration })
  }).observe({ type: 'event', durationThreshold: 16, buffered: true } as PerformanceObserverInit)
}

async function inputsOf(page: Page): Promise<void> {
  const settle = () => page.waitForTimeout(60)
  const keys = page.locator('main button:visible, aside button:visible, header button:visible')
  const count = await keys.count()
  for (let i = 0, pressed = 0; i < count && pressed < TIMES * 2; i += 1) {
    const key = keys.nth(i)
    const name = (await key.getAttribute('aria-label')) ?? (await key.textContent()) ?? ''
    if (LEADS_AWAY.test(name) || !(await key.isEnabled())) continue
    pressed += 1
    await key.click({ timeout: 2_000 }).catch(() => undefined)
    await settle()
    await page.keyboard.press('Escape')
    await settle()
  }
  const fields = page.locator('main input:visible:not([type=checkbox]):not([type=radio]):not([type=file])')
  for (let i = 0; i < Math.min(TIMES, await fields.count()); i += 1) {
    await fields
      .nth(i)
      .click({ timeout: 2_000 })
      .catch(() => undefined)
    await page.keyboard.type('12')
    await page.keyboard.press('Tab')
    await settle()
  }
  for (let i = 0; i < TIMES * 2; i += 1) {
    await page.keyboard.press('Tab')
    await settle()
  }
}

/** How long each screen of the app takes from an input to the next paint, as a share of what a hand takes for at once. */
export async function inputRatios(address: string, executablePath: string): Promise<readonly Ratio[]> {
  const browser = await chromium.launch({ executablePath, args: ['--no-sandbox'] })
  const ratios: Ratio[] = []
  try {
    for (const [name, path] of SHOWN) {
      const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' })
      await page.addInitScript(LISTEN)
      await page.goto(`${address}${path}`)
      await page.waitForLoadState('networkidle')
      await page.waitForTimeout(800)
      await page.evaluate(() => (window as unknown as { met: Met[] }).met.splice(0))
      await inputsOf(page)
      const times = await page.evaluate(() =>
        (window as unknown as { met: Met[] }).met.map(({ ms }) => ms).sort((a, b) => a - b),
      )
      // What took less than 16 ms is not told of by the browser: those are left out, never the slow ones.
      const at = times[Math.min(times.length - 1, Math.floor(times.length * 0.75))] ?? 16
      ratios.push({
        name:
          times.length === 0
            ? `${name}: input to next paint, none as slow as ${at} ms`
            : `${name}: input to next paint, ${at} ms at the 75th percentile of ${times.length}, of ${MOST_MS} ms`,
        value: at / MOST_MS,
        most: 1,
      })
      await page.close()
    }
  } finally {
    await browser.close()
  }
  return ratios
}
