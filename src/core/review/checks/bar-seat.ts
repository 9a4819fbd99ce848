import type { BarAt } from '../../survey/frame/arrangement'
import { longerThan, shortOf, TOLERANCE } from '../../units/tolerance'
import { holds, nearest, type Intervals } from '../../geometry/intervals'
import { seatsOfBar } from '../../survey/bars/seat-windows'
import type { Survey } from '../../survey/survey'
import { check, practice } from '../check'
import { mm, type Phrase } from '../../units/phrase'

function places(within: Intervals): Phrase {
  return within.slice(0, 6).flatMap(([from, to], i): Phrase => {
    const lead = i === 0 ? '' : i === within.length - 1 ? ' or ' : ', '
    return to - from < 1e-6 ? [`${lead}at `, mm(from)] : [`${lead}from `, mm(from), ' to ', mm(to)]
  })
}

/** How far a place stands within the stretch that holds it, mm. */
const inside = (within: Intervals, x: number): number =>
  Math.max(0, ...within.map(([from, to]) => Math.min(x - from, to - x)))

/** Another bar nearer than a bar's width, edge to edge, told once of the two. mm. */
function crowded(survey: Survey, { bar, index, box }: BarAt) {
  for (const other of survey.bars) {
    if (other.index >= index || other.box.z0 >= box.z1 || other.box.z1 <= box.z0) continue
    const wantedMm = Math.max(bar.profile.widthMm, other.bar.profile.widthMm)
    const gapMm = Math.max(box.x0 - other.box.x1, other.box.x0 - box.x1)
    if (shortOf(gapMm, wantedMm)) return { name: other.bar.name, gapMm, wantedMm }
  }
  return undefined
}

/** How far a bar on the roof stands past either end of it; nothing where it stands over it. mm. */
function offRoof(survey: Survey, { bar, onRoof }: BarAt): number | undefined {
  const { fromXMm, toXMm } = survey.plan.vehicle.roof
  if (!onRoof) return undefined
  const past = Math.max(fromXMm - bar.xMm, bar.xMm - toXMm)
  return longerThan(past, 0) ? past : undefined
}

/** Does every bar stand where its feet can? x in mm behind the windscreen's upper edge. */
export const barSeat = check({
  id: 'bar-seat',
  title: 'Where bars stand',
  question: 'Does every bar stand where the rail, the points or the fit sheet let its feet stand?',
  formula: 'x within the rail’s range less its posts, on a notch, on a point, or where the fit sheet says',
  source: practice('Rails let bars go anywhere in a range; fixed points do not. Common practice, no source.'),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  lengths: { of: { attachment: /^(ranges|posts|inside)/, rack: /^fitSheet/ }, reach: 1 },
  nothing: 'No bar stands on anything that says where.',
  *run(survey) {
    const tolerance = survey.plan.rules.tolerancesMm.parallel
    for (const at of survey.bars) {
      const seats = seatsOfBar(survey, at)
      if (!seats?.within || seats.within.length === 0) continue
      const { bar, rack } = at
      const x = nearest(seats.within, bar.xMm) ?? bar.xMm
      const off = Math.abs(x - bar.xMm)
      const fits = holds(seats.within, bar.xMm, seats.locked ? tolerance : TOLERANCE.lengthMm)
      const common = {
        about: bar.id,
        state: 'all',
        subject: { placementIds: [], barId: bar.id, rackId: rack.id },
        measured: mm(bar.xMm),
        limit: mm(x),
      } as const
      const crowding = crowded(survey, at)
      const past = offRoof(survey, at)
      if (crowding)
        yield {
          ...common,
          about: `close ${bar.id}`,
          severity: 'stop',
          margin: mm(crowding.gapMm - crowding.wantedMm),
          sentence: [
            `${bar.name} and ${crowding.name} stand `,
            mm(Math.max(0, crowding.gapMm)),
            ' apart, edge to edge: two bars keep a bar’s width between them, ',
            mm(crowding.wantedMm),
            '.',
          ],
        }
      if (past !== undefined)
        yield {
          ...common,
          about: `roof ${bar.id}`,
          severity: 'stop',
          margin: mm(-past),
          sentence: [`${bar.name} stands `, mm(past), ' past the end of the roof, where no rail is.'],
        }
      yield fits
        ? {
            ...common,
            severity: 'clear',
            margin: mm(seats.locked ? 0 : inside(seats.within, bar.xMm)),
            toStop: seats.locked ? tolerance - off : inside(seats.within, bar.xMm),
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
})
