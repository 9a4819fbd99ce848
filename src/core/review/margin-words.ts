import { fails, overBy, spareOf, type Compared } from '../facts/comparison'
import { mm, missing, toSpare, type Amount, type Phrase } from '../units/phrase'

/** Less than this is nothing on a tape, a scale or a wrench, in the unit of the comparison. */
const NOTHING = 0.05

/** How much is left to a limit, or by how much it is missed, where a sentence has said both. */
export function marginPhrase(compared: Compared, amount: (value: number) => Amount = mm): Phrase {
  if (fails(compared))
    return [missing(amount(overBy(compared))), compared.direction === 'atLeast' ? ' short' : ' too much']
  const left = spareOf(compared)
  return left < NOTHING ? ['nothing to spare'] : [toSpare(amount(left)), ' to spare']
}

/** The same as the end of that sentence. */
export const marginWords = (compared: Compared, amount: (value: number) => Amount = mm): Phrase => [
  '; ',
  ...marginPhrase(compared, amount),
  '.',
]
