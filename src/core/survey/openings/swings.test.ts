import { describe, expect, it } from 'vitest'
import { boatAndBox, DEMO_PLANS } from '@/demo/plans'
import { slideBox, sweptBox, swingsOf, tiltOf, type Hatch, type Sunroof } from './swings'

const obstacles = DEMO_PLANS.flatMap(({ vehicle: { obstacles: all } }) => all)
const hatch = obstacles.find((each): each is Hatch => each.kind === 'hatch')!
const pane: Sunroof = {
  ...obstacles.find((each): each is Sunroof => each.kind === 'sunroof')!,
  moves: 'tiltsAndSlides',
  openingMm: { fromMm: 1500, toMm: 1900 },
  tiltRiseMm: 40,
  slidesOutside: { travelMm: 350, riseMm: 45 },
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
    const far = { x0: 0, x1: 100, y0: -100, y1: 100, z0: 3000, z1: 3100 }
    const first = sweptBox(swing!, far)
    expect(sweptBox(swing!, far)).toBe(first)
    const { xMm, zMm } = hatch.panel.at(-1)!
    const near = { ...far, x0: xMm, x1: xMm + 300, z0: zMm + 100, z1: zMm + 400 }
    expect(first.kind).toBe('clears')
    expect(sweptBox(swing!, near).kind).toBe('touches')
  })
})
