import { kindsOf } from '../kinds/kind'
import type { Mount } from '../kinds/mount'
import { BODIES } from '../kinds/body'
import { ATTACHMENTS, type AttachmentKind } from '../kinds/attachment'
import { PART_ROLES } from '../kinds/part-role'
import { BASES } from '../kinds/basis'
import { GEAR_KINDS } from '../kinds/gear-kind'
import fc from 'fast-check'
import { startingSizes } from '../survey/frame/body/starting-sizes'
import { rackKindsFor, startingRack } from '../survey/frame/starting-rack'
import { DEFAULT_HOUSE_RULES, type HouseRules } from './schema/house'
import type { ProvenanceByField } from './schema/provenance'
import { newPlan } from './starting/new-plan'
import type { Gear, Place } from './schema/gear'
import type { Load, Placement } from './schema/placement'
import type { Plan } from './schema/plan'
import { barsOf, deckOf, type Part, type Rack } from './schema/rack'
import { type Rated, type Rating } from './schema/rating'
import { STATES } from '../units/scalars'
import { type Attachment, type Obstacle, type Vehicle } from './schema/vehicle'

/** Plans made from the kinds: every attachment, mount, part and gear, bare racks, and figures that are not there. */

type Of<A> = A extends fc.Arbitrary<infer T> ? T : never

const SHEET = { kind: 'sheet' } as const
const maybe = <T>(of: fc.Arbitrary<T>) => fc.option(of, { nil: undefined })
const kilos = fc.integer({ min: 1, max: 240 }).map((kg) => kg / 2)

interface Drawn {
  readonly kg: number
  readonly per: 'set' | 'each'
  readonly counts: Rating['counts']
  readonly kind: Rating['gearKind']
  readonly upToKmH: number | undefined
  readonly told: boolean
}

const drawn: fc.Arbitrary<Drawn> = fc.record({
  kg: fc.oneof({ weight: 9, arbitrary: kilos }, { weight: 1, arbitrary: fc.constant(0) }),
  per: fc.constantFrom('set' as const, 'set' as const, 'each' as const),
  counts: fc.constantFrom<Rating['counts'][]>('load', 'everything', undefined),
  kind: fc.oneof(
    { weight: 8, arbitrary: fc.constant(undefined) },
    { weight: 1, arbitrary: fc.constantFrom(...kindsOf(GEAR_KINDS)) },
  ),
  upToKmH: fc.oneof(
    { weight: 8, arbitrary: fc.constant(undefined) },
    { weight: 1, arbitrary: fc.integer({ min: 60, max: 140 }) },
  ),
  told: fc.boolean(),
})

/** A figure for some of the states, now and then two for one. */
const figures: fc.Arbitrary<readonly (Drawn | undefined)[]> = fc.array(maybe(drawn), {
  minLength: 3,
  maxLength: 4,
})

const ratingsFrom = (id: string, list: readonly (Drawn | undefined)[]): Rating[] =>
  list.flatMap((figure, i) =>
    figure
      ? [
          {
            id: `${id}-${i}`,
            state: STATES[i % 3] ?? 'road',
            kg: figure.kg,
            per: figure.per,
            ...(figure.counts === undefined ? {} : { counts: figure.counts }),
            ...(figure.kind === undefined ? {} : { gearKind: figure.kind }),
            ...(figure.upToKmH === undefined ? {} : { upToKmH: figure.upToKmH }),
            source: figure.told ? { kind: 'told' } : SHEET,
          },
        ]
      : [],
  )

interface RatedDraw {
  readonly figures: readonly (Drawn | undefined)[]
  readonly withWhat: string | undefined
}
const rated: fc.Arbitrary<RatedDraw> = fc.record({
  figures,
  withWhat: fc.oneof(
    { weight: 6, arbitrary: fc.constant(undefined) },
    {
      weight: 1,
      arbitrary: fc.constantFrom('the feet', 'the bars', 'the roof', 'the rails', 'another part'),
    },
  ),
})
const ratedFrom = (id: string, draw: RatedDraw): Rated =>
  draw.withWhat === undefined
    ? { by: 'own', ratings: ratingsFrom(id, draw.figures) }
    : { by: 'with', what: draw.withWhat, source: SHEET }

function attachmentFrom(kind: AttachmentKind, vehicle: Pick<Vehicle, 'roof'>, draw: RatedDraw): Attachment {
  const common = { id: 'hold', name: 'What holds it' }
  const onRoof = { ...common, rated: ratedFrom('hold', draw) }
  const offRoof = { ...common, ratings: ratingsFrom('hold', draw.figures) }
  const points = [400, 1100].map((xMm) => ({ xMm, yMm: 500 }))
  const along = { gaugeMm: 1000, ranges: [{ fromMm: 100, toMm: Math.max(900, vehicle.roof.toXMm - 50) }] }
  const inBed = { gaugeMm: 1300, ranges: [{ fromMm: 1700, toMm: 3200 }], topZMm: 1000 }
  switch (kind) {
    case 'raisedRail':
      return { kind, ...onRoof, ...along, riseMm: 40 }
    case 'flushRail':
    case 'roofChannel':
    case 'gutter':
      return { kind, ...onRoof, ...along }
    case 'fixedPoint':
    case 'hookPoint':
      return { kind, ...onRoof, points }
    case 'bareRoof':
      return { kind, ...onRoof, doorPositions: points }
    case 'drilledTop':
      return { kind, ...onRoof, points, reinforced: true }
    case 'framePoint':
      return { kind, ...offRoof, points }
    case 'bedRail':
      return { kind, ...offRoof, ...inBed }
    case 'bedChannel':
      return { kind, ...offRoof, ...inBed, channel: { slotMm: 20, headRoomMm: 8 } }
    case 'bedSocket':
      return { kind, ...offRoof, topZMm: 1000, points: [1900, 2900].map((xMm) => ({ xMm, yMm: 650 })) }
    case 'canopyTrack':
      return { kind, ...offRoof, ...inBed, topZMm: 1500, canopyKg: 60 }
    case 'hatchSeam':
      return { kind, ...offRoof, xMm: vehicle.roof.toXMm }
  }
}

/** An attachment of a kind whose papers give no figure. */
export const attachmentOfKind = (kind: AttachmentKind, vehicle: Pick<Vehicle, 'roof'>): Attachment =>
  attachmentFrom(kind, vehicle, { figures: [], withWhat: undefined })

const SECTION = {
  wallMm: 2,
  material: { name: 'Aluminium', eGPa: 69, yieldMPa: 160 },
  channel: { slotMm: 20, headRoomMm: 8 },
} as const

const MOUNTS: readonly Mount[] = [
  { kind: 'unsaid' },
  { kind: 'none' },
  { kind: 'strap' },
  {
    kind: 'wrapClamp',
    sectionWidthMm: { fromMm: 20, toMm: 90 },
    sectionHeightMm: { fromMm: 15, toMm: 40 },
    underBarMm: 20,
  },
  { kind: 'channelBolt', slotMm: 20, headMm: 7, thread: 'M6', boltMm: 30, stackMm: 12 },
  { kind: 'uBolt', sectionWidthMm: { fromMm: 20, toMm: 90 }, sectionHeightMm: { fromMm: 15, toMm: 40 } },
  { kind: 'slat', slotMm: 11 },
  { kind: 'panelHoles', pitchMm: 60, columns: 2, rows: 2 },
  { kind: 'bracket', spacingMm: { fromMm: 500, toMm: 1200 }, direction: 'along' },
  { kind: 'handle', diameterMm: 30 },
]

const SHAPES: Partial<Record<Gear['kind'], Gear['shape']>> = {
  boat: 'hull',
  board: 'board',
  lumber: 'poles',
}

const PLACE: Place = { id: 'inside', name: 'Inside', kind: 'inside', xMm: 0, yMm: 0, zMm: 0 }

const load: fc.Arbitrary<Omit<Load, 'id' | 'name'>> = fc.record({
  when: fc.constantFrom('always' as const, 'driving' as const, 'parked' as const),
  what: fc.oneof(
    fc.record({
      kind: fc.constant('mass' as const),
      mass: fc.record({ kg: kilos, basis: fc.constantFrom(...kindsOf(BASES)) }),
    }),
    fc.record({
      kind: fc.constant('fluid' as const),
      fluid: fc.constantFrom('petrol' as const, 'water' as const),
      litres: fc.integer({ min: 1, max: 40 }),
    }),
    fc.record({
      kind: fc.constant('people' as const),
      count: fc.integer({ min: 1, max: 2 }),
      each: fc.record({ kg: fc.integer({ min: 50, max: 100 }), basis: fc.constantFrom(...kindsOf(BASES)) }),
    }),
  ),
})

const piece = fc.record({
  kind: fc.constantFrom(...kindsOf(GEAR_KINDS)),
  mount: fc.constantFrom(...MOUNTS),
  kg: kilos,
  basis: fc.constantFrom(...kindsOf(BASES)),
  lengthMm: fc.oneof(fc.integer({ min: 400, max: 2000 }), fc.integer({ min: 2000, max: 5200 })),
  overhangMm: maybe(fc.integer({ min: 20, max: 200 })),
  opens: maybe(fc.constantFrom('left' as const, 'rear' as const, 'front' as const)),
  gate: maybe(fc.integer({ min: 20, max: 80 })),
  lines: fc.boolean(),
  widthMm: fc.integer({ min: 200, max: 1400 }),
  heightMm: fc.integer({ min: 100, max: 500 }),
  contacts: fc.boolean(),
  base: maybe(fc.integer({ min: 20, max: 120 })),
  spread: maybe(fc.tuple(fc.integer({ min: 400, max: 800 }), fc.integer({ min: 0, max: 400 }))),
  when: fc.constantFrom('always' as const, 'always' as const, 'parked' as const, 'driving' as const),
  xMm: fc.integer({ min: -200, max: 2600 }),
  yMm: fc.integer({ min: -600, max: 600 }),
  host: fc.nat(5),
  carries: maybe(rated),
  loads: fc.array(load, { maxLength: 2 }),
  straps: maybe(
    fc.record({ count: fc.nat(4), eachKg: fc.integer({ min: 1, max: 300 }) }, { requiredKeys: ['count'] }),
  ),
  start: fc.boolean(),
  half: fc.integer({ min: 0, max: 19 }).map((each) => each === 0),
})

function placedOn(rack: Rack | undefined, { host, xMm, yMm, when, straps }: Of<typeof piece>, id: string) {
  const at = { id, gearId: id, xMm, yMm, turn: 0 as const, onEdge: false, when }
  if (!rack) return undefined
  const tied = straps ? { straps } : {}
  const bars = barsOf(rack).map((bar) => bar.id)
  const place = (on: Placement['host']): Omit<Placement, 'loads'> => ({ ...at, ...tied, host: on })
  if (rack.kind === 'ladder') return place({ on: 'ladder', rackId: rack.id })
  if (deckOf(rack) && host < 4) return place({ on: 'deck', rackId: rack.id })
  if (host === 5 && rack.parts.some(({ role }) => role === 'panels' || role === 'trusses'))
    return place({ on: 'panel', rackId: rack.id, side: yMm < 0 ? 'left' : 'right', zMm: 150 })
  return place({ on: 'bars', barIds: host === 0 ? bars.slice(0, 1) : bars })
}

const OBSTACLES: readonly Obstacle[] = [
  {
    kind: 'sunroof',
    id: 'pane',
    name: 'Sunroof',
    openingMm: { fromMm: 300, toMm: 800 },
    widthMm: 800,
    tiltRiseMm: 60,
  },
  { kind: 'sunroof', id: 'mute', name: 'Roof pane', openingMm: { fromMm: 300, toMm: 800 }, widthMm: 800 },
  { kind: 'antenna', id: 'fin', name: 'Fin', xMm: 1500, yMm: 0, heightMm: 70, form: 'fin' },
  { kind: 'antenna', id: 'mast', name: 'Mast', xMm: 200, yMm: 300, heightMm: 800, form: 'mast' },
  {
    kind: 'hatch',
    id: 'hatch',
    name: 'Hatch',
    hinge: { xMm: 2100, zMm: 1450 },
    panel: [
      { xMm: 2100, zMm: 1450 },
      { xMm: 2600, zMm: 900 },
    ],
    halfWidthMm: 500,
    opensDeg: 85,
  },
  { kind: 'doorEdge', id: 'edge', name: 'Door edge', halfWidthMm: 600, headZMm: 1900 },
]

const rules: fc.Arbitrary<HouseRules> = fc
  .record({
    parked: fc.constantFrom('strict' as const, 'ruleOfThree' as const),
    trail: fc.constantFrom<HouseRules['trailMissing'][]>(
      { school: 'strict' },
      { school: 'derate', factor: 2 / 3 },
    ),
    roof: fc.constantFrom('everything' as const, 'load' as const),
    guess: fc.constantFrom<HouseRules['guess'][]>(
      { school: 'takeIt' },
      { school: 'margin', percent: 10 },
      { school: 'weighIt' },
    ),
    uneven: fc.constantFrom('evenShare' as const, 'totalOnly' as const),
    local: maybe(fc.constantFrom('gb', 'de', 'us-federal')),
  })
  .map(({ parked, trail, roof, guess, uneven, local }) => ({
    ...DEFAULT_HOUSE_RULES,
    parkedMissing: parked,
    trailMissing: trail,
    roofCounts: roof,
    guess,
    uneven,
    ...(local === undefined ? {} : { localRules: local }),
  }))

const vehicleDraw = fc.record({
  body: fc.constantFrom(...kindsOf(BODIES)),
  attachment: fc.constantFrom(...kindsOf(ATTACHMENTS)),
  rackKind: fc.nat(3),
  roof: figures,
  hold: rated,
  parts: fc.array(
    fc.record({ rated, kg: kilos, start: fc.boolean(), extra: fc.constantFrom(...kindsOf(PART_ROLES)) }),
    {
      minLength: 5,
      maxLength: 5,
    },
  ),
  extra: fc.boolean(),
  known: fc.record({
    kerbKg: maybe(fc.integer({ min: 900, max: 2200 })),
    payloadKg: maybe(fc.integer({ min: -50, max: 800 })),
    balance: fc.boolean(),
    axles: fc.boolean(),
  }),
  obstacles: fc.subarray([...OBSTACLES]),
  bare: fc.integer({ min: 0, max: 9 }),
  xs: fc.array(fc.integer({ min: 50, max: 2600 }), { minLength: 2, maxLength: 2 }),
  moveBars: fc.boolean(),
  footWidthMm: maybe(fc.integer({ min: 40, max: 160 })),
  towerMm: maybe(fc.constantFrom(1000, 1010, 900)),
  kit: maybe(
    fc.constantFrom<NonNullable<Part['kit']>[]>(
      {},
      { bodies: ['estate', 'pickup'] },
      { years: { from: 2015 } },
    ),
  ),
  channelMm: maybe(fc.constantFrom(11, 20)),
  section: fc.boolean(),
  door: maybe(fc.integer({ min: 1500, max: 3200 })),
  tail: maybe(fc.record({ kg: kilos, basis: fc.constantFrom(...kindsOf(BASES)) })),
  /** What somebody else says of a bar's room, of a part's weight, and of the spread. */
  apart: fc.record({
    riseMm: maybe(fc.integer({ min: 0, max: 200 })),
    eachKg: maybe(kilos),
    spreadMm: maybe(fc.constantFrom(600, 700, 900)),
  }),
  /** Whether the rearmost bar stands on something else. */
  split: fc.integer({ min: 0, max: 4 }).map((each) => each === 0),
  barKg: maybe(fc.integer({ min: 1, max: 9 })),
})

function vehicleFrom(draw: Of<typeof vehicleDraw>): Vehicle {
  const sizes = startingSizes(draw.body)
  const { kerbKg, payloadKg, balance, axles } = draw.known
  return {
    ...sizes,
    id: 'vehicle',
    name: 'Made vehicle',
    roof: { ...sizes.roof, ratings: ratingsFrom('roof', draw.roof) },
    attachments: [
      attachmentFrom(draw.attachment, sizes, draw.hold),
      ...(draw.split
        ? [
            {
              ...attachmentFrom(draw.attachment === 'bedRail' ? 'gutter' : 'bedRail', sizes, draw.hold),
              id: 'second',
              name: 'What holds its end',
            },
          ]
        : []),
    ],
    obstacles: draw.obstacles,
    ...(draw.tail
      ? { tail: [{ id: 'ball', name: 'On the ball', mass: draw.tail, xMm: 3100, zMm: 500 }] }
      : {}),
    ...(kerbKg === undefined ? {} : { kerbKg }),
    ...(kerbKg === undefined || payloadKg === undefined ? {} : { grossKg: kerbKg + payloadKg }),
    ...(balance
      ? {
          centreOfGravity: { known: 'position', xMm: 700, heightMm: 650 } as const,
          trackMm: { front: 1500, rear: 1500 },
        }
      : {}),
    ...(axles ? { axleLimitKg: { front: 900, rear: 1000 } } : {}),
    ...(draw.door === undefined ? {} : { known: { heightMm: { by: 'start' } as const } }),
  }
}

/** What was said of a section leaves no starting value of it. */
const withoutProfile = (known: ProvenanceByField | undefined): ProvenanceByField =>
  Object.fromEntries(Object.entries(known ?? {}).filter(([field]) => !field.startsWith('profile.')))

function rackFrom(vehicle: Vehicle, draw: Of<typeof vehicleDraw>): Rack | undefined {
  const [attachment] = vehicle.attachments
  const kinds = attachment ? rackKindsFor(attachment) : []
  const kind = kinds[draw.rackKind % Math.max(1, kinds.length)]
  if (!attachment || !kind || draw.bare === 9) return undefined
  const rack = startingRack(vehicle, attachment, kind, 'rack')
  const parts = rack.parts.map((part, i): Part => {
    const each = draw.parts[i]
    const { known: _, ...rest } = part
    return each
      ? {
          ...rest,
          eachKg: each.kg / 4,
          rated: ratedFrom(part.id, each.rated),
          ...(each.start
            ? { known: { eachKg: { by: 'start' } } }
            : i === 0 && draw.apart.eachKg !== undefined
              ? {
                  known: {
                    eachKg: { by: 'sheet', others: [{ value: draw.apart.eachKg, by: 'weighed' }] },
                  },
                }
              : {}),
          ...(draw.kit && part.role === 'feet' ? { kit: draw.kit } : {}),
          ...(draw.extra && part.role === 'feet'
            ? { fasteners: [{ thread: 'M8', count: 4, stackMm: draw.moveBars ? 20 : 10, lengthMm: 25 }] }
            : {}),
          ...(draw.channelMm !== undefined && part.role === 'feet'
            ? {
                mount: {
                  kind: 'channelBolt' as const,
                  slotMm: draw.channelMm,
                  headMm: 6,
                  thread: 'M8',
                  stackMm: 10,
                },
              }
            : {}),
        }
      : part
  })
  const more = draw.parts[4]
  const extra: Part[] =
    draw.extra && more && !parts.some(({ role }) => role === more.extra)
      ? [
          {
            id: 'extra',
            role: more.extra,
            name: 'Extra part',
            count: 2,
            eachKg: more.kg / 8,
            rated: ratedFrom('extra', more.rated),
          },
        ]
      : []
  const all = {
    parts: [...parts, ...extra],
    ...(draw.footWidthMm === undefined ? {} : { footWidthMm: draw.footWidthMm }),
  }
  if (rack.kind === 'ladder') return { ...rack, ...all, when: draw.moveBars ? 'always' : 'parked' }
  return {
    ...rack,
    ...all,
    ...(draw.towerMm === undefined
      ? {}
      : {
          fitSheet: {
            source: SHEET,
            rows: [
              {
                profile: 'aero' as const,
                towerMm: { front: draw.towerMm, rear: draw.towerMm },
                ...(draw.apart.spreadMm === undefined
                  ? {}
                  : { spreadMm: { fromMm: draw.apart.spreadMm, toMm: draw.apart.spreadMm + 100 } }),
              },
            ],
          },
        }),
    bars: rack.bars.map((bar, i) => ({
      ...bar,
      xMm: draw.moveBars ? (draw.xs[i] ?? bar.xMm) : bar.xMm,
      ...(draw.section ? { profile: { ...bar.profile, ...SECTION }, known: withoutProfile(bar.known) } : {}),
      ...(draw.split && i > 0 && i === rack.bars.length - 1 ? { attachmentId: 'second' } : {}),
      ...(draw.barKg === undefined || i > 0 ? {} : { kg: draw.barKg }),
      ...(draw.extra && draw.barKg !== undefined && i === 0
        ? { end: draw.moveBars ? ('rear' as const) : ('front' as const) }
        : {}),
      ...(draw.apart.riseMm === undefined || i > 0
        ? {}
        : {
            known: {
              ...bar.known,
              riseMm: {
                by: 'told' as const,
                others: [{ value: draw.apart.riseMm, by: 'measured' as const }],
              },
            },
          }),
    })),
  }
}

export interface Making {
  readonly vehicle: Of<typeof vehicleDraw>
  readonly pieces: readonly Of<typeof piece>[]
  readonly rules: HouseRules
  readonly snowKgPerM2: number
  readonly roadKmH: number
  readonly trailRollDeg: number
}

function made({ vehicle: draw, pieces, rules: house, snowKgPerM2, roadKmH, trailRollDeg }: Making): Plan {
  const vehicle = vehicleFrom(draw)
  const rack = rackFrom(vehicle, draw)
  const plan = newPlan({
    id: 'made',
    job: { name: 'Made' },
    vehicle,
    racks: rack ? [rack] : [],
    rules: house,
    clearances: draw.door === undefined ? [] : [{ id: 'door', name: 'Door', heightMm: draw.door }],
  })
  const placed = pieces.flatMap((each, i) => {
    const at = placedOn(rack, each, `thing-${i}`)
    return at ? [{ each, at, id: `thing-${i}` }] : []
  })
  return {
    ...plan,
    use: { ...plan.use, snowKgPerM2, roadKmH, trailRollDeg },
    gear: placed.map(({ each, id }): Gear => ({
      id,
      kind: each.kind,
      name: `${each.kind} ${id}`,
      shape: SHAPES[each.kind] ?? 'box',
      lengthMm: each.lengthMm,
      widthMm: each.widthMm,
      heightMm: each.heightMm,
      // Some have been weighed before, and weighed otherwise.
      mass: {
        kg: each.kg,
        basis: each.basis,
        ...(Math.round(each.kg) % 4 === 0
          ? { others: [{ kg: each.kg * 1.4, basis: 'weighed' as const }] }
          : {}),
      },
      turns: [0, 90, 180, 270],
      onEdge: false,
      when: 'always',
      fit: {
        mount: each.mount,
        ...(each.base === undefined ? {} : { baseMm: each.base }),
        ...(each.overhangMm === undefined ? {} : { overhangMm: each.overhangMm }),
        ...(each.spread
          ? { spreadMm: { fromMm: each.spread[0], toMm: each.spread[0] + each.spread[1] } }
          : {}),
      },
      ...(each.contacts ? { contactsMm: { along: [], across: [-each.widthMm / 3, each.widthMm / 3] } } : {}),
      ...(each.carries ? { carries: { rated: ratedFrom(id, each.carries), places: [PLACE] } } : {}),
      ...(each.opens
        ? {
            opens: {
              toward: each.opens,
              reachMm: 900,
              floorMm: 250,
              ladder: { dropMm: { fromMm: 1400, toMm: 2200 }, outMm: 300 },
              coverGapMm: 150,
            },
          }
        : {}),
      ...(each.gate === undefined
        ? {}
        : {
            gates: [
              {
                id: 'gap',
                question: 'Gap at the seam',
                ask: { kind: 'length' as const, fromMm: 20, toMm: 60, datum: 'edge to edge' },
              },
            ],
          }),
      ...(each.start ? { known: { widthMm: { by: 'start' } as const } } : {}),
      ...(each.half && each.opens === undefined ? { typed: { 'opens.reachMm': '900 mm' } } : {}),
    })),
    placements: placed.map(({ each, at }): Placement => ({
      ...at,
      ...(each.lines ? { lines: { bow: true, stern: true } } : {}),
      loads: each.loads.map((one, i) => ({ ...one, id: `load-${i}`, name: `Load ${i}` })),
    })),
  }
}

/** Any plan that can be made from the kinds. */
export const madePlans: fc.Arbitrary<Plan> = fc
  .record({
    vehicle: vehicleDraw,
    pieces: fc.array(piece, { maxLength: 3 }),
    rules,
    snowKgPerM2: fc.constantFrom(0, 0, 40),
    roadKmH: fc.integer({ min: 50, max: 130 }),
    trailRollDeg: fc.integer({ min: 0, max: 40 }),
  })
  .map(made)
