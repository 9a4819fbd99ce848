import type { BayProgress } from '../log/record'
import type { Readings } from '../log/taped'
import type { Measurement } from '../plan/schema/measurement'
import type { Plan } from '../plan/schema/plan'
import type { PairAsk, Step } from './steps/step'

type Length = Extract<Measurement, { kind: 'length' }>

const SIDES = [
  ['left', 'spreadLeft'],
  ['right', 'spreadRight'],
] as const

/** A pair's spread as it stands among the plan's measurements, whoever took it and where. */
export function spreadMeasured(
  { measurements }: Plan,
  { pair }: PairAsk,
  side: 'left' | 'right',
): Length | undefined {
  return measurements.findLast(
    (each): each is Length =>
      each.kind === 'length' &&
      each.of.about === 'spread' &&
      each.of.frontBarId === pair.front.id &&
      each.of.rearBarId === pair.rear.id &&
      each.of.side === side,
  )
}

/**
 * A job's progress with what was measured on Load: it stands for the first measuring of the fitting until that is taken
 * there. Once tightened it is taped again in any case.
 */
export function withBenchReadings(progress: BayProgress, steps: readonly Step[], plan: Plan): BayProgress {
  const measured = new Map(progress.measured)
  for (const step of steps) {
    if (step.task.kind !== 'measure' || step.stage !== 'place') continue
    for (const ask of step.task.pairs) {
      const key = `${step.id} ${ask.id}`
      if (measured.has(key)) continue
      const bench: Readings = Object.fromEntries(
        SIDES.flatMap(([side, taped]) => {
          const found = spreadMeasured(plan, ask, side)
          return found ? [[taped, found.readingsMm]] : []
        }),
      )
      if (Object.keys(bench).length > 0) measured.set(key, bench)
    }
  }
  return measured.size === progress.measured.size ? progress : { ...progress, measured }
}
