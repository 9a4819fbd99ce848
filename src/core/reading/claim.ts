import type { GearKind } from '../kinds/gear-kind'
import type { Span } from './letters'
import type { Said } from './said'
import type { ReadUnit } from './unit-words'

/** What a figure or a word of a text means, with the words it was read from. */
export interface Claim extends Said {
  /** What it measures, and of what: `bars.rating`, `gear.length`. */
  readonly what: string
  readonly value: number | string
  readonly unit: ReadUnit | 'year' | 'count' | null
  /** Where it stands in the original text. */
  readonly at: Span
  /** Nothing that its field needs is in doubt; what is open beside it is a question of its own. */
  readonly sure: boolean
  /** Its two units do not agree: neither is to be taken. */
  readonly disagrees?: true
  /** The kind of thing for which alone a limit holds. */
  readonly for?: string
  /** Of gear: which of the things a text names it is said of. */
  readonly thing?: GearKind
  /** The speed up to which alone a limit holds, km/h. */
  readonly upToKmH?: number
  /** The column or condition under which it stands. */
  readonly condition?: string
}

/** What is found out of one amount, before its place and unit are added. */
export interface Meaning extends Said {
  readonly what: string
  /** Which of an amount’s values it is; the first where nothing is said. */
  readonly which?: number
  readonly sure?: boolean
  readonly for?: string
  readonly condition?: string
}
