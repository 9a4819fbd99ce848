import { describe, expect, it } from 'vitest'
import { barsRack, planOf, thing, vehicleWith } from '../../plan/plans.testing'
import type { Gear } from '../../plan/schema/gear'
import type { Plan } from '../../plan/schema/plan'
import { assess } from '../assess.testing'
import { survey } from '../../survey/survey'
import { usableWidth } from './usable-width'
import { run, sentences, severities } from './findings.testing'

const IN = 25.4
/** Usable 45 1/2 in front and 40 3/4 in rear: what reaches both has the rear bar's. Common practice, no source. */
const uneven = (widthMm: number, rest: Partial<Gear> = {}, yMm = 0): Plan => {
  const rack = barsRack({})
  const bars = rack.kind === 'bars' ? rack.bars : []
  const [front, rear] = [45.5 * IN, 40.75 * IN]
  return planOf(
    vehicleWith([]),
    [
      {
        ...rack,
        kind: 'bars',
        bars: bars.map((bar, i) => ({ ...bar, usableMm: i === 0 ? front : rear })),
      },
    ],
    [[thing('Load', 10, { widthMm, ...rest }), { yMm }]],
  )
}

describe('usable width', () => {
  it('is that of the shorter bar for what reaches both', () => {
    expect(severities(usableWidth, uneven(40.75 * IN))).toEqual({ all: 'clear' })
    const over = run(usableWidth, uneven(41.75 * IN)).find(({ subject }) => subject.placementIds.length > 0)
    expect(over).toMatchObject({ severity: 'stop', subject: { barId: 'rack-bar-2' } })
    expect(over?.margin?.value).toBeCloseTo(-0.5 * IN, 9)
    expect(
      survey(uneven(300))
        .fit.widths()[0]
        ?.bars.map(({ usable }) => Math.round((usable[1] * 2000) / IN) / 1000),
    ).toEqual([45.5, 40.75])
  })

  it('of two bars that differ is said with how much they differ, in all and a side', () => {
    expect(sentences(usableWidth, uneven(300))[0]?.replace(/\s/g, ' ')).toBe(
      'Bar 2 offers 1 035 mm, 120.7 mm less than Bar 1, 60.3 mm a side: the shortest bar that a thing touches rules.',
    )
    const started = uneven(300)
    const unsaid = {
      ...started,
      racks: started.racks.map((rack) =>
        rack.kind === 'bars'
          ? {
              ...rack,
              bars: rack.bars.map((bar) => ({ ...bar, known: { usableMm: { by: 'start' as const } } })),
            }
          : rack,
      ),
    }
    expect(sentences(usableWidth, unsaid).filter((each) => each.includes('rules'))).toEqual([])
  })

  it('asks where the mounts touch when only the body reaches past, and takes the contacts once they are known', () => {
    const clamped: Partial<Gear> = {
      fit: {
        mount: {
          kind: 'uBolt',
          sectionWidthMm: { fromMm: 1, toMm: 99 },
          sectionHeightMm: { fromMm: 1, toMm: 99 },
        },
      },
    }
    expect(severities(usableWidth, uneven(1200, clamped))).toEqual({ all: 'findOut' })
    const known = { ...clamped, contactsMm: { along: [], across: [-400, 400] } }
    expect(severities(usableWidth, uneven(1200, known))).toEqual({ all: 'clear' })
  })

  it('is mended by moving in, or by longer bars from stock on the same feet', () => {
    const aside = uneven(600, {}, 300)
    const assessment = assess(aside, { parts: [] })
    const stop = assessment.review.findings.find(
      ({ rule, severity }) => rule === 'usable-width' && severity === 'stop',
    )
    expect(assessment.remedies(stop!)[0]?.command).toMatchObject({
      do: 'move',
      placementId: 'Load',
      yMm: 300 - 83,
    })

    const wide = uneven(1100)
    const [bar] = wide.racks[0]!.kind === 'bars' ? wide.racks[0]!.bars : []
    const longer = { ...bar!, id: 'long', lengthMm: 1500, usableMm: 1200 }
    const withStock = assess(wide, { parts: [], bars: [longer] })
    const wideStop = withStock.review.findings.find(
      ({ rule, severity }) => rule === 'usable-width' && severity === 'stop',
    )
    const swap = withStock.remedies(wideStop!).find(({ kind }) => kind === 'fit')
    expect(swap?.command).toMatchObject({
      do: 'together',
      commands: [{ do: 'setBar', bar: { lengthMm: 1500 } }],
    })
  })

  it('leaves on each bar what nothing stands on, with the house’s gap kept', () => {
    const [width] = survey(uneven(400, {}, 100)).fit.widths()
    const half = (40.75 * IN) / 2
    expect(width?.bars[1]?.free).toEqual([
      [-half, -100 - 20],
      [300 + 20, half],
    ])
    expect(width?.widestMm).toBeCloseTo(half - 120, 9)
  })
})
