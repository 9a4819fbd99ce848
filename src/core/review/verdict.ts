import { fails, type Compared } from '../facts/comparison'
import type { Severity } from './finding'

/** What a comparison comes to, by what passing its limit is: an exact fit is Clear. */
export const verdictOf = (compared: Compared, passed: Exclude<Severity, 'clear'>): Severity =>
  fails(compared) ? passed : 'clear'
