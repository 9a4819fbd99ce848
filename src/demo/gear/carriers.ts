import { gear } from '@/core/api/plan'
import { maker, sheet } from '../compose'
import { clamp, inside, slat, slot } from './mounts'

/** Invented carriers: boxes, cradles, trays, baskets, clamps. */

export const longBox = gear({
  id: 'long-box',
  kind: 'box',
  name: 'Long box',
  shape: 'shell',
  size: [1900, 600, 380],
  standMm: 25,
  mass: maker(18),
  contactsMm: { along: [], across: [-210, 210] },
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
  contactsMm: { along: [], across: [-260, 260] },
  fit: slot(14, [500, 850]),
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
    places: [
      {
        ...inside('saddle', 'Saddle', 'cradle', 60),
        takes: ['boat', 'board'],
        takesWidthMm: { fromMm: 450, toMm: 640 },
      },
    ],
  },
})
export const wideCradles = gear({
  id: 'wide-cradles',
  kind: 'carrier',
  name: 'Wide cradles, pair',
  shape: 'cradles',
  size: [1500, 560, 150],
  mass: maker(6.2),
  contactsMm: { along: [], across: [-200, 200] },
  fit: { ...clamp(18, [900, 2000]), overhangMm: 120 },
  turns: [0, 180],
  price: 198,
  carries: {
    rated: sheet('wide-cradles', { road: 50, trail: 40, parked: 90 }),
    places: [{ ...inside('saddle', 'Saddle', 'cradle', 70), takes: ['boat', 'board'] }],
  },
})
export const bikeTray = gear({
  id: 'bike-tray',
  kind: 'carrier',
  name: 'Bike tray',
  shape: 'tray',
  size: [1550, 210, 90],
  mass: maker(7.6),
  contactsMm: { along: [], across: [-60, 60] },
  fit: clamp(20, [600, 1000]),
  turns: [0, 180],
  price: 165,
  maxKmH: 130,
  carries: {
    rated: sheet('bike-tray', { road: 20, trail: 15, parked: 20 }),
    places: [{ ...inside('tray', 'Tray', 'tray', 60), takes: ['bike'] }],
  },
})
export const slatDeck = gear({
  id: 'slat-deck',
  kind: 'platform',
  name: 'Slat deck 1400',
  shape: 'deck',
  size: [1400, 1200, 55],
  mass: maker(23),
  contactsMm: { along: [], across: [-420, 420] },
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
  contactsMm: { along: [], across: [-380, 380] },
  fit: clamp(20, [600, 1000]),
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
  fit: {
    mount: { kind: 'channelBolt', slotMm: 20, otherSlotsMm: [11], headMm: 7, thread: 'M6', stackMm: 8 },
  },
  turns: [0, 180],
  price: 62,
  carries: {
    rated: sheet('tool-clamps', { road: 7.4, trail: 5.5, parked: 7.4 }),
    places: [
      {
        ...inside('clamp', 'Clamp', 'clamp', 45),
        takes: ['tool'],
        holesMm: [
          { fromMm: 18, toMm: 26 },
          { fromMm: 26, toMm: 40 },
        ],
      },
    ],
  },
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
    places: [{ ...inside('can', 'Can', 'tray', 40), takes: ['can'] }],
  },
})
export const pipeTube = gear({
  id: 'pipe-tube',
  kind: 'carrier',
  name: 'Pole tube',
  shape: 'box',
  size: [2600, 170, 170],
  mass: maker(9.4),
  contactsMm: { along: [], across: [-60, 60] },
  fit: { ...clamp(15, [900, 2200]), baseMm: 40 },
  turns: [0, 180],
  price: 190,
  carries: { rated: sheet('pipe-tube', { road: 30, trail: 22, parked: 40 }), places: [] },
})
export const skiHolders = gear({
  id: 'ski-holders',
  kind: 'carrier',
  name: 'Ski holders, pair',
  shape: 'cradles',
  size: [880, 620, 120],
  mass: maker(3.6),
  contactsMm: { along: [], across: [-40, 40] },
  fit: clamp(14, [500, 900]),
  turns: [0, 180],
  price: 128,
  carries: {
    rated: sheet('ski-holders', { road: 22, trail: 16, parked: 30 }),
    places: [{ ...inside('jaws', 'Jaws', 'clamp', 40), takes: ['skis', 'board'] }],
  },
})
export const deckBasket = gear({
  id: 'deck-basket',
  kind: 'basket',
  name: 'Deck basket',
  shape: 'tray',
  size: [1200, 900, 150],
  mass: maker(15),
  fit: slat,
  price: 228,
  carries: {
    rated: sheet('deck-basket', { road: 60, trail: 50, parked: 80 }),
    places: [inside('floor', 'Floor', 'deck', 30)],
  },
})
export const sideLoader = gear({
  id: 'side-loader',
  kind: 'carrier',
  name: 'Side-loading cradles',
  shape: 'cradles',
  size: [1000, 300, 190],
  mass: maker(8.8),
  contactsMm: { along: [], across: [-90, 90] },
  fit: { ...clamp(22, [700, 1200]), overhangMm: 90 },
  turns: [0, 180],
  price: 289,
  carries: {
    rated: sheet('side-loader', { road: 34, trail: 28, parked: 60 }),
    places: [
      {
        ...inside('saddle', 'Saddle', 'cradle', 70),
        takes: ['boat', 'board'],
        takesWidthMm: { fromMm: 480, toMm: 720 },
      },
    ],
  },
})
export const edgeCarrier = gear({
  id: 'edge-carrier',
  kind: 'carrier',
  name: 'Edge cradles, folding',
  shape: 'cradles',
  size: [860, 260, 420],
  mass: maker(6.4),
  contactsMm: { along: [], across: [-80, 80] },
  fit: { ...clamp(18, [750, 770]), baseMm: 50 },
  turns: [0, 180],
  price: 176,
  carries: {
    rated: sheet('edge-carrier', { road: 32, trail: 26, parked: 50 }),
    places: [{ ...inside('saddle', 'Saddle', 'cradle', 120), takes: ['boat', 'board'] }],
  },
})
export const forkMount = gear({
  id: 'fork-mount',
  kind: 'carrier',
  name: 'Fork mount, one bar',
  shape: 'clamps',
  size: [160, 180, 110],
  mass: maker(1.9),
  fit: slot(16),
  price: 96,
  carries: {
    rated: sheet('fork-mount', { road: 18, trail: 14, parked: 18 }),
    places: [{ ...inside('fork', 'Fork', 'tray', 60), takes: ['bike'] }],
  },
})
export const cargoPod = gear({
  id: 'cargo-pod',
  kind: 'box',
  name: 'Short pod, thin clamps',
  shape: 'shell',
  size: [1320, 700, 360],
  standMm: 20,
  mass: maker(11),
  contactsMm: { along: [], across: [-240, 240] },
  fit: {
    mount: {
      kind: 'wrapClamp',
      sectionWidthMm: { fromMm: 60, toMm: 90 },
      sectionHeightMm: { fromMm: 18, toMm: 30 },
      underBarMm: 18,
    },
    spreadMm: { fromMm: 500, toMm: 1200 },
  },
  turns: [0, 180],
  price: 240,
  carries: {
    rated: sheet('cargo-pod', { road: 40, trail: 35, parked: 60 }),
    places: [inside('inside', 'Inside', 'inside', 20)],
  },
})
export const boardMount = gear({
  id: 'board-mount',
  kind: 'carrier',
  name: 'Recovery-board mount',
  shape: 'tray',
  size: [420, 340, 50],
  mass: maker(2.6),
  fit: slat,
  price: 74,
  carries: {
    rated: sheet('board-mount', { road: 20, trail: 16, parked: 24 }),
    places: [{ ...inside('boards', 'Boards', 'tray', 40), takes: ['tool'] }],
  },
})
export const rollerBar = gear({
  id: 'roller',
  kind: 'carrier',
  name: 'Ladder roller',
  shape: 'tray',
  size: [160, 1300, 120],
  mass: maker(5.2),
  contactsMm: { along: [], across: [-560, 560] },
  fit: {
    mount: {
      kind: 'uBolt',
      sectionWidthMm: { fromMm: 40, toMm: 70 },
      sectionHeightMm: { fromMm: 25, toMm: 45 },
    },
  },
  price: 132,
})
export const loadStops = gear({
  id: 'load-stops',
  kind: 'carrier',
  name: 'Load stops, pair',
  shape: 'clamps',
  size: [120, 80, 140],
  mass: maker(1.6),
  fit: {
    mount: { kind: 'channelBolt', slotMm: 11, headMm: 6, thread: 'M8', boltMm: 16, stackMm: 9 },
  },
  price: 38,
})
