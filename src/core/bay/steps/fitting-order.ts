import type { FittingSchools } from '../../plan/schema/fitting'
import type { Minutes } from '../../plan/schema/minutes'
import type { Phase } from '../../plan/schema/work'
import type { MadeKey } from './own-titles'
import type { FactName } from './step'

interface Common {
  /** Of two ways, in which of them it is a step. */
  readonly only?: Pick<FittingSchools, 'build' | 'strips'>
}

/** A step that is made from the plan, in the words of this way to attach where the usual ones do not do. */
export interface MadeEntry extends Common {
  readonly made: MadeKey
  readonly title?: string
  readonly detail?: string
  /** What is said before its own words. */
  readonly lead?: string
  /** It waits for nothing of its own phase. */
  readonly beside?: true
}

/** A step that is the same for every rack on this attachment. Minutes. */
export interface PlainEntry extends Common {
  readonly key: string
  readonly title: string
  readonly detail: string
  readonly minutes: Minutes
  readonly hands?: 2
  readonly tools?: readonly string[]
  readonly on: readonly FactName[]
  /** It stands for a seat or a latch: no house leaves it out. */
  readonly kept?: true
}

export type OrderEntry = MadeEntry | PlainEntry

/** How a rack goes on one way to attach. */
export interface FittingOrder {
  /** Its steps by phase; within a phase each waits for the one before. */
  readonly steps: Readonly<Partial<Record<Phase, readonly OrderEntry[]>>>
  /** Whether its bars stand square by themselves: at each place of the vehicle, or by the trusses between them. */
  readonly squaresItself: 'always' | 'withTrusses' | 'never'
}

export const made = (key: MadeKey, rest: Omit<MadeEntry, 'made'> = {}): MadeEntry => ({ made: key, ...rest })

const TIGHTEN = [made('torque'), made('square-again')]

/** Tightening, with what is said first on this attachment. */
export const tightenWith = (lead: string): readonly OrderEntry[] => [
  made('torque', { lead }),
  made('square-again'),
]

/** What is alike on every attachment, with what is not. */
export const orderOn = ({
  bench = [],
  start,
  place = [made('place'), made('square')],
  torque = TIGHTEN,
  last = [],
  squaresItself = 'never',
}: {
  readonly bench?: readonly OrderEntry[]
  readonly start: readonly OrderEntry[]
  readonly place?: readonly OrderEntry[]
  readonly torque?: readonly OrderEntry[]
  readonly last?: readonly OrderEntry[]
  readonly squaresItself?: FittingOrder['squaresItself']
}): FittingOrder => ({
  steps: {
    bench: [made('marks'), ...bench, made('assemble-deck', { beside: true })],
    vehicle: [made('prepare'), made('drill')],
    start,
    place,
    torque,
    trim: [made('strips'), made('caps'), made('covers'), ...last],
  },
  squaresItself,
})
