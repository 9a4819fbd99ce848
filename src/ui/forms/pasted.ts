import type { SheetReading } from '@/core/api/files'
import type { Source } from '@/core/api/plan'

/** The readings that a person took over from a text. */
export interface Pasted {
  /** Those for a sheet, or for one of its parts. */
  readonly takenFor: (group: string) => readonly SheetReading[]
  /** How many they are. */
  readonly count: number
  readonly all: readonly SheetReading[]
  readonly from: Source['kind']
}
