import { fails, spareOf } from '../../facts/comparison'
import { sideBySide } from '../../facts/side-by-side'
import { mm, toSpare, type Phrase } from '../../units/phrase'
import { listed } from '../../units/words'
import { check, practice } from '../check'
import { marginWords } from '../margin-words'
import { verdictOf } from '../verdict'

type Side = ReturnType<typeof sideBySide>[number]

/** What is left between them, or that nothing is. */
const gapWords = ({ packed, gapMm, goesThere }: Side): Phrase =>
  !fails(packed)
    ? []
    : goesThere
      ? [' Side by side they have ', toSpare(mm(gapMm)), ' between them.']
      : [' They do not fit side by side there.']

/** Does what stands on one bar go side by side with the house's gap, and what is left of the bar in all? mm. */
export const sideBySideCheck = check({
  id: 'side-by-side',
  title: 'Side by side',
  question: 'Do all things on one bar fit side by side with the house’s gap?',
  formula: 'sum of the widths, from the first contact to the last, and a gap between each two ≤ usable width',
  source: practice('The shorter bar rules. Common practice, no source.'),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: {},
  nothing: 'No two things stand on one bar.',
  *run(survey) {
    const gap = survey.plan.rules.gapsMm.between
    for (const side of sideBySide(survey)) {
      const { at, things, packed } = side
      yield {
        about: at.bar.id,
        severity: verdictOf(packed, 'mind'),
        state: 'all',
        subject: {
          barId: at.bar.id,
          rackId: at.rack.id,
          placementIds: things.map(({ placement }) => placement.id),
        },
        measured: mm(packed.measure),
        limit: mm(packed.limit),
        margin: mm(spareOf(packed)),
        sentence: [
          `${at.bar.name}: ${listed(things.map(({ gear }) => gear.name))} side by side take `,
          mm(packed.measure),
          ' with ',
          mm(gap),
          ' between; it offers ',
          mm(packed.limit),
          ...marginWords(packed),
          ...gapWords(side),
        ],
      }
    }
  },
})
