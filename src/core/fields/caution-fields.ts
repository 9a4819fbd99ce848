import { CAUTIONS, DRIVER_MOMENTS, MOMENTS } from '../kinds/caution'
import { GEAR_KINDS } from '../kinds/gear-kind'
import { choicesOf } from '../kinds/kind'
import type { HouseCautions, OwnCaution, WordedCaution } from '../plan/schema/house-cautions'
import { choice, group, list, text, type FieldsOf } from './field'

/** What the house says besides the usual cautions, or in other words. */
export const HOUSE_CAUTIONS_FIELD = group('', {
  words: list(
    'Cautions in other words',
    'other words',
    group('', {
      caution: choice(
        'Instead of',
        choicesOf(CAUTIONS, ({ say }) => say),
        'A caution is said in other words, never left out',
      ),
      say: text('Say'),
    } satisfies FieldsOf<WordedCaution>),
  ),
  own: list(
    'Cautions of the house',
    'a caution',
    group('', {
      say: text('Say'),
      step: choice('On the step', 'ownSteps'),
      before: choice(
        'Or to the driver',
        DRIVER_MOMENTS.map((moment) => [moment, MOMENTS[moment].word] as const),
        'Empty, with no step: before driving',
      ),
      gear: choice(
        'Only with',
        choicesOf(GEAR_KINDS, ({ many }) => many),
      ),
    } satisfies FieldsOf<OwnCaution>),
  ),
} satisfies FieldsOf<HouseCautions>)
