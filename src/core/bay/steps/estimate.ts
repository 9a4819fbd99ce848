import type { Step } from './step'
import { schedule, type Schedule } from './schedule'

/** How long a job takes and how hard it is. Minutes. */
interface Estimate {
  readonly one: { readonly fromMin: number; readonly toMin: number }
  readonly two: { readonly fromMin: number; readonly toMin: number }
  /** With hands on it: what waits by itself is left out. */
  readonly handsOn: { readonly fromMin: number; readonly toMin: number }
  readonly schedule: Schedule
  readonly tools: readonly string[]
  readonly difficulty: 'plain' | 'careful' | 'hard'
  readonly because: readonly string[]
}

/** What makes a job harder. Common practice, no source. */
function reasons(steps: readonly Step[], helper: number): string[] {
  const joints = steps.filter(({ task }) => task.kind === 'torque').length
  const unknown = steps.filter(
    ({ task }) =>
      task.kind === 'torque' && !['sheet', 'advice', 'latch'].includes(task.group.joint.torque.kind),
  ).length
  return [
    ...(steps.some(({ task }) => task.kind === 'confirm') ? ['holes that cannot be undone'] : []),
    ...(helper > 0 ? [helper === 1 ? 'one step wants two people' : `${helper} steps want two people`] : []),
    ...(joints > 4 ? [`${joints} kinds of joint`] : []),
    ...(unknown > 0
      ? [
          unknown === 1
            ? 'one of its joints has no torque figure'
            : `${unknown} of its joints have no torque figure`,
        ]
      : []),
    ...(steps.some(({ waitMinutes }) => waitMinutes > 0) ? ['something has to cure or soak'] : []),
  ]
}

const sum = (steps: readonly Step[], end: 'from' | 'to'): number =>
  steps.reduce((so, { minutes }) => so + minutes[end], 0)

/** The whole job with one fitter and with two, from its quickest to its slowest, and what makes it hard. Steps in order. */
export function estimate(steps: readonly Step[]): Estimate {
  const one = schedule(steps, 1, 'to')
  const because = reasons(steps, one.helper.length)
  const drills = steps.some(({ task }) => task.kind === 'confirm')
  return {
    one: { fromMin: schedule(steps, 1, 'from').minutes, toMin: one.minutes },
    two: { fromMin: schedule(steps, 2, 'from').minutes, toMin: schedule(steps, 2, 'to').minutes },
    handsOn: { fromMin: sum(steps, 'from'), toMin: sum(steps, 'to') },
    schedule: one,
    tools: [...new Set(steps.flatMap(({ tools }) => tools))].sort((a, b) => a.localeCompare(b)),
    difficulty: drills ? 'hard' : because.length > 1 ? 'careful' : 'plain',
    because,
  }
}
