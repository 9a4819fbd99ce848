import {
  adapterSchema,
  barSchema,
  gearSchema,
  partSchema,
  planSchema,
  rackSchema,
  vehicleSchema,
} from '@/core/api/plan'
import { assess } from '@/core/api/assess'
import { describe, expect, it } from 'vitest'
import { DEMO_PLANS } from './plans'
import { DEMO_STOCK } from './stock'

describe('the demo', () => {
  it('is as large as it should be and every part of it is valid', () => {
    expect(DEMO_STOCK.vehicles.length).toBeGreaterThanOrEqual(5)
    expect(DEMO_STOCK.racks.length).toBeGreaterThanOrEqual(6)
    expect(DEMO_STOCK.gear.length).toBeGreaterThanOrEqual(40)
    expect(DEMO_PLANS.length).toBeGreaterThanOrEqual(12)
    for (const vehicle of DEMO_STOCK.vehicles) expect(vehicleSchema.safeParse(vehicle).error).toBeUndefined()
    for (const rack of DEMO_STOCK.racks) expect(rackSchema.safeParse(rack).error).toBeUndefined()
    for (const gear of DEMO_STOCK.gear) expect(gearSchema.safeParse(gear).error).toBeUndefined()
    for (const part of DEMO_STOCK.parts) expect(partSchema.safeParse(part).error).toBeUndefined()
    for (const adapter of DEMO_STOCK.adapters) expect(adapterSchema.safeParse(adapter).error).toBeUndefined()
    for (const bar of DEMO_STOCK.bars) expect(barSchema.safeParse(bar).error).toBeUndefined()
    for (const plan of DEMO_PLANS) expect(planSchema.safeParse(plan).error).toBeUndefined()
  })

  it('has ids of its own for everything', () => {
    for (const list of [DEMO_STOCK.vehicles, DEMO_STOCK.racks, DEMO_STOCK.gear, DEMO_STOCK.parts, DEMO_PLANS])
      expect(new Set(list.map((each) => each.id)).size).toBe(list.length)
  })

  it('stands every rack on a vehicle that it was made for', () => {
    const attachments = DEMO_STOCK.vehicles.flatMap((vehicle) => vehicle.attachments.map((each) => each.id))
    for (const rack of DEMO_STOCK.racks) expect(attachments).toContain(rack.attachmentId)
  })

  it('puts nothing where something else is, nor off its deck', () => {
    for (const plan of DEMO_PLANS) {
      const { things, racks } = assess(plan).survey
      things.forEach((a, i) => {
        for (const b of things.slice(i + 1)) {
          if (a.parent === b || b.parent === a) continue
          const overlap = (['x', 'y', 'z'] as const).map(
            (axis) =>
              Math.min(a.box[`${axis}1`], b.box[`${axis}1`]) - Math.max(a.box[`${axis}0`], b.box[`${axis}0`]),
          )
          expect(
            overlap.every((each) => each > 0.01),
            `${plan.id}: ${a.placement.id} and ${b.placement.id}`,
          ).toBe(false)
        }
        const { host } = a.placement
        const deck = host.on === 'deck' ? racks.find((each) => each.rack.id === host.rackId)?.deck : undefined
        if (deck) {
          expect(a.box.x0).toBeGreaterThanOrEqual(deck.box.x0)
          expect(a.box.x1).toBeLessThanOrEqual(deck.box.x1)
        }
      })
    }
  })
})
