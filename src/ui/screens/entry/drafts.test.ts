import { ATTACHMENTS, BODIES, gearSchema, kindsOf, loadsRoof, rackSchema, vehicleSchema } from '@/core'
import { describe, expect, it } from 'vitest'
import { wingBars } from '@/demo/racks'
import { DEMO_STOCK } from '@/demo/stock'
import { DraftReader } from './draft-reader'
import { gearToDraft, readGear, startingGearDraft } from './gear-draft'
import { nextBar, rackToDraft, readRack, startingPart, startingRackDraft } from './rack-draft'
import { ATTACHMENT_CHOICES, liftAttachments, startingAttachment } from './attachment-draft'
import { readVehicle, startingVehicleDraft, vehicleToDraft } from './vehicle-draft'

/** The same thing without what was typed: a form writes that for every field it shows. */
function plain(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(plain)
  if (typeof value !== 'object' || value === null)
    return typeof value === 'number' ? Math.round(value * 10) / 10 : value
  return Object.fromEntries(
    Object.entries(value)
      .filter(([key]) => key !== 'typed')
      .map(([key, each]) => [key, plain(each)]),
  )
}

describe('a form opened and closed changes nothing', () => {
  it.each(['metric', 'us'] as const)('vehicles, in %s units', (system) => {
    for (const vehicle of DEMO_STOCK.vehicles) {
      const { value, problems } = readVehicle(vehicleToDraft(vehicle, system), system, vehicle.id, vehicle)
      expect(problems).toEqual({})
      expect(sortedKeys(plain(value))).toEqual(sortedKeys(plain(vehicle)))
    }
  })

  it.each(['metric', 'us'] as const)('racks, in %s units', (system) => {
    for (const rack of DEMO_STOCK.racks) {
      const { value, problems } = readRack(rackToDraft(rack, system), system, rack.id, rack)
      expect(problems).toEqual({})
      expect(sortedKeys(plain(value))).toEqual(sortedKeys(plain(rack)))
    }
  })

  it.each(['metric', 'us'] as const)('gear, in %s units', (system) => {
    for (const gear of DEMO_STOCK.gear) {
      const { value, problems } = readGear(gearToDraft(gear, system), system, gear.id, gear)
      expect(problems).toEqual({})
      expect(sortedKeys(plain(value))).toEqual(sortedKeys(plain(gear)))
    }
  })
})

function sortedKeys(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sortedKeys)
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(
    Object.entries(value)
      .toSorted(([a], [b]) => a.localeCompare(b))
      .map(([key, each]) => [key, sortedKeys(each)]),
  )
}

describe('a bar that is not like the front one (E3)', () => {
  const [front, rear] = wingBars.kind === 'ladder' ? [] : wingBars.bars
  const odd = {
    ...wingBars,
    bars: [
      { ...front!, feetYMm: [-530, -200, 200, 530] },
      { ...rear!, profile: { ...rear!.profile, kind: 'square' as const, widthMm: 30, heightMm: 30 } },
    ],
  } as typeof wingBars
  const saved = (edit: (draft: ReturnType<typeof rackToDraft>) => ReturnType<typeof rackToDraft>) => {
    const { value } = readRack(edit(rackToDraft(odd, 'metric')), 'metric', odd.id, odd)
    return value.kind === 'ladder' ? [] : value.bars
  }

  it('keeps its own profile when the front bar’s is typed over', () => {
    const bars = saved((draft) => ({ ...draft, profileWidth: '84' }))
    expect(bars.map(({ profile }) => profile.widthMm)).toEqual([84, 30])
    expect(bars[1]?.profile.kind).toBe('square')
  })

  it('keeps four feet where four were, and moves the outer two', () => {
    const bars = saved((draft) => ({
      ...draft,
      bars: draft.bars.map((bar, i) => (i === 0 ? { ...bar, feet: '1000' } : bar)),
    }))
    expect(bars[0]?.feetYMm).toEqual([-500, -200, 200, 500])
    expect(bars[1]?.feetYMm).toEqual(rear?.feetYMm)
  })
})

describe('figures', () => {
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
    rating('trail', 30, { upToKmH: 80 }),
  ]
  const shown = { road: '50 kg', trail: '30 kg', parked: '', per: 'set', counts: 'unsaid', page: '' } as const

  it('left as they were keep all that is known of them', () => {
    expect(new DraftReader('metric').figures('f', shown, 'x', 'sheet', was).toSorted(byId)).toEqual(
      was.toSorted(byId),
    )
  })

  it('changed keep their id and source; cleared they go; those not shown stay', () => {
    const read = new DraftReader('metric').figures(
      'f',
      { ...shown, road: '55', trail: '' },
      'x',
      'sheet',
      was,
    )
    expect(read.map((each) => [each.id, each.kg])).toEqual([
      ['r-road', 55],
      ['tents', 40],
    ])
    expect(read[0]?.source.text).toBe('under the lid')
  })
})

const byId = (a: { id: string }, b: { id: string }) => a.id.localeCompare(b.id)

describe('starting values', () => {
  it('make a valid vehicle for every body, with every kind of attachment, and guess no figure', () => {
    for (const body of kindsOf(BODIES))
      for (const [kind] of ATTACHMENT_CHOICES) {
        const draft = {
          ...startingVehicleDraft(body, 'us'),
          name: 'Own',
          attachments: [startingAttachment(kind, body, 'a1', 'us')],
        }
        const { value, problems } = readVehicle(draft, 'us', 'own')
        // A mass that counts is never made up: it is asked for.
        const asked = ATTACHMENTS[kind].asks.filter(({ is }) => is === 'mass')
        expect(Object.keys(problems)).toEqual(asked.map(({ key }) => `attachments.0.more.${key}`))
        expect(vehicleSchema.safeParse(value).error).toBeUndefined()
        expect(value.roof.ratings).toEqual([])
        expect(value.attachments[0]?.kind).toBe(kind)
        const [attachment] = value.attachments
        expect('rated' in attachment!).toBe(loadsRoof(kind))
      }
  })

  it('make a valid rack and valid gear of every kind', () => {
    const [vehicle] = DEMO_STOCK.vehicles
    const draft = startingRackDraft(vehicle!, vehicle!.attachments[0]!, 'platform', 'own', 'metric')
    const more = {
      ...draft,
      bars: [...draft.bars, nextBar(draft.bars, 'third', 'metric')],
      parts: [...draft.parts, startingPart('kit')],
    }
    const rack = readRack(more, 'metric', 'own')
    expect(rack.problems).toEqual({})
    expect(rackSchema.safeParse(rack.value).error).toBeUndefined()
    for (const kind of ['box', 'tent', 'boat', 'person', 'can'] as const) {
      const gear = readGear(
        { ...startingGearDraft(kind, 'metric'), name: 'Own', mass: '12' },
        'metric',
        'own',
      )
      expect(gear.problems).toEqual({})
      expect(gearSchema.safeParse(gear.value).error).toBeUndefined()
      expect(gear.value.mass).toEqual({ kg: 12, basis: 'maker', typed: { kg: '12 kg' } })
    }
  })
})

describe('rubbish in a form', () => {
  it('is named field by field, and the drawing goes on with starting values', () => {
    const draft = {
      ...startingVehicleDraft('estate', 'metric'),
      name: ' ',
      length: 'long',
      height: '-3 mm',
      kerb: '2000',
      gross: '1500',
    }
    const { value, problems } = readVehicle(draft, 'metric', 'own')
    expect(Object.keys(problems).sort()).toEqual(['gross', 'height', 'length', 'name'])
    expect(problems['length']).toContain('no number')
    expect([value.lengthMm, value.heightMm]).toEqual([4720, 1490])
  })

  it('catches what cannot be: a wheelbase longer than the vehicle, rails that end before they begin', () => {
    const start = startingVehicleDraft('estate', 'metric')
    const [rails] = start.attachments
    const draft = {
      ...start,
      name: 'Own',
      wheelbase: '6 m',
      attachments: [{ ...rails!, from: '2 m', to: '1 m', points: '' }],
    }
    expect(Object.keys(readVehicle(draft, 'metric', 'own').problems).sort()).toEqual([
      'attachments.0.to',
      'wheelbase',
    ])
  })

  it('catches bars wider than long, feet beyond the bar, and parts that are no number', () => {
    const [vehicle] = DEMO_STOCK.vehicles
    const start = startingRackDraft(vehicle!, vehicle!.attachments[0]!, 'bars', 'own', 'metric')
    const bars = start.bars.map((bar) => ({ ...bar, usable: '3 m', feet: '4 m' }))
    const parts = start.parts.map((part) => ({ ...part, count: 'two', price: 'dear' }))
    const { problems } = readRack({ ...start, bars, parts }, 'metric', 'own')
    expect(
      Object.keys(problems)
        .filter((field) => field.startsWith('bars.0'))
        .sort(),
    ).toEqual(['bars.0.feet', 'bars.0.usable'])
    expect(problems['parts.0.count']).toContain('whole number')
    expect(problems['parts.0.price']).toContain('price')
    expect(readRack({ ...start, bars: [] }, 'metric', 'own').problems['bars']).toContain('needs a bar')
  })

  it('keeps what was typed with its unit, so that it reads the same in the other system', () => {
    const draft = { ...startingVehicleDraft('estate', 'metric'), name: 'Own', length: '4700' }
    const typed = readVehicle(draft, 'metric', 'own').value
    expect(typed.typed?.['length']).toBe('4700 mm')
    const again = readVehicle(vehicleToDraft(typed, 'us'), 'us', 'own', typed).value
    expect(again.lengthMm).toBe(4700)
  })

  it('reads places one after another, in order, or says which cannot be read', () => {
    const reader = new DraftReader('metric')
    expect(reader.positions('points', '1030; 310 mm\n10 in', [])).toEqual([254, 310, 1030])
    expect(reader.positions('bad', '310; here', [5])).toEqual([5])
    expect(reader.problems['bad']).toContain('"here" has no number')
    expect(reader.positions('none', ' ; ', [7])).toEqual([7])
  })
})

describe('a draft kept by an earlier version', () => {
  it('is lifted with all that was typed of its attachments, and reads', () => {
    const draft = startingVehicleDraft('estate', 'metric')
    const { more, ...rest } = draft.attachments[0]!
    const old = {
      ...draft,
      name: 'Own',
      attachments: [{ ...rest, rise: '52 mm', shape: 'oval', top: '1100 mm' }],
    }
    const lifted = liftAttachments(old) as typeof draft
    expect(Object.keys(more)).toEqual(['rise', 'shape'])
    expect(lifted.attachments[0]?.more).toMatchObject({ rise: '52 mm', shape: 'oval' })
    const { value, problems } = readVehicle(lifted, 'metric', 'own')
    expect(problems).toEqual({})
    expect(value.attachments[0]).toMatchObject({ kind: 'raisedRail', riseMm: 52, shape: 'oval' })
    expect(liftAttachments(draft)).toEqual(draft)
    for (const rubbish of [undefined, null, 'text', { attachments: 'none' }])
      expect(liftAttachments(rubbish)).toEqual(rubbish)
  })
})
