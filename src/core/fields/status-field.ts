import { choice } from './field'

/**
 * Whether a rack, a thing or a joint's place is to be fitted, was already on at arrival, or comes off; what comes off counts
 * in no state.
 */
export const STATUS_FIELD = choice('In this job', [
  ['toFit', 'to fit'],
  ['alreadyOn', 'already on'],
  ['comesOff', 'comes off'],
])
