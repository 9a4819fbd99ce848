import { ratings, type Vehicle } from '@/core/api/plan'
import { startingSizes } from '@/core/api/assess'

/** Invented vehicles, described by body type. Numbers are plausible and nobody's. */

type Draft = Omit<Vehicle, Exclude<keyof ReturnType<typeof startingSizes>, 'body'>> & {
  figures: Parameters<typeof ratings>[1]
  counts?: 'load' | 'everything'
  /** The roof's skin where somebody measured it. */
  skinZMm?: number
}

function vehicle({ figures, counts, skinZMm, ...draft }: Draft): Vehicle {
  const sizes = startingSizes(draft.body)
  const source = { kind: 'manual', page: '214' } as const
  return {
    ...sizes,
    ...draft,
    known: {
      kerbKg: { by: 'manual' },
      grossKg: { by: 'label' },
      'axleLimitKg.front': { by: 'label' },
      'axleLimitKg.rear': { by: 'label' },
    },
    roof: {
      ...sizes.roof,
      ...(skinZMm === undefined ? {} : { skinZMm }),
      ratings: ratings(`${draft.id}-roof`, figures, source, counts === undefined ? {} : { counts }),
    },
  }
}

const withRoof = { by: 'with', what: 'the roof', source: { kind: 'manual', page: '214' } } as const

export const estate = vehicle({
  id: 'estate',
  name: 'Estate, raised rails',
  body: 'estate',
  doors: 5,
  kerbKg: 1550,
  grossKg: 2080,
  trackMm: { front: 1550, rear: 1540 },
  centreOfGravity: { known: 'stability', frontShare: 0.57, staticStabilityFactor: 1.39 },
  axleLimitKg: { front: 1060, rear: 1110 },
  drive: { energy: 'petrol', efficiencyPercent: 24 },
  figures: { road: 75, trail: 75, parked: 215 },
  counts: 'everything',
  attachments: [
    {
      kind: 'raisedRail',
      id: 'estate-rails',
      name: 'Raised rails',
      rated: withRoof,
      gaugeMm: 1060,
      ranges: [{ fromMm: 260, toMm: 2020 }],
      posts: [{ fromMm: 1090, toMm: 1150 }],
      riseMm: 45,
    },
  ],
  obstacles: [
    {
      kind: 'antenna',
      id: 'estate-antenna',
      name: 'Fin antenna',
      xMm: 2250,
      yMm: 0,
      heightMm: 60,
      form: 'fin',
    },
  ],
})

export const hatchback = vehicle({
  id: 'hatchback',
  name: 'Small hatchback, bare roof',
  body: 'smallHatchback',
  years: { from: 2019 },
  doors: 5,
  kerbKg: 1150,
  grossKg: 1560,
  figures: { road: 55, trail: 55, parked: 160 },
  counts: 'everything',
  attachments: [
    {
      kind: 'bareRoof',
      id: 'hatchback-doors',
      name: 'Door frames',
      rated: withRoof,
      doorPositions: [
        { xMm: 310, yMm: 505 },
        { xMm: 1030, yMm: 505 },
      ],
    },
  ],
  obstacles: [],
})

export const van = vehicle({
  id: 'van',
  name: 'Tall van, fixed points',
  body: 'tallVan',
  kerbKg: 2300,
  grossKg: 3500,
  trackMm: { front: 1790, rear: 1770 },
  centreOfGravity: { known: 'stability', frontShare: 0.58, staticStabilityFactor: 1.21 },
  drive: { energy: 'diesel', efficiencyPercent: 30 },
  figures: { road: 180, trail: 120, parked: 300 },
  counts: 'everything',
  attachments: [
    {
      kind: 'fixedPoint',
      id: 'van-points',
      name: 'Fixed points',
      rated: {
        by: 'own',
        ratings: ratings(
          'van-points',
          { road: 45, trail: 32, parked: 80 },
          { kind: 'manual', page: '215' },
          { per: 'each', counts: 'everything' },
        ),
      },
      points: [
        { xMm: 620, yMm: 800 },
        { xMm: 1780, yMm: 800 },
        { xMm: 2940, yMm: 800 },
      ],
    },
  ],
  obstacles: [],
})

export const pickup = vehicle({
  id: 'pickup',
  name: 'Double-cab pickup, flush rails and bed rails',
  body: 'pickup',
  doors: 4,
  kerbKg: 2150,
  grossKg: 3150,
  trackMm: { front: 1570, rear: 1570 },
  centreOfGravity: { known: 'stability', frontShare: 0.56, staticStabilityFactor: 1.17 },
  axleLimitKg: { front: 1500, rear: 1850 },
  drive: { energy: 'diesel', efficiencyPercent: 28 },
  figures: { road: 90, trail: 60, parked: 200 },
  counts: 'everything',
  skinZMm: 1810,
  attachments: [
    {
      kind: 'flushRail',
      id: 'pickup-cab-rails',
      name: 'Cab rails',
      rated: withRoof,
      gaugeMm: 1080,
      ranges: [{ fromMm: 150, toMm: 1250 }],
    },
    {
      kind: 'bedRail',
      id: 'pickup-bed-rails',
      name: 'Bed rails',
      ratings: ratings(
        'pickup-bed',
        { road: 250, trail: 180, parked: 400 },
        { kind: 'manual', page: '231' },
        { counts: 'everything' },
      ),
      gaugeMm: 1560,
      ranges: [{ fromMm: 1560, toMm: 2980 }],
      topZMm: 1140,
    },
    {
      kind: 'bedChannel',
      id: 'pickup-bed-channels',
      name: 'Bed channels',
      ratings: ratings(
        'pickup-channel',
        { road: 160, trail: 110, parked: 260 },
        { kind: 'manual', page: '233' },
        { counts: 'everything' },
      ),
      gaugeMm: 1500,
      ranges: [{ fromMm: 1600, toMm: 2920 }],
      topZMm: 1080,
      channel: { slotMm: 16, headRoomMm: 9 },
    },
    {
      kind: 'framePoint',
      id: 'pickup-frame',
      name: 'Frame points',
      ratings: ratings(
        'pickup-frame',
        { road: 350, trail: 250, parked: 600 },
        { kind: 'manual', page: '232' },
        { counts: 'everything' },
      ),
      points: [
        { xMm: 1600, yMm: 780 },
        { xMm: 2900, yMm: 780 },
      ],
    },
  ],
  obstacles: [
    {
      kind: 'tailgate',
      id: 'pickup-tailgate',
      name: 'Tailgate',
      hinge: { xMm: 3040, zMm: 640 },
      panel: [
        { xMm: 3040, zMm: 640 },
        { xMm: 3050, zMm: 1140 },
      ],
      halfWidthMm: 720,
      opensDeg: 90,
    },
  ],
})

/** The same pickup under a canopy, whose tracks have figures of their own. */
export const canopyPickup: Vehicle = {
  ...pickup,
  id: 'canopy-pickup',
  name: 'Double-cab pickup with a canopy',
  attachments: [
    ...pickup.attachments.filter(({ kind }) => kind === 'bedRail'),
    {
      kind: 'canopyTrack',
      id: 'canopy-tracks',
      name: 'Canopy tracks',
      ratings: ratings(
        'canopy',
        { road: 100, trail: 60, parked: 240 },
        { kind: 'sheet', page: '6' },
        { counts: 'everything' },
      ),
      gaugeMm: 1240,
      ranges: [{ fromMm: 1640, toMm: 2940 }],
      topZMm: 1790,
      canopyKg: 86,
    },
  ],
}

export const offRoader = vehicle({
  id: 'off-roader',
  name: 'Boxy off-roader, gutters',
  body: 'boxyOffRoader',
  doors: 5,
  kerbKg: 2000,
  trackMm: { front: 1520, rear: 1520 },
  grossKg: 2800,
  figures: { road: 150, trail: 125, parked: 320 },
  counts: 'everything',
  attachments: [
    {
      kind: 'gutter',
      id: 'off-roader-gutters',
      name: 'Gutters',
      rated: withRoof,
      gaugeMm: 1520,
      ranges: [{ fromMm: 220, toMm: 2700 }],
    },
    {
      kind: 'framePoint',
      id: 'off-roader-frame',
      name: 'Frame points',
      seatZMm: 560,
      ratings: ratings(
        'off-roader-frame',
        { road: 300, trail: 220, parked: 500 },
        { kind: 'sheet', page: '3' },
        { counts: 'everything' },
      ),
      points: [
        { xMm: 150, yMm: 880 },
        { xMm: 2750, yMm: 880 },
      ],
    },
  ],
  obstacles: [
    {
      kind: 'antenna',
      id: 'off-roader-antenna',
      name: 'Puck antenna',
      xMm: 2050,
      yMm: 0,
      heightMm: 38,
      form: 'puck',
    },
  ],
})

export const tallWagon = vehicle({
  id: 'tall-wagon',
  name: 'Tall wagon, flush rails',
  body: 'tallWagon',
  doors: 5,
  figures: { road: 80, parked: 225 },
  attachments: [
    {
      kind: 'flushRail',
      id: 'tall-wagon-rails',
      name: 'Flush rails',
      rated: withRoof,
      gaugeMm: 1120,
      ranges: [{ fromMm: 320, toMm: 2100 }],
    },
    {
      kind: 'hatchSeam',
      id: 'tall-wagon-hatch',
      name: 'Hatch',
      ratings: ratings(
        'tall-wagon-hatch',
        { parked: 92 },
        { kind: 'sheet', page: '1' },
        { counts: 'everything' },
      ),
      xMm: 2470,
      seamGapMm: 6,
    },
  ],
  obstacles: [],
})

export const wideEstate = vehicle({
  id: 'wide-estate',
  name: 'Estate, flush rails, glass roof and wide hatch',
  body: 'estate',
  years: { from: 2021 },
  doors: 5,
  trim: 'Shoreline',
  kerbKg: 1610,
  grossKg: 2150,
  figures: { road: 80, trail: 60, parked: 215 },
  counts: 'everything',
  skinZMm: 1490,
  attachments: [
    {
      kind: 'flushRail',
      id: 'wide-estate-rails',
      name: 'Flush rails',
      rated: withRoof,
      gaugeMm: 1080,
      ranges: [{ fromMm: 240, toMm: 2100 }],
    },
  ],
  obstacles: [
    {
      kind: 'hatch',
      id: 'wide-estate-hatch',
      name: 'Hatch',
      hinge: { xMm: 2410, zMm: 1435 },
      panel: [
        { xMm: 2410, zMm: 1435 },
        { xMm: 2780, zMm: 1030 },
        { xMm: 2980, zMm: 960 },
      ],
      halfWidthMm: 640,
      opensDeg: 104,
    },
    { kind: 'spoiler', id: 'wide-estate-spoiler', name: 'Spoiler', fromXMm: 2400, toXMm: 2600, topZMm: 1445 },
    {
      kind: 'sunroof',
      id: 'wide-estate-sunroof',
      name: 'Sunroof',
      openingMm: { fromMm: 260, toMm: 620 },
      widthMm: 760,
      tiltRiseMm: 42,
    },
    { kind: 'doorEdge', id: 'wide-estate-doors', name: 'Door edge', halfWidthMm: 660, headZMm: 1700 },
  ],
})

export const pointSaloon = vehicle({
  id: 'point-saloon',
  name: 'Saloon, fixed points',
  body: 'saloon',
  years: { from: 2018, to: 2024 },
  doors: 4,
  trim: 'Harbour',
  kerbKg: 1450,
  grossKg: 1950,
  figures: { road: 75, trail: 50, parked: 220 },
  counts: 'everything',
  attachments: [
    {
      kind: 'fixedPoint',
      id: 'point-saloon-points',
      name: 'Fixed points under caps',
      rated: withRoof,
      points: [
        { xMm: 330, yMm: 520 },
        { xMm: 920, yMm: 520 },
      ],
    },
  ],
  obstacles: [],
})

export const VEHICLES: readonly Vehicle[] = [
  estate,
  hatchback,
  van,
  pickup,
  canopyPickup,
  offRoader,
  tallWagon,
  wideEstate,
  pointSaloon,
]
