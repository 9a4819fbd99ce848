import type { ReadingOf, SheetRead } from '@/core/api/files'

/** A text to be read; `of` is what the open sheet is of, where one is open. */
export interface TextQuestion {
  readonly ticket: number
  readonly text: string
  readonly of: ReadingOf | undefined
}

export interface TextAnswer {
  readonly ticket: number
  readonly read: SheetRead
}
