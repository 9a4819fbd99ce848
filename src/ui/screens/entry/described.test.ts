import { describe, expect, it } from 'vitest'
import { wideEstate } from '@/demo/vehicles'
import { shellTent } from '@/demo/gear/camp'
import { longBox } from '@/demo/gear/carriers'
import { hatchLadder, lowBars, squareBars } from '@/demo/racks'
import { startingGate } from './gate-draft'
import { gearToDraft, readGear, startingGearDraft } from './gear-draft'
import { readRack, rackToDraft } from './rack-draft'
import { startingObstacle } from './obstacle-draft'
import { readVehicle, vehicleToDraft } from './vehicle-draft'

describe('what the load may meet, as typed', () => {
  const draft = () => vehicleToDraft(wideEstate, 'metric')
  const read = (change: (given: ReturnType<typeof draft>) => void) => {
    const given = draft()
    change(given)
    return readVehicle(given, 'metric', wideEstate.id, wideEstate)
  }

  it('reads a hatch from its hinge and the corners of its panel, in any unit', () => {
    const { value, problems } = read((given) => {
      const hatch = { ...startingObstacle('hatch', 'estate', 'mine', 'metric'), x: '95 in', z: '56 in' }
      given.obstacles = [{ ...hatch, panel: '109 in / 40 in; 2980 / 960', width: '50 in', opens: '88' }]
    })
    expect(problems).toEqual({})
    expect(value.obstacles).toEqual([
      {
        kind: 'hatch',
        id: 'mine',
        name: 'Hatch',
        hinge: { xMm: 95 * 25.4, zMm: 56 * 25.4 },
        panel: [
          { xMm: 95 * 25.4, zMm: 56 * 25.4 },
          { xMm: 109 * 25.4, zMm: 40 * 25.4 },
          { xMm: 2980, zMm: 960 },
        ],
        halfWidthMm: 25 * 25.4,
        opensDeg: 88,
      },
    ])
  })

  it('says what is wrong with a corner, an angle and a pane that ends before it begins', () => {
    const { problems } = read((given) => {
      given.obstacles = [
        { ...startingObstacle('tailgate', 'pickup', 'a', 'metric'), panel: '3000', opens: '200°' },
        { ...startingObstacle('sunroof', 'estate', 'b', 'metric'), x: '800', to: '400' },
      ]
    })
    expect(problems['obstacles.0.panel']).toContain('how far back / how high')
    expect(problems['obstacles.0.opens']).toContain('Half a turn')
    expect(problems['obstacles.1.to']).toContain('end behind')
  })

  it('leaves alone what was not touched, to the last decimal', () => {
    const odd = {
      ...wideEstate,
      obstacles: wideEstate.obstacles.map((each) =>
        each.kind === 'hatch' ? { ...each, opensDeg: 103.37 } : each,
      ),
    }
    const { value } = readVehicle(vehicleToDraft(odd, 'us'), 'us', odd.id, odd)
    expect(value.obstacles).toEqual(odd.obstacles)
  })
})

describe('how gear is held, as typed', () => {
  it('never guesses a carrier’s mount, straps a boat, and leaves a bike to its carrier', () => {
    expect(
      (['box', 'boat', 'bike'] as const).map((kind) => startingGearDraft(kind, 'metric').fit.mount),
    ).toEqual(['unsaid', 'strap', 'none'])
  })

  it('reads a clamp with its sizes, a spread and where it touches', () => {
    const given = gearToDraft(longBox, 'metric')
    given.fit = {
      ...given.fit,
      mount: 'wrapClamp',
      sectionWidthFrom: '1 in',
      sectionWidthTo: '3 in',
      underBar: '20',
      spreadFrom: '24 in',
      spreadTo: '36 in',
      contacts: '-8 in; 8 in',
    }
    const { value, problems } = readGear(given, 'metric', longBox.id, longBox)
    expect(problems).toEqual({})
    expect(value.fit.mount).toMatchObject({
      kind: 'wrapClamp',
      sectionWidthMm: { fromMm: expect.closeTo(25.4, 9), toMm: expect.closeTo(76.2, 9) },
      underBarMm: 20,
    })
    expect(value.fit.spreadMm).toEqual({ fromMm: expect.closeTo(609.6, 9), toMm: expect.closeTo(914.4, 9) })
    expect(value.contactsMm?.across).toEqual([expect.closeTo(-203.2, 9), expect.closeTo(203.2, 9)])
  })

  it('says when a range ends before it begins', () => {
    const given = gearToDraft(longBox, 'metric')
    given.fit = { ...given.fit, spreadFrom: '900', spreadTo: '600' }
    expect(readGear(given, 'metric', longBox.id, longBox).problems['fit.spreadTo']).toContain(
      'must not be less',
    )
  })

  it('keeps how a tent opens, and forgets it when its reach is emptied', () => {
    const given = gearToDraft(shellTent, 'us')
    expect(readGear(given, 'us', shellTent.id, shellTent).value.opens?.reachMm).toBeCloseTo(1250, 1)
    given.opens = { ...given.opens, reach: '' }
    expect(readGear(given, 'us', shellTent.id, shellTent).value.opens).toBeUndefined()
  })
})

describe('gates, rail shapes and facts, as typed', () => {
  it('reads a gap with its bounds and datum, a gauge and a helper', () => {
    const given = gearToDraft(longBox, 'metric')
    given.gates = [
      {
        ...startingGate('length', 'gap'),
        question: 'Gap',
        from: '1/4 in',
        to: '12',
        softTo: '10',
        datum: 'edge to edge',
      },
      { ...startingGate('gauge', 'key'), question: 'Hook', gauge: 'a hex key', must: 'noGo' },
      { ...startingGate('mass', 'helper'), question: 'Helper', from: '170 lb', to: '90' },
    ]
    const { value, problems } = readGear(given, 'metric', longBox.id, longBox)
    expect(problems).toEqual({})
    expect(value.gates).toMatchObject([
      { ask: { kind: 'length', fromMm: 6.35, toMm: 12, softToMm: 10, datum: 'edge to edge' } },
      { ask: { kind: 'gauge', gauge: 'a hex key', must: 'noGo' } },
      { ask: { kind: 'mass', toKg: 90 } },
    ])
    given.gates[0] = { ...given.gates[0]!, to: '5', softTo: '20' }
    const wrong = readGear(given, 'metric', longBox.id, longBox).problems
    expect(wrong['gates.0.to']).toContain('must not be less')
    expect(wrong['gates.0.softTo']).toContain('between the two bounds')
  })

  it('keeps a rack’s gates with what they imply of each other', () => {
    expect(readRack(rackToDraft(hatchLadder, 'us'), 'us', hatchLadder.id, hatchLadder).value.gates).toEqual(
      hatchLadder.gates,
    )
  })

  it('reads what a vehicle has and has not', () => {
    const given = {
      ...vehicleToDraft(wideEstate, 'metric'),
      has: 'another bumper; tow eye',
      hasNot: 'roof points',
    }
    expect(readVehicle(given, 'metric', wideEstate.id, wideEstate).value.facts).toEqual([
      { what: 'another bumper', has: true },
      { what: 'tow eye', has: true },
      { what: 'roof points', has: false },
    ])
  })
})

describe('a rack’s channel and fit sheet, as typed', () => {
  it('asks for both sizes of a channel, or none', () => {
    const given = { ...rackToDraft(lowBars, 'metric'), headRoom: '' }
    expect(readRack(given, 'metric', lowBars.id, lowBars).problems['headRoom']).toContain('Measure the room')
    const none = readRack({ ...given, slot: '' }, 'metric', lowBars.id, lowBars).value
    expect(none.kind === 'bars' && none.bars[0]?.profile.channel).toBeUndefined()
  })

  it('writes the row for its own profile and leaves the others', () => {
    const given = { ...rackToDraft(squareBars, 'metric'), towerFront: '1020' }
    const { fitSheet } = readRack(given, 'metric', squareBars.id, squareBars).value
    expect(fitSheet?.rows.map(({ profile, towerMm }) => [profile, towerMm.front])).toEqual([
      ['square', 1020],
      ['aero', 1004],
    ])
  })
})
