import { type Said, check, practice } from '../check'
import { readingsSummary, type Measurement } from '../../plan/measurement'
import type { BarAt } from '../../survey/frame/arrangement'
import { squareness } from '../../survey/bars/squareness'
import type { Survey } from '../../survey/survey'
import { deg, mm } from '../../units/phrase'

type Length = Extract<Measurement, { kind: 'length' }>

/** Two neighbouring bars whose spread was measured on both sides. */
interface Sides {
  readonly front: BarAt
  readonly rear: BarAt
  readonly leftMm: number
  readonly rightMm: number
}

function measuredSides(survey: Survey): Sides[] {
  const { measurements } = survey.plan
  const reading = (front: string, rear: string, side: 'left' | 'right') => {
    const found = measurements.findLast(
      ({ of }) =>
        of.about === 'spread' && of.frontBarId === front && of.rearBarId === rear && of.side === side,
    )
    return found?.kind === 'length' ? readingsSummary(found.readingsMm).middleMm : undefined
  }
  return survey.fit.spreads().pairs.flatMap(({ front, rear }): Sides[] => {
    const leftMm = reading(front.bar.id, rear.bar.id, 'left')
    const rightMm = reading(front.bar.id, rear.bar.id, 'right')
    return leftMm === undefined || rightMm === undefined ? [] : [{ front, rear, leftMm, rightMm }]
  })
}

/** Are bars parallel whose spread was measured left and right, at their outer feet? */
function* parallel(survey: Survey, tolerance: number): Iterable<Said> {
  for (const { front, rear, leftMm, rightMm } of measuredSides(survey)) {
    const across = (rear.bar.feetYMm.at(-1) ?? 0) - (rear.bar.feetYMm[0] ?? 0)
    const { skewDeg, moveMm } = squareness(leftMm, rightMm, across)
    yield {
      about: `parallel ${front.bar.id} ${rear.bar.id}`,
      state: 'all',
      subject: { placementIds: [], barId: rear.bar.id },
      measured: mm(moveMm),
      limit: mm(tolerance),
      margin: mm(tolerance - moveMm),
      severity: moveMm > tolerance ? 'mind' : 'clear',
      sentence: [
        `${front.bar.name} and ${rear.bar.name}: spread `,
        mm(leftMm),
        ' left, ',
        mm(rightMm),
        ' right, ',
        deg(Math.abs(skewDeg)),
        ' from parallel',
        ...(moveMm > tolerance ? [': move one end ', mm(moveMm), '.'] : ['.']),
      ],
    }
  }
}

/** The measurement of the room under a bar, and what the plan has for it. */
export function underBar(survey: Survey, measurement: Length) {
  const { of } = measurement
  const at = of.about === 'underBar' ? survey.bars.find(({ bar }) => bar.id === of.barId) : undefined
  return at && { at, ...readingsSummary(measurement.readingsMm) }
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
  turnedBy: {},
  nothing: 'Nothing was measured yet.',
  *run(survey) {
    const tolerance = survey.plan.rules.tolerancesMm.parallel
    yield* parallel(survey, tolerance)
    for (const measurement of survey.plan.measurements) {
      if (measurement.kind !== 'length') continue
      const { scatterMm } = readingsSummary(measurement.readingsMm)
      const subject = { placementIds: [], measurementId: measurement.id }
      const common = { state: 'all', subject } as const
      const found = underBar(survey, measurement)
      const gate = survey.fit.gates().find((each) => each.measurement === measurement)
      const what =
        measurement.of.about === 'other'
          ? measurement.of.what
          : measurement.of.about === 'spread'
            ? `Spread on the ${measurement.of.side}`
            : found
              ? `Room under ${found.at.bar.name}`
              : gate
                ? `${gate.of.name}, ${gate.gate.question.toLowerCase()}`
                : 'A measurement of what is no longer on the plan'
      // One reading has nothing to be compared with.
      if (measurement.readingsMm.length > 1)
        yield {
          ...common,
          about: `scatter ${measurement.id}`,
          severity: scatterMm > tolerance ? 'mind' : 'clear',
          measured: mm(scatterMm),
          limit: mm(tolerance),
          margin: mm(tolerance - scatterMm),
          sentence: [
            `${what}: ${measurement.readingsMm.length} readings, `,
            mm(scatterMm),
            ' apart',
            scatterMm > tolerance ? ': measure again, from the same feature.' : '.',
          ],
        }
      if (!found) continue
      const off = found.middleMm - found.at.bar.riseMm
      yield {
        ...common,
        about: `plan ${measurement.id}`,
        severity: Math.abs(off) > tolerance ? 'findOut' : 'clear',
        ...(Math.abs(off) > tolerance
          ? { ask: { where: 'tape', label: what, target: { open: 'measuring' } } as const }
          : {}),
        measured: mm(found.middleMm),
        limit: mm(found.at.bar.riseMm),
        margin: mm(tolerance - Math.abs(off)),
        sentence: [
          `${what}: measured `,
          mm(found.middleMm),
          ', the plan has ',
          mm(found.at.bar.riseMm),
          Math.abs(off) > tolerance ? ': settle which it is.' : '.',
        ],
      }
    }
  },
})
