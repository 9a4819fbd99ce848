import * as z from '../units/schema'
import type { Edit } from './commands/edit'
import { ofJob } from './commands/job-commands'
import { ofPlacement } from './commands/placement-commands'
import { ofRack } from './commands/rack-commands'
import { ofRating } from './commands/rating-commands'
import { ofVehicle } from './commands/vehicle-commands'
import { NOTHING_SHARED, unionOf } from '../kinds/union'

const edits = { ...ofJob, ...ofPlacement, ...ofVehicle, ...ofRack, ...ofRating }
type Edits = typeof edits

const singleCommandSchema = unionOf<'do', Edits, Record<keyof Edits, typeof NOTHING_SHARED>>(
  'do',
  edits,
  () => NOTHING_SHARED,
)
/** Every single edit of a plan. Dragging, typing, remedies, undo and import all speak in these. */
export type SingleCommand = z.infer<typeof singleCommandSchema>

/** What each kind of edit makes of a plan. */
export const EDITS = edits as unknown as Readonly<Record<SingleCommand['do'], Edit>>

/** Several edits taken and undone as one. */
export const commandSchema = z.union([
  singleCommandSchema,
  z.strictObject({
    do: z.literal('together'),
    commands: z.array(singleCommandSchema).check(z.minLength(1), z.maxLength(200)),
  }),
])
export type Command = z.infer<typeof commandSchema>
