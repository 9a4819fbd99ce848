import type { Dimension } from './dimension'
import { formatQuantity, type Rounding, type UnitChoice } from './format'

/** A number that knows what it measures, in the core's unit. */
export interface Amount {
  readonly dimension: Dimension
  readonly value: number
  /** To which side it is rounded where it is printed; to the nearest where nothing is said. */
  readonly round?: Exclude<Rounding, 'nearest'>
}

/** A sentence whose numbers are still numbers, so that each reader sees them in their own units. */
export type Phrase = readonly (string | Amount)[]

export const kg = (value: number): Amount => ({ dimension: 'mass', value })
export const mm = (value: number): Amount => ({ dimension: 'length', value })
export const deg = (value: number): Amount => ({ dimension: 'angle', value })
export const newton = (value: number): Amount => ({ dimension: 'force', value })
export const newtonMetre = (value: number): Amount => ({ dimension: 'torque', value })
/** A range of torque, or one figure where both its ends are the same. N·m */
export const torqueRange = (fromNm: number, toNm: number): Phrase =>
  fromNm === toNm ? [newtonMetre(toNm)] : [newtonMetre(fromNm), ' to ', newtonMetre(toNm)]
export const mPa = (value: number): Amount => ({ dimension: 'stress', value })
export const kWh = (value: number): Amount => ({ dimension: 'energy', value })
export const kmH = (value: number): Amount => ({ dimension: 'speed', value })

/** What is left to a limit: rounded down, and none where a tolerance alone lets it pass. */
export const toSpare = (left: Amount): Amount => ({ ...left, value: Math.max(0, left.value), round: 'down' })

/** By how much a limit is missed: rounded up. */
export const missing = (by: Amount): Amount => ({ ...by, round: 'up' })

/** From one amount to another; one figure where both are the same. */
export const rangePhrase = (from: Amount, to: Amount): Phrase =>
  from.value === to.value ? [from] : [from, ' to ', to]

/** A phrase as plain text in the units chosen. */
export function phraseText(phrase: Phrase, choice?: UnitChoice): string {
  return phrase
    .map((bit) =>
      typeof bit === 'string' ? bit : formatQuantity(bit.dimension, bit.value, choice, bit.round),
    )
    .join('')
}
