import { describe, expect, it } from 'vitest'
import { barsRack, planOf, RAILS, roofOf, thing, vehicleWith } from '../../plan/plans.testing'
import type { Obstacle } from '../../plan/schema/vehicle'
import { survey } from '../survey'
import { barMoves, binding, chooseBars } from './spread'

const wants = (id: string, fromMm: number, toMm: number) =>
  thing(id, 5, { fit: { mount: { kind: 'strap' }, spreadMm: { fromMm, toMm } } })

/** Bars at 500 and 1100 on rails from 100 to 2300. */
const spreads = (things: ReturnType<typeof wants>[], obstacles: Obstacle[] = []) =>
  survey(
    planOf(
      { ...vehicleWith(roofOf({ road: 500 }), [RAILS]), obstacles },
      [barsRack({ xs: [500, 1100] })],
      things.map((each) => [each] as const),
    ),
  ).fit.spreads()

describe('where the bars go', () => {
  it('moves one bar as little as it can, the other staying', () => {
    const given = spreads([wants('Box', 700, 900)])
    expect(chooseBars(given, 'frontStays')?.map(Math.round)).toEqual([500, 1200])
    expect(chooseBars(given, 'rearStays')?.map(Math.round)).toEqual([400, 1100])
  })
  it('under the house’s schools is as wide as it may be, the middle of what is asked, or forward for the hatch', () => {
    const given = spreads([wants('Box', 700, 900), wants('Boat', 800, 1100)])
    const spread = (choice: 'wide' | 'nominal' | 'clear') => {
      const [front = 0, rear = 0] = chooseBars(given, choice) ?? []
      return { spread: Math.round(rear - front), rear: Math.round(rear) }
    }
    expect(spread('wide').spread).toBe(900)
    // Middles of 800 and 950 average to 875.
    expect(spread('nominal').spread).toBe(875)
    expect(spread('clear')).toEqual({ spread: 800, rear: 900 })
  })
  it('says which thing binds either end', () => {
    const given = spreads([wants('Box', 700, 900), wants('Boat', 800, 1100)])
    const ends = binding(given, given.pairs[0]!)
    expect(ends.low.map(({ name }) => name)).toEqual(['Boat'])
    expect(ends.high.map(({ name }) => name)).toEqual(['Box'])
  })
  it('keeps clear of a sunroof that tilts higher than the bar leaves room', () => {
    const sunroof: Obstacle = {
      kind: 'sunroof',
      id: 's',
      name: 'Sunroof',
      openingMm: { fromMm: 300, toMm: 800 },
      widthMm: 800,
      tiltRiseMm: 90,
    }
    const given = spreads([wants('Box', 700, 900)], [sunroof])
    // The bar leaves 60, 15 of it for the gap: the pane passes 45 half way along, at 550; a bar 80 wide stays 55 off.
    const [front] = given.solution()?.positions ?? []
    expect(front?.some(([from, to]) => from < 600 && to > 600)).toBe(false)
    expect(front?.[0]?.[1]).toBeCloseTo(495, 6)
  })
  it('asks no bar to move that stands well', () => {
    const given = spreads([wants('Box', 500, 900)])
    expect(barMoves(given, chooseBars(given, 'frontStays')!)).toEqual([])
  })
})
