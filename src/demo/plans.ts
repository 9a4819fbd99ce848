import { DEFAULT_HOUSE_RULES, type Gear, newPlan, onBars, type Plan, type Rack } from '@/core/api/plan'
import { contents, guess, inPlace, maker, onDeck, sleeping, weighedMass } from './compose'
import * as camp from './gear/camp'
import * as cargo from './gear/cargo'
import * as carriers from './gear/carriers'
import * as r from './racks'
import * as v from './vehicles'

const g = { ...carriers, ...camp, ...cargo }

/**
 * The demo: Gannet Quay Outfitting, an invented yard in an invented harbour town. It runs a sea-boat school,
 * keeps a ridge-survey crew on the road and rents out what is left.
 */

function job(
  id: string,
  name: string,
  rest: Omit<Parameters<typeof newPlan>[0], 'id' | 'job'> & {
    number: string
    customer: string
    due?: string
    note?: string
    gear: Gear[]
    placements: Plan['placements']
    measurements?: Plan['measurements']
  },
): Plan {
  const { number, customer, due, note, gear, placements, measurements, ...start } = rest
  return {
    ...newPlan({
      id,
      job: {
        name,
        number,
        customer,
        ...(due === undefined ? {} : { due }),
        ...(note === undefined ? {} : { note }),
      },
      ...start,
      car: { id: `car-${id}`, number: `F${number}`, stockId: start.vehicle.id },
    }),
    gear,
    placements,
    measurements: measurements ?? [],
  }
}

const quayGarage = { id: 'quay-garage', name: 'Quay garage', heightMm: 2100 }
const yardGate = { id: 'yard-gate', name: 'Yard gate', heightMm: 3200 }
const carPark = { id: 'car-park', name: 'Harbour car park', heightMm: 2400 }
/** A rack with its two bars put elsewhere. */
function spacedTo(rack: Rack, ...xs: number[]): Rack {
  return rack.kind === 'bars'
    ? { ...rack, bars: rack.bars.map((bar, i) => ({ ...bar, xMm: xs[i] ?? bar.xMm })) }
    : rack
}

/** A line at either end. */
const BOTH_LINES = { bow: true, stern: true }
const wing = ['wing-front', 'wing-rear']
const allVan = ['van-front', 'van-middle', 'van-rear']

export const boatAndBox = job('demo-boat-and-box', 'A boat and the long box', {
  number: '0417',
  customer: 'Sea-boat school',
  due: '2027-03-12',
  vehicle: v.estate,
  racks: [r.wingBars],
  clearances: [quayGarage, carPark],
  gear: [g.longBox, g.cradles, g.seaBoat, g.gearBag],
  placements: [
    onBars('long-box', 'long-box', wing, 960, -220, {
      loads: [contents('contents', 'Box contents', maker(25.7))],
    }),
    onBars('cradles', 'cradles', wing, 810, 370),
    inPlace('sea-boat', 'sea-boat', 'cradles', 'saddle', {
      xMm: -60,
      lines: BOTH_LINES,
      straps: { count: 3, eachKg: 120 },
    }),
  ],
})

export const ridgeTent = job('demo-ridge-tent', 'Ridge camp, tent for two', {
  number: '0422',
  customer: 'Ridge-survey crew',
  due: '2027-04-02',
  vehicle: v.offRoader,
  racks: [r.gutterPlatform],
  clearances: [yardGate],
  gear: [g.shellTent, g.recoveryBoards],
  placements: [
    onDeck('tent', 'shell-tent', 'platform', 1430, 0, {
      loads: [contents('bedding', 'Bedding', weighedMass(9)), sleeping(2, maker(84))],
    }),
  ],
})

export const ridgeRoad = job('demo-ridge-road', 'Survey kit up the ridge road', {
  number: '0425',
  customer: 'Ridge-survey crew',
  vehicle: v.pickup,
  racks: [r.bedRack],
  clearances: [yardGate],
  gear: [g.basket, g.tripodCase, g.recoveryBoards, g.pipeTube],
  placements: [
    onBars('basket', 'basket', ['bed-front', 'bed-rear'], 2290, -155, {
      loads: [contents('instruments', 'Instruments', weighedMass(39))],
    }),
    onBars('tube', 'pipe-tube', ['bed-front', 'bed-rear'], 2290, 540, {
      loads: [contents('poles', 'Levelling poles', weighedMass(21))],
    }),
    inPlace('tripod', 'tripod-case', 'basket', 'floor', {
      yMm: -220,
      straps: { count: 1, eachKg: 120 },
    }),
    {
      ...onBars('boards', 'recovery-boards', ['bed-front'], 2290, -770, { onEdge: true }),
      host: { on: 'panel', rackId: 'bed', side: 'left', zMm: 180 },
    },
  ],
})

export const firstBike = job('demo-first-bike', 'Two bikes on the hatchback', {
  number: '0426',
  customer: 'Rental yard',
  vehicle: v.hatchback,
  racks: [r.squareBars],
  clearances: [yardGate],
  gear: [g.bikeTray, g.trailBike],
  placements: [
    onBars('tray', 'bike-tray', ['square-front', 'square-rear'], 720, -250),
    inPlace('bike', 'trail-bike', 'tray', 'tray'),
    onBars('second-tray', 'bike-tray', ['square-front', 'square-rear'], 620, 250, { turn: 180 }),
    inPlace('second-bike', 'trail-bike', 'second-tray', 'tray'),
  ],
})

export const twinSpan = job('demo-twin-span', 'Double boat over cab and bed', {
  number: '0429',
  customer: 'Sea-boat school',
  due: '2027-03-19',
  vehicle: v.pickup,
  racks: [r.cabBars, r.bedRack],
  rules: { ...DEFAULT_HOUSE_RULES, localRules: 'gb' },
  clearances: [yardGate],
  gear: [g.doubleBoat, g.seaBoat],
  placements: [
    onBars('double-boat', 'double-boat', ['cab-front', 'cab-rear', 'bed-front', 'bed-rear'], 1340, 275, {
      lines: BOTH_LINES,
      straps: { count: 4, eachKg: 250 },
      loads: [contents('paddles', 'Paddles and vests', guess(16))],
    }),
    onBars('sea-boat', 'sea-boat', ['cab-rear', 'bed-front'], 1500, -355, {
      lines: BOTH_LINES,
      straps: { count: 3, eachKg: 120 },
    }),
  ],
})

export const yardVan = job('demo-yard-van', 'Yard van, full summer load', {
  number: '0431',
  customer: 'Rental yard',
  due: '2027-05-07',
  vehicle: v.van,
  racks: [r.vanBars],
  clearances: [yardGate],
  gear: [g.ladderThree, g.lumber, g.seaBoat, g.toolClamps, g.spade],
  placements: [
    onBars('ladder', 'ladder-three', allVan, 1780, -545, {
      lines: BOTH_LINES,
      straps: { count: 3, eachKg: 250 },
    }),
    onBars('lumber', 'lumber', allVan, 1800, 395, { lines: BOTH_LINES, straps: { count: 3, eachKg: 250 } }),
    onBars('boat', 'sea-boat', allVan, 1700, -40, {
      lines: BOTH_LINES,
      straps: { count: 3, eachKg: 120 },
    }),
    onBars('clamps', 'tool-clamps', ['van-front'], 620, 650, { fitting: { nutSlotMm: 11 } }),
    inPlace('spade', 'spade', 'clamps', 'clamp', { fitting: { hole: 1 } }),
  ],
})

export const ladderJob = job('demo-ladder', 'Awning and hatch ladder', {
  number: '0433',
  customer: 'Rental yard',
  vehicle: v.tallWagon,
  racks: [r.flushBars, r.hatchLadder],
  clearances: [carPark],
  gear: [g.sideAwning, g.shortBox, g.fitter],
  measurements: [
    {
      kind: 'length',
      id: 'seam-reading',
      of: { about: 'gate', owner: 'rack', ownerId: 'hatch-ladder', gateId: 'seam' },
      datum: 'roof edge to hatch edge, at the ladder',
      readingsMm: [7, 7.5, 7],
      by: 'Yard',
      on: '2026-11-18',
    },
    {
      kind: 'length',
      id: 'sealant-reading',
      of: { about: 'gate', owner: 'rack', ownerId: 'hatch-ladder', gateId: 'sealant' },
      datum: 'seam floor to top of the bead',
      readingsMm: [3.4],
      by: 'Yard',
      on: '2026-11-18',
    },
    {
      kind: 'gauge',
      id: 'edge-reading',
      of: { about: 'gate', owner: 'rack', ownerId: 'hatch-ladder', gateId: 'edge' },
      went: 'go',
      by: 'Yard',
      on: '2026-11-18',
    },
  ],
  placements: [
    onBars('awning', 'side-awning', ['flush-front', 'flush-rear'], 1000, 430),
    onBars('short-box', 'short-box', ['flush-front', 'flush-rear'], 960, -75, {
      loads: [contents('chairs', 'Chairs and table', guess(22))],
    }),
    {
      ...onBars('person', 'person', ['flush-front'], 2990, -360, { when: 'parked' }),
      host: { on: 'ladder', rackId: 'hatch-ladder' },
    },
  ],
})

export const frameJob = job('demo-frame', 'Frame rack for the survey', {
  number: '0436',
  customer: 'Ridge-survey crew',
  vehicle: v.offRoader,
  racks: [r.frameRack],
  clearances: [yardGate],
  gear: [
    g.spareWheel,
    g.canMount,
    g.fuelCan,
    g.waterCan,
    g.deckBasket,
    g.tripodCase,
    g.gearBag,
    g.sideAwning,
  ],
  placements: [
    onDeck('wheel', 'spare-wheel', 'frame', 2290, 0),
    onDeck('fuel-mount', 'can-mount', 'frame', 400, -520),
    inPlace('fuel', 'fuel-can', 'fuel-mount', 'can', {
      loads: [
        {
          id: 'petrol',
          name: 'Petrol',
          when: 'always',
          what: { kind: 'fluid', fluid: 'petrol', litres: 20 },
        },
      ],
    }),
    onDeck('water-mount', 'can-mount', 'frame', 400, 520),
    inPlace('water', 'water-can', 'water-mount', 'can', {
      loads: [
        { id: 'water', name: 'Water', when: 'always', what: { kind: 'fluid', fluid: 'water', litres: 20 } },
      ],
    }),
    onDeck('basket', 'deck-basket', 'frame', 1240, 0, {
      loads: [contents('food', 'Food boxes', weighedMass(23))],
    }),
    inPlace('tripod', 'tripod-case', 'basket', 'floor', { yMm: 250 }),
    inPlace('bag', 'gear-bag', 'basket', 'floor', {
      yMm: -200,
      straps: { count: 1 },
      loads: [contents('ropes', 'Ropes', weighedMass(8))],
    }),
  ],
})

export const hatchJob = job('demo-hatch', 'Wide box under the hatch', {
  number: '0438',
  customer: 'Rental yard',
  due: '2027-04-16',
  vehicle: v.wideEstate,
  racks: [r.lowBars],
  clearances: [carPark],
  gear: [g.shortBox],
  placements: [
    onBars('short-box', 'short-box', ['low-front', 'low-rear'], 1905, 0, {
      loads: [contents('tents', 'Tents and mats', weighedMass(19))],
    }),
  ],
})

export const pointsJob = job('demo-points', 'Long box on a short roof', {
  number: '0439',
  customer: 'Sea-boat school',
  vehicle: v.pointSaloon,
  racks: [r.pointBars],
  clearances: [quayGarage],
  gear: [g.longBox],
  placements: [onBars('long-box', 'long-box', ['points-front', 'points-rear'], 640, 0)],
})

export const threeSpreads = job('demo-three', 'Box, bike and boat on one spread', {
  number: '0441',
  customer: 'Rental yard',
  vehicle: v.estate,
  racks: [spacedTo(r.wingBars, 430, 1230)],
  clearances: [yardGate],
  gear: [g.cradles, g.bikeTray, g.edgeCarrier],
  placements: [
    onBars('cradles', 'cradles', wing, 810, -330),
    onBars('tray', 'bike-tray', wing, 810, -30),
    onBars('edge', 'edge-carrier', wing, 810, 260),
  ],
})

export const bedTentJob = job('demo-bed-tent', 'Bed tent over the tailgate', {
  number: '0442',
  customer: 'Ridge-survey crew',
  due: '2027-05-21',
  vehicle: v.pickup,
  racks: [r.bedRack],
  clearances: [yardGate],
  gear: [g.bedTent],
  placements: [
    onBars('tent', 'bed-tent', ['bed-front', 'bed-rear'], 2290, 0, {
      loads: [sleeping(2, maker(80))],
    }),
  ],
})

export const podJob = job('demo-pod', 'Pod with thin clamps on heavy bars', {
  number: '0444',
  customer: 'Rental yard',
  vehicle: v.van,
  racks: [r.vanBars],
  clearances: [yardGate],
  gear: [g.cargoPod, g.loadStops],
  placements: [
    onBars('pod', 'cargo-pod', ['van-middle', 'van-rear'], 2360, 0),
    onBars('stops', 'load-stops', ['van-front'], 620, 600),
  ],
})

const canopyJob = job('demo-canopy', 'Ladder and timber on the canopy', {
  number: '0452',
  customer: 'Roofing, two hands',
  due: '2027-05-21',
  vehicle: v.canopyPickup,
  racks: [r.canopyBars],
  clearances: [yardGate],
  gear: [g.ladderThree, g.lumber],
  placements: [
    onBars('ladder', g.ladderThree.id, ['canopy-front', 'canopy-rear'], 2260, 330, {
      lines: BOTH_LINES,
      straps: { count: 3, eachKg: 120 },
    }),
    onBars('lumber', g.lumber.id, ['canopy-front', 'canopy-rear'], 2260, -260, {
      lines: BOTH_LINES,
      straps: { count: 3, eachKg: 120 },
    }),
  ],
})

/** The jobs on the demo board. */
export const DEMO_PLANS: readonly Plan[] = [
  boatAndBox,
  twinSpan,
  ridgeTent,
  ridgeRoad,
  firstBike,
  yardVan,
  ladderJob,
  frameJob,
  hatchJob,
  pointsJob,
  threeSpreads,
  bedTentJob,
  podJob,
  canopyJob,
]
