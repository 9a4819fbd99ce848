import type { SheetReading } from '@/core/api/files'
import type { Source } from '@/core/api/plan'

/** The readings that a person took over from a text. */
export interface Pasted {
  readonly taken: readonly SheetReading[]
  readonly all: readonly SheetReading[]
  readonly from: Source['kind']
  /** Which of several things it is about, where there are several. */
  readonly of: string
}
