import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { runs } from '@/core/runs.testing'
import type { Fastener } from '../../plan/schema/fastening'
import { USUAL_BAY } from '../../plan/schema/house'
import { formatQuantity } from '../../units/format'
import { unitOf } from '../../units/dimension'
import { phraseText } from '../../units/phrase'
import { aimNm, jointOf, signWords, torqueOf, type JointOwner } from './joint'
import { diagonalOrder, passList, type Spot } from './passes'
import { jointFinding } from './joint-finding'
import { judgeReading, OVER_TORQUE, rangeOf, readingFinding } from './reading'
import { tableTorqueNm, threadSizeMm } from './table-torque'

const owner: JointOwner = { of: 'part', rackId: 'r', partId: 'feet', name: 'Feet' }
const joint = (fastener: Partial<Fastener>, rules = USUAL_BAY) =>
  jointOf(owner, 0, { thread: 'M8', count: 4, ...fastener }, rules)

describe('the table’s torque', () => {
  // Handbook: T = K·d·F, K 0.2, F 75 % of proof (Shigley); stress areas and proof ISO 898-1, ISO 3506-1. All from memory.
  it.each([
    ['M6', '8.8', 10.5],
    ['M8', '8.8', 25.5],
    ['M10', '8.8', 50.5],
    ['M8', 'A2-70', 19.8],
    ['M8', '10.9', 36.5],
  ] as const)('%s %s dry: %f N·m', (thread, grade, nm) => {
    expect(tableTorqueNm(thread, grade, 'dry')).toBeCloseTo(nm, 0.9)
    expect(Math.abs((tableTorqueNm(thread, grade, 'dry') ?? 0) - nm)).toBeLessThan(0.06)
  })

  it('is less with oil or anti-seize for the same clamp, by K alone (handbook: K 0.12 to 0.16, from memory)', () => {
    const [dry, oiled, paste] = (['dry', 'oiled', 'antiSeize'] as const).map(
      (each) => tableTorqueNm('M8', '8.8', each) ?? 0,
    )
    expect(oiled! / dry!).toBeCloseTo(0.8)
    expect(paste! / dry!).toBeCloseTo(0.65)
  })

  it('has nothing for threads it does not know', () => {
    expect(tableTorqueNm('1/4-20', '8.8', 'dry')).toBeUndefined()
    expect(tableTorqueNm('M7', '8.8', 'dry')).toBeUndefined()
    expect(threadSizeMm('m8 × 20')).toBe(8)
  })
})

describe('units of torque', () => {
  it('18 N·m is 13.276 lbf·ft (NIST SP 811, from memory)', () => {
    expect(18 / unitOf('torque', 'lbf·ft').factor).toBeCloseTo(13.276, 3)
    expect(18 / unitOf('torque', 'lbf·in').factor).toBeCloseTo(159.31, 2)
    expect(formatQuantity('torque', 18, { show: 'us', denominator: 16 })).toContain('lbf·ft')
  })
})

describe('what a joint wants', () => {
  it('is the sheet’s range with its source', () => {
    const torque = torqueOf(
      { thread: 'M6', count: 4, torqueNm: { from: 5, to: 7 }, torqueFrom: { kind: 'sheet', page: '4' } },
      USUAL_BAY,
    )
    expect(torque).toEqual({ kind: 'sheet', fromNm: 5, toNm: 7, source: "maker's sheet, page 4" })
    expect(aimNm(torque)).toBe(6)
  })

  it('is never a figure carried over from another rack', () => {
    const carried = joint({
      torqueNm: { from: 6, to: 6 },
      torqueFrom: { kind: 'otherRack', rack: 'the last one' },
    })
    expect(carried.torque).toEqual({ kind: 'refused', rack: 'the last one' })
    expect(aimNm(carried.torque)).toBeUndefined()
    expect(jointFinding(carried)?.severity).toBe('findOut')
    expect(phraseText(jointFinding(carried)?.sentence ?? [])).toMatch(
      /: 6 N·m is carried over from the last one and is not used\. .*Find the figure of this part\.$/,
    )
  })

  it('is advice reduced to the limit of the part, whatever bolt, grade and condition', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('M5', 'M6', 'M8', 'M10'),
        fc.constantFrom('8.8', '10.9', 'A2-70', 'A4-80', undefined),
        fc.constantFrom('dry', 'oiled', 'antiSeize'),
        fc.double({ min: 1, max: 60, noNaN: true }),
        (thread, grade, condition, atMostNm) => {
          const torque = torqueOf(
            { thread, count: 1, condition, atMostNm, ...(grade ? { grade } : {}) },
            USUAL_BAY,
          )
          if (torque.kind !== 'advice') throw new Error('no advice')
          expect(torque.nm).toBeLessThanOrEqual(atMostNm)
          expect(torque.nm).toBeLessThanOrEqual(tableTorqueNm(thread, torque.grade, condition) ?? 0)
          expect(torque.gradeStated).toBe(grade !== undefined)
        },
      ),
    )
  })

  it('takes an unmarked bolt for the weakest grade', () => {
    expect(joint({}).torque).toMatchObject({ grade: 'A2-70', gradeStated: false })
  })

  it('by feel has no figure, and an unknown thread is a thing to find out', () => {
    expect(joint({}, { ...USUAL_BAY, tightening: 'feel' }).torque).toEqual({
      kind: 'feel',
      atMostNm: undefined,
    })
    expect(jointFinding(joint({ thread: '5/16-18' }))?.severity).toBe('findOut')
  })

  it('a habit of 28 lbf·ft on M8 is above the table for 8.8, 10.9 and A2-70: Mind (practice against handbook)', () => {
    const told = { torqueNm: { from: 37.963, to: 37.963 }, torqueFrom: { kind: 'told' } } as const
    for (const grade of ['8.8', '10.9', 'A2-70'] as const)
      expect(jointFinding(joint({ ...told, grade }))?.severity).toBe('mind')
    expect(28 * unitOf('torque', 'lbf·ft').factor).toBeCloseTo(38, 1)
  })
})

describe('security and washers', () => {
  it('follow the sheet before the house', () => {
    expect(joint({ security: 'threadlocker' }).security).toContain('as the sheet asks')
    expect(joint({ security: 'threadlocker' }).washers).toBe('no washers')
    expect(joint({}).washers).toBe('lock washer, flat washer, from the head down (house rule)')
    expect(joint({}, { ...USUAL_BAY, security: 'threadlocker' }).washers).toBe('no washers')
    expect(joint({}, { ...USUAL_BAY, security: 'both' })).toMatchObject({
      washers: 'lock washer, flat washer, from the head down (house rule)',
      security: 'medium threadlocker (house rule)',
    })
  })

  it('give stainless its anti-seize unless threadlocker is used, and hand tools only', () => {
    expect(joint({ grade: 'A2-70' }).security).toContain('anti-seize')
    expect(joint({ grade: 'A2-70' }, { ...USUAL_BAY, security: 'threadlocker' }).security).not.toContain(
      'anti-seize',
    )
    expect(joint({ grade: 'A2-70' }).handOnly).toBe(true)
    expect(joint({ grade: '8.8' }).handOnly).toBe(false)
  })
})

describe('signs of done', () => {
  it.each([
    [{ kind: 'clicks', count: 3 }, '3 clicks'],
    [{ kind: 'handle' }, 'the handle has straightened'],
    [{ kind: 'notch' }, 'the notch is in line'],
    [{ kind: 'washerClosed', moreTurns: 0.25 }, 'the washer is closed and a quarter turn more'],
    [{ kind: 'threads', showing: 2 }, '2 threads show'],
    [{ kind: 'reading' }, 'the wrench reads the figure'],
  ] as const)('%o', (sign, words) => {
    expect(signWords(sign)).toBe(words)
  })
})

const spot = (name: string, side: Spot['side'], row: number): Spot => ({ name, side, row })
const four = [
  spot('LHF', 'left', 0),
  spot('RHF', 'right', 0),
  spot('LHR', 'left', 1),
  spot('RHR', 'right', 1),
]

describe('passes', () => {
  it('go corner to corner, each pass to its share, the last to the figure', () => {
    const pulls = passList(four, 6, [50, 75, 100])
    expect(pulls.map(({ at }) => at).slice(0, 4)).toEqual(['LHF', 'RHR', 'RHF', 'LHR'])
    expect(pulls.map(({ nm }) => nm)).toEqual([3, 3, 3, 3, 4.5, 4.5, 4.5, 4.5, 6, 6, 6, 6])
  })

  it('begins at the fixed end of each bar, and goes to the end that moves after it (B6)', () => {
    const at = (name: string, side: 'left' | 'right', row: number, fixed?: true): Spot => ({
      name,
      side,
      row,
      ...(fixed && { fixed }),
    })
    const four = [
      at('LHF', 'left', 0),
      at('RHF', 'right', 0, true),
      at('LHR', 'left', 1),
      at('RHR', 'right', 1, true),
    ]
    expect(passList(four, 10, [50, 100]).map(({ at: place }) => place)).toEqual([
      ...['RHF', 'RHR', 'LHF', 'LHR'],
      ...['RHF', 'RHR', 'LHF', 'LHR'],
    ])
    expect(diagonalOrder(four.map(({ fixed: _, ...spot }) => spot)).map(({ name }) => name)).toEqual([
      'LHF',
      'RHR',
      'RHF',
      'LHR',
    ])
  })

  it('always end at the full figure, take every fastener once a pass, and never rise within one', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 5 }),
        fc.array(fc.integer({ min: 10, max: 100 }), { minLength: 1, maxLength: 4 }),
        (rows, percents) => {
          const spots = Array.from({ length: rows }, (_, row) => [
            spot(`L${row}`, 'left', row),
            spot(`R${row}`, 'right', row),
          ]).flat()
          expect(new Set(diagonalOrder(spots))).toEqual(new Set(spots))
          const pulls = passList(spots, 8, percents)
          expect(pulls.at(-1)?.nm).toBe(8)
          for (let pass = 1; pass <= (pulls.at(-1)?.pass ?? 0); pass += 1) {
            const own = pulls.filter((each) => each.pass === pass)
            expect(own).toHaveLength(spots.length)
            expect(new Set(own.map(({ nm }) => nm)).size).toBe(1)
          }
          pulls.reduce((before, { percent }) => {
            expect(percent).toBeGreaterThanOrEqual(before)
            return percent
          }, 0)
        },
      ),
    )
  })

  it('have no figure where the joint has none', () => {
    expect(passList(four, undefined, [100]).every(({ nm }) => nm === undefined)).toBe(true)
  })
})

describe('a reading', () => {
  const sheet = joint({ torqueNm: { from: 5, to: 7 }, torqueFrom: { kind: 'sheet' } })
  const single = joint({ torqueNm: { from: 4, to: 4 }, torqueFrom: { kind: 'sheet' } })
  it.each([
    [4.99, 'under', 'stop'],
    [5, 'within', 'clear'],
    [7, 'within', 'clear'],
    [7.01, 'over', 'stop'],
  ] as const)('%f N·m on 5 to 7 is %s: a wrench’s error widens no range (B4)', (nm, verdict, severity) => {
    expect(judgeReading(sheet, nm)).toBe(verdict)
    expect(readingFinding(sheet, 'LHF', nm).severity).toBe(severity)
  })

  it.each([
    [3.59, 'under'],
    [3.6, 'within'],
    [4.4, 'within'],
    [4.41, 'over'],
  ] as const)('%f N·m on a single 4 is %s: within the house’s tolerance (B11)', (nm, verdict) => {
    expect(judgeReading(single, nm)).toBe(verdict)
  })

  it('over the figure is Stop at any pass; above a pass’s share and not over is Mind; below it is nothing yet (B4)', () => {
    expect(readingFinding(sheet, 'LHF', 7.5, 50)).toMatchObject({ severity: 'stop', rule: OVER_TORQUE })
    expect(readingFinding(sheet, 'LHF', 4, 50)).toMatchObject({ severity: 'mind', rule: 'torque-reading' })
    expect(judgeReading(sheet, 3, 50)).toBe('within')
    expect(judgeReading(sheet, 1, 50)).toBe('within')
  })

  it('never passes above what the part bears, whatever the figure', () => {
    const weak = joint({ torqueNm: { from: 4, to: 4 }, torqueFrom: { kind: 'sheet' }, atMostNm: 4.1 })
    expect(judgeReading(weak, 4.2)).toBe('over')
    const bare = joint({ thread: 'odd', atMostNm: 5 })
    expect(readingFinding(bare, 'LHF', 6)).toMatchObject({ severity: 'stop', rule: OVER_TORQUE })
    const advised = joint({ atMostNm: 10 })
    expect(readingFinding(advised, 'LHF', 10.5).severity).toBe('stop')
  })

  it('within a range narrower than a wrench is exact cannot tell: Mind', () => {
    const narrow = joint({ torqueNm: { from: 6, to: 6.2 }, torqueFrom: { kind: 'sheet' } })
    expect(judgeReading(narrow, 6.1)).toBe('cannotTell')
    expect(readingFinding(narrow, 'LHF', 6.1).severity).toBe('mind')
  })

  it('against advice is Mind at most, and without a figure is a thing to find out', () => {
    expect(readingFinding(joint({}), 'LHF', 90).severity).toBe('mind')
    expect(readingFinding(joint({ thread: 'odd' }), 'LHF', 9).severity).toBe('findOut')
  })

  it('outside its range is never clear, at any pass, for any joint', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 60, noNaN: true }),
        fc.integer({ min: 0, max: 200 }).map((tenths) => tenths / 10),
        fc.option(fc.double({ min: 1, max: 80, noNaN: true }), { nil: undefined }),
        fc.double({ min: 0.1, max: 120, noNaN: true }),
        fc.constantFrom(50, 75, 100),
        (from, wider, atMostNm, nm, percent) => {
          const made = joint({
            torqueNm: { from, to: from + wider },
            torqueFrom: { kind: 'sheet' },
            ...(atMostNm === undefined ? {} : { atMostNm }),
          })
          const highest = wider === 0 ? from * 1.1 : from + wider
          expect(rangeOf(made)?.toNm).toBeLessThanOrEqual(Math.min(highest, atMostNm ?? Infinity))
          const { severity } = readingFinding(made, 'LHF', nm, percent)
          const lowest = wider === 0 ? from * 0.9 : from
          if (nm > Math.min(highest, atMostNm ?? Infinity) * 1.00001) expect(severity).toBe('stop')
          if (percent === 100 && nm < lowest * 0.99999) expect(severity).toBe('stop')
        },
      ),
      { numRuns: runs(20_000) },
    )
  })
})
