import { describe, expect, it } from 'vitest'
import { barsRack, planOf, thing, vehicleWith } from '../../plan/plans.testing'
import { preorderMeasurementSchema, type PreorderMeasurement } from '../../plan/schema/preorder-measurement'
import type { Measurement } from '../../plan/schema/measurement'
import type { Plan } from '../../plan/schema/plan'
import { peopleWeights } from '../../facts/people-weights'
import { gates } from './gates'
import { run, sentences } from './findings.testing'

const SEAM: PreorderMeasurement = {
  id: 'seam',
  question: 'Gap at the seam',
  ask: { kind: 'length', fromMm: 5, toMm: 12, softToMm: 10, datum: 'edge to edge' },
}
const BEAD: PreorderMeasurement = {
  id: 'bead',
  question: 'Thickness of the bead',
  ask: { kind: 'length', fromMm: 0, toMm: 5, datum: 'floor to top' },
  implies: { gateId: 'seam', plusFromMm: 1.5, plusToMm: 24, why: 'the seam is wider than its bead' },
}
const KEY: PreorderMeasurement = {
  id: 'key',
  question: 'Hook',
  ask: { kind: 'gauge', gauge: 'a 5 mm drill', must: 'go' },
}
/** A helper who must be so heavy and may be no heavier: 150 to 210 lb, invented. */
const HELPER: PreorderMeasurement = {
  id: 'helper',
  question: 'Helper',
  ask: { kind: 'mass', fromKg: 68.04, toKg: 95.25 },
}

const of = (gateId: string) => ({ about: 'gate', owner: 'gear', ownerId: 'Ladder', gateId }) as const
const length = (gateId: string, ...readingsMm: number[]): Measurement => ({
  kind: 'length',
  id: gateId,
  of: of(gateId),
  datum: '',
  readingsMm,
})
const plan = (all: PreorderMeasurement[], measurements: Measurement[]): Plan => ({
  ...planOf(vehicleWith([]), [barsRack({})], [[thing('Ladder', 7, { gates: all })]]),
  measurements,
})
const severityOf = (gate: PreorderMeasurement, ...measurements: Measurement[]) =>
  run(gates, plan([gate], measurements))[0]?.severity

describe('gates', () => {
  it('not measured yet are to find out', () => {
    expect(sentences(gates, plan([SEAM], []))).toEqual([
      'Ladder, Gap at the seam: not measured yet. It asks for 5 mm to 12 mm, better up to 10 mm, edge to edge.',
    ])
  })
  it('hold within their bounds; between the ends of a printed range is Mind; nearer to an end than a tape reads is to be measured again', () => {
    expect(severityOf(SEAM, length('seam', 5))).toBe('findOut')
    expect(severityOf(SEAM, length('seam', 6.1))).toBe('clear')
    expect(severityOf(SEAM, length('seam', 10))).toBe('clear')
    expect(severityOf(SEAM, length('seam', 10.5))).toBe('mind')
    expect(severityOf(SEAM, length('seam', 12))).toBe('findOut')
    expect(severityOf(SEAM, length('seam', 12.1))).toBe('stop')
    expect(severityOf(SEAM, length('seam', 4.9))).toBe('stop')
  })
  it('may have one bound alone, and say it so (E6)', () => {
    const least: PreorderMeasurement = { ...SEAM, ask: { kind: 'length', fromMm: 5, datum: 'edge to edge' } }
    const most: PreorderMeasurement = { ...SEAM, ask: { kind: 'length', toMm: 12, datum: '' } }
    expect(sentences(gates, plan([least, { ...most, id: 'most' }], []))).toEqual([
      'Ladder, Gap at the seam: not measured yet. It asks for at least 5 mm, edge to edge.',
      'Ladder, Gap at the seam: not measured yet. It asks for at most 12 mm.',
    ])
    expect([4.9, 5, 6.1, 500].map((mm) => severityOf(least, length('seam', mm)))).toEqual([
      'stop',
      'findOut',
      'clear',
      'clear',
    ])
    expect([0, 10.9, 12, 12.1].map((mm) => severityOf(most, length('seam', mm)))).toEqual([
      'clear',
      'clear',
      'findOut',
      'stop',
    ])
    expect(
      preorderMeasurementSchema.safeParse({ ...SEAM, ask: { kind: 'length', datum: 'x' } }).error?.issues[0]
        ?.message,
    ).toContain('at least one bound')
  })
  it('go by the middle of several readings, and tell their scatter', () => {
    expect(severityOf(SEAM, length('seam', 7, 8, 7.5))).toBe('clear')
    // Readings 6 mm apart: their own scatter reaches past the bound.
    expect(severityOf(SEAM, length('seam', 7, 13, 7.5))).toBe('findOut')
    expect(sentences(gates, plan([SEAM], [length('seam', 7, 8, 7.5)]))[0]).toContain(
      '7.5 mm (mean of 3 readings, 1 mm apart)',
    )
  })
  it('with a gauge go or do not, with a helper so heavy and no heavier', () => {
    const key = (went: 'go' | 'noGo'): Measurement => ({ kind: 'gauge', id: 'k', of: of('key'), went })
    expect(severityOf(KEY, key('go'))).toBe('clear')
    expect(severityOf(KEY, key('noGo'))).toBe('stop')
    const helper = (kg: number): Measurement => ({
      kind: 'mass',
      id: 'h',
      of: of('helper'),
      mass: { kg, basis: 'weighed' },
    })
    expect([67, 82, 97].map((kg) => severityOf(HELPER, helper(kg)))).toEqual(['stop', 'clear', 'stop'])
    const told: Measurement = { kind: 'mass', id: 'h', of: of('helper'), mass: { kg: 90, basis: 'told' } }
    expect(severityOf(HELPER, told)).toBe('findOut')
    expect(severityOf(HELPER, helper(90))).toBe('clear')
  })
  it('that contradict each other are to be measured again', () => {
    const found = run(gates, plan([SEAM, BEAD], [length('seam', 5), length('bead', 4)]))
    expect(found.map(({ severity }) => severity)).toEqual(['findOut', 'clear', 'findOut'])
    expect(sentences(gates, plan([SEAM, BEAD], [length('seam', 5), length('bead', 4)]))[2]).toBe(
      'Ladder: Thickness of the bead 4 mm and 1.5 mm to 24 mm more (the seam is wider than its bead) are 5.5 mm to 28 mm; Gap at the seam reads 5 mm, 0.5 mm too little. Measure both again.',
    )
    const agreeing = plan([SEAM, BEAD], [length('seam', 7), length('bead', 3.5)])
    expect(run(gates, agreeing)[2]).toMatchObject({ severity: 'clear' })
    expect(sentences(gates, agreeing)[2]).toMatch(/are 5 mm to 27.5 mm; Gap at the seam reads 7 mm\.$/)
  })
})

describe('a ladder’s own length', () => {
  const hung = (ladder: { lengthMm?: number; topZMm?: number }, panelMm?: number): Plan => {
    const base = planOf(vehicleWith([]), [], [])
    return {
      ...base,
      vehicle: {
        ...base.vehicle,
        attachments: [
          {
            id: 'seam',
            kind: 'hatchSeam',
            name: 'Seam',
            xMm: 2400,
            ...(panelMm === undefined ? {} : { panelMm }),
            ratings: [],
          },
        ],
      },
      racks: [
        {
          id: 'ladder',
          kind: 'ladder',
          name: 'Ladder',
          attachmentId: 'seam',
          when: 'always',
          topZMm: 1700,
          bottomZMm: 600,
          xMm: 2450,
          yMm: 0,
          widthMm: 300,
          parts: [
            {
              id: 'kit',
              role: 'fitKit',
              name: 'Kit',
              count: 1,
              eachKg: 6,
              rated: { by: 'own', ratings: [] },
            },
          ],
          ...ladder,
        },
      ],
    }
  }
  const said = (plan: Plan) =>
    run(gates, plan).map(({ severity, margin }) => [
      severity,
      margin && 'value' in margin ? margin.value : undefined,
    ])

  it('asks nothing where nobody knows it', () => {
    expect(run(gates, hung({}, 900))).toEqual([])
  })
  it('is held against the height that it spans: no ladder spans more than it is long', () => {
    expect(said(hung({ lengthMm: 1150 }))).toEqual([['clear', 50]])
    expect(said(hung({ lengthMm: 1060 }))).toEqual([['findOut', -40]])
    expect(run(gates, hung({ lengthMm: 1060 }))[0]?.ask?.target).toEqual({
      open: 'rack',
      rackId: 'ladder',
      at: 'lengthMm',
    })
  })
  it('is held against the panel that it hangs down: past its edge is Mind', () => {
    expect(said(hung({ lengthMm: 1150 }, 1200))).toEqual([
      ['clear', 50],
      ['clear', 50],
    ])
    expect(said(hung({ lengthMm: 1150 }, 1000))).toEqual([
      ['clear', 50],
      ['mind', -150],
    ])
    expect(sentences(gates, hung({ lengthMm: 1150 }, 1000))[1]).toContain('past the panel’s lower edge')
  })
})

describe('whose weight may answer a gate', () => {
  it('is anybody’s of the job whose weight is known, with how it is known', () => {
    const base = planOf(vehicleWith([]), [barsRack({})], [[thing('Tent', 40, { kind: 'tent' })]])
    const people: Plan = {
      ...base,
      use: {
        ...base.use,
        occupants: [
          { id: 'a', name: 'Driver', mass: { kg: 82, basis: 'weighed' } },
          { id: 'b', name: 'Passenger', mass: { kg: 0, basis: 'unknown' } },
        ],
      },
      placements: base.placements.map((placement) => ({
        ...placement,
        loads: [
          {
            id: 's',
            name: 'Sleeper',
            when: 'parked',
            what: { kind: 'people', count: 2, each: { kg: 70, basis: 'told' } },
          },
        ],
      })),
    }
    expect(peopleWeights(people)).toEqual([
      { name: 'Driver', mass: { kg: 82, basis: 'weighed' } },
      { name: 'Sleeper', mass: { kg: 70, basis: 'told' } },
    ])
  })
})
