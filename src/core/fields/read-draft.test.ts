import { describe, expect, it } from 'vitest'
import { longBox } from '@/demo/gear/carriers'
import { shellTent } from '@/demo/gear/camp'
import { hatchLadder, lowBars, squareBars, wingBars } from '@/demo/racks'
import { barsOf } from '../plan/schema/rack'
import { ATTACHMENTS } from '../kinds/attachment'
import { BODIES } from '../kinds/body'
import { GEAR_KINDS } from '../kinds/gear-kind'
import { kindsOf } from '../kinds/kind'
import { OBSTACLES } from '../kinds/obstacle'
import { gearSchema, type Gear } from '../plan/schema/gear'
import { rackSchema, type Rack } from '../plan/schema/rack'
import { startingGear } from '../plan/starting/starting-gear'
import { vehicleSchema, type Vehicle } from '../plan/schema/vehicle'
import { startingAttachment, startingObstacle } from '../survey/frame/body/starting-attachment'
import { startingVehicle } from '../survey/frame/body/starting-vehicle'
import { startingRack } from '../survey/frame/starting-rack'
import type { UnitSystem } from '../units/dimension'
import { carriedOver, toDraft, WAS, withChanged, type Draft } from './draft'
import { likeTheFirst, newEntry } from './new-entry'
import { GEAR_FIELD } from './gear-fields'
import { FASTENERS } from './joint-fields'
import { RACK_FIELD } from './rack-fields'
import { readWhole as readDraft } from './read-whole.testing'
import type { Source } from '../plan/schema/rating'
import { VEHICLE_FIELD } from './vehicle-fields'

/** A draft with some of its texts typed over, by their path. */
function typed(draft: Draft, over: Readonly<Record<string, unknown>>): Draft {
  const copy = structuredClone(draft) as never
  for (const [path, text] of Object.entries(over)) {
    const keys = path.split('.')
    const last = keys.pop()!
    const at = keys.reduce<Record<string, unknown>>((so, key) => (so[key] ??= {}) as never, copy)
    at[last] = text
  }
  return copy
}

type Over = Readonly<Record<string, unknown>>

const vehicle = (was: Vehicle, over: Over, system: UnitSystem = 'metric', from?: Source['kind']) =>
  readDraft(
    VEHICLE_FIELD,
    vehicleSchema,
    typed(toDraft(VEHICLE_FIELD, was, shown(system)), over),
    was,
    system,
    from,
  )
const rack = (was: Rack, over: Over, system: UnitSystem = 'metric', from?: Source['kind']) =>
  readDraft(RACK_FIELD, rackSchema, typed(toDraft(RACK_FIELD, was, shown(system)), over), was, system, from)
const gear = (was: Gear, over: Over, system: UnitSystem = 'metric', from?: Source['kind']) =>
  readDraft(GEAR_FIELD, gearSchema, typed(toDraft(GEAR_FIELD, was, shown(system)), over), was, system, from)

const shown = (system: UnitSystem) => ({ system, typed: {}, rel: '' })

const estate = { ...startingVehicle('estate', 'own'), name: 'Own' }

describe('what is typed', () => {
  it('is read in any unit, kept as it was typed, and shown so again', () => {
    const { value, problems } = vehicle(estate, { lengthMm: '183 1/2 in', 'roof.halfWidthFrontMm': '44 in' })
    expect(problems).toEqual({})
    expect(value.lengthMm).toBeCloseTo(4660.9, 6)
    expect(value.roof.halfWidthFrontMm).toBeCloseTo(22 * 25.4, 6)
    expect(value.typed).toEqual({ lengthMm: '183 1/2 in', 'roof.halfWidthFrontMm': '44 in' })
    const again = toDraft(VEHICLE_FIELD, value, shown('metric')) as Record<string, unknown>
    expect(again['lengthMm']).toBe('183 1/2 in')
  })

  it('is not shown any more once the figure is another', () => {
    const { value } = vehicle(estate, { heightMm: '58 in' })
    const moved = { ...value, heightMm: 1500 }
    expect((toDraft(VEHICLE_FIELD, moved, shown('metric')) as Record<string, unknown>)['heightMm']).toBe(
      '1 500 mm'.replace(' ', '\u202f'),
    )
  })

  it('is no starting value any more, and all else still is (E3)', () => {
    const { value } = vehicle(estate, { heightMm: '1500' })
    const began = Object.keys(estate.known ?? {})
    expect(began).toContain('roof.crownMm')
    expect(Object.keys(value.known ?? {})).toEqual(began.filter((field) => field !== 'heightMm'))
    const bars = startingRack(estate, estate.attachments[0]!, 'bars', 'own')
    const { value: own } = rack(bars, {
      'parts.0.eachKg': '2.6',
      'bars.0.lengthMm': '1300',
      'bars.0.usableMm': '980',
    })
    expect(own.parts.map(({ known }) => known?.['eachKg']?.by)).toEqual([undefined, 'start'])
    expect(own.kind === 'bars' && own.bars.map(({ known }) => Object.keys(known ?? {}))).toEqual([
      ['xMm', 'riseMm', 'profile.widthMm', 'profile.heightMm', 'feetYMm.apart'],
      ['xMm', 'lengthMm', 'usableMm', 'riseMm', 'profile.widthMm', 'profile.heightMm', 'feetYMm.apart'],
    ])
  })

  it('is named where it cannot be read, field by field, and the drawing goes on with what was', () => {
    const { value, problems } = vehicle(estate, {
      name: ' ',
      lengthMm: 'long',
      heightMm: '-3 mm',
      doors: '12',
    })
    expect(Object.keys(problems).sort()).toEqual(['doors', 'heightMm', 'lengthMm', 'name'])
    expect(problems['lengthMm']).toContain('no number')
    expect([value.lengthMm, value.heightMm]).toEqual([4720, 1490])
  })

  it('is named where it cannot be together', () => {
    expect(
      Object.keys(vehicle(estate, { kerbKg: '2000', grossKg: '1500', wheelbaseMm: '6 m' }).problems).sort(),
    ).toEqual(['grossKg', 'wheelbaseMm'])
    expect(vehicle(estate, { 'attachments.0.ranges.0.toMm': '1' }).problems).toEqual({
      'attachments.0.ranges.0': 'The range ends before it begins.',
    })
    expect(rack(wingBars, { 'bars.0.usableMm': '2 m' }).problems).toEqual({
      'bars.0.usableMm': 'A bar cannot offer more width than it is long.',
    })
  })

  it('by half is saved as it was typed, is shown so again, and says what is missing', () => {
    const { value, problems, halves } = vehicle(estate, { 'trackMm.front': '60 in' })
    expect(problems).toEqual({})
    expect(halves).toEqual({ trackMm: 'Kept as typed, and not used yet. Missing: “Track, rear”.' })
    expect([value.trackMm, value.typed]).toEqual([undefined, { 'trackMm.front': '60 in' }])
    const again = toDraft(VEHICLE_FIELD, value, shown('metric'))
    expect(again).toMatchObject({ trackMm: { front: '60 in', rear: '' } })
    expect(vehicle(value, {}).value).toBe(value)
    expect(vehicle(value, { 'trackMm.rear': '1560' }).value).toMatchObject({
      trackMm: { front: 1524, rear: 1560 },
      typed: { 'trackMm.front': '60 in', 'trackMm.rear': '1560 mm' },
    })
    expect(vehicle(value, { 'trackMm.front': '' }).value).not.toHaveProperty(['typed', 'trackMm.front'])
  })

  it('by half takes what was whole out of use', () => {
    const { value, problems } = rack(lowBars, { 'bars.0.profile.channel.headRoomMm': '' })
    expect(problems).toEqual({})
    const [bar] = value.kind === 'bars' ? value.bars : []
    expect(bar?.profile.channel).toBeUndefined()
    expect(Object.keys(bar?.typed ?? {})).toContain('profile.channel.slotMm')
    const again = toDraft(RACK_FIELD, value, shown('metric'))
    expect(again).toMatchObject({ bars: { 0: { profile: { channel: { headRoomMm: '' } } } } })
  })

  it('goes with its entry when an earlier one of its list is removed', () => {
    const row = { profile: 'square' as const, towerMm: { front: 1010, rear: 1000 } }
    const sheet = { source: { kind: 'sheet' as const }, rows: [row, { profile: 'aero' as const }] }
    const { value } = rack(
      { ...squareBars, fitSheet: sheet },
      { 'fitSheet.rows.1.towerMm.front': '39 in', 'fitSheet.rows.1.spreadMm.fromMm': '28 in' },
    )
    expect(value.typed).toMatchObject({ 'fitSheet.rows.1.towerMm.front': '39 in' })
    const draft = toDraft(RACK_FIELD, value, shown('metric')) as { fitSheet: { rows: Draft[] } }
    const rest = { ...draft, fitSheet: { ...draft.fitSheet, rows: draft.fitSheet.rows.slice(1) } }
    const { value: after, problems } = readDraft(RACK_FIELD, rackSchema, rest as Draft, value, 'metric')
    expect(problems).toEqual({})
    expect(after.typed).toMatchObject({
      'fitSheet.rows.0.towerMm.front': '39 in',
      'fitSheet.rows.0.spreadMm.fromMm': '28 in',
    })
    expect(Object.keys(after.typed ?? {}).filter((at) => at.includes('rows.1'))).toEqual([])
    expect(toDraft(RACK_FIELD, after, shown('metric'))).toMatchObject({
      fitSheet: { rows: [{ profile: 'aero', towerMm: { front: '39 in' } }] },
    })
  })

  it('is wrong all the same where a half of it does not read', () => {
    expect(Object.keys(vehicle(estate, { 'trackMm.front': 'wide' }).problems)).toEqual(['trackMm.front'])
  })

  it('may be left out: a starting value stands in for a figure that nobody knows', () => {
    const known = vehicle(estate, { wheelbaseMm: '2700' }).value
    expect(known.known).not.toHaveProperty('wheelbaseMm')
    const { value, problems, standIns } = vehicle(known, { wheelbaseMm: '' })
    expect(problems).toEqual({})
    expect(value.wheelbaseMm).toBe(2700)
    expect(value.known).toHaveProperty('wheelbaseMm', { by: 'start' })
    expect(value.typed).not.toHaveProperty('wheelbaseMm')
    expect(standIns['wheelbaseMm']).toMatch(/^Empty: 2.700 mm stands in as a starting value\.$/)
    expect(vehicle(value, { wheelbaseMm: '2710' }).value.known).not.toHaveProperty('wheelbaseMm')
  })

  it('may be half known: a drive without its efficiency, a height of the centre alone is asked for its place (E7)', () => {
    expect(vehicle(estate, { 'drive.energy': 'battery' }).value.drive).toEqual({ energy: 'battery' })
    expect(
      vehicle(estate, { 'centreOfGravity.known': 'position', 'centreOfGravity.heightMm': '600' }).problems,
    ).toHaveProperty('centreOfGravity.xMm')
  })
})

describe('figures', () => {
  it('say how they are known: as the sheet says on top, else told; each may say otherwise (E8)', () => {
    const ratings = (from?: Source['kind'], over: Over = {}) =>
      vehicle(estate, { 'roof.ratings.road': '150 lb', ...over }, 'metric', from).value.roof.ratings
    expect(ratings()[0]).toMatchObject({
      state: 'road',
      per: 'set',
      source: { kind: 'told' },
      typed: { kg: '150 lb' },
    })
    expect(ratings('manual')[0]?.source.kind).toBe('manual')
    expect(ratings('manual', { 'roof.ratings.by': 'label', 'roof.ratings.page': '7' })[0]?.source).toEqual({
      kind: 'label',
      page: '7',
    })
  })

  const rating = (state: 'road' | 'trail', kg: number, rest = {}) => ({
    id: `r-${state}`,
    state,
    kg,
    per: 'set' as const,
    source: { kind: 'label' as const, text: 'under the lid', on: '2026-05-02' },
    ...rest,
  })
  const was = [
    rating('road', 50),
    rating('road', 40, { id: 'tents', gearKind: 'tent' }),
    rating('trail', 30, { id: 'slow', upToKmH: 80 }),
  ]
  const rated = { ...estate, roof: { ...estate.roof, ratings: was } }

  it('left as they were are the very same; those for one kind or a speed stand in a list of their own', () => {
    expect(vehicle(rated, {}).value.roof.ratings).toBe(was)
    const draft = toDraft(VEHICLE_FIELD, rated, shown('metric')) as { roof: { ratings: { more: unknown[] } } }
    expect(draft.roof.ratings.more).toHaveLength(2)
  })

  it('changed keep their id and source; cleared they go; a nought is a figure', () => {
    const read = vehicle(rated, { 'roof.ratings.road': '55', 'roof.ratings.trail': '0' }).value.roof.ratings
    expect(read.map(({ id, kg }) => [id, kg])).toEqual([
      ['r-road', 55],
      ['tents', 40],
      ['slow', 30],
      ['roof-ratings-trail', 0],
    ])
    expect(read[0]?.source.text).toBe('under the lid')
    expect(vehicle(rated, { 'roof.ratings.road': '' }).value.roof.ratings.map(({ id }) => id)).toEqual([
      'tents',
      'slow',
    ])
  })

  it('typed anew beside one that was taken out of use leave that one as it is', () => {
    const [old] = vehicle(estate, { 'roof.ratings.road': '60' }).value.roof.ratings
    const aside = { ...old!, unused: 'looked at again: that of the manual holds' }
    const settled = { ...estate, roof: { ...estate.roof, ratings: [aside] } }
    const { value, problems } = vehicle(settled, { 'roof.ratings.road': '75' })
    expect(problems).toEqual({})
    expect(value.roof.ratings.map(({ id, kg }) => [id, kg])).toEqual([
      ['roof-ratings-road', 60],
      ['roof-ratings-road-2', 75],
    ])
    expect(value.roof.ratings[0]).toBe(aside)
  })

  it('may be added for one kind of gear', () => {
    const { value, problems } = vehicle(estate, {
      'roof.ratings.more': [
        {
          state: 'parked',
          kg: '300',
          per: 'set',
          counts: '',
          gearKind: 'tent',
          upToKmH: '',
          source: { kind: 'manual', text: '', page: '9', on: '' },
          [WAS]: 'id tents',
        },
      ],
    })
    expect(problems).toEqual({})
    expect(value.roof.ratings).toMatchObject([
      { id: 'tents', state: 'parked', kg: 300, gearKind: 'tent', source: { kind: 'manual', page: '9' } },
    ])
  })
})

describe('a form that something is taken into', () => {
  it('shows what that has otherwise, though it was typed, and keeps all else as it was typed', () => {
    const now = { name: 'Own', panel: '1 / 2; 3 / 4', half: '12 i', rows: [{ a: '1' }, { a: '2' }] }
    const read = { name: 'Own', panel: '9 / 2; 3 / 4', half: '', rows: [{ a: '1' }, { a: '2' }] }
    const next = { name: 'Own', panel: '9 / 2; 11 / 4', half: '', rows: [{ a: '1' }, { a: '7' }] }
    expect(withChanged(now, read, next)).toEqual({
      name: 'Own',
      panel: '9 / 2; 11 / 4',
      half: '12 i',
      rows: [{ a: '1' }, { a: '7' }],
    })
    expect(withChanged(now, read, { ...next, rows: [] })).toMatchObject({ rows: [] })
  })
})

describe('what the load may meet', () => {
  const withHatch = { ...estate, obstacles: [startingObstacle('hatch', 'estate', 'hatch')] }

  it('a panel that was just added goes with its hinge too: no corner is left at the old one', () => {
    const { obstacles } = VEHICLE_FIELD.fields
    if (obstacles?.is !== 'list') throw new Error('Obstacles are a list.')
    const began = startingObstacle('tailgate', 'pickup', 'gate')
    if (began.kind !== 'tailgate') throw new Error('It is a tailgate.')
    const entry = newEntry({ ...obstacles, start: () => began }, 'metric', 'gate', 'tailgate', [])
    const { value } = vehicle(
      { ...estate, obstacles: [] },
      { 'obstacles.0': entry, 'obstacles.0.hinge.xMm': '3350', 'obstacles.0.hinge.zMm': '820' },
    )
    const [gate] = value.obstacles
    expect(gate?.kind === 'tailgate' && gate.panel).toEqual([
      { xMm: 3350, zMm: 820 },
      ...began.panel.slice(1),
    ])
  })

  it('a panel begins at its hinge and goes with it (E10)', () => {
    const panel = (over: Over) => {
      const [hatch] = vehicle(withHatch, over).value.obstacles
      return hatch?.kind === 'hatch' ? hatch.panel : []
    }
    expect(panel({ 'obstacles.0.panel': '109 in / 40 in; 2980 / 960' })).toEqual([
      { xMm: 2430, zMm: 1450 },
      { xMm: expect.closeTo(109 * 25.4, 6), zMm: expect.closeTo(40 * 25.4, 6) },
      { xMm: 2980, zMm: 960 },
    ])
    expect(panel({ 'obstacles.0.hinge.xMm': '2400' })[0]).toEqual({ xMm: 2400, zMm: 1450 })
    expect(panel({ 'obstacles.0.hinge.xMm': '2400' })).toHaveLength(3)
  })

  it('says what is wrong with a corner, an angle and a pane that ends before it begins', () => {
    const sunroof = { ...estate, obstacles: [startingObstacle('sunroof', 'estate', 'b')] }
    const { problems } = vehicle(withHatch, { 'obstacles.0.panel': '3000', 'obstacles.0.opensDeg': '200°' })
    expect(problems['obstacles.0.panel']).toContain('two figures with a stroke')
    expect(problems['obstacles.0.opensDeg']).toContain('at most 180')
    expect(
      vehicle(sunroof, { 'obstacles.0.openingMm.fromMm': '800' }).problems['obstacles.0.openingMm'],
    ).toContain('ends before')
  })

  it('a pane says how it moves, and the skin of the roof has a height of its own (L22, L27)', () => {
    const sunroof = { ...estate, obstacles: [startingObstacle('sunroof', 'estate', 'b')] }
    const { value } = vehicle(sunroof, {
      'obstacles.0.moves': 'tilts',
      'roof.skinZMm': '1440',
      cabWallXMm: '1500',
    })
    expect(value.obstacles[0]).toMatchObject({ moves: 'tilts' })
    expect([value.roof.skinZMm, value.cabWallXMm]).toEqual([1440, 1500])
  })
})

describe('gear', () => {
  it('reads a clamp with its sizes, what it covers, a spread and where it touches (L16)', () => {
    const { value, problems } = gear(longBox, {
      'fit.mount': {
        kind: 'wrapClamp',
        sectionWidthMm: { fromMm: '1 in', toMm: '3 in' },
        sectionHeightMm: { fromMm: '15', toMm: '35' },
        underBarMm: '20',
      },
      'fit.spreadMm': { fromMm: '25 in', toMm: '35 in' },
      'fit.baseMm': '60',
      'contactsMm.across': '-8 in; 8 in',
    })
    expect(problems).toEqual({})
    expect(value.fit).toMatchObject({
      mount: {
        kind: 'wrapClamp',
        sectionWidthMm: { fromMm: expect.closeTo(25.4, 9), toMm: expect.closeTo(76.2, 9) },
        underBarMm: 20,
      },
      spreadMm: { fromMm: expect.closeTo(635, 9), toMm: expect.closeTo(889, 9) },
      baseMm: 60,
    })
    expect(value.contactsMm?.across).toEqual([expect.closeTo(-203.2, 9), expect.closeTo(203.2, 9)])
  })

  it('offers a cradle to a boat that was entered by hand (E1)', () => {
    const { value, problems } = gear(longBox, {
      'carries.places': [
        {
          name: 'Cradle',
          kind: 'cradle',
          xMm: '0',
          yMm: '0',
          zMm: '80',
          takes: 'boat; board',
          takesWidthMm: { fromMm: '500', toMm: '700' },
          holesMm: [],
          [WAS]: 'id place-1',
        },
      ],
    })
    expect(problems).toEqual({})
    expect(value.carries?.places).toEqual([
      {
        id: 'place-1',
        name: 'Cradle',
        kind: 'cradle',
        xMm: 0,
        yMm: 0,
        zMm: 80,
        takes: ['boat', 'board'],
        takesWidthMm: { fromMm: 500, toMm: 700 },
      },
    ])
  })

  it('keeps how a tent opens, and forgets it when all of it is emptied', () => {
    expect(gear(shellTent, {}, 'us').value.opens).toBe(shellTent.opens)
    const none = {
      toward: '',
      reachMm: '',
      floorMm: '',
      ladder: { dropMm: { fromMm: '', toMm: '' }, outMm: '' },
      coverGapMm: '',
    }
    expect(gear(shellTent, { opens: none }).value.opens).toBeUndefined()
  })

  it('a target that is weighed is no target any more', () => {
    const target = { ...longBox, mass: { kg: 20, basis: 'target' as const } }
    expect(gear(target, { 'mass.kg': '19.4' }).value.mass).toEqual({
      kg: 19.4,
      basis: 'told',
      typed: { kg: '19.4 kg' },
    })
  })

  it('asks both sides of a gate, and keeps what one says of another', () => {
    const gates = [
      {
        question: 'Gap',
        ask: {
          kind: 'length',
          fromMm: '1/4 in',
          toMm: '12',
          softFromMm: '',
          softToMm: '10',
          datum: 'edge to edge',
        },
        implies: { gateId: '', plusFromMm: '', plusToMm: '', why: '' },
        [WAS]: 'id gap',
      },
    ]
    expect(gear(longBox, { gates }).value.gates).toEqual([
      {
        id: 'gap',
        question: 'Gap',
        ask: { kind: 'length', fromMm: 6.35, toMm: 12, softToMm: 10, datum: 'edge to edge' },
      },
    ])
    expect(
      gear(longBox, { gates: [{ ...gates[0], ask: { ...gates[0]!.ask, toMm: '5' } }] }).problems[
        'gates.0.ask'
      ],
    ).toContain('bounds must rise')
    expect(rack(hatchLadder, {}, 'us').value.gates).toBe(hatchLadder.gates)
  })
})

describe('a rack', () => {
  it('has bars each with profile, length, cap and feet of their own (E3)', () => {
    const { value, problems } = rack(wingBars, {
      'bars.1.profile.kind': 'square',
      'bars.1.profile.widthMm': '30',
      'bars.1.capMm': '5',
      'bars.0.feetYMm.between': '-200; 200',
    })
    expect(problems).toEqual({})
    const bars = value.kind === 'ladder' ? [] : value.bars
    expect(bars.map(({ profile }) => profile.kind)).toEqual(['aero', 'square'])
    expect(bars[1]?.capMm).toBe(5)
    expect(bars[0]?.feetYMm.slice(1, -1)).toEqual([-200, 200])
    expect(rack(wingBars, { 'bars.0.feetYMm.apart': '3 m' }).problems).toHaveProperty([
      'bars.0.feetYMm.apart',
    ])
  })

  it('has all its bars made like the first in one press, each in its own place', () => {
    const draft = typed(toDraft(RACK_FIELD, wingBars, shown('metric')), {
      'bars.0.profile.widthMm': '90',
    }) as {
      bars: readonly Draft[]
    }
    const { value, problems } = readDraft(
      RACK_FIELD,
      rackSchema,
      { ...draft, bars: likeTheFirst(draft.bars, ['name', 'xMm']) },
      wingBars,
      'metric',
    )
    expect(problems).toEqual({})
    const before = wingBars.kind === 'bars' ? wingBars.bars : []
    const bars = value.kind === 'bars' ? value.bars : []
    expect(bars.map(({ profile }) => profile.widthMm)).toEqual([90, 90])
    expect(bars.map(({ id, name, xMm }) => [id, name, xMm])).toEqual(
      before.map(({ id, name, xMm }) => [id, name, xMm]),
    )
  })

  it('writes one row of its fit sheet and leaves the others', () => {
    const { fitSheet } = rack(squareBars, { 'fitSheet.rows.0.towerMm.front': '1020' }).value
    expect(fitSheet?.rows.map(({ profile, towerMm }) => [profile, towerMm?.front])).toEqual(
      squareBars.fitSheet?.rows.map(({ profile, towerMm }, i) => [profile, i === 0 ? 1020 : towerMm?.front]),
    )
  })

  it('knows the stiffness of what bars are usually made of, and asks for another’s', () => {
    const material = (over: Over) => {
      const { value, problems, halves } = rack(wingBars, over)
      expect(problems).toEqual({})
      return [
        value.kind === 'bars' ? value.bars[0]?.profile.material : undefined,
        Object.values(halves)[0],
      ] as const
    }
    const at = 'bars.0.profile.material'
    expect(material({ [`${at}.name`]: 'aluminium', [`${at}.yieldMPa`]: '160 MPa' })[0]).toEqual({
      name: 'Aluminium',
      eGPa: 69,
      yieldMPa: 160,
    })
    expect(material({ [`${at}.name`]: '', [`${at}.yieldMPa`]: '160' })[1]).toContain('needs a material')
    expect(material({ [`${at}.name`]: 'Titanium', [`${at}.eGPa`]: '' })[1]).toContain('stiffness')
  })

  it('refuses a pilot over the final size', () => {
    const drills = {
      holes: '4',
      reversible: 'no',
      pilotMm: '8',
      finalMm: '6',
      layers: '',
      template: '',
      seal: '',
      paint: '',
    }
    expect(rack(wingBars, { 'parts.0.kit.drills': drills }).problems).toEqual({
      'parts.0.kit.drills.pilotMm': 'A pilot is smaller than the final hole.',
    })
  })
})

describe('a joint', () => {
  const joint = (over: Over) => {
    const entry = typed(newEntry(FASTENERS, 'metric', 'joint', ''), over)
    const { value, problems } = rack(wingBars, { 'parts.0.fasteners': [entry] })
    return { joint: value.parts[0]?.fasteners?.[0], problems }
  }

  it('reads a range with its page; one end alone is one figure; in either system', () => {
    expect(
      joint({
        thread: 'M6',
        'torqueNm.from': '5',
        'torqueNm.to': '7 Nm',
        'torqueFrom.page': '4',
        grade: '8.8',
      }).joint,
    ).toEqual({
      thread: 'M6',
      count: 4,
      torqueNm: { from: 5, to: 7 },
      torqueFrom: { kind: 'sheet', page: '4' },
      grade: '8.8',
    })
    expect(joint({ 'torqueNm.from': '13 ft-lb' }).joint?.torqueNm?.to).toBeCloseTo(17.626, 3)
  })

  it('keeps what is typed without a thread, a count alone and a page alone (B3)', () => {
    expect(joint({ 'torqueNm.from': '6' }).joint).toMatchObject({
      thread: 'unsaid',
      count: 4,
      torqueNm: { from: 6, to: 6 },
    })
    expect(joint({ count: '6' }).joint).toEqual({ thread: 'unsaid', count: 6 })
    expect(joint({ 'torqueFrom.page': '12' }).joint?.torqueFrom).toEqual({ kind: 'sheet', page: '12' })
  })

  it.each([
    [{ count: '1.5' }, 'count'],
    [{ 'torqueNm.from': '9', 'torqueNm.to': '4' }, 'torqueNm.from'],
    [{ 'torqueNm.from': 'tight' }, 'torqueNm.from'],
    [{ thread: 'a thread nobody would ever write' }, 'thread'],
  ])('refuses %o', (over, field) => {
    expect(Object.keys(joint(over).problems)).toEqual([`parts.0.fasteners.0.${field}`])
  })

  it('has signs, washers and passes of its own (B16)', () => {
    const { joint: read } = joint({
      signs: [{ kind: 'clicks', count: '3', [WAS]: 'id x' }],
      washers: 'flat; lock',
      passesPercent: '50; 100',
      handOnly: 'yes',
    })
    expect(read).toMatchObject({
      signs: [{ kind: 'clicks', count: 3 }],
      washers: ['flat', 'lock'],
      passesPercent: [50, 100],
      handOnly: true,
    })
  })
})

describe('starting values', () => {
  it('make a valid vehicle of every body, with every kind of attachment and obstacle, and guess no figure', () => {
    for (const body of kindsOf(BODIES))
      for (const kind of kindsOf(ATTACHMENTS)) {
        const attachment = startingAttachment(kind, body, 'a1')
        const obstacles = kindsOf(OBSTACLES).map((each) => startingObstacle(each, body, each))
        const was = { ...startingVehicle(body, 'own'), name: 'Own', attachments: [attachment], obstacles }
        const { problems, value } = vehicle(was, {}, 'us')
        expect(problems).toEqual({})
        expect(value.roof.ratings).toEqual([])
      }
  })

  it('make valid gear of every kind but for its name; a weight left empty is not known yet', () => {
    for (const kind of kindsOf(GEAR_KINDS)) {
      const was = startingGear(kind, 'own') as Gear
      expect(Object.keys(gear(was, {}).problems)).toEqual(['name'])
      expect(gear(was, { name: 'Own' }).value.mass).toEqual({ kg: 0, basis: 'unknown' })
      const { value, problems } = gear(was, { name: 'Own', 'mass.kg': '12', 'mass.basis': 'maker' })
      expect(problems).toEqual({})
      expect(value.mass).toEqual({ basis: 'maker', kg: 12, typed: { kg: '12 kg' } })
    }
  })

  it('of a list go with the kind they came from, in whatever order their texts stand', () => {
    const box = toDraft(GEAR_FIELD, startingGear('box', 'own'), shown('metric'))
    const boat = toDraft(GEAR_FIELD, startingGear('boat', 'own'), shown('metric'))
    const turned = JSON.parse(JSON.stringify(box), (_, value: unknown) =>
      typeof value === 'object' && value !== null && !Array.isArray(value)
        ? Object.fromEntries(Object.entries(value).toReversed())
        : value,
    ) as Draft
    const now = carriedOver(turned, box, boat)
    expect(now).toMatchObject({
      carries: { places: [], rated: { by: '' } },
      fit: { mount: { kind: 'strap' } },
    })
  })

  it('of a list follow entry by entry, beside what was typed in the same entry', () => {
    const began = toDraft(RACK_FIELD, squareBars, shown('metric'))
    const moved = { ...squareBars, bars: barsOf(squareBars).map((bar) => ({ ...bar, xMm: bar.xMm - 100 })) }
    const next = toDraft(RACK_FIELD, moved, shown('metric'))
    const now = carriedOver(typed(began, { 'bars.0.lengthMm': '1180' }), began, next) as Record<string, Draft>
    expect(now['bars']).toMatchObject([{ xMm: '210 mm', lengthMm: '1180' }, { xMm: '930 mm' }])
  })

  it('follow another body or kind; what was typed stays', () => {
    const began = toDraft(VEHICLE_FIELD, estate, shown('metric'))
    const van = toDraft(VEHICLE_FIELD, startingVehicle('tallVan', 'own'), shown('metric'))
    const now = carriedOver(
      typed(began, { name: 'Ours', lengthMm: '5 m', kerbKg: '1800 kg' }),
      began,
      van,
    ) as Record<string, unknown>
    expect([now['name'], now['lengthMm'], now['kerbKg']]).toEqual(['Ours', '5 m', '1800 kg'])
    expect(now['heightMm']).toBe((van as Record<string, unknown>)['heightMm'])
  })
})
