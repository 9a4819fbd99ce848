/**
 * How somebody knew that a pull was done: what the wrench read, a wrench that clicked at its set figure, the joint's own
 * sign, or nothing but the hand. Entries from before this was asked do not say.
 */
export const PULL_EVIDENCE = ['reading', 'click', 'sign', 'feel'] as const
export type PullEvidence = (typeof PULL_EVIDENCE)[number]

/** How a pull without a reading was known to be done, in a fitter's words. */
export const pullWords = (how: PullEvidence | undefined): string =>
  how === undefined
    ? 'done, without a method'
    : { reading: 'read', click: 'clicked at its figure', sign: 'its sign seen', feel: 'by feel' }[how]

/** The same in a word, for a table. */
export const pullWord = (how: PullEvidence | undefined): string =>
  how === undefined ? 'said' : { reading: 'read', click: 'clicked', sign: 'sign', feel: 'feel' }[how]
