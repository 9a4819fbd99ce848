import * as z from '../units/schema'
import type { GearShape } from './gear-shape'
import { kindsOf } from './kind'
import type { MountKind } from './mount'

interface GearKindTraits {
  /** Several of them, as a list is headed. */
  readonly many: string
  /** What letters and sheets call one or several of it. Common practice, no source. */
  readonly called?: RegExp
  /** What such a thing usually is: its shape, its length, width and height in mm, what holds it. Common practice, no source. */
  readonly usually: {
    readonly shape: GearShape
    readonly sizeMm: readonly [number, number, number]
    readonly mount: MountKind
  }
  /** Whether something usually stands or lies in it. */
  readonly carries: boolean
  /** Whether it can be loaded lighter: what is filled or packed. A bike or a boat in its carrier is as heavy as it is. */
  readonly filled: boolean
  /** Whether it is used while the vehicle stands. */
  readonly usedParked: boolean
  /** Whether it opens to be used, and whether people sleep in it. */
  readonly opens?: true
  readonly sleeps?: true
  /** Whether it lies in cradles where there are some. */
  readonly cradled: boolean
}

/** What kinds of gear there are. */
export const GEAR_KINDS = {
  box: {
    many: 'Boxes',
    called: /\b(?:(?:roof|cargo|top|ski|luggage) ?)?box(?:es)?\b/i,
    usually: { shape: 'shell', sizeMm: [1800, 750, 380], mount: 'unsaid' },
    carries: true,
    filled: true,
    usedParked: false,
    cradled: false,
  },
  basket: {
    many: 'Baskets',
    called: /\b(?:roof |cargo )?baskets?\b/i,
    usually: { shape: 'tray', sizeMm: [1200, 1000, 160], mount: 'unsaid' },
    carries: true,
    filled: true,
    usedParked: false,
    cradled: false,
  },
  platform: {
    many: 'Platforms',
    usually: { shape: 'deck', sizeMm: [1400, 1200, 55], mount: 'unsaid' },
    carries: true,
    filled: true,
    usedParked: false,
    cradled: false,
  },
  boat: {
    many: 'Boats',
    called: /\b(?:kayaks?|canoes?|boats?|dinghy|dinghies)\b/i,
    usually: { shape: 'hull', sizeMm: [4800, 600, 350], mount: 'strap' },
    carries: false,
    filled: false,
    usedParked: false,
    cradled: true,
  },
  board: {
    many: 'Boards',
    called: /\b(?:surf|paddle|sup|wind ?surf)[ -]?boards?\b/i,
    usually: { shape: 'board', sizeMm: [3200, 780, 150], mount: 'strap' },
    carries: false,
    filled: false,
    usedParked: false,
    cradled: true,
  },
  bike: {
    many: 'Bikes',
    called: /\b(?:e-)?(?:bikes?|bicycles?)\b/i,
    usually: { shape: 'wheel', sizeMm: [1750, 450, 1050], mount: 'none' },
    carries: false,
    filled: false,
    usedParked: false,
    cradled: false,
  },
  skis: {
    many: 'Skis',
    called: /\b(?:skis|snowboards?)\b/i,
    usually: { shape: 'poles', sizeMm: [1800, 400, 90], mount: 'none' },
    carries: false,
    filled: false,
    usedParked: false,
    cradled: false,
  },
  tent: {
    many: 'Tents',
    called: /\b(?:roof(?:top)? )?tents?\b/i,
    usually: { shape: 'shell', sizeMm: [2150, 1300, 300], mount: 'unsaid' },
    carries: true,
    filled: true,
    usedParked: true,
    opens: true,
    sleeps: true,
    cradled: false,
  },
  awning: {
    many: 'Awnings',
    called: /\bawnings?\b/i,
    usually: { shape: 'box', sizeMm: [2000, 150, 140], mount: 'unsaid' },
    carries: false,
    filled: true,
    usedParked: true,
    opens: true,
    cradled: false,
  },
  bag: {
    many: 'Bags',
    called: /\b(?:roof|cargo) ?bags?\b/i,
    usually: { shape: 'bag', sizeMm: [900, 500, 320], mount: 'strap' },
    carries: false,
    filled: true,
    usedParked: false,
    cradled: false,
  },
  can: {
    many: 'Cans',
    called: /\b(?:jerry|water|fuel|petrol|diesel) ?cans?\b/i,
    usually: { shape: 'can', sizeMm: [350, 170, 470], mount: 'none' },
    carries: false,
    filled: true,
    usedParked: false,
    cradled: false,
  },
  lumber: {
    many: 'Lumber',
    usually: { shape: 'poles', sizeMm: [3000, 300, 150], mount: 'strap' },
    carries: false,
    filled: false,
    usedParked: false,
    cradled: false,
  },
  ladder: {
    many: 'Ladders',
    called: /\bladders?\b/i,
    usually: { shape: 'poles', sizeMm: [3000, 430, 150], mount: 'strap' },
    carries: false,
    filled: false,
    usedParked: false,
    cradled: false,
  },
  tool: {
    many: 'Tools',
    usually: { shape: 'poles', sizeMm: [1200, 220, 60], mount: 'none' },
    carries: false,
    filled: false,
    usedParked: false,
    cradled: false,
  },
  wheel: {
    many: 'Wheels',
    usually: { shape: 'wheel', sizeMm: [760, 760, 250], mount: 'strap' },
    carries: false,
    filled: false,
    usedParked: false,
    cradled: false,
  },
  person: {
    many: 'People',
    usually: { shape: 'person', sizeMm: [350, 480, 1750], mount: 'none' },
    carries: false,
    filled: false,
    usedParked: true,
    cradled: false,
  },
  carrier: {
    many: 'Carriers',
    called:
      /\b(?:bike|bicycle|cycle|ski|kayak|boat|canoe|board|surfboard|wheel) ?(?:carriers?|trays?|holders?|cradles?|mounts?)\b|\bcradles?\b|\bj-?bars?\b/i,
    usually: { shape: 'cradles', sizeMm: [900, 420, 120], mount: 'unsaid' },
    carries: true,
    filled: false,
    usedParked: false,
    cradled: false,
  },
  other: {
    many: 'Other',
    usually: { shape: 'box', sizeMm: [1000, 500, 300], mount: 'strap' },
    carries: false,
    filled: true,
    usedParked: false,
    cradled: false,
  },
} as const satisfies Record<string, GearKindTraits>
export type GearKind = keyof typeof GEAR_KINDS

/** The traits of gear of this kind. */
export const gearTraits = (kind: GearKind): GearKindTraits => GEAR_KINDS[kind]

export const gearKindSchema = z.enum(kindsOf(GEAR_KINDS))
