import type { Ordered } from './order'

/** What a schedule needs of a step: how long hands are on it, how long it then waits by itself, and how many hands. Minutes. */
export interface Timed extends Ordered {
  readonly minutes: { readonly from: number; readonly to: number }
  readonly waitMinutes: number
  readonly hands: 1 | 2
}

interface Scheduled {
  readonly id: string
  readonly fromMin: number
  /** When hands are off it again. */
  readonly toMin: number
  /** When what comes after may begin: hands off, and waited. */
  readonly readyMin: number
}

export interface Schedule {
  readonly minutes: number
  readonly steps: readonly Scheduled[]
  /** The steps that make it so long, from first to last. */
  readonly critical: readonly string[]
  /** Steps that want a second person though there is one fitter. */
  readonly helper: readonly string[]
}

/**
 * The steps, given in an order that respects their edges, among so many fitters: each begins as soon as what it waits
 * for is ready and hands are free, and waiting runs beside other work. Serial list scheduling (handbook: project
 * scheduling); the earliest in the list goes first. A step for two takes both, or one and a helper. Minutes.
 */
export function schedule(ordered: readonly Timed[], fitters: 1 | 2, of: 'from' | 'to'): Schedule {
  const free = new Array<number>(fitters).fill(0)
  const done = new Map<string, Scheduled>()
  const because = new Map<string, string | undefined>()
  const left = [...ordered]
  while (left.length > 0) {
    // Of what may begin now, what can begin soonest; ties go to the order given.
    const ready = left.filter(({ after }) => after.every((id) => done.has(id)))
    const begins = ready.map((step) => {
      const needs = Math.min(step.hands, fitters)
      const hands = [...free].sort((a, b) => a - b)[needs - 1] ?? 0
      const waits = Math.max(0, ...step.after.map((id) => done.get(id)?.readyMin ?? 0))
      return { step, needs, from: Math.max(hands, waits), byHands: hands >= waits }
    })
    const next = begins.reduce((so, each) => (each.from < so.from ? each : so))
    const { step, needs, from } = next
    const to = from + step.minutes[of]
    const readyMin = to + step.waitMinutes
    because.set(step.id, reasonFor(step, from, done))
    done.set(step.id, { id: step.id, fromMin: from, toMin: to, readyMin })
    const taken = free
      .map((at, i) => ({ at, i }))
      .sort((a, b) => a.at - b.at)
      .slice(0, needs)
    for (const { i } of taken) free[i] = to
    left.splice(left.indexOf(step), 1)
  }
  const steps = [...done.values()]
  const last = steps.reduce<Scheduled | undefined>(
    (so, each) => (so && so.readyMin >= each.readyMin ? so : each),
    undefined,
  )
  const critical: string[] = []
  for (let id = last?.id; id !== undefined; id = because.get(id)) critical.unshift(id)
  return {
    minutes: last?.readyMin ?? 0,
    steps,
    critical,
    helper: fitters === 1 ? ordered.filter(({ hands }) => hands === 2).map(({ id }) => id) : [],
  }
}

/** What made a step begin when it did: the thing it waited for, else whoever's hands were on another until then. */
function reasonFor(step: Timed, from: number, done: ReadonlyMap<string, Scheduled>): string | undefined {
  if (from === 0) return undefined
  const waited = step.after.find((id) => done.get(id)?.readyMin === from)
  return waited ?? [...done.values()].findLast(({ toMin }) => toMin === from)?.id
}
