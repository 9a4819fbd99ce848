import { isMark, TAPED, type Readings, type Taped } from '../../log/taped'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { phraseText } from '../../units/phrase'
import { datumOf, plannedReading, type PlannedPair } from './taped'
import { acrossImplied, sidewaysMm } from './possible'
import { squarenessFindings } from './squareness'

const pair: PlannedPair = {
  front: { id: 'f', name: 'Front bar', xMm: 400, lengthMm: 1270, profileMm: 82, capMm: 5, acrossMm: 1000 },
  rear: { id: 'r', name: 'Rear bar', xMm: 1160, lengthMm: 1270, profileMm: 82, capMm: 5, acrossMm: 1000 },
  spreadMm: 760,
  footWidthMm: 80,
  toleranceMm: 3,
  legsToleranceMm: 2,
  heldBy: 'rail',
  rearEdgeMm: 1800,
  onLegs: true,
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
  TAPED.map((key) => [key, [plannedReading(pair, key) ?? (isMark(key) ? 7 : 95)]]),
) as Record<Taped, number[]>

const said = (readings: Readings, what: string) => {
  const found = squarenessFindings(pair, readings).find(({ id }) => id.endsWith(` ${what}`))
  return found && `${found.severity}: ${phraseText(found.sentence)}`
}

describe('two bars as they stand', () => {
  it('as planned are clear in every way', () => {
    const found = squarenessFindings(pair, asPlanned)
    expect(found.map(({ severity }) => severity)).toEqual(found.map(() => 'clear'))
    expect(found).toHaveLength(11)
  })

  it('702 and 705 are out by 3 mm, which is within 3; 706 is not, and says which end goes where', () => {
    const at702 = { ...pair, spreadMm: 702 }
    const of = (right: number) => squarenessFindings(at702, { spreadLeft: [702], spreadRight: [right] })[0]
    expect(of(705)?.severity).toBe('clear')
    expect(of(706)?.severity).toBe('stop')
    expect(phraseText(of(706)?.sentence ?? [])).toContain('bring its right end 4 mm forward')
  })

  it('out of parallel is put right by what holds the bar, and only a rail lets one slide (B12)', () => {
    const of = (heldBy: PlannedPair['heldBy']) =>
      phraseText(
        squarenessFindings({ ...pair, heldBy }, { spreadLeft: [760], spreadRight: [790] })[0]?.sentence ?? [],
      )
    expect(of('rail')).toContain('Loosen the Rear bar')
    expect(of('point')).toContain('the vehicle’s points')
    expect(of('notch')).toContain('one notch off')
    expect(of('socket')).toContain('sockets')
    expect(of('hole')).toContain('drilled holes')
    expect(of('doorFrame')).toContain('hook into the door frame')
    expect(of('doorFrame')).not.toContain('points')
    for (const held of ['point', 'notch', 'socket', 'hole', 'doorFrame'] as const)
      expect(of(held)).not.toMatch(/forward|rearward/)
  })

  it('within the tolerance say how far askew they are all the same, and which end makes both sides alike (B7)', () => {
    // atan(2.4 / 1000), plane trigonometry: 0.1375 degrees.
    expect(said({ spreadLeft: [762.4], spreadRight: [760] }, 'parallel')).toBe(
      'clear: The bars are parallel within 2.4 mm (0.14°); to make both sides alike, bring the Rear bar’s left end 2.4 mm forward.',
    )
    expect(said({ spreadLeft: [760], spreadRight: [760] }, 'parallel')).toBe(
      'clear: The bars are parallel within 0 mm (0°).',
    )
    expect(said({ frontOverLeft: [91.2], frontOverRight: [88.8] }, 'front centred')).toBe(
      'clear: Front bar: centred within 1.2 mm; it hangs over more on the left, so the right is the way back.',
    )
  })

  it('both ends off say both moves', () => {
    expect(said({ spreadLeft: [755], spreadRight: [764] }, 'parallel')).toContain(
      'bring its left end 5 mm rearward, its right end 4 mm forward',
    )
  })

  it('parallel but at another spread is Mind, with the way back', () => {
    expect(said({ spreadLeft: [766], spreadRight: [766] }, 'spread')).toContain(
      'mind: The spread is 766 mm, planned 760 mm: bring the Rear bar 6 mm forward',
    )
  })

  it('a bar that slid sideways shows in the diagonals', () => {
    expect(said(taped(760, 760, 8), 'square')).toContain('stands 8 mm too far to the right')
    expect(said(taped(760, 760, -8), 'square')).toContain(
      'too far to the left of the Front bar: slide it to the right',
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
        const words = (readings: Readings) =>
          squarenessFindings(pair, readings).map(({ severity }) => severity)
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

  it('overhangs of 125 and 115 on a bar that is 10 mm shorter than they make it: no bar is moved on their word (B12)', () => {
    // 1270 = 2 × 115 + 1000 + 2 × 20 with feet taped from their centres and caps of 20: 125 is 10 too many.
    const caps = { ...pair.front, capMm: 20 }
    const short: PlannedPair = { ...pair, footWidthMm: 0, front: caps, rear: { ...caps, id: 'r' } }
    const found = squarenessFindings(short, { frontOverLeft: [125], frontOverRight: [115] })
    expect(found.map(({ severity }) => severity)).toEqual(['findOut'])
    expect(phraseText(found[0]?.sentence ?? []).replace(/\s/g, ' ')).toContain(
      'add up to 1 280 mm, the bar is 1 270 mm',
    )
    // Where the feet really stand nearer, that is taped too, and then they fit together.
    const nearer = squarenessFindings(short, {
      frontOverLeft: [125],
      frontOverRight: [115],
      frontAcross: [990],
    })
    expect(nearer.map(({ id, severity }) => `${id.split(' ').at(-1)} ${severity}`)).toEqual(['centred stop'])
  })

  it('nothing is advised on a reading that cannot be true, whichever of the six it is', () => {
    const six = ['spreadLeft', 'spreadRight', 'diagonalLeft', 'diagonalRight'] as const
    fc.assert(
      fc.property(
        fc.constantFrom(...six),
        fc.integer({ min: 30, max: 200 }),
        fc.boolean(),
        (key, by, less) => {
          const good = taped(760, 760, 0)
          const wrong = { ...good, [key]: [(good[key]?.[0] ?? 0) + (less ? -by : by)] }
          const found = squarenessFindings(pair, wrong)
          expect(found.map(({ severity }) => severity)).toEqual(['findOut'])
        },
      ),
    )
  })

  it('any readings of a rack that really stands so are possible together', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 600, max: 900 }),
        fc.integer({ min: -20, max: 20 }),
        fc.integer({ min: -20, max: 20 }),
        fc.array(fc.double({ min: -0.9, max: 0.9, noNaN: true }), { minLength: 4, maxLength: 4 }),
        (left, more, sideways, slips) => {
          const read = Object.entries(taped(left, left + more, sideways)).map(([key, [value = 0]], i) => [
            key,
            [value + (slips[i] ?? 0)],
          ])
          const found = squarenessFindings(pair, Object.fromEntries(read) as Readings)
          expect(found.filter(({ id }) => id.endsWith('datum'))).toEqual([])
        },
      ),
    )
  })

  it('a cap that nobody described may take what is left over, but makes nothing longer', () => {
    const unstated = { ...pair, front: { ...pair.front, capMm: undefined } }
    const of = (over: number) =>
      squarenessFindings(unstated, { frontOverLeft: [over], frontOverRight: [over] }).map(({ id }) =>
        id.split(' ').at(-1),
      )
    expect(of(80)).toEqual(['centred'])
    expect(of(100)).toEqual(['datum'])
    expect(plannedReading(unstated, 'frontOverLeft')).toBeUndefined()
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

describe('what one reading alone says', () => {
  const over = (1270 - 1000 - 80) / 2 - 5

  it('one overhang 46 mm off is asked for with its other side, and moves no bar (B12)', () => {
    const found = said({ frontOverLeft: [over - 46] }, 'alone frontOverLeft')
    expect(found).toContain('findOut')
    expect(found).toContain('46 mm less than planned')
    expect(found).toContain('front bar, overhang right: tape that too')
    expect(said({ frontOverLeft: [over - 1] }, 'alone frontOverLeft')).toContain('clear')
  })

  it('and one that the bar has no room for cannot be true', () => {
    expect(said({ frontOverLeft: [over + 130] }, 'front datum')).toContain(
      'this overhang, the feet, the caps',
    )
  })

  it('28 7/16 in is not 28 3/8 as planned: both are said (B12)', () => {
    const planned = { ...pair, spreadMm: 28.375 * 25.4 }
    const found = squarenessFindings(planned, { spreadLeft: [28.4375 * 25.4], spreadRight: [28.4375 * 25.4] })
    const spread = found.find(({ id }) => id.endsWith(' spread'))
    expect(spread?.severity).toBe('clear')
    expect(phraseText(spread?.sentence ?? [], { show: 'us', denominator: 16 })).toContain('planned 28 3/8')
  })
})

describe('marks on towers', () => {
  it('are numbers and no lengths: 7, 7, 7, 6 are not alike (B12)', () => {
    const found = said({ markLF: [7], markRF: [7], markLR: [7], markRR: [6] }, 'marks')
    expect(found).toBe(
      'stop: The towers stand on different marks: RHR on 6, the others on 7. Set them alike.',
    )
    expect(said({ markLF: [7], markRF: [7] }, 'marks')).toContain('2 towers read so far stand on mark 7')
    expect(said({ markLF: [7], markRF: [6] }, 'marks')).toContain('Look up which one is wanted')
  })

  it('are held against the fit sheet’s where it names them, bar by bar', () => {
    const named = { ...pair, front: { ...pair.front, mark: '7' }, rear: { ...pair.rear, mark: '5' } }
    const of = (readings: Readings) =>
      squarenessFindings(named, readings)
        .filter(({ id }) => id.includes('marks'))
        .map(({ severity, sentence }) => `${severity}: ${phraseText(sentence)}`)
        .join()
    expect(of({ markLF: [7], markRF: [7], markLR: [5], markRR: [5] })).toBe(
      'clear: All four towers stand on the fit sheet’s marks.',
    )
    expect(of({ markLF: [7], markRF: [7], markLR: [7], markRR: [5] })).toBe(
      'stop: Not on the fit sheet’s marks: LHR on 7, 2 marks high.',
    )
  })
})

it('legs are judged as far as they are read', () => {
  expect(said({ legLF: [95], legRF: [99] }, 'level')).toContain('2 of the legs are not read')
  expect(said({ legLF: [95], legRF: [95] }, 'level')).toContain('clear')
})
