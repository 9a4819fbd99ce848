import { describe, expect, it } from 'vitest'
import { barsRack, planOf, RAILS, vehicleWith } from '../../plan/plans.testing'
import type { Plan } from '../../plan/schema/plan'
import { barsOf, type Rack } from '../../plan/schema/rack'
import type { Attachment } from '../../plan/schema/vehicle'
import { phraseText } from '../../units/phrase'
import { assess } from '../assess.testing'
import { barSeat } from './bar-seat'
import { run, sentences } from './findings.testing'

const on = (attachment: Attachment, xs: number[]) => planOf(vehicleWith([], [attachment]), [barsRack({ xs })])
const withPost = { ...RAILS, posts: [{ fromMm: 900, toMm: 960 }] } as Attachment
const verdicts = (attachment: Attachment, xs: number[]) =>
  run(barSeat, on(attachment, xs)).map(({ severity }) => severity)

describe('where bars stand', () => {
  it('is anywhere along the rail but at its posts', () => {
    expect(verdicts(withPost, [500, 900])).toEqual(['clear', 'clear'])
    expect(verdicts(withPost, [500, 930])).toEqual(['clear', 'stop'])
    expect(verdicts(withPost, [60, 1400])).toEqual(['stop', 'clear'])
  })
  it('is only in the notches where a rail has them, within the house’s tolerance', () => {
    const notched = { ...RAILS, notchesXMm: [480, 600, 1400] } as Attachment
    expect(verdicts(notched, [482, 1400])).toEqual(['clear', 'clear'])
    expect(verdicts(notched, [540, 1400])).toEqual(['stop', 'clear'])
    expect(sentences(barSeat, on(notched, [540, 1400]))[0]).toBe(
      'Bar 1 stands at 540 mm, where its feet cannot: they go at 480 mm, at 600 mm or at 1\u202f400 mm; 60 mm off.',
    )
  })
  it('is told with what is left along the rail', () => {
    expect(sentences(barSeat, on(RAILS, [350, 1400]))[0]).toBe(
      'Bar 1 stands where its feet can: along the rail, with 250 mm to the nearer end.',
    )
  })
  it('is the end that each bar is marked for, and is mended by exchanging them', () => {
    const plan = on(RAILS, [500, 1400])
    const rack = plan.racks[0]!
    const marked = (...ends: readonly ('front' | 'rear' | undefined)[]): Plan => ({
      ...plan,
      racks: [
        {
          ...rack,
          bars: barsOf(rack).map((bar, i) => ({ ...bar, ...(ends[i] ? { end: ends[i] } : {}) })),
        } as Rack,
      ],
    })
    const wrong = marked('rear', 'front')
    expect(sentences(barSeat, wrong)[0]).toBe(
      'Bar 1 is marked for the rear and stands at the other end of Test rack, where Bar 2 belongs: exchange them.',
    )
    const assessment = assess(wrong, { parts: [] })
    const stop = assessment.review.findings.find(({ id }) => id.startsWith('bar-seat mark'))!
    expect(stop.severity).toBe('stop')
    const [first] = assessment.remedies(stop)
    expect(phraseText(first!.message)).toBe('Let Bar 1 and Bar 2 change places')
    for (const right of [marked('front', 'rear'), marked(undefined, 'rear')])
      expect(run(barSeat, right).every(({ severity }) => severity === 'clear')).toBe(true)
  })
  it('is asked where front and rear bar are not alike and neither says which it is', () => {
    const plan = on(RAILS, [500, 1400])
    const rack = plan.racks[0]!
    const unlike = (end?: 'rear'): Plan => ({
      ...plan,
      racks: [
        {
          ...rack,
          bars: barsOf(rack).map((bar, i) =>
            i === 1 ? { ...bar, usableMm: 994, ...(end ? { end } : {}) } : bar,
          ),
        } as Rack,
      ],
    })
    expect(run(barSeat, unlike())[0]).toMatchObject({ severity: 'mind' })
    expect(sentences(barSeat, unlike())[0]).toMatch(/are not alike: they offer .* and 994 mm/)
    const longer = {
      ...rack,
      bars: barsOf(rack).map((bar, i) => (i === 1 ? { ...bar, lengthMm: bar.lengthMm + 40 } : bar)),
    }
    expect(sentences(barSeat, { ...plan, racks: [longer as Rack] })[0]).toMatch(
      /are not alike: they are .* long\. Read/,
    )
    expect(run(barSeat, unlike('rear')).every(({ severity }) => severity === 'clear')).toBe(true)
  })
  it('is mended by the nearest place that is left', () => {
    const plan = on(withPost, [500, 935])
    const assessment = assess(plan, { parts: [] })
    const stop = assessment.review.findings.find(
      ({ rule, severity }) => rule === 'bar-seat' && severity === 'stop',
    )
    expect(assessment.remedies(stop!)[0]?.command).toEqual({ do: 'moveBar', barId: 'rack-bar-2', xMm: 960 })
  })
})
