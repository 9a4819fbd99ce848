import { fails, spareOf } from '../../facts/comparison'
import { measuredLengths, parallelBars } from '../../facts/measured'
import type { Measurement } from '../../plan/schema/measurement'
import type { Survey } from '../../survey/survey'
import { deg, mm } from '../../units/phrase'
import { check, practice } from '../check'
import { verdictOf } from '../verdict'

/** What was measured, by name. */
function whatOf({ fit, bars }: Survey, measurement: Measurement): string {
  const { of } = measurement
  if (of.about === 'other') return of.what
  if (of.about === 'spread') return `Spread on the ${of.side}`
  const at = of.about === 'underBar' ? bars.find(({ bar }) => bar.id === of.barId) : undefined
  if (at) return `Room under ${at.bar.name}`
  const gate = fit.gates().find((each) => each.measurement === measurement)
  return gate
    ? `${gate.of.name}, ${gate.gate.question.toLowerCase()}`
    : 'A measurement of what is no longer on the plan'
}

/** Do repeated readings agree, and do they agree with what the plan has? mm. */
export const measuredFacts = check({
  id: 'measured-facts',
  title: 'Measurements',
  question: 'Do repeated readings agree with each other, and with what the plan says?',
  formula:
    'greatest less least reading within the house’s tolerance; middle reading against the plan’s figure; spread left and right for skew',
  source: practice('Measure from the same feature, both sides, more than once. Common practice, no source.'),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: {},
  nothing: 'Nothing was measured yet.',
  *run(survey) {
    for (const { front, rear, leftMm, rightMm, skewDeg, move } of parallelBars(survey))
      yield {
        about: `parallel ${front.bar.id} ${rear.bar.id}`,
        state: 'all',
        subject: { placementIds: [], barId: rear.bar.id },
        measured: mm(move.measure),
        limit: mm(move.limit),
        margin: mm(spareOf(move)),
        severity: verdictOf(move, 'mind'),
        sentence: [
          `${front.bar.name} and ${rear.bar.name}: spread `,
          mm(leftMm),
          ' left, ',
          mm(rightMm),
          ' right, ',
          deg(Math.abs(skewDeg)),
          ' from parallel',
          ...(fails(move) ? [': move one end ', mm(move.measure), '.'] : ['.']),
        ],
      }
    for (const { measurement, scatter, onPlan } of measuredLengths(survey)) {
      const common = {
        state: 'all',
        subject: { placementIds: [], measurementId: measurement.id },
      } as const
      const what = whatOf(survey, measurement)
      if (scatter)
        yield {
          ...common,
          about: `scatter ${measurement.id}`,
          severity: verdictOf(scatter, 'mind'),
          measured: mm(scatter.measure),
          limit: mm(scatter.limit),
          margin: mm(spareOf(scatter)),
          sentence: [
            `${what}: ${measurement.readingsMm.length} readings, `,
            mm(scatter.measure),
            ' apart',
            fails(scatter) ? ': measure again, from the same feature.' : '.',
          ],
        }
      if (!onPlan) continue
      const { at, middleMm, off } = onPlan
      yield {
        ...common,
        about: `plan ${measurement.id}`,
        severity: verdictOf(off, 'findOut'),
        ...(fails(off)
          ? { ask: { where: 'tape', label: what, target: { open: 'measuring' } } as const }
          : {}),
        measured: mm(middleMm),
        limit: mm(at.bar.riseMm),
        margin: mm(spareOf(off)),
        sentence: [
          `${what}: measured `,
          mm(middleMm),
          ', the plan has ',
          mm(at.bar.riseMm),
          fails(off) ? ': decide which holds.' : '.',
        ],
      }
    }
  },
})
