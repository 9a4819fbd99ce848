import { DEEP, expect, test } from './fixtures'
import { MONKEY, ALL_TEXTS, type Monkeyed } from './monkey'

/** In the deep run 2 000 actions a sheet, with a seed of its own. */
const ACTIONS = DEEP ? 2000 : 24
const ROUNDS = DEEP ? 10 : 1
const SEED = Number(process.env['YPSOS_SEED'] ?? 20261201)
/** A sheet keeps what is typed when the hand has been still so long. */
const KEPT_MS = 1500

const SHEETS = [
  ['the vehicle’s sheet', '/vehicle'],
  ['a rack’s sheet', '/rack-form?vehicle=estate'],
  ['a thing’s sheet', '/gear'],
] as const

for (const [name, address] of SHEETS)
  test(`a monkey in ${name}: no screen fails, and a reload loses nothing`, async ({ page }) => {
    test.setTimeout(DEEP ? 900_000 : 60_000)
    await page.goto(address)
    await page.getByRole('textbox', { name: 'Name' }).first().waitFor()
    const reached = new Set<string>()
    const seen = new Set<string>()
    const added = new Set<string>()
    const adds = new Set<string>()
    for (let round = 0; round < ROUNDS; round += 1) {
      await page.evaluate(MONKEY)
      const did = await page.evaluate<Monkeyed>(`monkey(${SEED + round}, ${ACTIONS / ROUNDS})`)
      expect(did.failed, `seed ${SEED}, round ${round}`).toBe(false)
      for (const each of did.reached) reached.add(each)
      for (const each of did.seen) seen.add(each)
      for (const each of did.added) added.add(each)
      for (const each of did.adds) adds.add(each)
      await page.waitForTimeout(KEPT_MS)
      const before = await page.evaluate<Record<string, string>>(ALL_TEXTS)
      await page.reload()
      await page.getByRole('textbox', { name: 'Name' }).first().waitFor()
      await expect(page.getByText(/This draft of .* is not saved yet/)).toBeVisible()
      const after = await page.evaluate<Record<string, string>>(ALL_TEXTS)
      const lost = Object.entries(after).filter(
        ([at, text]) => before[at] !== undefined && before[at] !== text,
      )
      expect(lost, `seed ${SEED}, round ${round}`).toEqual([])
    }
    console.log(
      `Monkey in ${name}, seed ${SEED}: ${reached.size} of ${seen.size} fields, ${added.size} of ${adds.size} adds`,
    )
    if (!DEEP) return
    expect([...seen].filter((each) => !reached.has(each))).toEqual([])
    expect([...adds].filter((each) => !added.has(each))).toEqual([])
  })
