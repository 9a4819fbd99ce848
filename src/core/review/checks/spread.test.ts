import { describe, expect, it } from 'vitest'
import { barsRack, planOf, RAILS, roofOf, thing, vehicleWith } from '../../plan/plans.testing'
import type { Plan } from '../../plan/schema/plan'
import type { Attachment } from '../../plan/schema/vehicle'
import { pointsJob, threeSpreads } from '@/demo/plans'
import { assess } from '../assess.testing'
import { survey } from '../../survey/survey'
import { spread } from './spread'
import { run, sentences, severities } from './findings.testing'

const wants = (id: string, fromMm: number, toMm: number) =>
  thing(id, 5, { fit: { mount: { kind: 'strap' }, spreadMm: { fromMm, toMm } } })
const plan = (xs: number[], things: ReturnType<typeof wants>[], attachment: Attachment = RAILS): Plan =>
  planOf(
    vehicleWith(roofOf({ road: 500, trail: 500, parked: 500 }), [attachment]),
    [barsRack({ xs })],
    things.map((each) => [each] as const),
  )
const POINTS: Attachment = {
  kind: 'fixedPoint',
  id: 'rails',
  name: 'Points',
  rated: RAILS.kind === 'raisedRail' ? RAILS.rated : { by: 'own', ratings: [] },
  points: [
    { xMm: 400, yMm: 500 },
    { xMm: 990, yMm: 500 },
  ],
}

describe('spread', () => {
  it('holds within what a thing wants, ends included, and says by how much it misses', () => {
    expect(severities(spread, plan([500, 1400], [wants('Box', 600, 900)]))).toEqual({ all: 'clear' })
    expect(sentences(spread, plan([500, 1460], [wants('Box', 600, 900)]))[0]).toBe(
      '960 mm between Bar 1 and Bar 2; Box needs 600 mm to 900 mm: 60 mm too wide.',
    )
  })

  it('of two bars on a roof outside 24 to 36 in is a hint, and no more (common practice)', () => {
    const [wide, usual] = [
      plan([500, 1460], [wants('Box', 600, 1000)]),
      plan([500, 1400], [wants('Box', 600, 1000)]),
    ]
    expect(severities(spread, wide)).toEqual({ all: 'clear' })
    expect(sentences(spread, wide)[0]?.replace(/\s/g, ' ')).toBe(
      '960 mm between Bar 1 and Bar 2; Box needs 600 mm to 1 000 mm; 40 mm to spare. A usual spread is 609.6 mm to 914.4 mm: a hint, no limit.',
    )
    expect(sentences(spread, usual)[0]).not.toContain('usual')
    expect(sentences(spread, plan([500, 1460, 2420], [wants('Box', 600, 1000)]))[0]).not.toContain('usual')
  })

  it('of fixed points 590 apart cannot be reached by a thing that wants 600: short by 10 mm (common practice)', () => {
    const [finding] = run(spread, plan([400, 990], [wants('Box', 600, 900)], POINTS))
    expect(finding).toMatchObject({ severity: 'stop', margin: { value: -10 } })
    expect(sentences(spread, plan([400, 990], [wants('Box', 600, 900)], POINTS))).toEqual([
      '590 mm between Bar 1 and Bar 2; Box needs 600 mm to 900 mm: 10 mm too narrow. The vehicle allows no better.',
    ])
    const stop = assess(pointsJob, { parts: [] }).remedies(run(spread, pointsJob)[0]!)
    expect(stop.map(({ kind }) => kind)).toEqual(['off'])
  })

  it('that the places of a vehicle miss by what no tape tells is no conflict, wherever the bar stands now', () => {
    const sockets: Attachment = { ...POINTS, points: [400, 850, 1300].map((xMm) => ({ xMm, yMm: 500 })) }
    const texts = sentences(spread, plan([400, 950], [wants('Tent', 900.1125, 900.1125)], sockets))
    expect(texts.join(' ')).toContain('Tent needs 900.1 mm')
    expect(texts.join(' ')).not.toContain('No spread suits')
  })

  it('that suits no two together names the two', () => {
    const texts = sentences(spread, plan([500, 1300], [wants('Box', 600, 700), wants('Boat', 750, 1100)]))
    expect(texts).toContain(
      'No spread suits Box and Boat together: 50 mm are missing. One of them has to give way.',
    )
  })

  it('is offered by moving one bar or the other, just so far', () => {
    const assessment = assess(threeSpreads, { parts: [] })
    const [stop] = assessment.review.findings.filter(
      ({ rule, severity }) => rule === 'spread' && severity === 'stop',
    )
    expect(
      assessment
        .remedies(stop!)
        .slice(0, 2)
        .map(({ command }) => command),
    ).toEqual([
      { do: 'moveBar', barId: 'wing-rear', xMm: 1200 },
      { do: 'moveBar', barId: 'wing-front', xMm: 460 },
    ])
  })

  it('of three things leaves 20 mm in common', () => {
    const [pair] = survey(threeSpreads).fit.spreads().pairs
    expect(pair?.common).toEqual([[750, 770]])
  })
})
