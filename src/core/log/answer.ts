/**
 * What may be said of a step, or of some of its places, instead of doing it. Only what was on already counts as if it were
 * done; the others stay open, and the sheet begins with them.
 */
export const ANSWERS = ['alreadyOn', 'notSeen', 'putOff', 'cannotHere'] as const
export type StepAnswer = (typeof ANSWERS)[number]

export const ANSWER_WORD: Readonly<Record<StepAnswer, string>> = {
  alreadyOn: 'Already on at arrival',
  notSeen: 'Not seen',
  putOff: 'Put off',
  cannotHere: 'Cannot be done here',
}
