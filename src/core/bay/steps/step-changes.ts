import type { AttachmentKind } from '../../kinds/attachment'
import type { StepChange, StepMinutes } from '../../plan/schema/fitting'
import { LEVEL } from './levels'
import type { Step } from './step'

/** A step by the end of its id, which is alike for every rack and every thing; the joints of a rack are one. */
export function stepKey({ id, group, task }: Pick<Step, 'id' | 'group' | 'task'>): string {
  if (task.kind === 'torque') return 'torque'
  return id.startsWith(`${group}/`) ? id.slice(group.length + 1) : id
}

/** Whether a step stands on a word alone: only such a one can be left out, or done in another way. */
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

/** The app's own steps as the house has them: its words, its minutes, what comes before, what it leaves out. */
export function changedByHouse(
  steps: readonly Step[],
  changes: readonly StepChange[],
  attachmentOf: (step: Step) => AttachmentKind | undefined,
): readonly Step[] {
  if (changes.length === 0) return steps
  const forStep = (step: Step): readonly StepChange[] => {
    if (step.bySheet) return []
    const own = changes.filter(({ step: key }) => key === stepKey(step))
    const kind = attachmentOf(step)
    return own.filter(({ attachment }) => attachment === undefined || attachment === kind)
  }
  const gone = new Map<string, undefined>()
  const changed = steps.map((step): Step => {
    let now = step
    for (const { title, detail, minutes, after, leftOut } of forStep(step)) {
      if (leftOut === true && isByWord(step)) gone.set(step.id, undefined)
      const first = steps
        .filter((each) => each.group === step.group && after?.includes(stepKey(each)))
        .map(({ id }) => id)
      now = {
        ...now,
        ...(title !== undefined && { title }),
        ...(detail !== undefined && { detail: [...now.detail, ` ${detail}`] }),
        ...(minutes && { minutes }),
        ...(first.length > 0 && { after: [...new Set([...now.after, ...first])] }),
      }
    }
    return now
  })
  return withoutSteps(changed, gone)
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
