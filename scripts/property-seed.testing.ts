import fc from 'fast-check'
import { inject } from 'vitest'

/** One seed for every property of a run, so that a failure can be had again. */
fc.configureGlobal({ seed: inject('seed') })
