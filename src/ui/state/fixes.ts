'use client'
import { type Finding, isOpen, type Remedy, type RemedyStock } from '@/core/api/assess'
import type { Plan } from '@/core/api/plan'
import { useEffect } from 'react'
import { create } from 'zustand'
import { planStore } from '@/ui/state/plan-store'
import { stockNow } from '@/ui/state/stock'
import type { FixesAnswer, FixesQuestion } from '@/workers/fixes-messages'
import { stoppedWords, WorkerClient } from '@/workers/worker-client'
import { whenDropped } from './when-dropped'

/** The first answer shows at once, those after it together so often: each writes out the list of findings again. */
const SHOWN_EVERY_MS = 60

interface FixesKnown {
  readonly plan: Plan | undefined
  readonly byFinding: ReadonlyMap<string, readonly Remedy[]>
  /** Why no more of them come. */
  readonly stopped: string | undefined
}

const NOTHING: FixesKnown = { plan: undefined, byFinding: new Map(), stopped: undefined }
const useFoundFixes = create<FixesKnown>(() => NOTHING)

const client = new WorkerClient<FixesQuestion, FixesAnswer>(
  () => new Worker(new URL('../../workers/fixes.worker.ts', import.meta.url)),
)
let sentStock: RemedyStock | undefined
let ticket = 0
let come = new Map<string, readonly Remedy[]>()
let showing: ReturnType<typeof setTimeout> | undefined
let callOff: (() => void) | undefined

/** Shows what has come, but not under a hand that drags. */
function show(): void {
  callOff?.()
  callOff = whenDropped(showNow)
}

function showNow(): void {
  showing = undefined
  if (come.size === 0) return
  const fresh = come
  come = new Map()
  useFoundFixes.setState(({ byFinding }) => ({ byFinding: new Map([...byFinding, ...fresh]) }))
  showing = setTimeout(show, SHOWN_EVERY_MS)
}

function forgetCome(): void {
  callOff?.()
  clearTimeout(showing)
  showing = undefined
  come = new Map()
}

/** Has the fixes of a plan's findings looked for, in this order; what was asked of an older plan is dropped. */
export function askFixes(plan: Plan, findings: readonly Finding[]): void {
  if (useFoundFixes.getState().plan === plan && sentStock === stockNow()) return
  forgetCome()
  useFoundFixes.setState({ ...NOTHING, plan })
  ticket += 1
  const mine = ticket
  const findingIds = findings.map(({ id }) => id)
  if (findingIds.length === 0) {
    client.end()
    return
  }
  const left = new Set(findingIds)
  client.ask({
    question: (justStarted) => {
      const stock = stockNow()
      const cached = !justStarted && stock === sentStock
      sentStock = stock
      return { ticket: mine, plan, findingIds, ...(cached ? {} : { stock }) }
    },
    listener: (answer) => {
      if (answer.ticket !== mine) return 'older'
      left.delete(answer.findingId)
      come.set(answer.findingId, answer.remedies)
      if (showing === undefined) show()
      return left.size === 0 ? 'last' : 'more'
    },
    failed: () => useFoundFixes.setState({ stopped: stoppedWords('The search for fixes') }),
  })
}

/** Nobody looks any more: the worker ends. */
export function endFixes(): void {
  client.end()
  forgetCome()
  useFoundFixes.setState(NOTHING)
}

/**
 * The first fix of a finding of the open plan, once it is known; nothing where there is none, or where the plan has
 * changed meanwhile. The panels follow an edit a moment later: until they have asked, it waits for them.
 */
export function firstFix(plan: Plan, finding: Finding): Promise<Remedy | undefined> {
  return new Promise((resolve) => {
    const stops: (() => void)[] = []
    const variant = (): void => {
      const cached = useFoundFixes.getState()
      const gone = planStore.getState().plan !== plan
      const remedies = cached.plan === plan ? cached.byFinding.get(finding.id) : undefined
      if (!gone && !remedies && cached.stopped === undefined) return
      for (const stop of stops) stop()
      resolve(gone ? undefined : remedies?.[0])
    }
    stops.push(useFoundFixes.subscribe(variant), planStore.subscribe(variant))
    variant()
  })
}

/** The fixes of the findings in sight, looked for in a worker and never while a drag goes on. */
export function useFixes(
  plan: Plan,
  findings: readonly Finding[],
): {
  readonly remediesOf: (finding: Finding) => readonly Remedy[] | undefined
  readonly stopped: string | undefined
} {
  const cached = useFoundFixes()
  const open = findings.filter(isOpen)
  useEffect(() => whenDropped(() => askFixes(plan, open)), [plan, open])
  useEffect(() => endFixes, [])
  return {
    remediesOf: ({ id }) => (cached.plan === plan ? cached.byFinding.get(id) : undefined),
    stopped: cached.stopped,
  }
}
