import type { Job } from '../plan/schema/placement'
import { day, group, ID, list, note, text, type FieldsOf } from './field'
import { STEP_MINUTES_FIELD } from './fitting-fields'

/** What a job says of itself besides what is fitted. */
export const JOB_FIELD = group('Job', {
  name: text('Name'),
  number: text('Job number'),
  customer: text('Customer'),
  due: day('Due'),
  note: note('Note'),
  came: group('', {
    on: day('Came in on'),
    by: text('Taken in by'),
    condition: note('How it came', 'Scratches, dents, what is on it already'),
    pictures: list('Pictures of it', 'a picture', group('', { id: ID, words: text('What it shows') })),
  }),
  minutes: list('Minutes of its steps', 'a step’s minutes', STEP_MINUTES_FIELD),
} satisfies FieldsOf<Job>)
