import { describe, expect, it } from 'vitest'
import { boatAndBox } from '@/demo/plans'
import { slideBox, sweptBox, swingsOf, tiltOf, type Hatch, type Sunroof } from './swings'

const pane: Sunroof = {
  kind: 'sunroof',
  id: 'pane',
  name: 'Pane',
  widthMm: 800,
  openingMm: { fromMm: 1500, toMm: 1900 },
  moves: 'tiltsAndSlides',
  tiltRiseMm: 40,
  slidesOutside: { travelMm: 350, riseMm: 45 },
}
const hatch: Hatch = {
  kind: 'hatch',
  id: 'hatch',
  name: 'Hatch',
  hinge: { xMm: 3800, zMm: 1650 },
  panel: [
    { xMm: 3820, zMm: 1640 },
    { xMm: 4100, zMm: 1200 },
  ],
  halfWidthMm: 600,
  opensDeg: 85,
}
const vehicle = {
  ...boatAndBox.vehicle,
  heightMm: 1700,
  roof: { ...boatAndBox.vehicle.roof, skinZMm: 1620 },
}

describe('a pane over the roof', () => {
  it('stands on the roof’s skin, not at the vehicle’s height with its rails', () => {
    expect(tiltOf(pane, vehicle)?.hinge).toEqual([1500, 1620])
    expect(slideBox(pane, vehicle)).toMatchObject({ z0: 1620, z1: 1665 })
    const bare = { ...vehicle, roof: { ...vehicle.roof, skinZMm: undefined } }
    expect(slideBox(pane, bare)).toMatchObject({ z0: 1700, z1: 1745 })
  })
})

describe('a swing against a box', () => {
  it('is computed once for both, and anew for a box elsewhere', () => {
    const [swing] = swingsOf(hatch, [hatch])
    const far = { x0: 0, x1: 100, y0: -100, y1: 100, z0: 1700, z1: 1800 }
    const first = sweptBox(swing!, far)
    expect(sweptBox(swing!, far)).toBe(first)
    const near = { ...far, x0: 4000, x1: 4300 }
    expect(first.kind).toBe('clears')
    expect(sweptBox(swing!, near).kind).toBe('touches')
  })
})
