import type { Phrase } from '../units/phrase'

/** More findings of one rule and severity than this are told as one that lists what they are about. */
export const SINGLE_UP_TO = 200

/** Whether a list is longer than anybody reads. */
export const areMany = (list: readonly unknown[]): boolean => list.length > SINGLE_UP_TO

/** What is said of very many that read alike. */
export const manyWords = (count: number, first: Phrase): Phrase => [
  `${count} of the same kind; the first: `,
  ...first,
]
