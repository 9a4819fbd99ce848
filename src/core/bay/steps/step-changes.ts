import type { AttachmentKind } from '../../kinds/attachment'
import type { StepChange, StepMinutes } from '../../plan/schema/fitting'
import { LEVEL } from './levels'
import type { Step } from './step'

/** Whether a step stands on a word alone: only such a one can be done in another way. */
export const isByWord = ({ task }: Pick<Step, 'task'>): boolean => task.kind === 'do'

/**
 * The steps without some of them. What came after one that is gone comes after the one in its place, where that is not of a
 * later phase, else after what the one that is gone came after.
 */
export function withoutSteps(
  steps: readonly Step[],
  gone: ReadonlyMap<string, string | undefined>,
): readonly Step[] {
  if (gone.size === 0) return steps
  const byId = new Map(steps.map((step) => [step.id, step]))
  const instead = (step: Step, id: string, seen: readonly string[]): readonly string[] => {
    if (!gone.has(id)) return [id]
    if (seen.includes(id)) return []
    const own = gone.get(id)
    const put = own === undefined ? undefined : byId.get(own)
    if (put && put.id !== step.id && LEVEL[put.stage] <= LEVEL[step.stage]) return [put.id]
    return (byId.get(id)?.after ?? []).flatMap((before) => instead(step, before, [...seen, id]))
  }
  return steps
    .filter(({ id }) => !gone.has(id))
    .map((step) => {
      const inherits = [...gone].flatMap(([id, own]) => {
        const old = byId.get(id)
        return own === step.id && old?.stage === step.stage ? old.after : []
      })
      const after = [...step.after, ...inherits].flatMap((id) => instead(step, id, []))
      return { ...step, after: [...new Set(after)].filter((id) => id !== step.id) }
    })
}

/** The steps that parts' own sheets put in the place of others: what is gone, with what is there instead. */
export function replacedSteps(steps: readonly Step[]): ReadonlyMap<string, string> {
  const byWord = new Set(steps.filter(isByWord).map(({ id }) => id))
  return new Map(
    steps.flatMap(({ id, replaces }) =>
      replaces !== undefined && replaces !== id && byWord.has(replaces) ? [[replaces, id] as const] : [],
    ),
  )
}

/** What the house changes of a step on what its rack stands on. */
const changesOf = (
  key: string | undefined,
  changes: readonly StepChange[],
  on: AttachmentKind | undefined,
): readonly StepChange[] =>
  changes.filter(({ step, attachment }) => step === key && (attachment === undefined || attachment === on))

/** The steps of one phase in the order that the house has: each after those of the same phase that it is to come after. */
export function inHouseOrder(
  phase: readonly (readonly Step[])[],
  changes: readonly StepChange[],
  on: AttachmentKind | undefined,
): readonly (readonly Step[])[] {
  const has = (steps: readonly Step[], keys: readonly string[]) =>
    steps.some(({ key }) => key !== undefined && keys.includes(key))
  return phase
    .flatMap((steps) => changesOf(steps[0]?.key, changes, on).map((change) => ({ steps, change })))
    .reduce<readonly (readonly Step[])[]>((now, { steps, change: { after = [] } }) => {
      const last = now.findLastIndex((each) => has(each, after))
      return last <= now.indexOf(steps)
        ? now
        : [...now.slice(0, last + 1).filter((each) => each !== steps), steps, ...now.slice(last + 1)]
    }, phase)
}

/** The app's own steps as the house has them: its words, its minutes, and what it leaves out. */
export function changedByHouse(
  steps: readonly Step[],
  changes: readonly StepChange[],
  attachmentOf: (step: Step) => AttachmentKind | undefined,
): readonly Step[] {
  if (changes.length === 0) return steps
  const own = (step: Step) => changesOf(step.key, changes, attachmentOf(step))
  const gone = steps.filter(
    (step) => isByWord(step) && step.kept !== true && own(step).some(({ leftOut }) => leftOut === true),
  )
  const changed = steps.map((step) =>
    own(step).reduce<Step>(
      (now, { title, detail, minutes }) => ({
        ...now,
        ...(title !== undefined && { title }),
        ...(detail !== undefined && { detail: [...now.detail, ` ${detail}`] }),
        ...(minutes && { minutes }),
      }),
      step,
    ),
  )
  return withoutSteps(changed, new Map(gone.map(({ id }) => [id, undefined])))
}

/** The steps with the minutes that somebody typed for this job. */
export function withJobMinutes(steps: readonly Step[], typed: readonly StepMinutes[]): readonly Step[] {
  if (typed.length === 0) return steps
  const byId = new Map(typed.map(({ step, minutes }) => [step, minutes]))
  return steps.map((step) => {
    const minutes = byId.get(step.id)
    return minutes ? { ...step, minutes } : step
  })
}
