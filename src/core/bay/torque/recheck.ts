import type { Joint } from './joint'

/** Why a joint is not pulled again to check it; nothing where it may be. Common practice, no source. */
export function notPulledAgain({ locked, signs, fastener }: Joint): string | undefined {
  if (locked) return 'its threadlocker has cured'
  if (signs.some(({ kind }) => kind === 'washerClosed')) return 'its washer is crushed'
  return fastener.singleUse === true ? 'it is single-use' : undefined
}

/** What is done instead, in a fitter's words. */
const LOOK_INSTEAD =
  'look at it, and try by hand against its witness mark; if it moves, take it apart, clean it and fit it anew'

/** How a joint is looked at again, whole: in the bay, the calendar and when a rack is put back. */
export function recheckWords(joint: Joint): string | undefined {
  const why = notPulledAgain(joint)
  return why === undefined ? undefined : `${joint.name}: not pulled again, ${why}: ${LOOK_INSTEAD}`
}
