import type { SheetReading } from './reading'

/** A text as somebody pastes it, with what a careful person would take from it, and what nobody may. */
export interface Sample {
  readonly name: string
  readonly text: string
  /** Readings without their words, in any order. */
  readonly takes: readonly Expected[]
  /** Numbers in it that are none of these things, as they stand there. */
  readonly never?: readonly string[]
  /** Two units for the same that do not agree, as they stand there. */
  readonly disagrees?: readonly string[]
}

type Without<T, K extends string> = T extends unknown ? Omit<T, K> : never
export type Expected = Without<SheetReading, 'words'>
