import fc from 'fast-check'
import { Matrix, solve } from 'ml-matrix'
import { describe, expect, it } from 'vitest'
import { beamOf, beamReactions, spreadLoad, type BeamLoad } from './beam'
import { rectangle } from '../survey/statics/section'
import { runs } from '@/core/runs.testing'

const point = (atMm: number, load: number): BeamLoad => ({ kind: 'point', atMm, load })
const even = (fromMm: number, toMm: number, perMm: number): BeamLoad => ({
  kind: 'line',
  fromMm,
  toMm,
  fromPerMm: perMm,
  toPerMm: perMm,
})
const span = (from: number, to: number) => ({ fromMm: from, toMm: to })

/** The check list's bar: hollow rectangle 60 × 25 × 2 mm of aluminium, E = 69 GPa. N·mm² per kg of load. */
const { iMm4, wMm3 } = rectangle(60, 25, 2)
const EI = (iMm4 * 69_000) / 9.80665

describe('rows of the check list: a bar on feet', () => {
  it('18 kg at y = 620 on feet at ±500: −2.16 and 20.16 kg (handbook, lever rule)', () => {
    const [left, right] = beamReactions([-500, 500], [point(620, 18)])
    expect(left).toBeCloseTo(-2.16, 9)
    expect(right).toBeCloseTo(20.16, 9)
  })

  it('two equal spans, load in the middle of one: 13/32, 22/32, −3/32 (handbook: AISC Manual, Roark; from memory)', () => {
    const reactions = beamReactions([0, 700, 1400], [point(350, 1)])
    ;[0.40625, 0.6875, -0.09375].forEach((each, i) => expect(reactions[i]).toBeCloseTo(each, 12))
  })

  it('two equal spans, uniform load: 3/8, 10/8, 3/8 of wL (handbook, from memory)', () => {
    const reactions = beamReactions([0, 800, 1600], [even(0, 1600, 1 / 800)])
    ;[0.375, 1.25, 0.375].forEach((each, i) => expect(reactions[i]).toBeCloseTo(each, 12))
  })

  it('50 kg in the middle of feet 1000 mm apart: 4.241 mm, 122.58 N·m, 43.90 MPa (handbook: Roark Table 8.1, Gere; from memory)', () => {
    const beam = beamOf([-500, 500], [point(0, 50)], span(-600, 600))
    expect(beam.deflectionAt(0) / EI).toBeCloseTo(4.241, 3)
    expect((beam.largestMoment.value * 9.80665) / 1000).toBeCloseTo(122.58, 2)
    expect((beam.largestMoment.value * 9.80665) / wMm3).toBeCloseTo(43.9, 2)
    expect(beam.lowest().atMm).toBeCloseTo(0, 3)
  })

  it('50 kg at the tip of a 200 mm overhang: tip comes down 3.257 mm (handbook, from memory)', () => {
    const beam = beamOf([0, 1000], [point(1200, 50)], span(0, 1200))
    expect(beam.deflectionAt(1200) / EI).toBeCloseTo(3.257, 3)
    expect(beam.momentAt(1000)).toBeCloseTo(-10_000, 6)
  })
})

/** Closed formulas: Roark's Formulas, Table 8.1, and Gere, Mechanics of Materials; from memory. Stiffness 1, lengths in mm. */
describe('standard cases', () => {
  const L = 1000

  it('load off the middle: Pab/L under it, Pa²b²/3L down', () => {
    const beam = beamOf([0, L], [point(300, 10)], span(0, L))
    expect(beam.momentAt(300)).toBeCloseTo(2100, 6)
    expect(beam.deflectionAt(300)).toBeCloseTo(147_000_000, -1)
  })

  it('uniform load: wL²/8 and 5wL⁴/384', () => {
    const beam = beamOf([0, L], [even(0, L, 0.01)], span(0, L))
    expect(beam.largestMoment.value).toBeCloseTo(1250, 6)
    expect(beam.largestMoment.atMm).toBeCloseTo(500, 6)
    expect(beam.deflectionAt(500)).toBeCloseTo(130_208_333.33, 0)
    expect(beam.lowest().value).toBeCloseTo(130_208_333.33, 0)
  })

  it('comes down most in the middle of an even load that runs past both feet, level just there', () => {
    const beam = beamOf([-600, 600], [even(-660, 660, 0.01), even(-550, 550, 0.02)], span(-660, 660))
    expect(beam.lowest().atMm).toBeCloseTo(0, 3)
    expect(beam.lowest().value).toBeCloseTo(beam.deflectionAt(0), 3)
  })

  it('triangular load: wL/6 and wL/3, wL²/(9√3) at L/√3', () => {
    const load: BeamLoad = { kind: 'line', fromMm: 0, toMm: L, fromPerMm: 0, toPerMm: 0.03 }
    const beam = beamOf([0, L], [load], span(0, L))
    expect(beam.reactions[0]).toBeCloseTo(5, 9)
    expect(beam.reactions[1]).toBeCloseTo(10, 9)
    expect(beam.largestMoment.value).toBeCloseTo(1924.5009, 3)
    expect(beam.largestMoment.atMm).toBeCloseTo(577.3503, 3)
  })

  it('uniform load on both overhangs: wa²/2 over each foot, and the middle rises by wa²L²/16', () => {
    const beam = beamOf([0, L], [even(-200, 0, 0.01), even(L, L + 200, 0.01)], span(-200, L + 200))
    expect(beam.momentAt(0)).toBeCloseTo(-200, 6)
    expect(beam.momentAt(500)).toBeCloseTo(-200, 6)
    expect(beam.deflectionAt(500)).toBeCloseTo(-25_000_000, 0)
  })

  it('three equal spans, uniform load: 0.4, 1.1, 1.1, 0.4 of wL and −wL²/10 over the inner feet', () => {
    const beam = beamOf([0, L, 2 * L, 3 * L], [even(0, 3 * L, 0.001)], span(0, 3 * L))
    ;[0.4, 1.1, 1.1, 0.4].forEach((each, i) => expect(beam.reactions[i]).toBeCloseTo(each, 12))
    expect(beam.momentAt(L)).toBeCloseTo(-100, 6)
  })

  it('two equal spans, uniform load: −wL²/8 over the middle, and nothing comes down over a foot', () => {
    const beam = beamOf([0, L, 2 * L], [even(0, 2 * L, 0.01)], span(0, 2 * L))
    expect(beam.momentAt(L)).toBeCloseTo(-1250, 6)
    for (const foot of [0, L, 2 * L]) expect(Math.abs(beam.deflectionAt(foot))).toBeLessThan(1)
  })

  it('a load spread over a base keeps its resultant', () => {
    const load = spreadLoad(100, 500, 8, 340)
    const [left, right] = beamReactions([0, L], [load])
    expect(left).toBeCloseTo(8 * 0.66, 9)
    expect(right).toBeCloseTo(8 * 0.34, 9)
    expect(spreadLoad(300, 300, 8, 300)).toEqual({ kind: 'point', atMm: 300, load: 8 })
  })
})

/**
 * The same beam by a dense stiffness matrix with a node wherever anything stands, begins or ends, solved by a general
 * matrix library. Line loads by their tabled end forces. Turns are scaled by a length, so that entries are alike.
 */
function denseReactions(supports: readonly number[], loads: readonly BeamLoad[]): number[] {
  const nodes = [
    ...new Set([
      ...supports,
      ...loads.flatMap((load) => (load.kind === 'point' ? [load.atMm] : [load.fromMm, load.toMm])),
    ]),
  ].sort((a, b) => a - b)
  const SCALE = 1000
  const n = nodes.length * 2
  const stiffness = Matrix.zeros(n, n)
  const force = Matrix.zeros(n, 1)
  const add = (i: number, value: number) => {
    force.set(i, 0, force.get(i, 0) + value)
  }
  for (let e = 0; e + 1 < nodes.length; e++) {
    const [a, b] = [nodes[e]! / SCALE, nodes[e + 1]! / SCALE]
    const l = b - a
    const k = [
      [12, 6 * l, -12, 6 * l],
      [6 * l, 4 * l * l, -6 * l, 2 * l * l],
      [-12, -6 * l, 12, -6 * l],
      [6 * l, 2 * l * l, -6 * l, 4 * l * l],
    ]
    for (let i = 0; i < 4; i++)
      for (let j = 0; j < 4; j++)
        stiffness.set(e * 2 + i, e * 2 + j, stiffness.get(e * 2 + i, e * 2 + j) + k[i]![j]! / l ** 3)
    for (const load of loads) {
      if (load.kind === 'point' || load.fromMm >= nodes[e + 1]! || load.toMm <= nodes[e]!) continue
      const at = (x: number) =>
        (load.fromPerMm + ((load.toPerMm - load.fromPerMm) * (x - load.fromMm)) / (load.toMm - load.fromMm)) *
        SCALE
      const [q1, q2] = [at(nodes[e]!), at(nodes[e + 1]!)]
      add(e * 2, (-l * (7 * q1 + 3 * q2)) / 20)
      add(e * 2 + 1, -l * l * (q1 / 20 + q2 / 30))
      add(e * 2 + 2, (-l * (3 * q1 + 7 * q2)) / 20)
      add(e * 2 + 3, l * l * (q1 / 30 + q2 / 20))
    }
  }
  for (const load of loads) if (load.kind === 'point') add(nodes.indexOf(load.atMm) * 2, -load.load)
  const held = new Set(supports.map((x) => nodes.indexOf(x) * 2))
  const free = Array.from({ length: n }, (_, i) => i).filter((i) => !held.has(i))
  const moved = solve(stiffness.selection(free, free), force.selection(free, [0]))
  return supports.map((x) => {
    const row = nodes.indexOf(x) * 2
    return free.reduce((sum, i, j) => sum + stiffness.get(row, i) * moved.get(j, 0), -force.get(row, 0))
  })
}

/**
 * Once more by a dense matrix, with another formulation that no load's nearness can spoil: the reactions and the
 * straight line under the bending curve are the unknowns, no deflection over a foot and equilibrium the equations.
 */
function denseByDeflection(supports: readonly number[], loads: readonly BeamLoad[]): number[] {
  const SCALE = 1000
  const xs = supports.map((x) => x / SCALE)
  const n = xs.length
  const system = Matrix.zeros(n + 2, n + 2)
  const right = Matrix.zeros(n + 2, 1)
  const cube = (t: number) => (t > 0 ? t ** 3 / 6 : 0)
  xs.forEach((x, i) => {
    xs.forEach((at, j) => system.set(i, j, cube(x - at)))
    system.set(i, n, 1)
    system.set(i, n + 1, x)
    system.set(n, i, 1)
    system.set(n + 1, i, x)
    const bent = loads.reduce((sum, load) => {
      if (load.kind === 'point') return sum + load.load * cube(x - load.atMm / SCALE)
      const [from, to] = [load.fromMm / SCALE, load.toMm / SCALE]
      const [a, b] = [load.fromPerMm * SCALE, load.toPerMm * SCALE]
      const slope = (b - a) / (to - from)
      const part = (t: number, q: number) => (t > 0 ? (q * t ** 4) / 24 + (slope * t ** 5) / 120 : 0)
      return sum + part(x - from, a) - part(x - to, b)
    }, 0)
    right.set(i, 0, bent)
  })
  right.set(n, 0, totalOf(loads))
  right.set(n + 1, 0, momentOf(loads) / SCALE)
  const found = solve(system, right)
  return supports.map((_, i) => found.get(i, 0))
}

/** Places a whole number of millimetres apart, so that no two are nearer than that. */
const randomBeamOn = (step: number) =>
  fc
    .record({
      supports: fc.uniqueArray(fc.integer({ min: -Math.floor(900 / step), max: Math.floor(900 / step) }), {
        minLength: 2,
        maxLength: 6,
      }),
      points: fc.array(
        fc.record({
          at: fc.integer({ min: -Math.floor(1200 / step), max: Math.floor(1200 / step) }),
          load: fc.double({ min: 0.1, max: 90, noNaN: true }),
        }),
        { maxLength: 6 },
      ),
      lines: fc.array(
        fc.record({
          from: fc.integer({ min: -Math.floor(1200 / step), max: Math.floor(1100 / step) }),
          length: fc.integer({ min: Math.ceil(100 / step), max: Math.floor(900 / step) }),
          a: fc.double({ min: 0.001, max: 0.2, noNaN: true }),
          b: fc.double({ min: 0.001, max: 0.2, noNaN: true }),
        }),
        { minLength: 1, maxLength: 3 },
      ),
    })
    .map(({ supports, points, lines }) => ({
      supports: supports.map((x) => x * step).toSorted((a, b) => a - b),
      loads: [
        ...points.map(({ at, load }) => point(at * step, load)),
        ...lines.map(({ from, length, a, b }): BeamLoad => ({
          kind: 'line',
          fromMm: from * step,
          toMm: (from + length) * step,
          fromPerMm: a,
          toPerMm: b,
        })),
      ],
    }))

const totalOf = (loads: readonly BeamLoad[]) =>
  loads.reduce(
    (sum, load) =>
      sum +
      (load.kind === 'point' ? load.load : ((load.fromPerMm + load.toPerMm) / 2) * (load.toMm - load.fromMm)),
    0,
  )

const momentOf = (loads: readonly BeamLoad[]) =>
  loads.reduce((sum, load) => {
    if (load.kind === 'point') return sum + load.load * load.atMm
    const { fromMm, toMm, fromPerMm: a, toPerMm: b } = load
    const l = toMm - fromMm
    return sum + ((a + b) / 2) * l * fromMm + (l * l * (a + 2 * b)) / 6
  }, 0)

const randomBeam = randomBeamOn(1)

describe('any beam', () => {
  const agrees = (dense: typeof denseReactions) => (beam: { supports: number[]; loads: BeamLoad[] }) => {
    const ours = beamReactions(beam.supports, beam.loads)
    const theirs = dense(beam.supports, beam.loads)
    // With feet a few millimetres apart reactions are themselves many times the load: the larger of both is the measure.
    const scale = Math.max(totalOf(beam.loads), ...theirs.map(Math.abs), 1e-9)
    ours.forEach((each, i) => expect(Math.abs(each - theirs[i]!)).toBeLessThanOrEqual(1e-9 * scale))
  }

  it('equals a dense stiffness solve by a matrix library to 1e-9 of the load: 2 000 random beams, places 20 mm apart', () => {
    // Nearer than that the dense stiffness itself loses digits, eight are left at 1 mm: 12EI/l³ of its shortest piece drowns the longest.
    fc.assert(fc.property(randomBeamOn(20), agrees(denseReactions)), { numRuns: runs(2000) })
  })

  it('equals a dense solve for reactions and deflection to 1e-9 of the load: 2 000 random beams, loads 1 mm apart', () => {
    fc.assert(
      fc.property(
        randomBeam.filter(({ supports }) => supports.every((x, i) => i === 0 || x - supports[i - 1]! >= 20)),
        agrees(denseByDeflection),
      ),
      { numRuns: runs(2000) },
    )
  })

  it('is in equilibrium, forces and moments, to 1e-9', () => {
    fc.assert(
      fc.property(randomBeam, ({ supports, loads }) => {
        const reactions = beamReactions(supports, loads)
        const scale = Math.max(totalOf(loads), ...reactions.map(Math.abs), 1e-9)
        const sum = reactions.reduce((total, each) => total + each, 0)
        const moment = reactions.reduce((total, each, i) => total + each * supports[i]!, 0)
        expect(Math.abs(sum - totalOf(loads))).toBeLessThanOrEqual(1e-9 * scale)
        expect(Math.abs(moment - momentOf(loads))).toBeLessThanOrEqual(1e-9 * scale * 1200)
      }),
      { numRuns: runs(2000) },
    )
  })

  it('comes down nowhere over its feet, and ends with no shear and no moment', () => {
    fc.assert(
      fc.property(randomBeam, ({ supports, loads }) => {
        const beam = beamOf(supports, loads, span(-1200, 1200))
        const scale = Math.max(totalOf(loads), ...beam.reactions.map(Math.abs))
        for (const foot of supports)
          expect(Math.abs(beam.deflectionAt(foot))).toBeLessThanOrEqual(1e-9 * scale * 1000 ** 3)
        expect(Math.abs(beam.momentAt(beam.toMm))).toBeLessThanOrEqual(1e-8 * scale * 1200)
      }),
      { numRuns: runs(500) },
    )
  })

  it('mirrors, adds up and scales', () => {
    fc.assert(
      fc.property(randomBeam, randomBeam, fc.double({ min: 0.1, max: 10, noNaN: true }), (one, other, by) => {
        const { supports } = one
        const flip = (load: BeamLoad): BeamLoad =>
          load.kind === 'point'
            ? { ...load, atMm: -load.atMm }
            : {
                kind: 'line',
                fromMm: -load.toMm,
                toMm: -load.fromMm,
                fromPerMm: load.toPerMm,
                toPerMm: load.fromPerMm,
              }
        const scaleBy = (load: BeamLoad): BeamLoad =>
          load.kind === 'point'
            ? { ...load, load: load.load * by }
            : { ...load, fromPerMm: load.fromPerMm * by, toPerMm: load.toPerMm * by }
        const a = beamReactions(supports, one.loads)
        const b = beamReactions(supports, other.loads)
        const both = beamReactions(supports, [...one.loads, ...other.loads.map(scaleBy)])
        const mirrored = beamReactions(supports.map((x) => -x).toReversed(), one.loads.map(flip)).toReversed()
        const scale = Math.max(...a.map(Math.abs), ...b.map((each) => Math.abs(each) * by), 1)
        a.forEach((each, i) => {
          expect(Math.abs(mirrored[i]! - each)).toBeLessThanOrEqual(1e-9 * scale)
          expect(Math.abs(both[i]! - each - b[i]! * by)).toBeLessThanOrEqual(1e-8 * scale)
        })
      }),
      { numRuns: runs(500) },
    )
  })
})
