import { fails, overBy, spareOf } from '../../facts/comparison'
import { unlikeBars, worstWidth } from '../../facts/usable-widths'
import { mm, missing, type Phrase, toSpare } from '../../units/phrase'
import { check, practice } from '../check'
import { GEAR_SIZES } from '../length-groups'

/** Do all contacts lie within the usable width of every bar they touch? mm. */
export const usableWidth = check({
  id: 'usable-width',
  title: 'Width',
  question: 'Is everything within the usable width of the shortest bar that it touches?',
  formula:
    'outermost contacts within half the usable width to either side, on every bar; else the deck’s width',
  source: practice('The shorter bar rules. Common practice, no source.'),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'ofEachThing',
  houseLook: 'none',
  turnedBy: {
    lengths: {
      of: { bar: /^usableMm$/, rack: /^deck\.widthMm$/, gear: GEAR_SIZES },
      reach: 1,
      half: /(usable|width|length|height)Mm$/,
    },
  },
  nothing: 'Nothing stands on bars or a deck.',
  *run(survey) {
    for (const { rackId, least, most, leastMm, lessMm } of unlikeBars(survey))
      yield {
        about: `bars of ${rackId}`,
        state: 'all',
        severity: 'clear',
        subject: { placementIds: [], rackId, barId: least.bar.id },
        measured: mm(leastMm),
        sentence: [
          `${least.bar.name} offers `,
          mm(leastMm),
          ', ',
          mm(lessMm),
          ` less than ${most.bar.name}, `,
          mm(lessMm / 2),
          ' a side: the shortest bar that a thing touches rules.',
        ],
      }
    for (const thing of survey.things) {
      const worst = worstWidth(survey, thing)
      if (!worst) continue
      const { span, side, past, known, reachesMm, offersMm } = worst
      const { name } = thing.gear
      const common = {
        about: thing.placement.id,
        state: 'all',
        subject: {
          placementIds: [thing.placement.id],
          ...(span.barId === undefined ? {} : { barId: span.barId }),
        },
        measured: mm(reachesMm),
        limit: mm(offersMm),
        margin: mm(spareOf(past)),
      } as const
      const reach: Phrase = [' (', mm(reachesMm), ' of ', mm(offersMm), ' from the middle)']
      if (!fails(past))
        yield {
          ...common,
          severity: 'clear',
          sentence: [
            `${name} stands within ${span.name} with `,
            toSpare(mm(spareOf(past))),
            ` to spare on the ${side}`,
            ...reach,
            '.',
          ],
        }
      else if (known)
        yield {
          ...common,
          severity: 'stop',
          sentence: [
            `${name} stands `,
            missing(mm(overBy(past))),
            ` past what ${span.name} offers on the ${side}`,
            ...reach,
            '.',
          ],
        }
      else
        yield {
          ...common,
          severity: 'findOut',
          ask: {
            where: 'sheet',
            label: `${name}: from one contact to the other, across`,
            target: { field: 'contacts', gearId: thing.gear.id },
          },
          sentence: [
            `${name} reaches `,
            missing(mm(overBy(past))),
            ` past what ${span.name} offers on the ${side}: find out on its sheet where its mounts touch the bar.`,
          ],
        }
    }
  },
})
