import { FIXES } from '../../remedies/fixes'
import { describe, expect, it } from 'vitest'
import { apply } from '../../plan/commands/apply'
import { barsRack, own, planOf, roofOf, thing, vehicleWith } from '../../plan/plans.testing'
import { survey } from '../../survey/survey'
import { run, sentences } from './findings.testing'
import { wind } from './wind'

const ANY = { road: 900, trail: 900, parked: 900 }
const plan = (straps: number) =>
  planOf(
    vehicleWith(roofOf(ANY)),
    [barsRack({ bars: own('bars', ANY), feet: own('feet', ANY) })],
    [
      [
        thing('sheet', 8, { shape: 'board', lengthMm: 2000, widthMm: 900, heightMm: 40 }),
        { straps: { count: straps } },
      ],
    ],
  )

describe('wind', () => {
  it('is minded where it may lift what nothing holds down, and can be driven slower for', () => {
    const now = plan(0)
    const [found] = run(wind, now)
    expect(found?.severity).toBe('mind')
    // 571.9 Pa × 0.4 × 1.8 m²
    expect(found?.measured?.value).toBeCloseTo(411.7, 1)
    const [remedy] = FIXES['wind']!(survey(now), found!, { parts: [] })
    const applied = apply(now, remedy!.command)
    expect(applied.ok && run(wind, applied.plan).map(({ severity }) => severity)).toEqual(['clear'])
  })

  it('is drag and its cost where all is held', () => {
    const found = run(wind, plan(2))
    expect(found.map(({ severity }) => severity)).toEqual(['clear'])
    expect(sentences(wind, plan(2))[0]).toContain('more on the road for 100 km')
  })
})
