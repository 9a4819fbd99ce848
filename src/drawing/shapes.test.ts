import { assess, bodyOutline, startingSizes } from '@/core/api/assess'
import { BODIES, kindsOf } from '@/core/api/plan'
import { describe, expect, it } from 'vitest'
import { vehicleWith } from '@/core/plan/plans.testing'
import { DEMO_PLANS, ladderJob, twinSpan, yardVan } from '@/demo/plans'
import { DEMO_STOCK } from '@/demo/stock'
import { VEHICLES } from '@/demo/vehicles'
import { attachmentPath, rackPaths } from './rack-paths'
import { rulerStep } from '../ui/drawing/ruler-step'
import { thingPaths } from './thing-paths'
import { planPaths, rearPaths, sidePaths } from './vehicle-paths'

/** The box that a path's points lie in; control points of curves count, arcs by their ends. */
function extent(path: string): { u0: number; u1: number; v0: number; v1: number } {
  const us: number[] = []
  const vs: number[] = []
  const point = (u: string | undefined, v: string | undefined) => {
    us.push(Number(u))
    vs.push(Number(v))
  }
  const number = '(-?[\\d.]+)'
  for (const match of path.matchAll(new RegExp(`[MLQ] ${number} ${number}(?: ${number} ${number})?`, 'g'))) {
    point(match[1], match[2])
    if (match[3] !== undefined) point(match[3], match[4])
  }
  for (const match of path.matchAll(new RegExp(`A ${number} ${number} 0 \\d \\d ${number} ${number}`, 'g')))
    point(match[3], match[4])
  return { u0: Math.min(...us), u1: Math.max(...us), v0: Math.min(...vs), v1: Math.max(...vs) }
}

const LOOSE_MM = 1

describe('things', () => {
  it('are drawn inside their own box and reach both its ends, from every side', () => {
    for (const gear of DEMO_STOCK.gear)
      for (const onEdge of [false, true]) {
        const across = onEdge ? gear.heightMm : gear.widthMm
        const up = onEdge ? gear.widthMm : gear.heightMm
        for (const [facing, u, v] of [
          ['along', gear.lengthMm, up],
          ['across', across, up],
          ['above', gear.lengthMm, across],
        ] as const) {
          const paths = thingPaths(gear, facing, u, v, onEdge)
          expect(paths.outline, gear.name).not.toMatch(/NaN|undefined/)
          const box = extent(`${paths.outline} ${paths.detail}`)
          const name = `${gear.name} ${facing}`
          expect(box.u0, name).toBeGreaterThanOrEqual(-u / 2 - LOOSE_MM)
          expect(box.u1, name).toBeLessThanOrEqual(u / 2 + LOOSE_MM)
          expect(box.v0, name).toBeGreaterThanOrEqual(-v / 2 - LOOSE_MM)
          expect(box.v1, name).toBeLessThanOrEqual(v / 2 + LOOSE_MM)
          if (facing === 'along' && gear.kind !== 'person')
            expect(box.u1 - box.u0, name).toBeGreaterThan(u * 0.9)
        }
      }
  })
})

describe('vehicles', () => {
  it.each(kindsOf(BODIES))('%s is drawn to its own length, width and height', (body) => {
    const vehicle = { ...vehicleWith([]), ...startingSizes(body) }
    const outline = bodyOutline(vehicle)
    const side = extent(sidePaths(outline).body)
    expect(side.u1 - side.u0).toBeGreaterThan(vehicle.lengthMm - 5)
    expect(side.v1).toBeGreaterThan(vehicle.heightMm - 5)
    const plan = extent(planPaths(outline, vehicle).body)
    expect(plan.v1 - plan.v0).toBeCloseTo(vehicle.widthMm, 0)
    expect(plan.u1 - plan.u0).toBeCloseTo(vehicle.lengthMm, 0)
    const rear = extent(rearPaths(outline, vehicle).body)
    expect(rear.u1 - rear.u0).toBeCloseTo(vehicle.widthMm, 0)
    expect(rear.v1).toBeCloseTo(vehicle.heightMm, 0)
    for (const paths of [sidePaths(outline), planPaths(outline, vehicle), rearPaths(outline, vehicle)])
      expect(JSON.stringify(paths)).not.toMatch(/NaN|undefined|null/)
  })

  it('shows glass, rails and points where the vehicle has them', () => {
    for (const vehicle of VEHICLES)
      for (const attachment of vehicle.attachments.filter((each) => each.kind !== 'hatchSeam')) {
        const plan = extent(attachmentPath(vehicle, attachment, 'plan'))
        expect(plan.v0).toBeCloseTo(-plan.v1, 6)
        const rear = extent(attachmentPath(vehicle, attachment, 'rear'))
        expect(rear.u1).toBeGreaterThan(300)
        expect(attachmentPath(vehicle, attachment, 'side')).toMatch(/^M /)
      }
  })
})

describe('racks', () => {
  it('are drawn where the survey has their bars, feet and decks', () => {
    for (const plan of DEMO_PLANS)
      for (const rack of assess(plan).survey.racks.filter((each) => each.bars.length > 0)) {
        const seen = extent(rackPaths(rack, 'plan').ink)
        for (const { box } of rack.bars) {
          expect(seen.u0).toBeLessThanOrEqual(box.x0)
          expect(seen.u1).toBeGreaterThanOrEqual(box.x1)
          expect(seen.v0).toBeLessThanOrEqual(box.y0)
          expect(seen.v1).toBeGreaterThanOrEqual(box.y1)
        }
        const side = extent(rackPaths(rack, 'side').ink)
        expect(side.v1).toBeCloseTo(Math.max(...rack.bars.map(({ box }) => box.z1)), 0)
        if (rack.deck) expect(extent(rackPaths(rack, 'plan').plate).u1).toBeCloseTo(rack.deck.box.x1, 0)
      }
  })

  it('show a ladder from its foot to its top, and the panels of a bed rack', () => {
    const ladder = assess(ladderJob).survey.racks.find((rack) => rack.rack.kind === 'ladder')!
    expect(extent(rackPaths(ladder, 'rear').line)).toMatchObject({ v0: 700, v1: 1690 })
    expect(rackPaths(ladder, 'side').line).toMatch(/^M /)
    const bed = assess(twinSpan).survey.racks.find((rack) => rack.rack.kind === 'bed')!
    expect(rackPaths(bed, 'side').line.split('M ').length).toBeGreaterThan(5)
    const [van] = assess(yardVan).survey.racks
    expect(rackPaths(van!, 'rear').plate).toBe('')
  })
})

describe('rulers', () => {
  it('have ticks that a hand can tell apart, in whole units of the system shown', () => {
    for (const scale of [0.08, 0.12, 0.3, 1, 2])
      for (const show of ['metric', 'us', 'both'] as const) {
        const step = rulerStep(scale, { show, denominator: 16 })
        expect(step.mm * scale).toBeGreaterThan(3.5)
        expect(step.mm * step.every * scale).toBeGreaterThan(25)
        expect(step.text(step.mm * step.every)).not.toMatch(/mm|in|\./)
      }
    expect(rulerStep(0.1, { show: 'us', denominator: 16 }).text(24 * 25.4)).toBe('24')
    expect(rulerStep(0.1, { show: 'both', denominator: 16 }).text(500)).toBe('500')
  })
})
