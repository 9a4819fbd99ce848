import type { Part } from '../../plan/schema/rack'
import type { WorkStep } from '../../plan/schema/work'
import type { RackAt } from '../../survey/frame/arrangement'
import { about } from './minutes'
import type { Step } from './step'
import { stepOf } from './step-of'

/** A part's own step as often as it is done, with what it waits for by name. */
function broughtStep(rack: RackAt, part: Part, step: WorkStep): Step[] {
  const id = `${rack.rack.id}/${part.id}/${step.id}`
  const name = (after: string) => `${rack.rack.id}/${after.includes('/') ? after : `${part.id}/${after}`}`
  const times = step.times === 'side' ? 2 : step.times === 'bar' ? Math.max(1, rack.bars.length) : 1
  const often = step.times === 'side' ? ', left then right' : step.times === 'bar' ? ', each bar' : ''
  const minutes = step.minutes ?? about(4)
  const put = stepOf({
    id,
    group: rack.rack.id,
    rackId: rack.rack.id,
    stage: step.stage,
    title: `${step.title}${often}`,
    detail: step.detail === undefined ? [] : [step.detail],
    after: (step.after ?? []).map(name),
    minutes: { from: minutes.from * times, to: minutes.to * times },
    waitMinutes: step.waitMinutes ?? 0,
    hands: step.hands ?? 1,
    tools: step.tools ?? [],
    task: { kind: 'do', on: ['words', 'parts'] },
  })
  if (!step.temporary) return [put]
  return [
    put,
    stepOf({
      id: `${id}-out`,
      group: rack.rack.id,
      rackId: rack.rack.id,
      stage: 'trim',
      title: `Take out again: ${step.temporary.what}`,
      detail: ['It was there only for a while.'],
      after: [id],
      minutes: about(2),
      task: { kind: 'do', on: ['words'] },
    }),
  ]
}

/** The steps that a rack's parts bring from their own sheets. */
export const broughtSteps = (rack: RackAt): Step[] =>
  rack.rack.parts.flatMap((part) => (part.work?.steps ?? []).flatMap((each) => broughtStep(rack, part, each)))
