import type { Page } from '@playwright/test'
import { type Hands, mouse } from '../hands'
import { expect } from '../fixtures'
import { type Sheet, sheetOn } from './sheet'

type Score = 'right' | 'not given' | 'broken' | 'kept'

/** For so long a line is waited for, ms. */
const LOOK_MS = 8_000

/** A job done by screens alone, and how far each of its lines holds. */
export interface Measured {
  readonly page: Page
  readonly hands: Hands
  readonly sheet: Sheet
  /** What must be said: right when everything in it is seen. */
  must(line: string, look: () => Promise<void>): Promise<void>
  /** What must not be said or done. */
  mustNot(line: string, look: () => Promise<void>): Promise<void>
  /** What the page shows, as one line. */
  words(): Promise<string>
  /** Waits until the page shows these words or figures somewhere. */
  sees(...words: readonly (string | RegExp)[]): Promise<void>
  seesNot(...words: readonly (string | RegExp)[]): Promise<void>
  /** Ends the job: every line, what was typed and pressed; fails where a line does not hold. */
  end(name: string): void
}

const squeezed = (text: string) => text.replace(/[\u00a0\u202f\u2009\s]+/g, ' ')

export function measured(page: Page): Measured {
  const hands = mouse(page)
  const lines: { line: string; score: Score; why: string }[] = []
  // What is there to be chosen is not said: only what is shown, and what stands in a field.
  const words = async () =>
    squeezed(
      await page.evaluate(() => {
        const shown: string[] = []
        const collect = (node: Element) => {
          if (node instanceof HTMLSelectElement) shown.push(node.selectedOptions[0]?.text ?? '')
          else if (node instanceof HTMLInputElement || node instanceof HTMLTextAreaElement)
            shown.push(node.value)
          else if (node instanceof HTMLElement && !node.checkVisibility()) return
          else
            for (const child of node.childNodes)
              if (child instanceof Element) collect(child)
              else if (child.nodeType === Node.TEXT_NODE) shown.push(child.textContent ?? '')
        }
        collect(document.body)
        return shown.join(' ')
      }),
    )
  const hold = async (line: string, good: Score, bad: Score, look: () => Promise<void>) => {
    try {
      await look()
      lines.push({ line, score: good, why: '' })
    } catch (error) {
      const why = error instanceof Error ? error.message : String(error)
      lines.push({ line, score: bad, why: squeezed(why).slice(0, 400) })
    }
  }
  return {
    page,
    hands,
    sheet: sheetOn(page, hands),
    words,
    must: (line, look) => hold(line, 'right', 'not given', look),
    mustNot: (line, look) => hold(line, 'kept', 'broken', look),
    async sees(...wanted) {
      for (const each of wanted)
        await expect
          .poll(
            async () => {
              const now = await words()
              return typeof each === 'string' ? now.includes(each) : each.test(now)
            },
            { timeout: LOOK_MS, message: `${String(each)} is not on the page` },
          )
          .toBe(true)
    },
    async seesNot(...unwanted) {
      const now = await words()
      for (const each of unwanted)
        expect(typeof each === 'string' ? now.includes(each) : each.test(now), String(each)).toBe(false)
    },
    end(name) {
      const count = (score: Score) => lines.filter((each) => each.score === score).length
      console.log(
        `${name}: ${count('right')} right, ${count('not given')} not given, ${count('broken')} of Must not broken; ${hands.count.typed} values typed, ${hands.count.presses} presses`,
      )
      const wrong = lines.filter(({ score }) => score === 'not given' || score === 'broken')
      for (const { line, score, why } of wrong) console.log(`  ${score}: ${line}: ${why}`)
      expect(wrong.map(({ line }) => line)).toEqual([])
    },
  }
}
