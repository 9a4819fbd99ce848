import type { Provenance } from '../kinds/provenance'
import type { PlanEntry } from '../plan/schema/entry'
import { TOLERANCE } from '../units/tolerance'
import type { State } from '../units/scalars'

/** What a measure and its limit are in: it says how near to each other two figures are the same. */
export type CompareUnit = 'mass' | 'length' | 'gap' | 'part' | 'angle' | 'force' | 'exact'

/** How an entry goes into a comparison. */
export interface FactUse {
  readonly entry: PlanEntry
  /** What stands in the plan, in the unit of its field. */
  readonly value: number
  readonly how: Provenance | 'unknown'
  /** How far it may be off, either way, in the same unit; infinite upwards where nobody knows it at all. */
  readonly bracket: number
  /** By how much the comparison comes nearer to failing for each unit that the entry is more; negative where it helps. */
  readonly per: number
}

/** A measure held against its limit, both in the same unit. */
export interface Compared {
  readonly measure: number
  readonly limit: number
  readonly direction: 'atMost' | 'atLeast'
  readonly unit: CompareUnit
}

/** One thing held against a limit: numbers and ids, and which entries of the plan they come from. */
export interface Comparison extends Compared {
  readonly id: string
  readonly states: readonly State[]
  readonly uses: () => readonly FactUse[]
  /** How far all facts together can move it at most, where that is known without them: what is further from its limit is not asked for them. */
  readonly swings?: number
}

/** How far a comparison is past its limit; negative is what is left. In its unit. */
export const overBy = ({ measure, limit, direction }: Compared): number =>
  direction === 'atMost' ? measure - limit : limit - measure

/** By how much a limit may be passed by rounding alone. */
export function slackOf({ unit, limit }: Pick<Compared, 'unit' | 'limit'>): number {
  switch (unit) {
    case 'mass':
      return Math.abs(limit) * TOLERANCE.mass + TOLERANCE.noughtKg
    case 'length':
      return TOLERANCE.lengthMm
    case 'gap':
      return TOLERANCE.gapMm
    case 'part':
      return TOLERANCE.partMm
    case 'angle':
      return TOLERANCE.angleDeg
    case 'force':
      return TOLERANCE.noughtKg
    case 'exact':
      return 0
  }
}

/** Whether a comparison fails as its figures stand: an exact fit passes. */
export const fails = (compared: Compared): boolean => overBy(compared) > slackOf(compared)

/** What is left to the limit, in its unit; negative is how far it is passed. */
export const spareOf = ({ measure, limit, direction }: Compared): number =>
  direction === 'atMost' ? limit - measure : measure - limit

export const atMost = (measure: number, limit: number, unit: CompareUnit = 'length'): Compared => ({
  measure,
  limit,
  direction: 'atMost',
  unit,
})

export const atLeast = (measure: number, limit: number, unit: CompareUnit = 'length'): Compared => ({
  measure,
  limit,
  direction: 'atLeast',
  unit,
})

/** A measure between two bounds, held against the one that it is nearer to passing. */
export function between(measure: number, from: number, to: number, unit: CompareUnit = 'length'): Compared {
  const [low, high] = [atLeast(measure, from, unit), atMost(measure, to, unit)]
  return overBy(low) > overBy(high) ? low : high
}
