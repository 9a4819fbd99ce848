import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { pointToSegment, sides, type Point2 } from './plane'
import { panelAt, rectangleCorners, shiftToClear, sweepAgainst, type Swing } from './sweep'
import { atLeast, runs } from '@/core/runs.testing'

const down = (deg: number, length: number, [x, z]: Point2): Point2 => [
  x + length * Math.cos((deg * Math.PI) / 180),
  z - length * Math.sin((deg * Math.PI) / 180),
]
const HINGE: Point2 = [2600, 1640]
/** Handbook (rotation): a straight panel of 1100 mm hanging 65° below horizontal, opening 85°. */
const HATCH: Swing = { hinge: HINGE, panel: [HINGE, down(65, 1100, HINGE)], opensDeg: 85, direction: 'up' }

describe('a hatch that turns about its hinge', () => {
  it('has its tip where the handbook puts it', () => {
    const tip = (deg: number) => panelAt(HATCH, deg)[1]!
    expect(tip(0)[0]).toBeCloseTo(3064.9, 1)
    expect(tip(0)[1]).toBeCloseTo(643.1, 1)
    expect(tip(60)[0]).toBeCloseTo(3695.8, 1)
    expect(tip(60)[1]).toBeCloseTo(1544.1, 1)
    expect(tip(85)[0]).toBeCloseTo(3633.7, 1)
    expect(tip(85)[1]).toBeCloseTo(2016.2, 1)
  })

  it('touches a box whose lower rear corner is at 3000, 1780 after 84.29°', () => {
    const swept = sweepAgainst(HATCH, [1200, 1780, 3000, 2100])
    expect(swept).toMatchObject({ kind: 'touches' })
    if (swept.kind === 'touches') {
      expect(swept.atDeg).toBeCloseTo(84.29, 2)
      expect(swept.point[0]).toBeCloseTo(3000, 6)
      expect(swept.point[1]).toBeCloseTo(1780, 6)
    }
  })

  it('says how far forward the box must go for a gap, and not a hair further', () => {
    const box = [1200, 1780, 3000, 2100] as const
    const by = shiftToClear(HATCH, box, 25)!
    const at = (shift: number) => sweepAgainst(HATCH, [box[0] - shift, box[1], box[2] - shift, box[3]])
    expect(at(by)).toMatchObject({ kind: 'clears' })
    const swept = at(by)
    if (swept.kind === 'clears') expect(swept.gapMm).toBeCloseTo(25, 1)
    const less = at(by - 0.5)
    expect(less.kind === 'clears' ? less.gapMm : 0).toBeLessThan(25)
  })

  it('turns a tailgate the other way', () => {
    const gate: Swing = {
      hinge: [3000, 700],
      panel: [
        [3000, 700],
        [3000, 1150],
      ],
      opensDeg: 90,
      direction: 'down',
    }
    expect(panelAt(gate, 90)[1]![0]).toBeCloseTo(3450, 6)
    expect(panelAt(gate, 90)[1]![1]).toBeCloseTo(700, 6)
    expect(sweepAgainst(gate, [3300, 900, 3600, 1000])).toMatchObject({ kind: 'touches' })
    expect(sweepAgainst(gate, [2000, 700, 2900, 1000])).toMatchObject({ kind: 'clears', gapMm: 100 })
  })
})

const tenths = (min: number, max: number) => fc.integer({ min: min * 10, max: max * 10 }).map((n) => n / 10)

/** Any bent panel about a hinge, and any box. */
const problems = fc
  .record({
    links: fc.array(fc.record({ length: tenths(60, 600), bend: tenths(-60, 60) }), {
      minLength: 1,
      maxLength: 4,
    }),
    hang: tenths(20, 88),
    opensDeg: tenths(20, 130),
    x0: tenths(-1200, 1500),
    z0: tenths(-400, 900),
    width: tenths(30, 2000),
    height: tenths(30, 600),
    way: fc.constantFrom('up' as const, 'down' as const),
  })
  .map(({ links, hang, opensDeg, x0, z0, width, height, way: direction }) => {
    const panel: Point2[] = [[0, 0]]
    let angle = hang
    for (const { length, bend } of links) {
      panel.push(down(angle, length, panel.at(-1)!))
      angle += bend
    }
    const swing: Swing = { hinge: [0, 0], panel, opensDeg, direction }
    return { swing, box: [x0, z0, x0 + width, z0 + height] as const }
  })

/** The same by turning the panel in small steps: the first step that meets the box, and the least gap before. */
function bySteps(swing: Swing, box: readonly [number, number, number, number], stepDeg: number) {
  const corners = rectangleCorners(...box)
  const boxSides = sides(corners, true)
  let gap = Infinity
  const steps = Math.ceil(swing.opensDeg / stepDeg)
  const reach = Math.max(...swing.panel.map(([x, z]) => Math.hypot(x, z)))
  const mmAStep = (reach * stepDeg * Math.PI) / 180
  for (let i = 0; i <= steps;) {
    const deg = Math.min(i * stepDeg, swing.opensDeg)
    const panel = panelAt(swing, deg)
    const within = panel.some(([x, z]) => x >= box[0] && x <= box[2] && z >= box[1] && z <= box[3])
    const panelSides = sides(panel, false)
    const meets =
      within ||
      panelSides.some(({ from, to }) => {
        // Liang and Barsky's clipping: whether any part of the segment lies in the box.
        let [t0, t1] = [0, 1]
        const [dx, dz] = [to[0] - from[0], to[1] - from[1]]
        for (const [p, q] of [
          [-dx, from[0] - box[0]],
          [dx, box[2] - from[0]],
          [-dz, from[1] - box[1]],
          [dz, box[3] - from[1]],
        ] as const) {
          if (p === 0) {
            if (q < 0) return false
          } else if (p < 0) t0 = Math.max(t0, q / p)
          else t1 = Math.min(t1, q / p)
        }
        return t0 <= t1
      })
    if (meets) return { atDeg: deg, gap: 0 }
    let here = Infinity
    for (const side of boxSides) for (const point of panel) here = Math.min(here, pointToSegment(point, side))
    for (const side of panelSides)
      for (const point of corners) here = Math.min(here, pointToSegment(point, side))
    // No point moves further in a step than the panel reaches: steps that can neither touch nor lower the least
    // gap by half a millimetre are passed over.
    i += Math.max(1, Math.floor(Math.min(here * 0.9, here - Math.min(gap, here) + 0.5) / mmAStep))
    gap = Math.min(gap, here)
  }
  return { atDeg: undefined, gap }
}

describe('against turning it in steps of 0.01°', () => {
  it('agrees on the first touch to 0.1° and on the least gap to 1 mm, on 1000 random panels and boxes', () => {
    let [touched, cleared] = [0, 0]
    fc.assert(
      fc.property(problems, ({ swing, box }) => {
        const exact = sweepAgainst(swing, box)
        const steps = bySteps(swing, box, 0.01)
        if (exact.kind === 'touches') {
          touched += 1
          // A touch that ends within one step of where it began may fall between two steps: then the gap is tiny.
          if (steps.atDeg === undefined) expect(steps.gap).toBeLessThan(0.3)
          else expect(Math.abs(exact.atDeg - steps.atDeg)).toBeLessThanOrEqual(0.1)
        } else {
          cleared += 1
          expect(steps.atDeg).toBeUndefined()
          expect(Math.abs(exact.gapMm - steps.gap)).toBeLessThanOrEqual(1)
          const { panel, box: on, atDeg } = exact.nearest
          expect(Math.hypot(panel[0] - on[0], panel[1] - on[1])).toBeCloseTo(exact.gapMm, 6)
          const there = sides(panelAt(swing, atDeg), false).map((side) => pointToSegment(panel, side))
          expect(Math.min(...there)).toBeLessThan(1e-6)
        }
      }),
      { numRuns: runs(1000) },
    )
    expect(Math.min(touched, cleared)).toBeGreaterThan(atLeast(100, 1000))
  })

  it('never hits after moving away: what stands before the hinge and clears, clears further forward', () => {
    fc.assert(
      fc.property(problems, tenths(0, 800), ({ swing, box }, by) => {
        const up: Swing = { ...swing, direction: 'up', opensDeg: Math.min(swing.opensDeg, 90) }
        const [x0, z0, x1, z1] = [Math.min(box[0], -50), Math.abs(box[1]), box[2], Math.abs(box[1]) + 200]
        if (sweepAgainst(up, [x0, z0, x1, z1]).kind === 'touches') return
        expect(sweepAgainst(up, [x0 - by, z0, x1 - by, z1]).kind).toBe('clears')
      }),
      { numRuns: runs(2000) },
    )
  })
})
