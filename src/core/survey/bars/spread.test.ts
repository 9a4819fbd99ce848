import { describe, expect, it } from 'vitest'
import { barsRack, planOf, RAILS, roofOf, thing, vehicleWith } from '../../plan/plans.testing'
import type { Obstacle } from '../../plan/schema/vehicle'
import { survey } from '../survey'
import { seatsOfBar } from './seat-windows'
import { barMoves, binding, chooseBars } from './spread'
import { towerSpacing } from './tower-spacing'

const wants = (id: string, fromMm: number | undefined, toMm?: number) =>
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
  it('may be asked at least, or at most: the end that is open binds nobody (F7)', () => {
    const least = spreads([wants('Box', 700)])
    expect(chooseBars(least, 'frontStays')?.map(Math.round)).toEqual([500, 1200])
    const spread = (given: ReturnType<typeof spreads>, choice: 'wide' | 'nominal') => {
      const [front = 0, rear = 0] = chooseBars(given, choice) ?? []
      return Math.round(rear - front)
    }
    // The rails are 2200 long.
    expect([spread(least, 'wide'), spread(least, 'nominal')]).toEqual([2200, 700])
    const most = spreads([wants('Box', undefined, 550)])
    expect(chooseBars(most, 'frontStays')?.map(Math.round)).toEqual([500, 1050])
    expect(spread(most, 'nominal')).toBe(550)
  })
  it('goes by a fit sheet that places one bar alone, and says no tower spacing (F7)', () => {
    const rack = barsRack({ xs: [500, 1100] })
    const sheet = {
      source: { kind: 'sheet' as const },
      rows: [{ profile: 'aero' as const, xMm: { front: 310 }, spreadMm: { fromMm: 700 } }],
    }
    const { fit, racks, bars } = survey(
      planOf(vehicleWith(roofOf({ road: 500 }), [RAILS]), [{ ...rack, fitSheet: sheet }]),
    )
    const [front, rear] = bars
    expect(seatsOfBar({ racks }, front!)).toMatchObject({ locked: true, within: [[310, 310]], atMm: 310 })
    expect(seatsOfBar({ racks }, rear!)).toMatchObject({ locked: false })
    expect(towerSpacing(racks[0]!, front!)).toEqual({ kind: 'noSheet' })
    expect(chooseBars(fit.spreads(), 'frontStays')?.map(Math.round)).toEqual([310, 1100])
  })
  it('asks no bar to move that stands well', () => {
    const given = spreads([wants('Box', 500, 900)])
    expect(barMoves(given, chooseBars(given, 'frontStays')!)).toEqual([])
  })
})
