import { mm, rangePhrase, type Phrase } from '../units/phrase'
import { OPEN_MM } from './mount'

/** A range in words, mm: from an end to the other, or at least, or at most, where one is open. */
export function rangeWords(fromMm: number, toMm: number): Phrase {
  if (toMm >= OPEN_MM) return ['at least ', mm(fromMm)]
  return fromMm <= 0 ? ['at most ', mm(toMm)] : rangePhrase(mm(fromMm), mm(toMm))
}
