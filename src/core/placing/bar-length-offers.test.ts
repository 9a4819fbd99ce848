import { expect, it } from 'vitest'
import { DEMO_PLANS } from '../../demo/plans'
import { DEMO_STOCK } from '../../demo/stock'
import { apply } from '../plan/commands/apply'
import { assess } from '../review/assess'
import { phraseText } from '../units/phrase'
import { barLengthOffers } from './bar-length-offers'

const METRIC = { show: 'metric', denominator: 16 } as const
const plan = DEMO_PLANS.find(({ job }) => job.name === 'A boat and the long box')!
const [rack] = plan.racks
const offers = (bars = DEMO_STOCK.bars) => barLengthOffers(plan, rack!.id, bars)

it('sets every length of stock beside the bars as they are, the shortest first', () => {
  const rows = offers()
  expect(rows.map(({ name }) => name)).toEqual([
    'As they are',
    'Aero bar 1200',
    'Aero bar 1360',
    'Aero bar 1520',
  ])
  expect(rows[0]?.rack).toBe(rack)
  expect(rows[0]?.states).toEqual(assess(plan).review.states)
  // Feet stand 530 mm off the middle: half of 1200 less 530.
  expect(rows.map(({ pastFootMm }) => pastFootMm)).toEqual([105, 70, 150, 230])
  expect(rows.slice(1).map(({ widestMm }) => widestMm)).toEqual(
    rows
      .slice(1)
      .map(({ widestMm }) => widestMm)
      .toSorted((a, b) => (a ?? 0) - (b ?? 0)),
  )
})

it('judges each with all that stands on it, and says the gravest that is new', () => {
  for (const { rack: changed, states, against, stockId } of offers().slice(1)) {
    const done = apply(plan, { do: 'setRack', rack: changed })
    expect(done.ok).toBe(true)
    if (!done.ok) continue
    const { review } = assess(done.plan)
    expect([stockId, states]).toEqual([stockId, review.states])
    const before = new Set(assess(plan).review.findings.map(({ sentence }) => phraseText(sentence, METRIC)))
    if (against) {
      const words = phraseText(against, METRIC)
      expect(before.has(words)).toBe(false)
      expect(review.findings.map(({ sentence }) => phraseText(sentence, METRIC))).toContain(words)
    }
  }
  const short = offers([{ ...DEMO_STOCK.bars[0]!, lengthMm: 1000, usableMm: 900 }])[1]
  expect(short?.pastFootMm).toBe(-30)
  expect(short?.against).toBeDefined()
})

it('keeps places, feet and rise, and marks a profile that is another', () => {
  const other = { ...DEMO_STOCK.bars[1]!, profile: { ...DEMO_STOCK.bars[1]!.profile, widthMm: 30 } }
  const [, row] = offers([other])
  expect(row?.otherProfile).toBe(true)
  const bars = row?.rack.kind === 'bars' ? row.rack.bars : []
  const own = rack?.kind === 'bars' ? rack.bars : []
  expect(bars.map(({ id, xMm, riseMm, feetYMm }) => ({ id, xMm, riseMm, feetYMm }))).toEqual(
    own.map(({ id, xMm, riseMm, feetYMm }) => ({ id, xMm, riseMm, feetYMm })),
  )
  expect(barLengthOffers(plan, 'no such rack', DEMO_STOCK.bars)).toEqual([])
})

it('brings along how the other bar is known and typed, and leaves nothing said of the one it replaces', () => {
  if (rack?.kind !== 'bars') throw new Error('It has bars.')
  const said = {
    ...plan,
    racks: [
      {
        ...rack,
        bars: rack.bars.map((each) => ({
          ...each,
          known: { lengthMm: { by: 'measured' as const }, xMm: { by: 'measured' as const } },
          typed: { lengthMm: '1270 mm', xMm: '43 cm' },
        })),
      },
    ],
  }
  const like = {
    ...DEMO_STOCK.bars[2]!,
    known: { usableMm: { by: 'sheet' as const } },
    typed: { usableMm: '134 cm' },
  }
  const [, row] = barLengthOffers(said, rack.id, [like])
  const [front] = row?.rack.kind === 'bars' ? row.rack.bars : []
  expect(front?.lengthMm).toBe(1520)
  expect(front?.known).toEqual({ xMm: { by: 'measured' }, usableMm: { by: 'sheet' } })
  expect(front?.typed).toEqual({ xMm: '43 cm', usableMm: '134 cm' })
})
