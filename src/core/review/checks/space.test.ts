import { describe, expect, it } from 'vitest'
import { barsRack, carrier, planOf, thing, vehicleWith } from '../../plan/plans.testing'
import type { Gear } from '../../plan/schema/gear'
import { missing, mm } from '../../units/phrase'
import { assess } from '../assess.testing'
import { space } from './space'
import { run, sentences } from './findings.testing'

/** Two things 400 wide on the bars, the second at so many mm to the right of the first. */
const plan = (apartMm: number, rest: Partial<Gear> = {}) =>
  planOf(
    vehicleWith([]),
    [barsRack({})],
    [
      [thing('Left', 5, { widthMm: 400, ...rest }), { yMm: -250 }],
      [thing('Right', 5, { widthMm: 400, ...rest }), { yMm: -250 + apartMm }],
    ],
  )

describe('space', () => {
  it('is shared only beyond touching, and the house’s gap is Mind', () => {
    expect(run(space, plan(399))).toMatchObject([{ severity: 'stop', margin: { value: -1 } }])
    expect(run(space, plan(400))).toMatchObject([{ severity: 'mind', measured: { value: 0 } }])
    expect(run(space, plan(419))).toMatchObject([{ severity: 'mind', measured: { value: 19 } }])
    expect(run(space, plan(420))).toMatchObject([{ severity: 'clear' }])
  })
  it('has a thing’s own clear width go before the house’s gap', () => {
    const fit: Gear['fit'] = { mount: { kind: 'strap' }, besideMm: 60 }
    expect(run(space, plan(420, { fit }))).toMatchObject([{ severity: 'mind', limit: { value: 20 } }])
    expect(run(space, plan(460, { fit }))).toMatchObject([{ severity: 'clear' }])
  })
  it('goes by finer outlines: pointed ends pass where boxes would meet', () => {
    const outlineMm = [
      { xMm: -600, yMm: 0 },
      { xMm: 0, yMm: -200 },
      { xMm: 600, yMm: 0 },
      { xMm: 0, yMm: 200 },
    ]
    const ends = planOf(
      vehicleWith([]),
      [barsRack({})],
      [
        [thing('Fore', 5, { widthMm: 400, outlineMm }), { xMm: 600, yMm: -110 }],
        [thing('Aft', 5, { widthMm: 400, outlineMm }), { xMm: 1300, yMm: 110 }],
      ],
    )
    expect(run(space, ends).map(({ severity }) => severity)).not.toContain('stop')
    const boxes = { ...ends, gear: ends.gear.map(({ outlineMm: _, ...gear }) => gear) }
    expect(run(space, boxes)).toMatchObject([{ severity: 'stop' }])
  })
  it('goes round the two pieces of a pair: what lies between them meets neither, and what reaches one does', () => {
    const pair = (pieceMm: number | undefined, bag: { xMm: number; yMm?: number }, turn: 0 | 90 = 0) =>
      planOf(
        vehicleWith([]),
        [barsRack({})],
        [
          [
            thing('Cradles', 4, {
              lengthMm: 1000,
              widthMm: 400,
              ...(pieceMm === undefined ? {} : { pieceMm }),
            }),
            { xMm: 900, yMm: 0, turn },
          ],
          [thing('Bag', 3, { lengthMm: 500, widthMm: 300 }), { yMm: 0, ...bag }],
        ],
      )
    expect(run(space, pair(undefined, { xMm: 900 }))).toMatchObject([{ severity: 'stop' }])
    expect(run(space, pair(150, { xMm: 900 }))).toMatchObject([{ severity: 'clear' }])
    // 250 mm to the bag's end, 350 to the piece: 100 apart; 90 mm back leaves 10 of the house's 20.
    expect(run(space, pair(150, { xMm: 990 }))).toMatchObject([{ severity: 'mind', measured: { value: 10 } }])
    expect(run(space, pair(150, { xMm: 1050 }))).toMatchObject([{ severity: 'stop', margin: { value: -50 } }])
    // Turned, its pieces lie to the left and right.
    expect(run(space, pair(150, { xMm: 900 }, 90))).toMatchObject([{ severity: 'clear' }])
    expect(run(space, pair(150, { xMm: 900, yMm: 250 }, 90))).toMatchObject([{ severity: 'stop' }])
  })
  it('is not compared between a carrier and what is in it', () => {
    const inside = planOf(
      vehicleWith([]),
      [barsRack({})],
      [
        [carrier('Box', 10, {})],
        [
          thing('Bag', 2, { lengthMm: 500, widthMm: 300, heightMm: 200 }),
          { host: { on: 'place', placementId: 'Box', placeId: 'inside' }, xMm: 0, yMm: 0 },
        ],
      ],
    )
    expect(run(space, inside)).toMatchObject([{ severity: 'clear' }])
  })
  it('is mended by the smallest shift that leaves the gap', () => {
    const tight = plan(390)
    expect(sentences(space, tight)).toEqual(['Left and Right overlap by 10 mm.'])
    const assessment = assess(tight, { parts: [] })
    const stop = assessment.review.findings.find(({ rule }) => rule === 'space')
    const [first] = assessment.remedies(stop!)
    expect(first?.kind).toBe('move')
    expect(first?.message).toContainEqual(missing(mm(30)))
  })
})
