import { spareOf } from '../../facts/comparison'
import { sideOverhangOf } from '../../facts/side-overhangs'
import { mm } from '../../units/phrase'
import { check, practice } from '../check'
import { marginWords } from '../margin-words'
import { verdictOf } from '../verdict'

/** Do the bars run far enough past their feet for what loads from the side? mm. */
export const sideOverhang = check({
  id: 'side-overhang',
  title: 'Overhang for side loading',
  question: 'Do the bars extend far enough past their feet for side loading?',
  formula:
    'from the foot’s edge (its centre where the width is unknown) to just inside the cap ≥ what the sheet asks',
  source: practice('Side-loading boat carriers need overhang. Common practice, no source.'),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'ofEachThing',
  houseLook: 'none',
  turnedBy: {
    lengths: {
      of: { bar: /^(lengthMm|capMm|feetYMm)/, rack: /^footWidthMm$/, gear: /^fit\.overhangMm$/ },
      reach: 1,
    },
  },
  nothing: 'Nothing requires overhang.',
  *run(survey) {
    for (const thing of survey.things) {
      const worst = sideOverhangOf(survey, thing)
      if (!worst) continue
      const { at, side, compared } = worst
      const from = at.rack.footWidthMm === undefined ? 'the foot’s centre' : 'the foot’s edge'
      yield {
        about: thing.placement.id,
        state: 'all',
        subject: { placementIds: [thing.placement.id], barId: at.bar.id },
        measured: mm(compared.measure),
        limit: mm(compared.limit),
        margin: mm(spareOf(compared)),
        severity: verdictOf(compared, 'stop'),
        sentence: [
          `${at.bar.name} runs `,
          mm(compared.measure),
          ` past its foot on the ${side}, from ${from} to inside the cap; ${thing.gear.name} needs `,
          mm(compared.limit),
          ...marginWords(compared),
        ],
      }
    }
  },
})
