import { fails, overBy, spareOf } from '../facts/comparison'
import { ladderLengths } from '../facts/ladder-lengths'
import type { Survey } from '../survey/survey'
import { missing, mm, toSpare } from '../units/phrase'
import type { FindingDraft } from './check'
import { verdictOf } from './verdict'

/** Do a ladder's own length, the height that it spans and the panel that it hangs down check each other? */
export function* ladderLengthFindings(survey: Survey): Iterable<FindingDraft> {
  for (const { rack, spans, panel } of ladderLengths(survey)) {
    const common = { state: 'all', subject: { placementIds: [], rackId: rack.id } } as const
    yield {
      ...common,
      about: `${rack.id} span`,
      severity: verdictOf(spans, 'findOut'),
      ...(fails(spans)
        ? {
            ask: {
              where: 'tape',
              label: `${rack.name}, its own length`,
              target: { open: 'rack', rackId: rack.id, at: 'lengthMm' },
            } as const,
          }
        : {}),
      measured: mm(spans.measure),
      limit: mm(spans.limit),
      margin: mm(spareOf(spans)),
      sentence: [
        `${rack.name}: it is `,
        mm(spans.limit),
        ' long, and its top is ',
        mm(spans.measure),
        ' over its foot',
        ...(fails(spans) ? ['; ', missing(mm(overBy(spans))), ' missing. Measure both again.'] : ['.']),
      ],
    }
    if (!panel) continue
    yield {
      ...common,
      about: `${rack.id} panel`,
      severity: verdictOf(panel, 'mind'),
      measured: mm(panel.measure),
      limit: mm(panel.limit),
      margin: mm(spareOf(panel)),
      sentence: [
        `${rack.name}: it is `,
        mm(panel.measure),
        ' long, the panel that it hangs down ',
        mm(panel.limit),
        ...(fails(panel)
          ? [
              ': its foot hangs ',
              missing(mm(overBy(panel))),
              ' past the panel’s lower edge. Look at what it rests on, and open the panel with care.',
            ]
          : ['; its foot stays on the panel, ', toSpare(mm(spareOf(panel))), ' to spare.']),
      ],
    }
  }
}
