import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { checkedText, printBackup, readBackup, type Shelves } from './backup'

const EMPTY: Shelves = { plans: {}, stock: {}, settings: {}, log: {}, pictures: {} }
const sum = 'a'.repeat(64)
const PASTS = { job: [{ at: '2026-03-01T10:00:00.000Z', by: 'Desk', back: [] }] }

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
        const read = readBackup(printBackup(shelves, PASTS, '2026-11-25T10:00:00Z', sum))
        if (!read.ok) throw new Error(read.problems[0]?.text)
        const asText = checkedText(JSON.parse(JSON.stringify(shelves)) as Shelves, PASTS)
        expect(checkedText(read.shelves, read.pasts)).toBe(asText)
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
    const text = printBackup(EMPTY, {}, '2026-11-25T10:00:00Z', sum)
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
