import type { How } from '../kinds/how-known'
import type { PlanEntry } from '../plan/entry'
import { TOLERANCE } from '../units/tolerance'
import type { State } from '../units/scalars'

/** What a measure and its limit are in: it says how near to each other two figures are the same. */
export type CompareUnit = 'mass' | 'length' | 'part' | 'angle' | 'force'

/** How an entry goes into a comparison. */
export interface FactUse {
  readonly entry: PlanEntry
  /** What stands in the plan, in the unit of its field. */
  readonly value: number
  readonly how: How | 'unknown'
  /** How far it may be off, either way, in the same unit; infinite upwards where nobody knows it at all. */
  readonly bracket: number
  /** By how much the comparison comes nearer to failing for each unit that the entry is more; negative where it helps. */
  readonly per: number
}

/** One thing held against a limit: numbers and ids, and which entries of the plan they come from. */
export interface Comparison {
  readonly id: string
  readonly measure: number
  readonly limit: number
  readonly direction: 'atMost' | 'atLeast'
  readonly unit: CompareUnit
  readonly states: readonly State[]
  readonly uses: () => readonly FactUse[]
}

/** How far a comparison is past its limit; negative is what is left. In its unit. */
export const overBy = ({ measure, limit, direction }: Comparison): number =>
  direction === 'atMost' ? measure - limit : limit - measure

/** By how much a limit may be passed by rounding alone. */
export function slackOf({ unit, limit }: Pick<Comparison, 'unit' | 'limit'>): number {
  switch (unit) {
    case 'mass':
      return Math.abs(limit) * TOLERANCE.mass + TOLERANCE.noughtKg
    case 'length':
      return TOLERANCE.lengthMm
    case 'part':
      return TOLERANCE.partMm
    case 'angle':
      return TOLERANCE.angleDeg
    case 'force':
      return TOLERANCE.noughtKg
  }
}

/** Whether a comparison fails as its figures stand. */
export const fails = (comparison: Comparison): boolean => overBy(comparison) > slackOf(comparison)
