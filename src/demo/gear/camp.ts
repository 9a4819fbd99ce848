import { gear } from '@/core/api/plan'
import { maker, sheet, weighedMass } from '../compose'
import { slot, strap } from './mounts'

/** Invented camping gear. */

export const shellTent = gear({
  id: 'shell-tent',
  kind: 'tent',
  name: 'Shell tent for two',
  shape: 'shell',
  size: [2100, 1300, 300],
  standMm: 20,
  mass: maker(62),
  opens: {
    toward: 'right',
    reachMm: 1250,
    floorMm: 60,
    ladder: { dropMm: { fromMm: 1700, toMm: 2300 }, outMm: 350 },
    coverGapMm: 120,
  },
  contactsMm: { along: [], across: [-450, 450] },
  fit: {
    mount: { kind: 'bracket', spacingMm: { fromMm: 700, toMm: 1300 }, direction: 'along' },
  },
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
  opens: {
    toward: 'rear',
    reachMm: 1150,
    floorMm: 80,
    ladder: { dropMm: { fromMm: 1500, toMm: 2100 }, outMm: 500 },
    coverGapMm: 150,
  },
  contactsMm: { along: [], across: [-500, 500] },
  fit: {
    mount: { kind: 'bracket', spacingMm: { fromMm: 600, toMm: 1100 }, direction: 'along' },
  },
  wetKg: 6,
  price: 1780,
  maxKmH: 120,
  carries: { rated: sheet('soft-tent', { road: 10, trail: 10, parked: 300 }), places: [], sleeps: 3 },
})
export const sideAwning = gear({
  id: 'side-awning',
  kind: 'awning',
  name: 'Side awning',
  shape: 'box',
  size: [2050, 150, 140],
  mass: maker(14.5),
  contactsMm: { along: [], across: [-50, 50] },
  fit: slot(12),
  turns: [0, 180],
  wetKg: 2,
  price: 380,
})
export const rearAwning = gear({
  id: 'rear-awning',
  kind: 'awning',
  name: 'Quarter-round awning',
  shape: 'bag',
  size: [2150, 190, 180],
  mass: maker(19),
  contactsMm: { along: [], across: [-60, 60] },
  fit: slot(14, [700, 1400]),
  turns: [0, 180],
  wetKg: 3,
  price: 690,
})
export const bedTent = gear({
  id: 'bed-tent',
  kind: 'tent',
  name: 'Bed tent, end opening',
  shape: 'bag',
  size: [1200, 1350, 310],
  standMm: 20,
  mass: maker(48),
  opens: {
    toward: 'rear',
    reachMm: 620,
    floorMm: 70,
    ladder: { dropMm: { fromMm: 1300, toMm: 2050 }, outMm: 450 },
    coverGapMm: 120,
  },
  contactsMm: { along: [], across: [-430, 430] },
  fit: {
    mount: { kind: 'bracket', spacingMm: { fromMm: 700, toMm: 1000 }, direction: 'along' },
  },
  wetKg: 5,
  price: 1520,
  carries: { rated: sheet('bed-tent', { road: 10, trail: 10, parked: 260 }), places: [], sleeps: 2 },
})
export const showerBag = gear({
  id: 'shower-bag',
  kind: 'bag',
  name: 'Shower tube',
  shape: 'box',
  size: [1300, 120, 120],
  mass: weighedMass(3.1),
  fit: strap,
  turns: [0, 180],
})
