import { BASES } from '../kinds/basis'
import { choicesOf, kindsOf } from '../kinds/kind'
import type { GearMass, OtherMass } from '../plan/schema/gear-mass'
import type { Mass } from '../plan/schema/rating'
import { type UnknownRecord } from './unknown-record'
import { choice, group, list, mass, MARKS, number, text, type Fields, type FieldsOf } from './field'

/**
 * How a mass is known after it was typed. Left empty it is not known yet; a starting value or a target that was typed over
 * is what somebody told, and so is what nobody knew before.
 */
function knownAfter(now: UnknownRecord, was: UnknownRecord): UnknownRecord {
  const { kg, basis } = now
  if (kg === 0 && was['kg'] !== 0) return { ...now, basis: 'unknown' }
  const made = basis === 'start' || basis === 'target' || (basis === 'unknown' && kg !== 0)
  return made && basis === was['basis'] && kg !== was['kg'] ? { ...now, basis: 'told' } : now
}

const knownBy = (label: string) => ({
  ...choice(
    label,
    choicesOf(BASES, ({ word }) => word),
  ),
  made: kindsOf(BASES).filter((basis) => !BASES[basis].said),
})

/** A mass left empty is one that nobody knows yet. */
const weight = (label: string) => ({
  ...mass(label, 'Empty: not known yet'),
  empty: 0,
  saysHow: 'basis',
})

const massFields = (label: string) =>
  ({
    kg: weight(label),
    basis: knownBy('Weight known by'),
    by: text('Weighed by', 'Who, or on which scale'),
    spreadPercent: number('Uncertainty of the weight, %'),
    typed: MARKS,
  }) satisfies FieldsOf<Mass>

const settled = (fields: Fields) => group('', fields, { settle: knownAfter })

/** What something weighs, and how that is known. kg. */
export const MASS = (label: string) => settled(massFields(label))

/** The same, with what others say that it weighs. */
export const WEIGHTS = (label: string) =>
  settled({
    ...massFields(label),
    others: list(
      'Other weights from other sources',
      'a weight',
      group('', {
        kg: mass('It weighs'),
        basis: knownBy('Known by'),
        by: text('Says who'),
        unused: text('Why it does not count', 'Empty while undecided'),
        typed: MARKS,
      } satisfies FieldsOf<OtherMass>),
    ),
  } satisfies FieldsOf<GearMass>)
