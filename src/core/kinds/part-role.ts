import * as z from '../units/schema'
import { kindsOf } from './kind'

/** What sheets of some parts speak of and others do not. */
export type PartTopic = 'vehicles' | 'attachments' | 'channel' | 'uplift' | 'sides' | 'marks' | 'keys'

interface PartRoleTraits {
  /** Inside a sentence, and as a form offers it. */
  readonly word: string
  readonly choice: string
  /** What sheets call such parts besides. */
  readonly alsoCalled: readonly string[]
  /** Its place from the top of a rack down: a rating that counts everything counts what stands above it here. */
  readonly stack: number
  /** Whether there is one at every foot. */
  readonly atFeet: boolean
  /** Of what its sheet usually speaks. Common practice, no source. */
  readonly speaksOf: readonly PartTopic[]
  /** Where its figure is usually printed. Common practice, no source. */
  readonly printed: { readonly on: 'label' | 'sheet' | 'manual'; readonly words: string }
}

const UNDER_RATINGS = { on: 'sheet', words: "in the maker's sheet, under load ratings" } as const

/** What a part of a rack is for. */
export const PART_ROLES = {
  bars: {
    word: 'bars',
    choice: 'Bars',
    alsoCalled: ['crossbars', 'bar'],
    stack: 2,
    atFeet: false,
    speaksOf: ['marks'],
    printed: { on: 'label', words: "on a label under the bar's end or on the last page of its sheet" },
  },
  feet: {
    word: 'feet',
    choice: 'Feet',
    alsoCalled: ['towers', 'foot'],
    stack: 4,
    atFeet: true,
    speaksOf: ['attachments', 'channel', 'uplift', 'sides', 'marks', 'keys'],
    printed: { on: 'sheet', words: "on the sheet's last page or cast into the foot" },
  },
  fitKit: {
    word: 'fit kit',
    choice: 'Fit kit',
    alsoCalled: ['kit', 'fit kits'],
    stack: 5,
    atFeet: true,
    speaksOf: ['vehicles', 'attachments', 'sides', 'marks'],
    printed: { on: 'sheet', words: "on the kit's fit sheet for this vehicle" },
  },
  rails: {
    word: 'rails',
    choice: 'Added rails',
    alsoCalled: ['rail'],
    stack: 6,
    atFeet: false,
    speaksOf: ['vehicles', 'sides', 'marks'],
    printed: { on: 'manual', words: "in the vehicle's manual under roof loads, or on the rail's sheet" },
  },
  deck: {
    word: 'deck',
    choice: 'Platform or deck',
    alsoCalled: ['platform', 'tray'],
    stack: 1,
    atFeet: false,
    speaksOf: ['vehicles'],
    printed: UNDER_RATINGS,
  },
  trusses: {
    word: 'trusses',
    choice: 'Trusses',
    alsoCalled: ['sides', 'marks'],
    stack: 3,
    atFeet: false,
    speaksOf: ['sides', 'marks'],
    printed: UNDER_RATINGS,
  },
  panels: {
    word: 'side panels',
    choice: 'Side panels',
    alsoCalled: ['panels'],
    stack: 1,
    atFeet: false,
    speaksOf: ['sides', 'marks'],
    printed: UNDER_RATINGS,
  },
  legs: {
    word: 'legs',
    choice: 'Legs',
    alsoCalled: ['leg'],
    stack: 3,
    atFeet: true,
    speaksOf: ['vehicles', 'channel', 'sides', 'marks'],
    printed: UNDER_RATINGS,
  },
  ladder: {
    word: 'ladder',
    choice: 'Ladder',
    alsoCalled: [],
    stack: 2,
    atFeet: false,
    speaksOf: ['attachments'],
    printed: { on: 'label', words: 'on a label on the side of the ladder' },
  },
  whole: {
    word: 'whole rack',
    choice: 'The rack as a whole',
    alsoCalled: ['rack', 'whole'],
    stack: 9,
    atFeet: false,
    speaksOf: ['vehicles', 'attachments', 'channel', 'uplift', 'sides', 'marks', 'keys'],
    printed: { on: 'sheet', words: "on the cover of the rack's sheet" },
  },
} as const satisfies Record<string, PartRoleTraits>
export type PartRole = keyof typeof PART_ROLES

export const partRoleSchema = z.enum(kindsOf(PART_ROLES))
