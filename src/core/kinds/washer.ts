import * as z from '../units/schema'
import { kindsOf } from './kind'

/** Washers that sheets name. */
export const WASHERS = {
  flat: { choice: 'flat' },
  lock: { choice: 'lock' },
  spring: { choice: 'spring' },
  rubber: { choice: 'rubber' },
  cup: { choice: 'cup' },
  plate: { choice: 'plate' },
} as const satisfies Record<string, { readonly choice: string }>
export type Washer = keyof typeof WASHERS

/** On each bolt, from the head down. */
export const washersSchema = z.array(z.enum(kindsOf(WASHERS))).check(z.maxLength(6))
