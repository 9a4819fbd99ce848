import { readingsSummary, type Measurement } from '../plan/schema/measurement'
import { squareness } from '../survey/bars/bar-squareness'
import type { BarAt } from '../survey/frame/arrangement'
import type { Survey } from '../survey/survey'
import { atMost, type Compared } from './comparison'

type Length = Extract<Measurement, { kind: 'length' }>

/** Two neighbouring bars whose spread was measured on both sides, at their outer feet: how far an end must move. mm */
interface ParallelBars {
  readonly front: BarAt
  readonly rear: BarAt
  readonly leftMm: number
  readonly rightMm: number
  readonly skewDeg: number
  readonly move: Compared
}

/** Neighbouring bars with a reading on both sides. */
export function parallelBars(survey: Survey): readonly ParallelBars[] {
  const { measurements, rules } = survey.plan
  const reading = (front: BarAt, rear: BarAt, side: 'left' | 'right') => {
    const found = measurements.findLast(
      ({ of }) =>
        of.about === 'spread' &&
        of.frontBarId === front.bar.id &&
        of.rearBarId === rear.bar.id &&
        of.side === side,
    )
    return found?.kind === 'length' ? readingsSummary(found.readingsMm).middleMm : undefined
  }
  return survey.fit.spreads().pairs.flatMap(({ front, rear }): ParallelBars[] => {
    const leftMm = reading(front, rear, 'left')
    const rightMm = reading(front, rear, 'right')
    if (leftMm === undefined || rightMm === undefined) return []
    const across = (rear.bar.feetYMm.at(-1) ?? 0) - (rear.bar.feetYMm[0] ?? 0)
    const { skewDeg, moveMm } = squareness(leftMm, rightMm, across)
    const move = atMost(moveMm, rules.tolerancesMm.parallel, 'exact')
    return [{ front, rear, leftMm, rightMm, skewDeg, move }]
  })
}

/** The measurement of the room under a bar, and what the plan has for it. */
export function underBar(survey: Survey, measurement: Length) {
  const { of } = measurement
  const at = of.about === 'underBar' ? survey.bars.find(({ bar }) => bar.id === of.barId) : undefined
  return at && { at, ...readingsSummary(measurement.readingsMm) }
}

/** What was measured: its readings against each other, and against what the plan has. mm */
interface Measured {
  readonly measurement: Length
  /** Nothing of a single reading, which has nothing to be compared with. */
  readonly scatter: Compared | undefined
  readonly onPlan: { readonly at: BarAt; readonly middleMm: number; readonly off: Compared } | undefined
}

/** Every length that was measured. */
export function measuredLengths(survey: Survey): readonly Measured[] {
  const tolerance = survey.plan.rules.tolerancesMm.parallel
  return survey.plan.measurements.flatMap((measurement): Measured[] => {
    if (measurement.kind !== 'length') return []
    const { scatterMm } = readingsSummary(measurement.readingsMm)
    const found = underBar(survey, measurement)
    const off = found && Math.abs(found.middleMm - found.at.bar.riseMm)
    return [
      {
        measurement,
        scatter: measurement.readingsMm.length > 1 ? atMost(scatterMm, tolerance, 'exact') : undefined,
        onPlan:
          found && off !== undefined
            ? { at: found.at, middleMm: found.middleMm, off: atMost(off, tolerance, 'exact') }
            : undefined,
      },
    ]
  })
}
