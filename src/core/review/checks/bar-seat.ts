import { unmarkedEnds, wrongEnds } from '../../facts/bar-marks'
import { barSeats, isOnePlace } from '../../facts/bar-seats'
import { fails, overBy, spareOf } from '../../facts/comparison'
import type { Intervals } from '../../geometry/intervals'
import { mm, type Phrase, missing, toSpare } from '../../units/phrase'
import { check, practice } from '../check'

function places(within: Intervals): Phrase {
  return within.slice(0, 6).flatMap((stretch, i): Phrase => {
    const [from, to] = stretch
    const lead = i === 0 ? '' : i === within.length - 1 ? ' or ' : ', '
    return isOnePlace(stretch) ? [`${lead}at `, mm(from)] : [`${lead}from `, mm(from), ' to ', mm(to)]
  })
}

/** Does every bar stand where its feet can? x in mm behind the windscreen's upper edge. */
export const barSeat = check({
  id: 'bar-seat',
  title: 'Where bars stand',
  question:
    'Is every bar at a place that the rail, the points and the fit sheet allow, and at its marked end?',
  formula: 'x within the rail’s range less its posts, on a notch, on a point, or where the fit sheet says',
  source: practice('Rails let bars go anywhere in a range; fixed points do not. Common practice, no source.'),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: { lengths: { of: { attachment: /^(ranges|posts|inside)/, rack: /^fitSheet/ }, reach: 1 } },
  nothing: 'No bar has a prescribed place.',
  *run(survey) {
    for (const { at, marked, inItsPlace } of wrongEnds(survey))
      yield {
        about: `mark ${at.bar.id}`,
        concerns: { wrongEnd: true },
        severity: 'stop',
        state: 'all',
        subject: { placementIds: [], barId: at.bar.id, rackId: at.rack.id },
        // No length makes another bar of it.
        nearStop: { mm: -Infinity },
        sentence: [
          `${at.bar.name} is marked for the ${marked} and stands at the other end of ${at.rack.name}, where ${inItsPlace.bar.name} belongs: exchange them.`,
        ],
      }
    for (const { front, rear, differ } of unmarkedEnds(survey))
      yield {
        about: `mark ${front.rack.id}`,
        severity: 'mind',
        state: 'all',
        subject: { placementIds: [], barId: front.bar.id, rackId: front.rack.id },
        nearStop: { mm: Infinity },
        sentence: [
          `${front.bar.name} and ${rear.bar.name} of ${front.rack.name} are not alike: they ${differ === 'usableMm' ? 'offer' : 'are'} `,
          mm(front.bar[differ]),
          ' and ',
          mm(rear.bar[differ]),
          differ === 'usableMm' ? '' : ' long',
          '. Read on their marks which is for the front, and say so.',
        ],
      }
    for (const seat of barSeats(survey)) {
      const { bar, rack } = seat.at
      const { off, crowding, pastRoof, locked } = seat
      const common = {
        about: bar.id,
        state: 'all',
        subject: { placementIds: [], barId: bar.id, rackId: rack.id },
        measured: mm(bar.xMm),
      } as const
      if (crowding)
        yield {
          ...common,
          about: `close ${bar.id}`,
          severity: 'stop',
          measured: mm(crowding.gap.measure),
          limit: mm(crowding.gap.limit),
          margin: mm(-overBy(crowding.gap)),
          sentence: [
            `${bar.name} and ${crowding.name} stand `,
            mm(Math.max(0, crowding.gap.measure)),
            ' apart, edge to edge: two bars keep a bar’s width between them, ',
            mm(crowding.gap.limit),
            '.',
          ],
        }
      if (pastRoof && fails(pastRoof))
        yield {
          ...common,
          about: `roof ${bar.id}`,
          severity: 'stop',
          limit: mm(pastRoof.limit),
          margin: mm(-overBy(pastRoof)),
          sentence: [
            `${bar.name} stands `,
            missing(mm(overBy(pastRoof))),
            ' past the end of the roof, where no rail is.',
          ],
        }
      yield fails(off)
        ? {
            ...common,
            severity: 'stop',
            limit: mm(seat.nearestMm),
            margin: mm(-off.measure),
            sentence: [
              `${bar.name} stands at `,
              mm(bar.xMm),
              ', where its feet cannot: they go ',
              ...places(seat.within),
              '; ',
              missing(mm(Math.abs(seat.nearestMm - bar.xMm))),
              ' off.',
            ],
          }
        : {
            ...common,
            severity: 'clear',
            ...(locked
              ? { measured: mm(off.measure), limit: mm(off.limit), margin: mm(spareOf(off)) }
              : { limit: mm(seat.endMm), margin: mm(seat.insideMm) }),
            nearStop: { mm: seat.toStopMm },
            sentence: locked
              ? [`${bar.name} stands where its feet can: the vehicle fixes it.`]
              : [
                  `${bar.name} stands where its feet can: along the rail, with `,
                  toSpare(mm(seat.insideMm)),
                  ' to the nearer end.',
                ],
          }
    }
  },
})
