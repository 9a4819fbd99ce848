import {
  type BayProgress,
  evidenceNow,
  marksWanted,
  nextPull,
  passPress,
  refitValues,
  signsWanted,
  type Step,
} from '@/core/api/fit'
import { type Phrase, type Plan, type Rack, toFit } from '@/core/api/plan'
import type { Survey } from '@/core/api/assess'
import type { NewEvent } from '@/ui/state/log-store'
import { seenEvent } from './pull-event'

/** How it stood, written down for whoever puts it on again; nothing where nothing is known. */
function refitNote(rack: Rack): { readonly note?: string } {
  const note = refitValues(rack)
  return note === '' ? {} : { note }
}

/** What is written when a step is done: the step, and what its being done means for the rack. */
function doneEvents(plan: Plan, survey: Survey, step: Step, progress: BayProgress): NewEvent[] {
  const hung = evidenceNow(step, survey, progress)
  const done: NewEvent = {
    kind: 'stepDone',
    stepId: step.id,
    title: step.title,
    ...(Object.keys(hung).length > 0 && { hung }),
  }
  if (step.task.kind !== 'tell') return [done]
  return [
    ...step.task.what.map((what): NewEvent => ({ kind: 'told', what })),
    done,
    ...plan.racks.flatMap((rack): NewEvent[] =>
      toFit(rack)
        ? [{ kind: 'fitted', rackId: rack.id, what: rack.name }]
        : rack.status === 'comesOff'
          ? [{ kind: 'removed', rackId: rack.id, what: rack.name, ...refitNote(rack) }]
          : [],
    ),
  ]
}

/** What the large key says and does at a step. Without events and words of a pass, what is wanted next is a reading. */
export function primaryOf(
  plan: Plan,
  survey: Survey,
  step: Step,
  progress: BayProgress,
): { say: Phrase; events: NewEvent[] } {
  if (nextPull(step, progress) && step.task.kind === 'torque') {
    const press = passPress(step, progress)
    const { joint } = step.task.group
    return press
      ? { say: press.message, events: press.pulls.map((pull) => seenEvent(joint, pull, press.how)) }
      : { say: ['Done'], events: [] }
  }
  if (progress.done.has(step.id)) return { say: ['Next'], events: [] }
  const marks = marksWanted(step, progress)
  if (marks)
    return {
      say: [`As marked: ${[...new Set(marks.map(({ at }) => at))].join(' ')}`],
      events: [
        {
          kind: 'marksSeen',
          stepId: step.id,
          title: step.title,
          places: marks.map(({ id, at, what, mark }) => ({ id, at, what, mark })),
        },
      ],
    }
  const signs = signsWanted(step, progress)
  if (signs && step.task.kind === 'torque') {
    const { joint } = step.task.group
    return {
      say: [`Seen, ${signs.sign}: ${signs.spots.join(' ')}`],
      events: [
        {
          kind: 'signSeen',
          jointId: joint.id,
          what: joint.name,
          sign: signs.sign,
          spots: [...signs.spots],
        },
      ],
    }
  }
  const words = {
    count: 'All counted, begin',
    confirm: 'Confirmed',
    prove: 'Next',
    tell: 'Told and handed over',
  } as const
  const { kind } = step.task
  return {
    say: [Object.hasOwn(words, kind) ? words[kind as keyof typeof words] : 'Done'],
    events: doneEvents(plan, survey, step, progress),
  }
}
