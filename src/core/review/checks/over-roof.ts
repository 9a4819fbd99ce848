import { fails, overBy, spareOf } from '../../facts/comparison'
import { barsIn, isClose, nearestToStandIn, overTheBody, standsIn } from '../../facts/over-roof'
import { mm, missing, toSpare } from '../../units/phrase'
import { check, practice } from '../check'
import { BOXES, GEAR_SIZES } from '../length-groups'

/** Does nothing sink into the roof, the bars or a deck? Heights in mm. */
export const overRoof = check({
  id: 'over-roof',
  title: 'Over roof and bars',
  question: 'Is everything clear of the roof, bars and decks?',
  formula:
    'underside ≥ the body’s outline under it, the roof’s crown as a parabola; boxes of bars, decks and of what is in the bed not shared; what hangs under a thing counts',
  source: practice('Common practice, no source.'),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'ofEachThing',
  houseLook: 'none',
  turnedBy: {
    lengths: { of: { ...BOXES, vehicle: /Mm$/, obstacle: /^topZMm$/, gear: GEAR_SIZES }, reach: 2 },
  },
  nothing: 'Nothing stands over the roof.',
  *run(survey) {
    for (const { at, name, compared } of barsIn(survey))
      yield {
        about: `${at.bar.id} ${name}`,
        severity: 'stop',
        state: 'all',
        subject: { placementIds: [], barId: at.bar.id, rackId: at.rack.id },
        margin: mm(spareOf(compared)),
        sentence: [
          `${at.bar.name} stands in ${name}: its underside is `,
          missing(mm(overBy(compared))),
          ' too low.',
        ],
      }
    for (const thing of survey.things) {
      const over = overTheBody(survey, thing)
      const [first] = thing.parent ? [] : standsIn(survey, thing)
      const { name } = thing.gear
      const common = {
        about: thing.placement.id,
        state: 'all',
        subject: { placementIds: [thing.placement.id] },
      } as const
      if (first)
        yield {
          ...common,
          severity: 'stop',
          margin: mm(spareOf(first.into)),
          sentence: [`${name} stands in ${first.what} by `, missing(mm(overBy(first.into))), '.'],
        }
      else if (over && fails(over))
        yield {
          ...common,
          severity: 'stop',
          margin: mm(spareOf(over)),
          sentence: [`${name} would sink `, missing(mm(overBy(over))), ' into the vehicle’s roof or body.'],
        }
      else if (over && !thing.parent) {
        const near = nearestToStandIn(survey, thing)
        yield {
          ...common,
          severity: 'clear',
          margin: mm(spareOf(over)),
          nearStop: { mm: Math.min(spareOf(over), near?.mm ?? Infinity) },
          sentence: [
            `${name} stands `,
            toSpare(mm(spareOf(over))),
            ' over the vehicle',
            ...(near && isClose(near.mm, over)
              ? [', and ', toSpare(mm(near.mm)), ` from ${near.what}, which does not hold it`]
              : []),
            '.',
          ],
        }
      }
    }
  },
})
