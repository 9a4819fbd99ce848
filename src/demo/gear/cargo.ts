import { gear } from '@/core/api/plan'
import { maker, weighedMass } from '../compose'
import { hullMount, loose, panel, slat, strap } from './mounts'

/** Invented cargo of an invented outfitter: a sea-boat school, a survey crew and a rental yard. */

export const seaBoat = gear({
  id: 'sea-boat',
  kind: 'boat',
  name: 'Sea boat',
  shape: 'hull',
  size: [5200, 540, 340],
  mass: weighedMass(24),
  outlineMm: hullMount(5200, 540),
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
  mass: weighedMass(38),
  outlineMm: hullMount(6500, 680),
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
  mass: weighedMass(31),
  outlineMm: hullMount(4900, 910),
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
export const trailBike = gear({
  id: 'trail-bike',
  kind: 'bike',
  name: 'Trail bike',
  shape: 'wheel',
  size: [1800, 420, 1060],
  mass: weighedMass(14.2),
  fit: loose,
  turns: [0, 180],
})
export const spade = gear({
  id: 'spade',
  kind: 'tool',
  name: 'Spade',
  shape: 'poles',
  size: [1180, 180, 60],
  mass: weighedMass(2.3),
  fit: { mount: { kind: 'handle', diameterMm: 34 } },
  turns: [0, 180],
})
export const fuelCan = gear({
  id: 'fuel-can',
  kind: 'can',
  name: 'Fuel can, 20 l',
  shape: 'can',
  size: [350, 170, 470],
  onEdge: true,
  mass: weighedMass(4.1),
  fit: loose,
})
export const waterCan = gear({
  id: 'water-can',
  kind: 'can',
  name: 'Water can, 20 l',
  shape: 'can',
  size: [350, 190, 400],
  onEdge: true,
  mass: weighedMass(1.4),
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
  mass: weighedMass(2.4),
  fit: strap,
})
export const tripodCase = gear({
  id: 'tripod-case',
  kind: 'other',
  name: 'Tripod case',
  shape: 'box',
  size: [1200, 300, 240],
  mass: weighedMass(9.5),
  fit: strap,
})
export const ladderThree = gear({
  id: 'ladder-three',
  kind: 'ladder',
  name: 'Three-part ladder',
  shape: 'poles',
  size: [3050, 430, 150],
  mass: weighedMass(17),
  fit: strap,
  turns: [0, 180],
})
export const lumber = gear({
  id: 'lumber',
  kind: 'lumber',
  name: 'Lumber, 12 planks',
  shape: 'poles',
  size: [3600, 290, 130],
  mass: weighedMass(41),
  fit: strap,
  turns: [0, 180],
})
export const spareWheel = gear({
  id: 'spare-wheel',
  kind: 'wheel',
  name: 'Spare wheel',
  shape: 'wheel',
  size: [780, 780, 260],
  mass: weighedMass(33),
  fit: slat,
  onEdge: true,
})
export const skis = gear({
  id: 'skis',
  kind: 'skis',
  name: 'Skis, four pairs',
  shape: 'poles',
  size: [1850, 520, 80],
  mass: weighedMass(19),
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

export const surfSki = gear({
  id: 'surf-ski',
  kind: 'boat',
  name: 'Racing ski',
  shape: 'hull',
  size: [6400, 450, 330],
  mass: weighedMass(13.5),
  outlineMm: hullMount(6400, 450),
  fit: strap,
  turns: [0, 180],
})
export const waveBoard = gear({
  id: 'wave-board',
  kind: 'board',
  name: 'Wave board',
  shape: 'board',
  size: [2100, 560, 90],
  mass: weighedMass(4.2),
  fit: strap,
  turns: [0, 180],
})
export const cargoBike = gear({
  id: 'road-bike',
  kind: 'bike',
  name: 'Road bike',
  shape: 'wheel',
  size: [1700, 430, 1000],
  mass: weighedMass(8.6),
  fit: loose,
  turns: [0, 180],
})
export const axe = gear({
  id: 'axe',
  kind: 'tool',
  name: 'Felling axe',
  shape: 'poles',
  size: [900, 200, 50],
  mass: weighedMass(2.1),
  fit: { mount: { kind: 'handle', diameterMm: 26 } },
  turns: [0, 180],
})
