import { describe, expect, it } from 'vitest'
import { DEMO_STOCK } from '@/demo/stock'
import { rackOffer } from '../placing/rack-offer'
import { barsRack, own, planOf, vehicleWith } from '../plan/plans.testing'
import { barsOf, rackSchema, type Rack } from '../plan/schema/rack'
import { stockDifferences, intoStock, stockRackOf } from './stock-rack'

const saved = barsRack({})
/** The same rack in a job: put on from stock, moved, and its figures and a width found out there. */
const inJob = ((): Rack => {
  const { rack } = rackOffer(planOf(vehicleWith([]), []), saved, 'raisedRail', 'a1')
  return {
    ...rack!,
    status: 'alreadyOn',
    parts: rack!.parts.map((part, i) => (i === 1 ? { ...part, rated: own('feet', { road: 68 }) } : part)),
    bars: barsOf(rack!).map((bar, i) => ({
      ...bar,
      xMm: bar.xMm + 120,
      ...(i === 1 ? { usableMm: 990 } : {}),
    })),
  } as Rack
})()

describe('a rack of a job and the same in stock', () => {
  it('are known for one by their ids', () => {
    const other = barsRack({ id: 'rack-2' })
    expect(stockRackOf(inJob, [other, saved])?.id).toBe('rack')
    expect(stockRackOf(saved, [other, saved])?.id).toBe('rack')
    expect(stockRackOf({ ...inJob, id: 'elsewhere' }, [saved])).toBeUndefined()
  })

  it('differ in what was found out of it, and not in where it stands', () => {
    expect(stockDifferences(inJob, saved)).toEqual([
      { name: 'Bar 2', fields: ['the width that can be used'] },
      { name: 'Feet', fields: ['its figures'] },
    ])
    expect(stockDifferences(saved, saved)).toEqual([])
  })

  it('are the same once the entry has taken it, which keeps its own ids and places', () => {
    const taken = intoStock(inJob, saved)
    expect(rackSchema.safeParse(taken).error).toBeUndefined()
    expect(stockDifferences(inJob, taken)).toEqual([])
    expect(taken.id).toBe(saved.id)
    expect(taken.status).toBeUndefined()
    expect(barsOf(taken).map(({ id, xMm }) => [id, xMm])).toEqual(
      barsOf(saved).map(({ id, xMm }) => [id, xMm]),
    )
    expect(taken.parts.map(({ id }) => id)).toEqual(saved.parts.map(({ id }) => id))
    // And the shelf then ranks it by the figure that was found.
    const { left } = rackOffer(planOf(vehicleWith([]), []), taken, 'raisedRail', 'b2')
    expect(left.road?.kind).toBe(
      rackOffer(planOf(vehicleWith([]), []), inJob, 'raisedRail', 'b2').left.road?.kind,
    )
  })

  it('holds for every rack of the demo’s stock', () => {
    for (const rack of DEMO_STOCK.racks) {
      expect(stockDifferences(rack, rack)).toEqual([])
      expect(rackSchema.safeParse(intoStock(rack, rack)).error).toBeUndefined()
    }
    expect(DEMO_STOCK.racks.length).toBeGreaterThan(3)
  })
})
