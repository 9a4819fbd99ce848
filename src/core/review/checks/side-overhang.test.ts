import { describe, expect, it } from 'vitest'
import { barsRack, planOf, thing, vehicleWith } from '../../plan/plans.testing'
import type { Plan } from '../../plan/schema/plan'
import { assess } from '../assess.testing'
import { sideOverhang } from './side-overhang'
import { run } from './findings.testing'

/** Bars of 1300 on feet 1000 apart, caps of 5: 150 to the end, 145 to inside the cap, from the foot's centre. */
const plan = (overhangMm: number, footWidthMm?: number): Plan => {
  const rack = barsRack({})
  return planOf(
    vehicleWith([]),
    [footWidthMm === undefined ? rack : { ...rack, footWidthMm }],
    [[thing('Loader', 9, { widthMm: 300, fit: { mount: { kind: 'strap' }, overhangMm } }), { yMm: 300 }]],
  )
}

describe('overhang for side loading', () => {
  it('runs from the foot’s centre to inside the cap, or from its edge where its width is known', () => {
    expect(run(sideOverhang, plan(145))).toMatchObject([{ severity: 'clear', measured: { value: 145 } }])
    expect(run(sideOverhang, plan(145, 80))).toMatchObject([{ severity: 'stop', measured: { value: 105 } }])
  })
  it('grows by half of what a bar is longer: 5 in more give 2 1/2 in at each end (common practice, no source)', () => {
    const longer = plan(145)
    const rack = longer.racks[0]!
    const bars =
      rack.kind === 'bars' ? rack.bars.map((bar) => ({ ...bar, lengthMm: bar.lengthMm + 5 * 25.4 })) : []
    const [finding] = run(sideOverhang, {
      ...longer,
      racks: [{ ...rack, kind: 'bars', bars }] as Plan['racks'],
    })
    expect(finding?.measured?.value).toBeCloseTo(145 + 2.5 * 25.4, 9)
  })
  it('is mended by longer bars from stock', () => {
    const short = plan(180)
    const [bar] = short.racks[0]!.kind === 'bars' ? short.racks[0]!.bars : []
    const assessment = assess(short, {
      parts: [],
      bars: [
        { ...bar!, id: 'a', lengthMm: 1360 },
        { ...bar!, id: 'b', lengthMm: 1380 },
      ],
    })
    const stop = assessment.review.findings.find(({ rule }) => rule === 'side-overhang')
    expect(assessment.remedies(stop!)[0]?.command).toMatchObject({
      commands: [{ bar: { lengthMm: 1380 } }, { bar: { lengthMm: 1380 } }],
    })
  })
})
