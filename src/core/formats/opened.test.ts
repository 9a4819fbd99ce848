import { describe, expect, it } from 'vitest'
import { boatAndBox } from '@/demo/plans'
import { readBackup } from './backup'
import { parseLogText } from './log-file'
import { readBundle } from './job-bundle'
import { parsePlanText } from './plan-file'
import { parseStockText } from './stock-file'

/** A text of so many lists in each other. */
const nested = (levels: number) => '['.repeat(levels) + ']'.repeat(levels)

type Read =
  { readonly ok: true } | { readonly ok: false; readonly problems: readonly { readonly text: string }[] }
const READERS: readonly (readonly [name: string, format: string, read: (text: string) => Read])[] = [
  ['plan', 'ypsos-plan', parsePlanText],
  ['backup', 'ypsos-backup', readBackup],
  ['log', 'ypsos-log', parseLogText],
  ['stock', 'ypsos-stock', parseStockText],
  ['job bundle', 'ypsos-parcel', (text) => readBundle(JSON.parse(text) as unknown)],
]

describe.each(READERS)('a file of kind %s', (_, format, read) => {
  const textOf = (text: string) => {
    const done = read(text)
    return done.ok ? '' : (done.problems[0]?.text ?? '')
  }

  it('nested five thousand levels deep is refused in words (S10)', () => {
    expect(textOf(nested(5000))).toContain('nested more than 1000 levels deep')
    const deep = `{"format":"${format}","version":1,"events":${nested(5000)}}`
    expect(textOf(deep)).toContain('nested more than 1000 levels deep')
  })

  it('of a newer version is told that it is newer (S11)', () => {
    expect(textOf(`{"format":"${format}","version":9}`)).toMatch(
      /^version 9 .*is newer than this Ypsos reads/,
    )
  })
})

describe('figures so near to nought that they are none', () => {
  const read = (change: object) => parsePlanText(JSON.stringify({ ...boatAndBox, ...change }))
  const [rack] = boatAndBox.racks
  if (!rack || !('bars' in rack)) throw new Error('a rack of bars')

  it.each([
    [
      'a profile',
      {
        racks: [
          {
            ...rack,
            bars: rack.bars.map((bar) => ({ ...bar, profile: { ...bar.profile, widthMm: 1e-300 } })),
          },
        ],
      },
    ],
    ['a track', { vehicle: { ...boatAndBox.vehicle, trackMm: { front: 1e-9, rear: 1500 } } }],
    ['a position', { placements: boatAndBox.placements.map((each) => ({ ...each, xMm: 5e-324 })) }],
    ['a mass', { vehicle: { ...boatAndBox.vehicle, kerbKg: 1e-200 } }],
  ])('%s is refused, by its field', (_, change) => {
    const done = read(change)
    expect(done.ok).toBe(false)
    expect(done.ok ? '' : done.problems[0]?.text).toMatch(/least|zero|small/)
  })

  it('and what is measured is not', () => expect(read({}).ok).toBe(true))
})
