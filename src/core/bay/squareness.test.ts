import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { phraseText } from '../review/phrase'
import { datumOf, plannedReading, TAPED, type PlannedPair, type Readings, type Taped } from './taped'
import { acrossImplied, sidewaysMm, squareness } from './squareness'

const pair: PlannedPair = {
  front: { id: 'f', name: 'Front bar', lengthMm: 1270, profileMm: 82 },
  rear: { id: 'r', name: 'Rear bar', lengthMm: 1270, profileMm: 82 },
  spreadMm: 760,
  acrossFrontMm: 1000,
  acrossRearMm: 1000,
  footWidthMm: 80,
  capMm: { front: 5, rear: 5 },
  toleranceMm: 3,
  legsToleranceMm: 2,
  spreadLocked: false,
}

/** What a tape reads where the rear bar's ends stand at these places. */
function taped(leftX: number, rightX: number, sideways: number): Readings {
  return {
    spreadLeft: [leftX],
    spreadRight: [rightX],
    diagonalLeft: [Math.hypot(rightX, 1000 + sideways)],
    diagonalRight: [Math.hypot(leftX, 1000 - sideways)],
  }
}

const asPlanned: Readings = Object.fromEntries(
  TAPED.map((key) => [key, [plannedReading(pair, key) ?? 95]]),
) as Record<Taped, number[]>

const said = (readings: Readings, what: string) => {
  const found = squareness(pair, readings).find(({ id }) => id.endsWith(` ${what}`))
  return found && `${found.severity}: ${phraseText(found.sentence)}`
}

describe('two bars as they stand', () => {
  it('as planned are clear in every way', () => {
    const found = squareness(pair, asPlanned)
    expect(found.map(({ severity }) => severity)).toEqual(found.map(() => 'clear'))
    expect(found).toHaveLength(6)
  })

  it('702 and 705 are out by 3 mm, which is within 3; 706 is not, and says which end goes where', () => {
    const at702 = { ...pair, spreadMm: 702 }
    const of = (right: number) => squareness(at702, { spreadLeft: [702], spreadRight: [right] })[0]
    expect(of(705)?.severity).toBe('clear')
    expect(of(706)?.severity).toBe('stop')
    expect(phraseText(of(706)?.sentence ?? [])).toContain('bring its right end 4 mm forward')
  })

  it('out of parallel on fixed points is a foot on the wrong mark', () => {
    const [found] = squareness({ ...pair, spreadLocked: true }, { spreadLeft: [760], spreadRight: [790] })
    expect(phraseText(found?.sentence ?? [])).toContain('wrong mark')
  })

  it('both ends off say both moves', () => {
    expect(said({ spreadLeft: [755], spreadRight: [764] }, 'parallel')).toContain(
      'bring its left end 5 mm rearward, its right end 4 mm forward',
    )
  })

  it('parallel but at another spread is Mind, with the way back', () => {
    expect(said({ spreadLeft: [766], spreadRight: [766] }, 'spread')).toContain(
      'mind: The spread is 766 mm, planned 760 mm: bring the rear bar 6 mm forward',
    )
  })

  it('a bar that slid sideways shows in the diagonals', () => {
    expect(said(taped(760, 760, 8), 'square')).toContain('stands 8 mm too far to the right')
    expect(said(taped(760, 760, -8), 'square')).toContain(
      'too far to the left of the front bar: slide it to the right',
    )
  })

  it('the sideways shift and the width come out of the diagonals wherever the ends stand (Pythagoras)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 300, max: 2000, noNaN: true }),
        fc.double({ min: -60, max: 60, noNaN: true }),
        fc.double({ min: -60, max: 60, noNaN: true }),
        fc.double({ min: 600, max: 1700, noNaN: true }),
        (left, more, shift, across) => {
          const right = left + more
          const [d1, d2] = [Math.hypot(right, across + shift), Math.hypot(left, across - shift)]
          expect(sidewaysMm(d1, d2, left, right, across)).toBeCloseTo(shift, 6)
          expect(acrossImplied(d1, d2, left, right, shift)).toBeCloseTo(across, 6)
        },
      ),
    )
  })

  it('mirrored readings give the mirrored answer', () => {
    const mirrored = (readings: Readings): Readings => ({
      spreadLeft: readings.spreadRight ?? [],
      spreadRight: readings.spreadLeft ?? [],
      diagonalLeft: readings.diagonalRight ?? [],
      diagonalRight: readings.diagonalLeft ?? [],
    })
    const flip = (text: string) => text.replace(/left|right/g, (side) => (side === 'left' ? 'right' : 'left'))
    fc.assert(
      fc.property(fc.integer({ min: -9, max: 9 }), fc.integer({ min: -9, max: 9 }), (off, shift) => {
        const one = taped(760, 760 + off, shift)
        const words = (readings: Readings) => squareness(pair, readings).map(({ severity }) => severity)
        expect(words(mirrored(one))).toEqual(words(one))
        const sentence = said(one, 'square')
        if (sentence && off === 0) expect(said(mirrored(one), 'square')).toBe(flip(sentence))
      }),
    )
  })
})

describe('readings from the wrong mark', () => {
  it('edges for centres: the spreads are a bar’s width out against the diagonals', () => {
    const edges = { ...taped(760, 760, 0), spreadLeft: [842], spreadRight: [842] }
    expect(said(edges, 'datum')).toContain('outer edge to outer edge')
  })

  it('an overhang from the foot’s middle does not add up to the bar', () => {
    const over = (1270 - 1000 - 80) / 2 - 5
    expect(said({ frontOverLeft: [over + 40], frontOverRight: [over + 40] }, 'front datum')).toContain(
      'foot’s middle',
    )
    expect(said({ frontOverLeft: [over + 8], frontOverRight: [over - 8] }, 'front centred')).toContain(
      'slide the bar 8 mm to the right',
    )
  })

  it('readings of one thing that disagree are taken again', () => {
    expect(said({ spreadLeft: [760, 766, 761], spreadRight: [760] }, 'scatter spreadLeft')).toContain(
      '3 readings lie 6 mm apart',
    )
  })
})

it('a foot whose width nobody gave is taped from its centre', () => {
  const unknown = { ...pair, footWidthMm: 0 }
  expect(datumOf(pair, 'frontOverLeft')).toContain('foot’s outer edge')
  expect(datumOf(unknown, 'frontOverLeft')).toContain('foot’s centre')
  // (1270 − 1000) / 2 less the cap of 5.
  expect(plannedReading(unknown, 'frontOverLeft')).toBe(130)
})

it('a leg that stands high is named with what to do', () => {
  expect(said({ legLF: [95], legRF: [95], legLR: [99], legRR: [95] }, 'level')).toContain('lower LHR by 4 mm')
  expect(said({ legLF: [95], legRF: [95], legLR: [96], legRR: [95] }, 'level')).toContain('alike within 1 mm')
})
