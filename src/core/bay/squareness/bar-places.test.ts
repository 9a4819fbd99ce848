import { describe, expect, it } from 'vitest'
import type { ReadingsFrom } from '../../log/record'
import type { Readings } from '../../log/taped'
import { phraseText } from '../../units/phrase'
import { squarenessFindings } from './squareness'
import { datumOf, plannedReading, usualFrom, type PlannedPair } from './taped'

const bar = { lengthMm: 1300, profileMm: 70, capMm: 5, acrossMm: 1100 }
const pair: PlannedPair = {
  front: { ...bar, id: 'f', name: 'Front bar', xMm: 300 },
  rear: { ...bar, id: 'r', name: 'Rear bar', xMm: 1200 },
  spreadMm: 900,
  footWidthMm: 80,
  toleranceMm: 3,
  legsToleranceMm: 2,
  heldBy: 'rail',
  rearEdgeMm: 1500,
  onLegs: false,
}

const said = (readings: Readings, from: ReadingsFrom = {}, of: PlannedPair = pair): string[] =>
  squarenessFindings(of, readings, from).map(
    ({ severity, sentence }) => `${severity}: ${phraseText(sentence).replace(/\s/g, ' ')}`,
  )

describe('a bar’s place along', () => {
  it('is the mean of what was read at either foot, with how far askew and which end goes which way', () => {
    // Means 300 and 301.5: atan(1.5 / 1100) = 0.078 degrees, plane trigonometry.
    expect(said({ frontAtLeft: [299, 301, 300], frontAtRight: [301, 302] })).toEqual([
      'clear: Front bar: 300 mm on the left, 301.5 mm on the right behind the windscreen’s upper edge, planned 300 mm; 1.5 mm apart (0.08°), 3 mm is allowed. Bring its right end 1.5 mm forward.',
    ])
    expect(said({ frontAtLeft: [296], frontAtRight: [302] })).toEqual([
      'stop: Front bar: 296 mm on the left, 302 mm on the right behind the windscreen’s upper edge, planned 300 mm; 6 mm apart (0.31°), 3 mm is allowed. Bring its left end 4 mm rearward, its right end 2 mm forward.',
    ])
    expect(said({ frontAtLeft: [310], frontAtRight: [310] })[0]).toMatch(/^mind: .*left end 10 mm forward/)
  })

  it('of a bar that notches or points hold is put right there, and pushed nowhere', () => {
    const held = { ...pair, heldBy: 'notch' as const }
    const off = said({ frontAtLeft: [280], frontAtRight: [300] }, {}, held)[0]
    expect(off).toContain('Check for a foot one notch off')
    expect(off).not.toMatch(/Bring its|forward|rearward/)
    expect(said({ frontAtLeft: [301], frontAtRight: [300] }, {}, held)[0]).toMatch(/is allowed\.$/)
  })

  it('is read from the roof’s rear edge or from a mark, and says so at its field', () => {
    const rear = { edge: { is: 'rear' } } as const
    const mark = { edge: { is: 'mark', xMm: 1000 } } as const
    const behind = { edge: { is: 'mark', xMm: 1350 } } as const
    expect(plannedReading(pair, 'rearAtLeft')).toBe(1200)
    expect(plannedReading(pair, 'rearAtLeft', rear)).toBe(300)
    expect(plannedReading(pair, 'rearAtLeft', mark)).toBe(200)
    expect(plannedReading(pair, 'rearAtLeft', behind)).toBe(150)
    expect(datumOf(pair, 'rearAtLeft', rear)).toBe(
      'roof’s rear edge to the middle of the rear bar, at its left foot',
    )
    for (const [from, value] of [
      [rear, 300],
      [mark, 200],
      [behind, 150],
    ] as const)
      expect(
        said({ rearAtLeft: [value], rearAtRight: [value] }, { rearAtLeft: from, rearAtRight: from })[0],
      ).toMatch(/^clear: Rear bar: 1 200 mm on the left, 1 200 mm on the right/)
  })

  it('is read from the mark that its sheet names, and a reading from the tape’s end is asked', () => {
    const own = { ...pair, sheetMark: { what: 'glass edge', frontMm: 231 }, tapeZeroMm: 12 }
    const line = { edge: { is: 'sheet' } } as const
    const end = { ...line, zeroMm: 12 }
    expect(plannedReading(own, 'frontAtLeft', line)).toBe(231)
    expect(plannedReading(own, 'rearAtLeft', line)).toBe(1131)
    expect(plannedReading(own, 'frontAtLeft', end)).toBe(243)
    expect(datumOf(own, 'frontAtLeft', line)).toBe(
      'glass edge to the middle of the front bar, at its left foot',
    )
    const read = { frontAtLeft: [243], frontAtRight: [243] }
    for (const each of said(read, { frontAtLeft: line, frontAtRight: line }, own).slice(0, 2))
      expect(each).toMatch(
        /^findOut: .* 12 mm more than planned\. .*from the end or from the line\? Say which\.$/,
      )
    expect(said(read, { frontAtLeft: end, frontAtRight: end }, own)[0]).toMatch(
      /^clear: Front bar: 231 mm on the left, 231 mm on the right behind the mark of its sheet \(glass edge\), planned 231 mm/,
    )
    // Only the plan says where that mark is: what was read from it is held against nothing read from elsewhere.
    const mixed = said({ frontAtLeft: [231], frontAtRight: [300] }, { frontAtLeft: line }, own)
    expect(mixed).toEqual([
      'findOut: Front bar: one foot was read from the mark of its sheet and the other was not. Read both from one mark.',
    ])
    const apart = { frontAtLeft: [231], frontAtRight: [231], rearAtLeft: [310], rearAtRight: [310] }
    const front = { frontAtLeft: line, frontAtRight: line }
    expect(said(apart, front, own).filter((each) => each.includes('one place'))).toEqual([])
    // A mark that the sheet names no more says nothing.
    expect(said({ frontAtLeft: [231], frontAtRight: [231] }, front)).toEqual([])
    expect(plannedReading(pair, 'frontAtLeft', line)).toBeUndefined()
    expect([
      usualFrom(own, 'frontAtLeft'),
      usualFrom(own, 'spreadLeft'),
      usualFrom(pair, 'frontAtLeft'),
    ]).toEqual([line, undefined, undefined])
  })

  it('of both bars at one place cannot be: from which edge is asked, and no bar is moved', () => {
    const one = { frontAtLeft: [300], frontAtRight: [300], rearAtLeft: [300], rearAtRight: [300] }
    const found = said(one)
    expect(found).toHaveLength(2)
    for (const each of found) expect(each).toMatch(/^findOut: .*cannot be\. From which edge/)
    const from = { edge: { is: 'rear' } } as const
    expect(said(one, { rearAtLeft: from, rearAtRight: from }).every((each) => each.startsWith('clear'))).toBe(
      true,
    )
  })

  it('is held against the spread, as far as both were read', () => {
    const read = { frontAtLeft: [300], rearAtLeft: [1210] }
    expect(said({ ...read, spreadLeft: [900] })).toEqual([
      expect.stringMatching(/^findOut: On the left the places of both bars are 910 mm apart.*read as 900 mm/),
    ])
    expect(
      said({ ...read, spreadLeft: [910] }).some((each) => each.includes('the places of both bars')),
    ).toBe(false)
  })
})

describe('a tape whose line is not at its end', () => {
  const own = { ...pair, tapeZeroMm: 15 }

  it('off by just that is asked for, not moved; from its end it is right', () => {
    const read = { frontAtLeft: [315], frontAtRight: [315] }
    expect(said(read, {}, own)).toEqual([
      expect.stringMatching(
        /^findOut: Front bar, place on the left: 315 mm, 15 mm more than planned.*15 mm from the tape’s end/,
      ),
      expect.stringMatching(/^findOut: Front bar, place on the right: /),
    ])
    const end = { zeroMm: 15 }
    expect(plannedReading(own, 'frontAtLeft', end)).toBe(315)
    expect(said(read, { frontAtLeft: end, frontAtRight: end }, own)).toEqual([
      expect.stringMatching(/^clear: Front bar: 300 mm on the left, 300 mm on the right/),
    ])
    // Said to be from the line, it is just where it was read, and nobody is asked again.
    const line = { zeroMm: 0 }
    expect(said(read, { frontAtLeft: line, frontAtRight: line }, own)).toEqual([
      expect.stringMatching(/^mind: Front bar: 315 mm on the left, 315 mm on the right/),
    ])
  })

  it('is nothing of which anybody who never said so is asked', () => {
    expect(said({ frontAtLeft: [315], frontAtRight: [315] })[0]).toMatch(/^mind: /)
  })
})

describe('level', () => {
  it('names one leg that stands off once, and says nothing against it', () => {
    const legs = said({ legLF: [95], legRF: [95], legLR: [99], legRR: [95] }, {}, { ...pair, onLegs: true })
    expect(legs).toHaveLength(1)
    expect(legs[0]).toMatch(/^stop: .*lower LHR by 4 mm/)
  })

  it('is judged bar by bar where there are no legs, by which side is low', () => {
    expect(said({ legLF: [90], legRF: [90], legLR: [82], legRR: [85] })).toEqual([
      'clear: Front bar: level within 0 mm.',
      'stop: Rear bar: 3 mm low on the left; 2 mm is allowed. Raise LHR, or lift it and seat it again.',
    ])
    expect(datumOf(pair, 'legLF')).toMatch(/^roof to/)
    expect(datumOf({ ...pair, onLegs: true }, 'legLF')).toMatch(/^rail to/)
  })
})

it('towers are held against the mark that is planned', () => {
  const of = { ...pair, onLegs: true, heightMark: 6 }
  expect(said({ markLF: [6], markRF: [5], markLR: [6], markRR: [6] }, {}, of)).toEqual([
    'stop: Not on mark 6, as planned: RHF on 5, one mark low.',
  ])
  expect(said({ markLF: [6], markRF: [6], markLR: [6], markRR: [6] }, {}, of)).toEqual([
    'clear: All four towers stand on mark 6, as planned.',
  ])
})
