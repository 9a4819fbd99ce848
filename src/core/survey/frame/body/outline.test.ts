import { kindsOf } from '../../../kinds/kind'
import { BODIES } from '../../../kinds/body'
import { describe, expect, it } from 'vitest'
import { vehicleWith } from '../../../plan/plans.testing'
import { bodyOutline, outlineTop } from './outline'
import { startingSizes } from './starting-sizes'

describe('a body drawn from its numbers', () => {
  it.each(kindsOf(BODIES))(
    '%s at its starting sizes keeps its silhouette to the roof’s end, and its own length behind',
    (body) => {
      const vehicle = { ...vehicleWith([]), ...startingSizes(body) }
      const outline = bodyOutline(vehicle)
      const { profile, roofEndXMm, lengthMm } = BODIES[body]
      profile.forEach(([x, z], i) => {
        if (x <= roofEndXMm) expect(outline.side[i]![0]).toBeCloseTo(x, 6)
        expect(Math.abs(outline.side[i]![1] - z)).toBeLessThan(12)
      })
      expect(outline.tailXMm - outline.noseXMm).toBeCloseTo(lengthMm, 6)
      expect(Math.max(...outline.side.map(([x]) => x))).toBeCloseTo(outline.tailXMm, 6)
      expect(Math.max(...outline.side.map(([, z]) => z))).toBeCloseTo(vehicle.heightMm, 6)
    },
  )

  it('stretches to what was typed: length, height, roof, wheelbase', () => {
    const vehicle = {
      ...vehicleWith([]),
      lengthMm: 5200,
      heightMm: 1700,
      wheelbaseMm: 3000,
      frontOverhangMm: 1000,
      noseToScreenMm: 1800,
    }
    const long = { ...vehicle, roof: { ...vehicle.roof, toXMm: 2800 } }
    const outline = bodyOutline(long)
    expect(Math.min(...outline.side.map(([x]) => x))).toBeCloseTo(-1800, 6)
    expect(Math.max(...outline.side.map(([x]) => x))).toBeCloseTo(5200 - 1800, 6)
    expect(Math.max(...outline.side.map(([, z]) => z))).toBeCloseTo(1700, 6)
    expect(outline.wheels.map((wheel) => wheel.xMm)).toEqual([-800, 2200])
  })

  it('reads the height of an outline anywhere along it', () => {
    const roof = [
      [0, 1000],
      [1000, 1500],
    ] as const
    expect(outlineTop(roof, 500)).toBe(1250)
    expect(outlineTop(roof, 5000)).toBe(1500)
  })
})
