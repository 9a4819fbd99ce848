import { bar, type Bar, part, type Part, type Rack } from '@/core/api/plan'
import { AERO, HEAVY, sheet, SQUARE, ratedTogether } from './compose'

/** Invented racks: parts with figures of their own, made for the demo's vehicles. */

export const wingBars: Rack = {
  id: 'wing',
  kind: 'bars',
  name: 'Aero bars on rail feet',
  attachmentId: 'estate-rails',
  footWidthMm: 90,
  bars: [
    bar('wing-front', 'Front bar', 430, 1270, 530, 60, AERO),
    bar('wing-rear', 'Rear bar', 1190, 1270, 530, 60, AERO),
  ],
  parts: [
    part(
      'aero-bars',
      'bars',
      'Aero bars',
      2,
      2.6,
      sheet('aero-bars', { road: 100, trail: 80, parked: 220 }),
      148,
    ),
    {
      ...part(
        'wing-feet',
        'feet',
        'Rail feet',
        4,
        0.85,
        sheet('wing-feet', { road: 90, trail: 75, parked: 200 }),
        164,
      ),
      fasteners: [
        {
          name: 'rail clamps',
          thread: 'M6',
          count: 4,
          stackMm: 14,
          lengthMm: 25,
          torqueNm: { from: 6, to: 6 },
          torqueFrom: { kind: 'sheet', page: '4' },
          signs: [{ kind: 'reading' }, { kind: 'clicks', count: 1 }],
          tool: 'the torque key from the box',
        },
      ],
      work: {
        have: true,
        sides: 'marked',
        arrows: [{ on: 'Pads', toward: 'outward' }],
        keys: { cores: 4, codes: ['Q17'] },
      },
    },
  ],
}

export const squareBars: Rack = {
  id: 'square',
  kind: 'bars',
  name: 'Square bars on door-frame feet',
  attachmentId: 'hatchback-doors',
  footWidthMm: 70,
  fitSheet: {
    source: { kind: 'sheet', page: '4' },
    rows: [
      {
        profile: 'square',
        towerMm: { front: 1010, rear: 1000 },
        xMm: { front: 310, rear: 1030, within: 5 },
      },
      { profile: 'aero', towerMm: { front: 1004, rear: 994 } },
    ],
  },
  bars: [
    { ...bar('square-front', 'Front bar', 310, 1180, 505, 75, SQUARE), end: 'front' },
    { ...bar('square-rear', 'Rear bar', 1030, 1150, 500, 75, SQUARE), end: 'rear' },
  ],
  parts: [
    part(
      'square-bars',
      'bars',
      'Square bars',
      2,
      2.9,
      sheet('square-bars', { road: 75, trail: 55, parked: 180 }),
      66,
    ),
    part('square-feet', 'feet', 'Door-frame feet', 4, 0.9, { by: 'own', ratings: [] }, 139),
    {
      ...part('square-kit', 'fitKit', 'Fit kit, door hooks and pads', 1, 0.8, ratedTogether('the feet'), 58),
      kit: { bodies: ['smallHatchback'], years: { from: 2017 }, doors: [5] },
      work: {
        places: ['LHF', 'RHF', 'LHR', 'RHR'].map((at) => ({
          at,
          piece: 'Pad',
          mark: at,
          arrow: 'outward' as const,
          icon: 'three dots to three on the foot',
        })),
      },
    },
  ],
}

export const vanBars: Rack = {
  id: 'van-bars',
  kind: 'bars',
  name: 'Heavy bars on fixed points',
  attachmentId: 'van-points',
  bars: [
    bar('van-front', 'Front bar', 620, 1780, 800, 70, HEAVY),
    bar('van-middle', 'Middle bar', 1780, 1780, 800, 70, HEAVY),
    bar('van-rear', 'Rear bar', 2940, 1780, 800, 70, HEAVY),
  ],
  parts: [
    part(
      'van-bars-bars',
      'bars',
      'Heavy bars',
      3,
      4.4,
      sheet('van-bars', { road: 60, trail: 45, parked: 110 }, { per: 'each', counts: 'load' }),
      255,
    ),
    part(
      'van-bars-feet',
      'feet',
      'Point feet',
      6,
      1.1,
      sheet('van-feet', { road: 200, trail: 150, parked: 360 }),
      210,
    ),
  ],
}

export const cabBars: Rack = {
  id: 'cab',
  kind: 'bars',
  name: 'Cab rack',
  attachmentId: 'pickup-cab-rails',
  bars: [
    { ...bar('cab-front', 'Cab front bar', 330, 1330, 540, 80, AERO), usableMm: 1270 },
    { ...bar('cab-rear', 'Cab rear bar', 1080, 1330, 540, 80, AERO), usableMm: 1270 },
  ],
  parts: [
    part(
      'cab-bars',
      'bars',
      'Cab bars',
      2,
      2.7,
      sheet('cab-bars', { road: 100, trail: 75, parked: 220 }),
      152,
    ),
    part(
      'cab-feet',
      'feet',
      'Flush-rail feet',
      4,
      0.9,
      sheet('cab-feet', { road: 80, trail: 60, parked: 200 }),
      172,
    ),
  ],
}

export const canopyBars: Rack = {
  id: 'canopy',
  kind: 'bars',
  name: 'Bars on the canopy',
  attachmentId: 'canopy-tracks',
  bars: [
    { ...bar('canopy-front', 'Canopy front bar', 1760, 1400, 620, 70, AERO), usableMm: 1340 },
    { ...bar('canopy-rear', 'Canopy rear bar', 2760, 1400, 620, 70, AERO), usableMm: 1340 },
  ],
  parts: [
    part(
      'canopy-bars',
      'bars',
      'Canopy bars',
      2,
      2.8,
      sheet('canopy-bars', { road: 110, trail: 80, parked: 220 }),
      158,
    ),
    part(
      'canopy-feet',
      'feet',
      'Track feet',
      4,
      0.7,
      sheet('canopy-feet', { road: 100, trail: 70, parked: 220 }),
      128,
    ),
  ],
}

export const bedRack: Rack = {
  id: 'bed',
  kind: 'bed',
  name: 'Bed rack',
  attachmentId: 'pickup-bed-rails',
  footWidthMm: 80,
  sideHeightMm: 420,
  panelGrid: { pitchMm: 50, columns: 24, rows: 6 },
  bars: [
    bar('bed-front', 'Bed front bar', 1820, 1480, 700, 743, HEAVY),
    bar('bed-rear', 'Bed rear bar', 2760, 1480, 700, 743, HEAVY),
  ],
  parts: [
    part(
      'bed-panels',
      'panels',
      'Side panels',
      2,
      6.5,
      sheet('bed-panels', { road: 30, trail: 25, parked: 40 }, { per: 'each', counts: 'load' }),
      240,
    ),
    part(
      'bed-bars',
      'bars',
      'Bed bars',
      2,
      4.1,
      sheet('bed-bars', { road: 180, trail: 93, parked: 300 }),
      190,
    ),
    part(
      'bed-trusses',
      'trusses',
      'Trusses',
      2,
      9.5,
      sheet('bed-trusses', { road: 210, trail: 145, parked: 340 }),
      480,
    ),
    part(
      'bed-clamps',
      'feet',
      'Bed-rail clamps',
      4,
      0.9,
      sheet('bed-clamps', { road: 60, trail: 40, parked: 140 }, { per: 'each', counts: 'load' }),
      96,
    ),
  ],
}

export const gutterPlatform: Rack = {
  id: 'platform',
  kind: 'platform',
  name: 'Slat platform on gutter feet',
  attachmentId: 'off-roader-gutters',
  footWidthMm: 90,
  deck: { xMm: 1400, yMm: 0, lengthMm: 2200, widthMm: 1420, heightMm: 45, slatSlotMm: 11 },
  bars: [
    bar('platform-1', 'Front beam', 520, 1420, 700, 70, HEAVY),
    bar('platform-2', 'Middle beam', 1400, 1420, 700, 70, HEAVY),
    bar('platform-3', 'Rear beam', 2280, 1420, 700, 70, HEAVY),
  ],
  parts: [
    {
      ...part(
        'platform-deck',
        'deck',
        'Slat platform',
        1,
        34,
        sheet('platform-deck', { road: 140, trail: 95, parked: 200 }),
        690,
      ),
      fasteners: [
        {
          name: 'slats to beams',
          thread: 'M6',
          lengthMm: 16,
          count: 24,
          grade: 'A2-70',
          torqueNm: { from: 6, to: 8 },
          torqueFrom: { kind: 'sheet', page: '5' },
          washers: ['flat'],
          nut: 'channel',
          startTurns: 3,
          tool: '5 mm hex key',
        },
      ],
      work: {
        have: true,
        box: {
          holds: [{ what: 'Slats', count: 8 }],
          lacks: [{ what: 'Wind deflector', count: 1, price: 74 }],
          unused: [{ what: 'Rail brackets', count: 6 }],
        },
        consumables: [{ what: 'Anti-seize, sachet', count: 2, price: 3 }],
        arrows: [{ on: 'Outer slats', toward: 'front' }],
        steps: [
          {
            id: 'square-deck',
            stage: 'bench',
            decidesSpread: true,
            title: 'Square the deck by its diagonals',
            detail: 'Corner to corner, both ways, within 3 mm; its slats are then pulled for good.',
            after: ['lay-out'],
            minutes: { from: 6, to: 10 },
            hands: 2,
            tools: ['tape'],
          },
          {
            id: 'lay-out',
            stage: 'bench',
            title: 'Lay beams and slats upside down',
            detail: 'Outer slats’ arrows forward; channel nuts in every slat before its plug.',
            minutes: { from: 10, to: 15 },
            tools: ['blankets'],
          },
          {
            id: 'spacers',
            stage: 'start',
            title: 'Card under the beams over the roof',
            minutes: { from: 1, to: 2 },
            temporary: { what: 'the card under the beams' },
          },
        ],
      },
    },
    {
      ...part(
        'platform-feet',
        'feet',
        'Gutter feet',
        6,
        1.2,
        sheet('platform-feet', { road: 150, trail: 100, parked: 260 }),
        258,
      ),
      fasteners: [
        {
          name: 'gutter clamps',
          thread: 'M8',
          lengthMm: 40,
          count: 12,
          grade: '8.8',
          torqueNm: { from: 11, to: 13 },
          torqueFrom: { kind: 'sheet', page: '7' },
          signs: [{ kind: 'reading' }, { kind: 'threads', showing: 2 }],
          washers: ['lock', 'flat'],
          nut: 'plain',
          startTurns: 4,
          tool: '13 mm socket',
          handOnly: true,
        },
      ],
      work: {
        have: true,
        sides: 'marked',
        arrows: [{ on: 'Gutter hooks', toward: 'outward' }],
        consumables: [{ what: 'Film under the hooks, strip', count: 6, price: 1 }],
        steps: [
          {
            id: 'film',
            stage: 'vehicle',
            title: 'Film in the gutter at each hook',
            minutes: { from: 2, to: 3 },
            times: 'side',
          },
        ],
      },
    },
  ],
}

export const frameRack: Rack = {
  id: 'frame',
  kind: 'frame',
  name: 'Frame rack',
  attachmentId: 'off-roader-frame',
  deck: { xMm: 1450, yMm: 0, lengthMm: 2500, widthMm: 1500, heightMm: 50, slatSlotMm: 11 },
  bars: [
    bar('frame-front', 'Front hoop', 450, 1640, 800, 90, HEAVY),
    bar('frame-rear', 'Rear hoop', 2450, 1640, 800, 90, HEAVY),
  ],
  parts: [
    part(
      'frame-deck',
      'deck',
      'Frame deck',
      1,
      46,
      sheet('frame-deck', { road: 220, trail: 150, parked: 400 }),
      980,
    ),
    part(
      'frame-legs',
      'legs',
      'Legs to the frame',
      4,
      7.5,
      sheet('frame-legs', { road: 80, trail: 55, parked: 140 }, { per: 'each', counts: 'load' }),
      520,
    ),
  ],
}

export const flushBars: Rack = {
  id: 'flush',
  kind: 'bars',
  name: 'Low bars on flush rails',
  attachmentId: 'tall-wagon-rails',
  bars: [
    bar('flush-front', 'Front bar', 520, 1240, 560, 55, AERO),
    bar('flush-rear', 'Rear bar', 1340, 1200, 550, 55, AERO),
  ],
  parts: [
    part('flush-bars', 'bars', 'Low bars', 2, 2.5, sheet('flush-bars', { road: 96, parked: 205 }), 158),
    part('flush-feet', 'feet', 'Flush feet', 4, 0.8, sheet('flush-feet', { road: 72, parked: 190 }), 166),
  ],
}

export const hatchLadder: Rack = {
  id: 'hatch-ladder',
  kind: 'ladder',
  name: 'Hatch ladder',
  attachmentId: 'tall-wagon-hatch',
  gates: [
    {
      id: 'seam',
      question: 'Gap at the hatch seam',
      ask: { kind: 'length', fromMm: 4, toMm: 26, datum: 'roof edge to hatch edge, at the ladder' },
    },
    {
      id: 'sealant',
      question: 'Thickness of the sealant in the seam',
      ask: { kind: 'length', fromMm: 0, toMm: 5, softToMm: 3.2, datum: 'seam floor to top of the bead' },
      implies: {
        gateId: 'seam',
        plusFromMm: 1.5,
        plusToMm: 24,
        why: 'the seam is at least 1.5 mm wider than its bead',
      },
    },
    {
      id: 'spoiler-gap',
      question: 'Gap from rack to spoiler',
      ask: { kind: 'length', fromMm: 65, toMm: 350, datum: 'rear bar to front edge of the spoiler' },
    },
    {
      id: 'edge',
      question: 'Hook over the hatch edge',
      ask: { kind: 'gauge', gauge: 'a 5 mm drill, shank first', must: 'go' },
    },
    {
      id: 'helper',
      question: 'Who steps on the hook to seat it',
      ask: { kind: 'mass', fromKg: 68, toKg: 95 },
    },
  ],
  when: 'parked',
  topZMm: 1690,
  bottomZMm: 700,
  xMm: 2960,
  yMm: -360,
  widthMm: 320,
  parts: [
    part('hatch-ladder-ladder', 'ladder', 'Ladder', 1, 6.8, sheet('hatch-ladder', { parked: 105 }), 210),
  ],
}

export const lowBars: Rack = {
  id: 'low',
  kind: 'bars',
  name: 'Aero bars on flush feet',
  attachmentId: 'wide-estate-rails',
  footWidthMm: 90,
  bars: [
    { ...bar('low-front', 'Front bar', 1240, 1280, 540, 62, AERO), usableMm: 990 },
    { ...bar('low-rear', 'Rear bar', 2000, 1280, 540, 62, AERO), usableMm: 990 },
  ],
  parts: [
    part(
      'low-bars',
      'bars',
      'Aero bars',
      2,
      2.6,
      sheet('low-bars', { road: 100, trail: 80, parked: 220 }),
      148,
    ),
    {
      ...part(
        'low-feet',
        'feet',
        'Flush feet',
        4,
        0.9,
        sheet('low-feet', { road: 90, trail: 75, parked: 200 }),
        172,
      ),
      suits: ['flushRail'],
      kit: { years: { from: 2020 }, trims: ['Shoreline', 'Tideway'] },
    },
  ],
}

export const pointBars: Rack = {
  id: 'points',
  kind: 'bars',
  name: 'Short bars on fixed points',
  attachmentId: 'point-saloon-points',
  footWidthMm: 80,
  bars: [
    bar('points-front', 'Front bar', 330, 1240, 520, 58, AERO),
    bar('points-rear', 'Rear bar', 920, 1200, 520, 58, AERO),
  ],
  parts: [
    part(
      'points-bars',
      'bars',
      'Short bars',
      2,
      2.4,
      sheet('points-bars', { road: 90, trail: 70, parked: 200 }),
      139,
    ),
    {
      ...part(
        'points-feet',
        'feet',
        'Point feet',
        4,
        0.8,
        sheet('points-feet', { road: 80, trail: 60, parked: 190 }),
        158,
      ),
      suits: ['fixedPoint'],
    },
  ],
}

export const RACKS: readonly Rack[] = [
  wingBars,
  squareBars,
  vanBars,
  cabBars,
  canopyBars,
  bedRack,
  gutterPlatform,
  frameRack,
  flushBars,
  hatchLadder,
  lowBars,
  pointBars,
]

/** Stronger parts to change to, each for the attachments it suits. */
export const DEMO_PARTS: readonly Part[] = [
  {
    ...part(
      'stock-feet-strong',
      'feet',
      'Door-frame feet, heavy',
      4,
      1.1,
      sheet('feet-strong', { road: 90, trail: 70, parked: 220 }),
      189,
    ),
    suits: ['bareRoof'],
  },
  {
    ...part(
      'stock-rail-feet-strong',
      'feet',
      'Rail feet, cast',
      4,
      1.2,
      sheet('rail-feet-strong', { road: 130, trail: 100, parked: 280 }),
      218,
    ),
    suits: ['raisedRail', 'flushRail'],
  },
  {
    ...part(
      'stock-bars-strong',
      'bars',
      'Aero bars, heavy',
      2,
      3.4,
      sheet('bars-strong', { road: 130, trail: 105, parked: 280 }),
      212,
    ),
    suits: ['raisedRail', 'flushRail'],
  },
  {
    ...part(
      'stock-deck-strong',
      'deck',
      'Slat platform, braced',
      1,
      41,
      sheet('deck-strong', { road: 180, trail: 140, parked: 340 }),
      840,
    ),
    suits: ['gutter', 'raisedRail'],
  },
  {
    ...part(
      'stock-gutter-feet-strong',
      'feet',
      'Gutter feet, cast',
      6,
      1.6,
      sheet('gutter-feet-strong', { road: 210, trail: 160, parked: 380 }),
      342,
    ),
    suits: ['gutter'],
  },
  {
    ...part(
      'stock-bed-bars-strong',
      'bars',
      'Bed bars, boxed',
      2,
      5.2,
      sheet('bed-bars-strong', { road: 240, trail: 200, parked: 420 }),
      264,
    ),
    suits: ['bedRail', 'bedChannel'],
  },
]

/** Bars kept by length, to swap for on the same feet. */
export const DEMO_BARS: readonly Bar[] = [
  { ...bar('stock-bar-1200', 'Aero bar 1200', 0, 1200, 560, 60, AERO), usableMm: 1020 },
  { ...bar('stock-bar-1360', 'Aero bar 1360', 0, 1360, 600, 60, AERO), usableMm: 1180 },
  { ...bar('stock-bar-1520', 'Aero bar 1520', 0, 1520, 680, 60, AERO), usableMm: 1340 },
]
