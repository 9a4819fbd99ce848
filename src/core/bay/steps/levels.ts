import type { Phase } from '../../plan/schema/work'

/** The first two stages go on side by side; from then on each waits for the one before. */
export const LEVEL: Readonly<Record<Phase, number>> = {
  bench: 0,
  vehicle: 0,
  start: 1,
  place: 2,
  torque: 3,
  trim: 4,
  prove: 5,
}

/** The step that everything waits for. */
export const COUNT = 'job/count'
