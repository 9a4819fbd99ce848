import { describe, expect, it } from 'vitest'
import { barsRack, planOf, RAILS, vehicleWith } from '../../plan/plans.testing'
import type { Attachment } from '../../plan/vehicle'
import { judgePlan } from '../judged.testing'
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
      'Bar 1 stands at 540 mm, where its feet cannot: they go at 480 mm, at 600 mm or at 1\u202f400 mm.',
    )
  })
  it('is mended by the nearest place that is left', () => {
    const plan = on(withPost, [500, 935])
    const judged = judgePlan(plan, { parts: [] })
    const stop = judged.review.findings.find(
      ({ rule, severity }) => rule === 'bar-seat' && severity === 'stop',
    )
    expect(judged.remedies(stop!)[0]?.command).toEqual({ do: 'moveBar', barId: 'rack-bar-2', xMm: 960 })
  })
})
