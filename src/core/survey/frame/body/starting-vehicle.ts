import type { Body } from '../../../kinds/body'
import type { Vehicle } from '../../../plan/vehicle'
import { startingAttachment } from './starting-attachment'
import { startingSizes } from './starting-sizes'

const START = { by: 'start' } as const

/** A vehicle of a body as a form begins with it: its sizes are starting values until somebody types over them. */
export const startingVehicle = (body: Body, id: string): Vehicle => ({
  id,
  name: '',
  ...startingSizes(body),
  attachments: [startingAttachment('raisedRail', body, `${id}-rails`)],
  obstacles: [],
  known: { lengthMm: START, widthMm: START, heightMm: START },
})
