import { assess } from '@/core/api/assess'
import { describe, expect, it } from 'vitest'
import { boatAndBox, twinSpan } from '@/demo/plans'
import { extentOf, fromSheet, layoutSheet, toSheet, viewAt } from '@/drawing/layout'
import { pan, zoomAt, zoomOnto } from './zoom'

const surveyed = assess(boatAndBox).survey
const extent = extentOf(surveyed)
const size = { width: 760, height: 640 }
const layout = layoutSheet(extent, size, undefined)

describe('the sheet', () => {
  it('puts the front to the left, and the right side at the top of the plan and on the right of the rear view', () => {
    expect(toSheet(layout, 'side', -1000, 500)[0]).toBeLessThan(toSheet(layout, 'side', 1000, 500)[0])
    expect(toSheet(layout, 'plan', 500, 600)[1]).toBeLessThan(toSheet(layout, 'plan', 500, -600)[1])
    expect(toSheet(layout, 'rear', 600, 500)[0]).toBeGreaterThan(toSheet(layout, 'rear', -600, 500)[0])
    expect(toSheet(layout, 'side', 0, 1500)[1]).toBeLessThan(toSheet(layout, 'side', 0, 0)[1])
  })

  it('lines up side over plan by x and side beside rear by z, all to one scale', () => {
    expect(toSheet(layout, 'side', 730, 900)[0]).toBeCloseTo(toSheet(layout, 'plan', 730, 200)[0], 9)
    expect(toSheet(layout, 'side', 730, 900)[1]).toBeCloseTo(toSheet(layout, 'rear', 200, 900)[1], 9)
    const across = toSheet(layout, 'rear', 1000, 0)[0] - toSheet(layout, 'rear', 0, 0)[0]
    const along = toSheet(layout, 'side', 1000, 0)[0] - toSheet(layout, 'side', 0, 0)[0]
    expect(across).toBeCloseTo(along, 9)
  })

  it.each([
    [1280 - 530, 690],
    [1500, 900],
    [620, 500],
  ])('keeps everything inside its view at %i by %i', (width, height) => {
    for (const plan of [boatAndBox, twinSpan]) {
      const at = assess(plan).survey
      const fitted = layoutSheet(extentOf(at), { width, height }, undefined)
      for (const { box } of at.things) {
        const [left, top] = toSheet(fitted, 'side', box.x0, box.z1)
        expect(viewAt(fitted, left, top)).toBe('side')
        const [right, bottom] = toSheet(fitted, 'plan', box.x1, box.y0)
        expect(viewAt(fitted, right, bottom)).toBe('plan')
      }
      expect(fitted.rear.left + fitted.rear.width).toBeLessThanOrEqual(width)
      expect(fitted.plan.top + fitted.plan.height).toBeLessThanOrEqual(height)
    }
  })

  it('stacks the views under one another on a narrow screen', () => {
    const narrow = layoutSheet(extent, { width: 390, height: 600 }, undefined)
    expect(narrow.stacked).toBe(true)
    expect(narrow.rear.top).toBeGreaterThan(narrow.plan.top + narrow.plan.height)
    expect(narrow.height).toBeGreaterThan(narrow.rear.top + narrow.rear.height)
  })

  it('finds the place under the pointer again', () => {
    const [left, top] = toSheet(layout, 'plan', 812, -140)
    const [x, y] = fromSheet(layout, 'plan', left, top)
    expect(x).toBeCloseTo(812, 6)
    expect(y).toBeCloseTo(-140, 6)
  })
})

describe('zoom', () => {
  it('keeps the place under the pointer where it is, and the views in line', () => {
    const at = toSheet(layout, 'plan', 900, 300)
    const zoom = zoomAt(layout, undefined, 3, at)
    const zoomed = layoutSheet(extent, size, zoom)
    const after = toSheet(zoomed, 'plan', 900, 300)
    expect(after[0]).toBeCloseTo(at[0], 6)
    expect(after[1]).toBeCloseTo(at[1], 6)
    expect(toSheet(zoomed, 'side', 900, 0)[0]).toBeCloseTo(after[0], 6)
    expect(zoomed.scale).toBeCloseTo(layout.scale * 3, 9)
  })

  it('comes back to the whole vehicle when zoomed out', () => {
    expect(zoomAt(layout, { factor: 1.1, x: 0, y: 0, z: 0 }, 0.5, undefined)).toBeUndefined()
  })

  it('fills the views with a box, never more than the sheet allows', () => {
    const box = surveyed.things[0]!.box
    const zoomed = layoutSheet(extent, size, zoomOnto(extent, size, box))
    for (const [x, y] of [
      [box.x0, box.y0],
      [box.x1, box.y1],
    ] as const) {
      const [left, top] = toSheet(zoomed, 'plan', x, y)
      expect(viewAt(zoomed, left, top)).toBe('plan')
    }
    expect(zoomed.scale).toBeGreaterThan(layout.scale)
  })

  it('pans the views that share the axis', () => {
    const zoom = { factor: 2, x: 100, y: 0, z: 900 }
    const zoomed = layoutSheet(extent, size, zoom)
    const moved = pan(zoomed, zoom, 'side', 50, 0)
    expect(moved.x).toBeCloseTo(100 - 50 / zoomed.scale, 9)
    expect([moved.y, moved.z]).toEqual([0, 900])
    expect(pan(zoomed, zoom, 'rear', 50, 20).x).toBe(100)
  })
})
