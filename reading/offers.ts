import type { Claim } from '../src/core/reading/claim'
import type { Offer } from './score'

/** The reader’s answers in the corpora’s names: the state of a limit is part of its name. */
export const offersOf = (claims: readonly Claim[]): Offer[] =>
  claims.map(({ what, state, upToKmH, value, unit, sure, at, per, counts, for: kind }) => ({
    what: state === undefined ? what : `${what}.${state}`,
    value,
    unit,
    sure,
    at,
    per,
    counts,
    for: kind,
    ...(upToKmH !== undefined && { upTo: upToKmH }),
  }))
