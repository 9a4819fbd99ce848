import type { Phrase } from '../units/phrase'

/** More findings of one rule and severity than this are told as one that lists what they are about. */
export const SINGLE_UP_TO = 200

/** What is said of very many that read alike. */
export const manyWords = (count: number, first: Phrase): Phrase => [
  `${count} of the same kind; the first: `,
  ...first,
]
