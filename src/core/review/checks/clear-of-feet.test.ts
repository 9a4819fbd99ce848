import { describe, expect, it } from 'vitest'
import { barsRack, planOf, thing, vehicleWith } from '../../plan/plans.testing'
import { assess } from '../assess.testing'
import { clearOfFeet } from './clear-of-feet'
import { severities } from './findings.testing'

/** Feet at ±500; a clamp whose contacts are 100 mm either side of its middle. */
const plan = (
  yMm: number,
  footWidthMm?: number,
  kind: 'wrapClamp' | 'channelBolt' = 'wrapClamp',
  baseMm = 40,
  known = true,
) => {
  const rack = barsRack({})
  const mount =
    kind === 'wrapClamp'
      ? ({
          kind,
          sectionWidthMm: { fromMm: 1, toMm: 99 },
          sectionHeightMm: { fromMm: 1, toMm: 99 },
          underBarMm: 10,
        } as const)
      : ({ kind, slotMm: 20, headMm: 7, thread: 'M6', stackMm: 10 } as const)
  return planOf(
    vehicleWith([]),
    [footWidthMm === undefined ? rack : { ...rack, footWidthMm }],
    [
      [
        thing('Tray', 8, {
          widthMm: 260,
          ...(known ? { contactsMm: { along: [], across: [-100, 100] } } : {}),
          fit: { mount, ...(Number.isNaN(baseMm) ? {} : { baseMm }) },
        }),
        { yMm },
      ],
    ],
  )
}

describe('clear of the feet', () => {
  it('stands a clamp clear by half a foot and half of what it covers itself, and not 1 mm nearer (L16)', () => {
    expect(severities(clearOfFeet, plan(335, 90))).toEqual({ all: 'clear' })
    expect(severities(clearOfFeet, plan(336, 90))).toEqual({ all: 'stop' })
  })
  it('asks for the width of the clamp only where it decides', () => {
    expect(severities(clearOfFeet, plan(275, 90, 'wrapClamp', NaN))).toEqual({ all: 'clear' })
    expect(severities(clearOfFeet, plan(276, 90, 'wrapClamp', NaN))).toEqual({ all: 'findOut' })
    expect(severities(clearOfFeet, plan(356, 90, 'wrapClamp', NaN))).toEqual({ all: 'stop' })
  })
  it('asks where clamps touch that go round the bar, and says nothing of no clamp going round it (L15)', () => {
    expect(severities(clearOfFeet, plan(0, 90, 'wrapClamp', 40, false))).toEqual({ all: 'findOut' })
  })
  it('is no question for what sits in the channel', () => {
    expect(severities(clearOfFeet, plan(400, 90, 'channelBolt'))).toEqual({})
  })
  it('asks how wide the foot is when the clamp stands near one', () => {
    expect(severities(clearOfFeet, plan(380))).toEqual({ all: 'findOut' })
    expect(severities(clearOfFeet, plan(0))).toEqual({ all: 'clear' })
  })
  it('is mended by moving just clear', () => {
    const assessment = assess(plan(380, 90), { parts: [] })
    const stop = assessment.review.findings.find(({ rule }) => rule === 'clear-of-feet')
    expect(assessment.remedies(stop!)[0]?.command).toMatchObject({ do: 'move', yMm: 335 })
  })
})
