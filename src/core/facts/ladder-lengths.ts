import type { Rack } from '../plan/schema/rack'
import type { Survey } from '../survey/survey'
import { atMost, type Compared } from './comparison'

/** A ladder's own length against the height that it spans, and against the panel that it hangs down. mm */
export interface LadderLength {
  readonly rack: Extract<Rack, { kind: 'ladder' }>
  /** From its foot to its top, straight up: no ladder spans more than it is long. */
  readonly spans: Compared
  readonly panel: Compared | undefined
}

/** Every ladder whose own length is known. */
export function ladderLengths({ plan }: Survey): readonly LadderLength[] {
  return plan.racks.flatMap((rack): LadderLength[] => {
    if (rack.kind !== 'ladder' || rack.lengthMm === undefined) return []
    const attachment = plan.vehicle.attachments.find(({ id }) => id === rack.attachmentId)
    const panelMm = attachment?.kind === 'hatchSeam' ? attachment.panelMm : undefined
    return [
      {
        rack,
        spans: atMost(rack.topZMm - rack.bottomZMm, rack.lengthMm, 'part'),
        panel: panelMm === undefined ? undefined : atMost(rack.lengthMm, panelMm, 'part'),
      },
    ]
  })
}
