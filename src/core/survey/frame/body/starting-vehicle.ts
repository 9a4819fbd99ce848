import { USUAL_ATTACHMENT } from '../../../kinds/attachment'
import type { Body } from '../../../kinds/body'
import type { Vehicle } from '../../../plan/schema/vehicle'
import { startingAttachment, startingMarks } from './starting-attachment'
import { startingSizes } from './starting-sizes'

/** A vehicle of a body as a form begins with it: its sizes are starting values until somebody types over them. */
export const startingVehicle = (body: Body, id: string): Vehicle => ({
  id,
  name: '',
  ...startingSizes(body),
  attachments: [startingAttachment(USUAL_ATTACHMENT, body, `${id}-rails`)],
  obstacles: [],
  known: startingMarks(startingSizes(body)),
})
