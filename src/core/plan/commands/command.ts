import * as z from '../../units/schema'
import type { Edit } from './edit'
import { ofJob } from './job-commands'
import { ofPlacement } from './placement-commands'
import { ofRack } from './rack-commands'
import { ofRating } from './rating-commands'
import { ofVehicle } from './vehicle-commands'
import { NOTHING_SHARED, unionOf } from '../../kinds/union'

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
