import * as z from '../units/schema'
import { kindsOf } from './kind'

/** A point of a side view: x rearward from the windscreen's upper edge, z up from the ground, mm. */
export type Station = readonly [xMm: number, zMm: number]

/**
 * A body type's class average: starting dimensions and the side view they belong to. Rounded class averages
 * from memory, of no one vehicle.
 */
interface BodyTraits {
  /** As a form offers it, and inside a sentence. */
  readonly label: string
  readonly word: string
  readonly lengthMm: number
  readonly widthMm: number
  readonly heightMm: number
  readonly wheelbaseMm: number
  readonly frontOverhangMm: number
  readonly wheelRadiusMm: number
  /** Its own mass where nobody knows it, kg. Rough; from memory of usual figures, no source. */
  readonly kerbKg: number
  /** Height of its own centre of gravity as a share of its height: about 0.38 in published measurements, less under a tall light roof; from memory. */
  readonly balanceShare: number
  /** Where the roof ends and, on a pickup, the bed begins. */
  readonly roofEndXMm: number
  readonly roofHalfShare: { readonly front: number; readonly rear: number }
  readonly profile: readonly Station[]
  readonly glass: readonly Station[]
  readonly pillarsXMm: readonly number[]
  readonly bed?: { readonly fromXMm: number; readonly toXMm: number; readonly topZMm: number }
}

const CAR_ROOF = { front: 0.62, rear: 0.64 }

const bodies = {
  smallHatchback: {
    label: 'Small hatchback',
    word: 'small hatchback',
    lengthMm: 4050,
    widthMm: 1760,
    heightMm: 1470,
    wheelbaseMm: 2560,
    frontOverhangMm: 820,
    wheelRadiusMm: 310,
    kerbKg: 1150,
    balanceShare: 0.38,
    roofEndXMm: 1900,
    roofHalfShare: CAR_ROOF,
    profile: [
      [-1480, 300],
      [-1500, 640],
      [-1330, 800],
      [-640, 985],
      [0, 1400],
      [500, 1465],
      [1250, 1450],
      [1900, 1330],
      [2330, 1010],
      [2480, 960],
      [2520, 520],
      [2480, 300],
    ],
    glass: [
      [-470, 1010],
      [40, 1370],
      [560, 1420],
      [1220, 1405],
      [1820, 1300],
      [2150, 1010],
    ],
    pillarsXMm: [640, 1420],
  },
  saloon: {
    label: 'Saloon',
    word: 'saloon',
    lengthMm: 4650,
    widthMm: 1810,
    heightMm: 1450,
    wheelbaseMm: 2750,
    frontOverhangMm: 880,
    wheelRadiusMm: 320,
    kerbKg: 1500,
    balanceShare: 0.38,
    roofEndXMm: 1560,
    roofHalfShare: CAR_ROOF,
    profile: [
      [-1640, 300],
      [-1660, 620],
      [-1480, 780],
      [-760, 960],
      [0, 1360],
      [420, 1445],
      [1050, 1440],
      [1560, 1350],
      [2280, 1060],
      [2900, 1010],
      [2960, 560],
      [2900, 300],
    ],
    glass: [
      [-540, 985],
      [60, 1330],
      [460, 1395],
      [1040, 1390],
      [1480, 1310],
      [2000, 1050],
    ],
    pillarsXMm: [620, 1400],
  },
  estate: {
    label: 'Estate',
    word: 'estate',
    lengthMm: 4720,
    widthMm: 1830,
    heightMm: 1490,
    wheelbaseMm: 2790,
    frontOverhangMm: 900,
    wheelRadiusMm: 325,
    kerbKg: 1600,
    balanceShare: 0.38,
    roofEndXMm: 2430,
    roofHalfShare: CAR_ROOF,
    profile: [
      [-1680, 300],
      [-1700, 620],
      [-1520, 790],
      [-760, 985],
      [0, 1410],
      [450, 1485],
      [1900, 1475],
      [2430, 1430],
      [2780, 1030],
      [2980, 960],
      [3010, 520],
      [2960, 300],
    ],
    glass: [
      [-560, 1010],
      [50, 1375],
      [500, 1430],
      [1850, 1425],
      [2350, 1385],
      [2600, 1015],
    ],
    pillarsXMm: [700, 1680],
  },
  tallWagon: {
    label: 'Tall wagon',
    word: 'tall wagon',
    lengthMm: 4780,
    widthMm: 1900,
    heightMm: 1720,
    wheelbaseMm: 2830,
    frontOverhangMm: 920,
    wheelRadiusMm: 365,
    kerbKg: 1650,
    balanceShare: 0.38,
    roofEndXMm: 2450,
    roofHalfShare: CAR_ROOF,
    profile: [
      [-1650, 380],
      [-1680, 760],
      [-1520, 980],
      [-720, 1130],
      [0, 1610],
      [450, 1715],
      [1750, 1705],
      [2450, 1640],
      [2880, 1200],
      [3030, 1100],
      [3050, 600],
      [3000, 380],
    ],
    glass: [
      [-520, 1155],
      [60, 1575],
      [500, 1650],
      [1720, 1645],
      [2360, 1585],
      [2660, 1175],
    ],
    pillarsXMm: [700, 1700],
  },
  boxyOffRoader: {
    label: 'Boxy off-roader',
    word: 'boxy off-roader',
    lengthMm: 4400,
    widthMm: 1840,
    heightMm: 1900,
    wheelbaseMm: 2650,
    frontOverhangMm: 760,
    wheelRadiusMm: 390,
    kerbKg: 2150,
    balanceShare: 0.38,
    roofEndXMm: 2830,
    roofHalfShare: { front: 0.86, rear: 0.86 },
    profile: [
      [-1290, 450],
      [-1300, 1000],
      [-1250, 1060],
      [-330, 1130],
      [-260, 1160],
      [0, 1790],
      [250, 1895],
      [2700, 1895],
      [2830, 1820],
      [2900, 1150],
      [2920, 560],
      [2880, 450],
    ],
    glass: [
      [-190, 1180],
      [60, 1740],
      [300, 1790],
      [2640, 1790],
      [2700, 1760],
      [2760, 1180],
    ],
    pillarsXMm: [860, 1780],
  },
  tallVan: {
    label: 'Tall van',
    word: 'tall van',
    lengthMm: 5550,
    widthMm: 2050,
    heightMm: 2520,
    wheelbaseMm: 3450,
    frontOverhangMm: 960,
    wheelRadiusMm: 360,
    kerbKg: 2050,
    balanceShare: 0.32,
    roofEndXMm: 3820,
    roofHalfShare: { front: 0.9, rear: 0.9 },
    profile: [
      [-1480, 350],
      [-1490, 900],
      [-1420, 1130],
      [-760, 1340],
      [0, 2280],
      [380, 2500],
      [3600, 2510],
      [3820, 2400],
      [3880, 1200],
      [3880, 520],
      [3830, 350],
    ],
    glass: [
      [-600, 1360],
      [40, 2130],
      [560, 2150],
      [560, 1330],
    ],
    pillarsXMm: [640, 1860],
  },
  pickup: {
    label: 'Double-cab pickup',
    word: 'pickup',
    lengthMm: 5350,
    widthMm: 1880,
    heightMm: 1810,
    wheelbaseMm: 3220,
    frontOverhangMm: 920,
    wheelRadiusMm: 395,
    kerbKg: 2150,
    balanceShare: 0.38,
    roofEndXMm: 1420,
    roofHalfShare: CAR_ROOF,
    profile: [
      [-1790, 450],
      [-1810, 900],
      [-1690, 1070],
      [-740, 1170],
      [0, 1700],
      [420, 1805],
      [1180, 1795],
      [1420, 1700],
      [1490, 1170],
      [1520, 1140],
      [3010, 1140],
      [3060, 1100],
      [3060, 600],
      [3020, 480],
    ],
    glass: [
      [-540, 1195],
      [60, 1660],
      [460, 1730],
      [1130, 1725],
      [1290, 1660],
      [1330, 1200],
    ],
    pillarsXMm: [560],
    bed: { fromXMm: 1520, toXMm: 3010, topZMm: 1140 },
  },
} satisfies Record<string, BodyTraits>
export type Body = keyof typeof bodies

/** The types of body. */
export const BODIES: Readonly<Record<Body, BodyTraits>> = bodies

export const bodySchema = z.enum(kindsOf(BODIES))
