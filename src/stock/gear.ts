import type { Gear } from '@/core/plan/gear'
import { gear, maker, sheet, weighed } from './compose'

/** Invented gear of an invented outfitter: a sea-boat school, a survey crew and a rental yard. */

const strap: Gear['fit'] = { mount: { kind: 'strap' } }
const loose: Gear['fit'] = { mount: { kind: 'none' } }
const slot = (stackMm: number, spread?: [number, number]): Gear['fit'] => ({
  mount: { kind: 'channelBolt', slotMm: 20, headMm: 7, thread: 'M6', stackMm },
  ...(spread ? { spreadMm: { fromMm: spread[0], toMm: spread[1] } } : {}),
})
const clamp = (underBarMm: number, spread?: [number, number]): Gear['fit'] => ({
  mount: {
    kind: 'wrapClamp',
    sectionWidthMm: { fromMm: 25, toMm: 90 },
    sectionHeightMm: { fromMm: 15, toMm: 36 },
    underBarMm,
  },
  ...(spread ? { spreadMm: { fromMm: spread[0], toMm: spread[1] } } : {}),
})
const slat: Gear['fit'] = { mount: { kind: 'slat', slotMm: 11 } }
const panel: Gear['fit'] = { mount: { kind: 'panelHoles', pitchMm: 50, columns: 3, rows: 2 } }

const inside = (
  id: string,
  name: string,
  kind: 'inside' | 'deck' | 'cradle' | 'clamp' | 'tray',
  zMm: number,
  yMm = 0,
) => ({ id, name, kind, xMm: 0, yMm, zMm })

export const longBox = gear({
  id: 'long-box',
  kind: 'box',
  name: 'Long box',
  shape: 'shell',
  size: [1900, 600, 380],
  standMm: 25,
  mass: maker(18),
  fit: slot(14, [600, 900]),
  turns: [0, 180],
  price: 420,
  carries: {
    rated: sheet('long-box', { road: 50, trail: 50, parked: 75 }),
    places: [inside('inside', 'Inside', 'inside', 20)],
  },
})
export const shortBox = gear({
  id: 'short-box',
  kind: 'box',
  name: 'Short wide box',
  shape: 'shell',
  size: [1350, 820, 390],
  standMm: 25,
  mass: maker(14),
  fit: slot(14, [500, 800]),
  turns: [0, 180],
  price: 360,
  carries: {
    rated: sheet('short-box', { road: 50, trail: 40, parked: 75 }),
    places: [inside('inside', 'Inside', 'inside', 20)],
  },
})
export const cradles = gear({
  id: 'cradles',
  kind: 'carrier',
  name: 'Boat cradles, pair',
  shape: 'cradles',
  size: [900, 240, 130],
  mass: maker(4.6),
  fit: slot(10, [700, 1100]),
  turns: [0, 180],
  price: 145,
  carries: {
    rated: sheet('cradles', { road: 35, trail: 30, parked: 60 }),
    places: [inside('saddle', 'Saddle', 'cradle', 60)],
  },
})
export const wideCradles = gear({
  id: 'wide-cradles',
  kind: 'carrier',
  name: 'Wide cradles, pair',
  shape: 'cradles',
  size: [1500, 560, 150],
  mass: maker(6.2),
  fit: clamp(18, [900, 2000]),
  turns: [0, 180],
  price: 198,
  carries: {
    rated: sheet('wide-cradles', { road: 50, trail: 40, parked: 90 }),
    places: [inside('saddle', 'Saddle', 'cradle', 70)],
  },
})
export const seaBoat = gear({
  id: 'sea-boat',
  kind: 'boat',
  name: 'Sea boat',
  shape: 'hull',
  size: [5200, 540, 340],
  mass: weighed(24),
  fit: strap,
  turns: [0, 180],
  wetKg: 0.5,
})
export const doubleBoat = gear({
  id: 'double-boat',
  kind: 'boat',
  name: 'Double sea boat',
  shape: 'hull',
  size: [6500, 680, 380],
  mass: weighed(38),
  fit: strap,
  turns: [0, 180],
  wetKg: 1,
})
export const openCanoe = gear({
  id: 'open-canoe',
  kind: 'boat',
  name: 'Open canoe',
  shape: 'canoe',
  size: [4900, 910, 380],
  mass: weighed(31),
  fit: strap,
  turns: [0, 180],
})
export const touringBoard = gear({
  id: 'touring-board',
  kind: 'board',
  name: 'Touring board',
  shape: 'board',
  size: [3800, 760, 150],
  mass: maker(12.5),
  fit: strap,
  turns: [0, 180],
})
export const bikeTray = gear({
  id: 'bike-tray',
  kind: 'carrier',
  name: 'Bike tray',
  shape: 'tray',
  size: [1550, 210, 90],
  mass: maker(7.6),
  fit: clamp(20, [600, 1000]),
  turns: [0, 180],
  price: 165,
  maxKmH: 130,
  carries: {
    rated: sheet('bike-tray', { road: 20, trail: 15, parked: 20 }),
    places: [inside('tray', 'Tray', 'tray', 60)],
  },
})
export const trailBike = gear({
  id: 'trail-bike',
  kind: 'bike',
  name: 'Trail bike',
  shape: 'wheel',
  size: [1800, 420, 1060],
  mass: weighed(14.2),
  fit: loose,
  turns: [0, 180],
})
export const shellTent = gear({
  id: 'shell-tent',
  kind: 'tent',
  name: 'Shell tent for two',
  shape: 'shell',
  size: [2100, 1300, 300],
  standMm: 20,
  mass: maker(62),
  fit: slot(20, [700, 1300]),
  wetKg: 3,
  price: 2350,
  maxKmH: 130,
  carries: { rated: sheet('shell-tent', { road: 15, trail: 15, parked: 280 }), places: [], sleeps: 2 },
})
export const softTent = gear({
  id: 'soft-tent',
  kind: 'tent',
  name: 'Soft tent for three',
  shape: 'bag',
  size: [1250, 1450, 340],
  standMm: 20,
  mass: maker(52),
  fit: slot(20, [700, 1100]),
  wetKg: 6,
  price: 1780,
  maxKmH: 120,
  carries: { rated: sheet('soft-tent', { road: 10, trail: 10, parked: 300 }), places: [], sleeps: 3 },
})
export const slatDeck = gear({
  id: 'slat-deck',
  kind: 'platform',
  name: 'Slat deck 1400',
  shape: 'deck',
  size: [1400, 1200, 55],
  mass: maker(23),
  fit: clamp(16, [650, 1000]),
  turns: [0, 180],
  price: 520,
  carries: {
    rated: sheet('slat-deck', { road: 80, trail: 60, parked: 160 }),
    places: [inside('deck', 'Deck', 'deck', 55)],
  },
})
export const basket = gear({
  id: 'basket',
  kind: 'basket',
  name: 'Open basket',
  shape: 'tray',
  size: [1250, 1000, 160],
  mass: maker(17),
  fit: clamp(20, [600, 900]),
  turns: [0, 90, 180, 270],
  price: 240,
  carries: {
    rated: sheet('basket', { road: 68, trail: 60, parked: 90 }),
    places: [inside('floor', 'Floor', 'deck', 30)],
  },
})
export const toolClamps = gear({
  id: 'tool-clamps',
  kind: 'carrier',
  name: 'Tool clamps, pair',
  shape: 'clamps',
  size: [600, 90, 90],
  mass: maker(1.2),
  fit: slot(8),
  turns: [0, 180],
  price: 62,
  carries: {
    rated: sheet('tool-clamps', { road: 8.2, trail: 6, parked: 8.2 }),
    places: [inside('clamp', 'Clamp', 'clamp', 45)],
  },
})
export const spade = gear({
  id: 'spade',
  kind: 'tool',
  name: 'Spade',
  shape: 'poles',
  size: [1180, 180, 60],
  mass: weighed(2.3),
  fit: loose,
  turns: [0, 180],
})
export const canMount = gear({
  id: 'can-mount',
  kind: 'carrier',
  name: 'Can mount',
  shape: 'tray',
  size: [380, 200, 60],
  mass: maker(2.1),
  fit: slat,
  price: 84,
  carries: {
    rated: sheet('can-mount', { road: 25, trail: 25, parked: 30 }),
    places: [inside('can', 'Can', 'tray', 40)],
  },
})
export const fuelCan = gear({
  id: 'fuel-can',
  kind: 'can',
  name: 'Fuel can, 20 l',
  shape: 'can',
  size: [350, 170, 470],
  onEdge: true,
  mass: weighed(4.1),
  fit: loose,
})
export const waterCan = gear({
  id: 'water-can',
  kind: 'can',
  name: 'Water can, 20 l',
  shape: 'can',
  size: [350, 190, 400],
  onEdge: true,
  mass: weighed(1.4),
  fit: loose,
})
export const recoveryBoards = gear({
  id: 'recovery-boards',
  kind: 'tool',
  name: 'Recovery boards, pair',
  shape: 'deck',
  size: [1150, 330, 80],
  onEdge: true,
  mass: maker(7.4),
  fit: panel,
})
export const gearBag = gear({
  id: 'gear-bag',
  kind: 'bag',
  name: 'Gear bag',
  shape: 'bag',
  size: [900, 500, 330],
  onEdge: true,
  mass: weighed(2.4),
  fit: strap,
})
export const tripodCase = gear({
  id: 'tripod-case',
  kind: 'other',
  name: 'Tripod case',
  shape: 'box',
  size: [1200, 300, 240],
  mass: weighed(9.5),
  fit: strap,
})
export const ladderThree = gear({
  id: 'ladder-three',
  kind: 'ladder',
  name: 'Three-part ladder',
  shape: 'poles',
  size: [3050, 430, 150],
  mass: weighed(17),
  fit: strap,
  turns: [0, 180],
})
export const lumber = gear({
  id: 'lumber',
  kind: 'lumber',
  name: 'Lumber, 12 planks',
  shape: 'poles',
  size: [3600, 290, 130],
  mass: weighed(41),
  fit: strap,
  turns: [0, 180],
})
export const pipeTube = gear({
  id: 'pipe-tube',
  kind: 'carrier',
  name: 'Pole tube',
  shape: 'box',
  size: [2600, 170, 170],
  mass: maker(9.4),
  fit: clamp(15, [900, 2200]),
  turns: [0, 180],
  price: 190,
  carries: { rated: sheet('pipe-tube', { road: 30, trail: 22, parked: 40 }), places: [] },
})
export const spareWheel = gear({
  id: 'spare-wheel',
  kind: 'wheel',
  name: 'Spare wheel',
  shape: 'wheel',
  size: [780, 780, 260],
  mass: weighed(33),
  fit: slat,
  onEdge: true,
})
export const sideAwning = gear({
  id: 'side-awning',
  kind: 'awning',
  name: 'Side awning',
  shape: 'box',
  size: [2050, 150, 140],
  mass: maker(14.5),
  fit: slot(12),
  turns: [0, 180],
  wetKg: 2,
  price: 380,
})
export const skiHolders = gear({
  id: 'ski-holders',
  kind: 'carrier',
  name: 'Ski holders, pair',
  shape: 'cradles',
  size: [700, 620, 120],
  mass: maker(3.6),
  fit: clamp(14, [500, 900]),
  turns: [0, 180],
  price: 128,
  carries: {
    rated: sheet('ski-holders', { road: 22, trail: 16, parked: 30 }),
    places: [inside('jaws', 'Jaws', 'clamp', 40)],
  },
})
export const skis = gear({
  id: 'skis',
  kind: 'skis',
  name: 'Skis, four pairs',
  shape: 'poles',
  size: [1850, 520, 80],
  mass: weighed(19),
  fit: loose,
  turns: [0, 180],
})
export const fitter = gear({
  id: 'person',
  kind: 'person',
  name: 'Person on the ladder',
  shape: 'person',
  size: [350, 480, 1750],
  mass: { kg: 82, basis: 'guess', by: 'the person' },
  fit: loose,
  when: 'parked',
  turns: [0, 90, 180, 270],
})

export const GEAR: readonly Gear[] = [
  longBox,
  shortBox,
  cradles,
  wideCradles,
  seaBoat,
  doubleBoat,
  openCanoe,
  touringBoard,
  bikeTray,
  trailBike,
  shellTent,
  softTent,
  slatDeck,
  basket,
  toolClamps,
  spade,
  canMount,
  fuelCan,
  waterCan,
  recoveryBoards,
  gearBag,
  tripodCase,
  ladderThree,
  lumber,
  pipeTube,
  spareWheel,
  sideAwning,
  skiHolders,
  skis,
  fitter,
]
