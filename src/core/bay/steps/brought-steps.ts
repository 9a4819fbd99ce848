import type { Part, Rack } from '../../plan/schema/rack'
import type { WorkStep } from '../../plan/schema/work'
import type { RackAt } from '../../survey/frame/arrangement'
import { about } from './minutes'
import type { Step } from './step'
import { isByWord } from './step-changes'
import { stepOf } from './step-of'

/**
 * The id in the bay of a step that a part's step comes after: one of the same part by its own id, one of another part as
 * `part/step`, one of the rack's as `/step`.
 */
function stepId(rackId: string, partId: string, after: string): string {
  if (after.startsWith('/')) return `${rackId}${after}`
  return `${rackId}/${after.includes('/') ? after : `${partId}/${after}`}`
}

/** A part's own step as often as it is done, with what it waits for by name. */
function broughtStep(rack: RackAt, part: Part, step: WorkStep): Step[] {
  const id = `${rack.rack.id}/${part.id}/${step.id}`
  const after = (step.after ?? []).map((each) => stepId(rack.rack.id, part.id, each))
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
    after,
    bySheet: after,
    ...(step.replaces !== undefined && { replaces: stepId(rack.rack.id, part.id, step.replaces) }),
    minutes: { from: minutes.from * times, to: minutes.to * times },
    ...(step.decidesSpread && { purpose: 'decidesSpread' as const }),
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

/** What a step of a rack's part may come after, as its sheet keeps it, with its name. */
export function stepChoices(rack: Rack, steps: readonly Pick<Step, 'id' | 'title'>[]): [string, string][] {
  const own = rack.parts.flatMap((part) =>
    (part.work?.steps ?? []).map((step): [string, string] => [
      `${part.id}/${step.id}`,
      `${part.name}: ${step.title}`,
    ]),
  )
  const brought = new Set(own.map(([after]) => `${rack.id}/${after}`))
  const stem = `${rack.id}/`
  return [
    ...own,
    ...steps
      .filter(({ id }) => id.startsWith(stem) && !brought.has(id.replace(/-out$/, '')))
      .map(({ id, title }): [string, string] => [`/${id.slice(stem.length)}`, title]),
  ]
}

/** The usual steps of a rack that a part's own step may stand in the place of: those that stand on a word. */
export function replaceable(rack: Rack, steps: readonly Step[]): [string, string][] {
  const stem = `${rack.id}/`
  return steps
    .filter((step) => isByWord(step) && step.bySheet === undefined && step.id.startsWith(stem))
    .filter(({ id }) => !id.endsWith('-out'))
    .map(({ id, title }) => [`/${id.slice(stem.length)}`, title])
}

/** The steps that a rack's parts bring from their own sheets. */
export const broughtSteps = (rack: RackAt): Step[] =>
  rack.rack.parts.flatMap((part) => (part.work?.steps ?? []).flatMap((each) => broughtStep(rack, part, each)))
