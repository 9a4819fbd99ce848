import type { BayProgress } from '@/core/bay/log/replay'
import type { Step } from '@/core/bay/steps/step'
import type { Plan } from '@/core/plan/plan'
import type { NewEvent } from '@/ui/log/log-store'
import { nextPull } from './bay-job'
import { pullEvent } from './pull-event'

/** What is written when a step is done: the step, and what its being done means for the rack. */
function doneEvents(plan: Plan, step: Step): NewEvent[] {
  const done: NewEvent = { kind: 'stepDone', stepId: step.id, title: step.title }
  if (step.id !== 'job/tell' || step.doing.kind !== 'tell') return [done]
  return [
    ...step.doing.what.map((what): NewEvent => ({ kind: 'told', what })),
    done,
    ...plan.racks.map((rack): NewEvent => ({ kind: 'fitted', rackId: rack.id, what: rack.name })),
  ]
}

/** What the large key says and does at a step. */
export function primaryOf(
  plan: Plan,
  step: Step,
  progress: BayProgress,
): { words: string; events: NewEvent[] } {
  const pull = nextPull(step, progress)
  if (pull && step.doing.kind === 'torque') {
    const { joint, pulls } = step.doing.group
    const after = pulls[pulls.indexOf(pull) + 1]
    return {
      words: after
        ? after.pass === pull.pass
          ? `${pull.at} done, next ${after.at}`
          : `${pull.at} done, pass ${after.pass}`
        : `${pull.at} done, all pulled`,
      events: [pullEvent(joint, pull)],
    }
  }
  if (progress.done.has(step.id)) return { words: 'Next', events: [] }
  const words = {
    count: 'All counted, begin',
    confirm: 'Confirmed',
    prove: 'Next',
    tell: 'Told and handed over',
  } as const
  const { kind } = step.doing
  return { words: kind in words ? words[kind as keyof typeof words] : 'Done', events: doneEvents(plan, step) }
}
