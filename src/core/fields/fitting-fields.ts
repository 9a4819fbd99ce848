import { ATTACHMENTS } from '../kinds/attachment'
import { SCHOOLS, waysToChoose } from '../kinds/fitting-ways'
import { choicesOf } from '../kinds/kind'
import type { FittingSchools, HouseFitting, StepChange, StepMinutes } from '../plan/schema/fitting'
import type { Minutes } from '../plan/schema/minutes'
import { choice, flag, group, hiddenField, list, number, several, text, type FieldsOf } from './field'

const SCHOOL_FIELDS = {
  build: choice(SCHOOLS.build.label, waysToChoose('build')),
  squaring: choice(SCHOOLS.squaring.label, waysToChoose('squaring')),
  strips: choice(SCHOOLS.strips.label, waysToChoose('strips')),
} satisfies FieldsOf<FittingSchools>

/** Which of two ways a rack is fitted in. */
export const SCHOOLS_FIELD = group('', SCHOOL_FIELDS)

export const MINUTES_FIELDS = {
  from: number('Minutes from'),
  to: number('to'),
} satisfies FieldsOf<Minutes>

/** How long a step of a job takes. */
export const STEP_MINUTES_FIELD = group('Minutes of this step', {
  step: hiddenField('It is the step whose minutes these are.'),
  minutes: group('', MINUTES_FIELDS),
} satisfies FieldsOf<StepMinutes>)

/** How the house goes about fitting, and what it changes of the steps. */
export const HOUSE_FITTING_FIELD = group('', {
  ...SCHOOL_FIELDS,
  squaring: choice(
    SCHOOLS.squaring.label,
    waysToChoose('squaring'),
    'Of bed racks with trusses: what else is taped follows from what it stands on',
  ),
  steps: list(
    'Steps changed by the house',
    'a changed step',
    group('', {
      step: choice('Step', 'ownSteps'),
      attachment: choice(
        'Only on',
        choicesOf(ATTACHMENTS, ({ word }) => word),
      ),
      title: text('Called'),
      detail: text('Said besides'),
      minutes: group('', MINUTES_FIELDS),
      after: several(
        choice('After which steps', 'rackSteps', 'Of its own phase: an earlier phase comes first anyway'),
      ),
      leftOut: flag(
        'Left out',
        'Only a step that stands on a word: a reading, a sign, a count, a seat and a latch stay',
      ),
    } satisfies FieldsOf<StepChange>),
  ),
} satisfies FieldsOf<HouseFitting>)
