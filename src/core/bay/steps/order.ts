/** Anything that comes after other things of its list. */
export interface Ordered {
  readonly id: string
  readonly title: string
  readonly after: readonly string[]
}

export type Order<T extends Ordered> =
  | { readonly ok: true; readonly steps: readonly T[] }
  | { readonly ok: false; readonly reason: string; readonly steps: readonly string[] }

/**
 * A topological order that keeps the given one wherever the edges allow it (Kahn's algorithm, always the earliest
 * that is free). A circle is an error that names its steps; so is a step that waits for one that is not there.
 */
export function inOrder<T extends Ordered>(list: readonly T[]): Order<T> {
  const index = new Map(list.map((step, i) => [step.id, i]))
  if (index.size < list.length) {
    const twice = list.filter(({ id }, i) => index.get(id) !== i)
    return {
      ok: false,
      reason: `Two steps are called the same: ${twice.map(({ title }) => title).join(', ')}.`,
      steps: twice.map(({ id }) => id),
    }
  }
  for (const step of list) {
    const missing = step.after.find((id) => !index.has(id))
    if (missing !== undefined)
      return {
        ok: false,
        reason: `“${step.title}” waits for a step that is not there: ${missing}.`,
        steps: [step.id],
      }
  }
  const waits = list.map(({ after }) => new Set(after).size)
  const next = new Map<string, number[]>()
  list.forEach(({ after }, i) => {
    for (const id of new Set(after)) next.set(id, [...(next.get(id) ?? []), i])
  })
  const free = list.flatMap((_, i) => (waits[i] === 0 ? [i] : []))
  const steps: T[] = []
  while (free.length > 0) {
    const at = free.indexOf(Math.min(...free))
    const [i = 0] = free.splice(at, 1)
    const step = list[i]
    if (!step) continue
    steps.push(step)
    for (const after of next.get(step.id) ?? []) {
      waits[after] = (waits[after] ?? 0) - 1
      if (waits[after] === 0) free.push(after)
    }
  }
  if (steps.length === list.length) return { ok: true, steps }
  const circle = circleIn(list, new Set(steps.map(({ id }) => id)))
  return {
    ok: false,
    reason: `These steps wait for each other: ${circle.map(({ title }) => `“${title}”`).join(' after ')}.`,
    steps: circle.map(({ id }) => id),
  }
}

/** One circle among the steps that never came free: from any of them back along what it waits for. */
function circleIn<T extends Ordered>(list: readonly T[], done: ReadonlySet<string>): T[] {
  const byId = new Map(list.map((step) => [step.id, step]))
  const cycle: T[] = []
  let step = list.find(({ id }) => !done.has(id))
  while (step && !cycle.includes(step)) {
    cycle.push(step)
    const waitsFor: string | undefined = step.after.find((id) => !done.has(id))
    step = waitsFor === undefined ? undefined : byId.get(waitsFor)
  }
  return step ? cycle.slice(cycle.indexOf(step)) : cycle
}
