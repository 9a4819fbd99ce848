import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { boatAndBox } from '@/demo/plans'
import { checkedText, printBackup, readBackup, restorePreview, type Shelves } from './backup'

const EMPTY: Shelves = { plans: {}, stock: {}, settings: {}, log: {}, pictures: {} }
const sum = 'a'.repeat(64)

const shelfOf = fc.dictionary(
  fc.string({ minLength: 1, maxLength: 20 }).filter((key) => key !== '__proto__'),
  fc.jsonValue(),
  { maxKeys: 5 },
)
const shelvesOf = fc.record({
  plans: shelfOf,
  stock: shelfOf,
  settings: shelfOf,
  log: shelfOf,
  pictures: shelfOf,
})

describe('a backup', () => {
  it('comes back as it was, whatever was kept', () => {
    fc.assert(
      fc.property(shelvesOf, (shelves) => {
        const read = readBackup(printBackup(shelves, '2026-11-25T10:00:00Z', sum))
        if (!read.ok) throw new Error(read.problems[0]?.text)
        const asText = checkedText(JSON.parse(JSON.stringify(shelves)) as Shelves)
        expect(checkedText(read.shelves)).toBe(asText)
        expect(read.checked).toBe(asText)
      }),
    )
  })

  it('from before there were pictures is read, and its check sum is of what it holds', () => {
    const { pictures: _, ...old } = EMPTY
    const text = JSON.stringify({
      format: 'ypsos-backup',
      version: 1,
      madeAt: '2026-11-25T10:00:00Z',
      sha256: sum,
      shelves: old,
    })
    expect(readBackup(text)).toMatchObject({ ok: true, shelves: EMPTY, checked: JSON.stringify(old) })
  })

  it('cut short, of another kind or another version is refused with a reason', () => {
    const text = printBackup(EMPTY, '2026-11-25T10:00:00Z', sum)
    expect(readBackup(text.slice(0, -9))).toMatchObject({
      ok: false,
      problems: [{ text: expect.stringContaining('cut short') as string }],
    })
    expect(readBackup(text.replace('"version":1', '"version":9'))).toMatchObject({
      ok: false,
      problems: [{ path: 'version' }],
    })
    expect(readBackup(text.replace(sum, 'short'))).toMatchObject({
      ok: false,
      problems: [{ path: 'sha256' }],
    })
  })
})

describe('what restoring would change', () => {
  const here: Shelves = { ...EMPTY, plans: { a: boatAndBox, b: boatAndBox }, log: { only: 1 } }
  const backup: Shelves = {
    ...EMPTY,
    plans: { a: boatAndBox, b: { ...boatAndBox, note: 'other' }, c: { odd: true } },
  }

  it('is told entry by entry, and merging removes nothing', () => {
    const [plans, , , log] = restorePreview(here, backup, 'merge')
    expect(plans).toEqual({
      shelf: 'plans',
      added: ['c'],
      changed: ['b'],
      same: ['a'],
      removed: [],
      unreadable: ['c'],
    })
    expect(log?.removed).toEqual([])
    expect(restorePreview(here, backup, 'replace')[3]?.removed).toEqual(['only'])
  })

  it('is nothing for a backup of what is here', () => {
    for (const change of restorePreview(here, here, 'replace'))
      expect([change.added, change.changed, change.removed]).toEqual([[], [], []])
  })
})
