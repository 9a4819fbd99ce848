import { ATTACHMENTS, USUAL_ATTACHMENT, type OrderName } from '../../kinds/attachment'
import type { Attachment } from '../../plan/schema/vehicle'
import { PHASES } from '../../plan/schema/work'
import { BED_SIDES, BED_SOCKETS, FRAME_POINTS, HATCH_SEAM } from './body-orders'
import type { FittingOrder } from './fitting-order'
import { DRILL_TITLE, JOB_TITLE, MADE_TITLE } from './own-titles'
import { ALONG, CANOPY_TRACKS, DOOR_FRAMES, DRILLED_MOUNTS, FIXED_POINTS, HOOK_POINTS } from './roof-orders'
import { PHASE_WORD } from './step'

/** The orders of fitting by their names, which each way to attach has one of: what is not said here is said by a part's own sheet. Common practice, no source. */
const FITTING_ORDERS: Readonly<Record<OrderName, FittingOrder>> = {
  along: ALONG,
  points: FIXED_POINTS,
  hooks: HOOK_POINTS,
  doorFrames: DOOR_FRAMES,
  mounts: DRILLED_MOUNTS,
  frame: FRAME_POINTS,
  bedSides: BED_SIDES,
  sockets: BED_SOCKETS,
  canopy: CANOPY_TRACKS,
  seam: HATCH_SEAM,
}

/** The order of a rack on what it stands on; one on nothing goes on as bars on rails do. */
export const orderOf = (attachment: Attachment | undefined): FittingOrder =>
  FITTING_ORDERS[ATTACHMENTS[attachment?.kind ?? USUAL_ATTACHMENT].order]

type Choices = readonly (readonly [string, string])[]

/** The steps of racks by their keys, with what each is usually called and its phase: a house puts one after others of its phase. */
export const rackStepChoices = (): Choices => [
  ...new Map(
    PHASES.flatMap((phase) =>
      Object.values(FITTING_ORDERS).flatMap(({ steps }) =>
        (steps[phase] ?? []).map((entry): readonly [string, string] => {
          const [key, title] =
            'made' in entry ? [entry.made, MADE_TITLE[entry.made]] : [entry.key, entry.title]
          return [key, `${title} (${PHASE_WORD[phase].toLowerCase()})`]
        }),
      ),
    ),
  ),
]

/** The app's own steps by their keys, with what each is usually called: what a house may word or time anew. */
export const ownStepChoices = (): Choices => [
  ...Object.entries(JOB_TITLE),
  ...rackStepChoices(),
  ...Object.entries(DRILL_TITLE),
]
