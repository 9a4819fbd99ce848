import { ATTACHMENTS, type AttachmentKind } from '../../kinds/attachment'
import type { RackKind } from '../../kinds/rack-kind'
import { attachmentOfKind } from '../../plan/made-plans.testing'
import type { Plan } from '../../plan/schema/plan'
import { newPlan } from '../../plan/starting/new-plan'
import { startingSizes } from '../../survey/frame/body/starting-sizes'
import { startingRack } from '../../survey/frame/starting-rack'

/** A starting rack on a vehicle that has nothing but this to hold it. */
export function plainJob(on: AttachmentKind, kind: RackKind): Plan {
  const sizes = startingSizes(ATTACHMENTS[on].on === 'bed' ? 'pickup' : 'estate')
  const attachment = attachmentOfKind(on, sizes)
  const vehicle = { ...sizes, id: 'vehicle', name: 'Vehicle', attachments: [attachment], obstacles: [] }
  return newPlan({
    id: 'plain',
    job: { name: 'Plain' },
    vehicle,
    racks: [startingRack(vehicle, attachment, kind, 'rack')],
  })
}
