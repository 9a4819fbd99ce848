import { holds, nearest, type Intervals } from '../../survey/geometry/intervals'
import { seatsOfBar } from '../../survey/fit/seat-windows'
import type { Survey } from '../../survey/survey'
import { check, MOVE_FIRST, practice, type Candidate } from '../check'
import type { Finding } from '../finding'
import { mm, type Phrase } from '../phrase'
import { barsMoved } from '../remedies/moves'

function places(within: Intervals): Phrase {
  return within.slice(0, 6).flatMap(([from, to], i): Phrase => {
    const lead = i === 0 ? '' : i === within.length - 1 ? ' or ' : ', '
    return to - from < 1e-6 ? [`${lead}at `, mm(from)] : [`${lead}from `, mm(from), ' to ', mm(to)]
  })
}

function remedies(survey: Survey, finding: Finding): Candidate[] {
  const at = survey.bars.find(({ bar }) => bar.id === finding.subject.barId)
  const within = at && seatsOfBar(survey, at)?.within
  const xMm = within && nearest(within, at.bar.xMm)
  if (!at || xMm === undefined) return barsMoved(survey)
  const by = xMm - at.bar.xMm
  return [
    {
      kind: 'move',
      say: [`Move ${at.bar.name.toLowerCase()} ${by < 0 ? 'forward' : 'rearward'} `, mm(Math.abs(by))],
      command: { do: 'moveBar', barId: at.bar.id, xMm },
      rank: MOVE_FIRST + Math.abs(by),
    },
    ...barsMoved(survey),
  ]
}

/** Does every bar stand where its feet can? x in mm behind the windscreen's upper edge. */
export const barSeat = check({
  id: 'bar-seat',
  title: 'Where bars stand',
  question: 'Does every bar stand where the rail, the points or the fit sheet let its feet stand?',
  formula: 'x within the rail’s range less its posts, on a notch, on a point, or where the fit sheet says',
  source: practice('Rails let bars go anywhere in a range; fixed points do not. Common practice, no source.'),
  nothing: 'No bar stands on anything that says where.',
  *run(survey) {
    const tolerance = survey.plan.rules.tolerancesMm.parallel
    for (const at of survey.bars) {
      const seats = seatsOfBar(survey, at)
      if (!seats?.within || seats.within.length === 0) continue
      const { bar, rack } = at
      const x = nearest(seats.within, bar.xMm) ?? bar.xMm
      const off = Math.abs(x - bar.xMm)
      const fits = holds(seats.within, bar.xMm, seats.locked ? tolerance : 1e-6)
      const common = {
        id: `bar-seat ${bar.id}`,
        rule: 'bar-seat',
        state: 'all',
        subject: { placementIds: [], barId: bar.id, rackId: rack.id },
        measured: mm(bar.xMm),
        limit: mm(x),
      } as const
      yield fits
        ? {
            ...common,
            severity: 'clear',
            sentence: [
              `${bar.name} stands where its feet can: ${seats.locked ? 'the vehicle fixes it' : 'along the rail'}.`,
            ],
          }
        : {
            ...common,
            severity: 'stop',
            margin: mm(-off),
            sentence: [
              `${bar.name} stands at `,
              mm(bar.xMm),
              ', where its feet cannot: they go ',
              ...places(seats.within),
              '.',
            ],
          }
    }
  },
  remedies,
})
