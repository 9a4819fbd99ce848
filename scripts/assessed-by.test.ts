import { appendFileSync, cpSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { assessedBy } from './assessed-by.mjs'
import { ROOT } from './project.mjs'

let copy = ''
beforeAll(() => {
  copy = mkdtempSync(join(tmpdir(), 'ypsos-key-'))
  for (const path of ['src', 'tsconfig.json']) cpSync(join(ROOT, path), join(copy, path), { recursive: true })
})
afterAll(() => {
  rmSync(copy, { recursive: true, force: true })
})

/** The key once one file has another line. */
async function keyWith(file: string): Promise<string> {
  const path = join(copy, file)
  const before = readFileSync(path)
  appendFileSync(path, '\nexport const changed = 1\n')
  const key = await assessedBy(copy)
  cpSync(join(ROOT, file), path)
  expect(readFileSync(path)).toEqual(before)
  return key
}

describe('the key that cards of the board are kept under', () => {
  it('is another one when a source file that an assessment reaches changes', async () => {
    const key = await assessedBy(copy)
    expect(key).toBe(await assessedBy(ROOT))
    for (const file of [
      'src/core/review/checks/antenna.ts',
      'src/core/review/assess.ts',
      'src/core/survey/load-path/limit.ts',
      'src/core/kinds/basis.ts',
      'src/core/units/tolerance.ts',
      'src/workers/board-cards.ts',
    ])
      expect(await keyWith(file), file).not.toBe(key)
  })

  it('stays when a screen changes that no card is worked out with', async () => {
    expect(await keyWith('src/ui/screens/house/house-screen.tsx')).toBe(await assessedBy(copy))
  })
})
