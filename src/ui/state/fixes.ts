'use client'
import { type Finding, isOpen, type Plan, type Remedy, type RemedyStock } from '@/core'
import { useEffect, useMemo } from 'react'
import { create } from 'zustand'
import { usePlan } from '@/ui/state/plan-store'
import { stockNow } from '@/ui/state/stock'
import type { FixesAnswer, FixesQuestion } from '@/workers/fixes-messages'

/** The first answer shows at once, those after it together so often: each writes out the list of findings again. */
const SHOWN_EVERY_MS = 60

/** After so many deaths in a row the worker is not started again for the same plan. */
const TRIES = 3

interface FixesKnown {
  readonly plan: Plan | undefined
  readonly byFinding: ReadonlyMap<string, readonly Remedy[]>
}

const NOTHING: FixesKnown = { plan: undefined, byFinding: new Map() }
const useKnown = create<FixesKnown>(() => NOTHING)

let worker: Worker | undefined
let sentStock: RemedyStock | undefined
let asked: { readonly question: Omit<FixesQuestion, 'stock'>; readonly tries: number } | undefined
let ticket = 0
let come = new Map<string, readonly Remedy[]>()
let showing: ReturnType<typeof setTimeout> | undefined

function show(): void {
  showing = undefined
  if (come.size === 0) return
  const fresh = come
  come = new Map()
  useKnown.setState(({ byFinding }) => ({ byFinding: new Map([...byFinding, ...fresh]) }))
  showing = setTimeout(show, SHOWN_EVERY_MS)
}

function forgetCome(): void {
  clearTimeout(showing)
  showing = undefined
  come = new Map()
}

function started(): Worker {
  const fresh = new Worker(new URL('../../workers/fixes.worker.ts', import.meta.url))
  sentStock = undefined
  fresh.addEventListener('message', ({ data }: MessageEvent<FixesAnswer>) => {
    if (data.ticket !== asked?.question.ticket) return
    asked = { ...asked, tries: 0 }
    come.set(data.findingId, data.remedies)
    if (showing === undefined) show()
  })
  fresh.addEventListener('error', (event) => {
    event.preventDefault()
    fresh.terminate()
    if (worker === fresh) worker = undefined
    if (!asked || asked.tries + 1 >= TRIES) return
    asked = { ...asked, tries: asked.tries + 1 }
    send()
  })
  return fresh
}

function send(): void {
  if (!asked) return
  worker ??= started()
  const stock = stockNow()
  const question: FixesQuestion = stock === sentStock ? asked.question : { ...asked.question, stock }
  sentStock = stock
  worker.postMessage(question)
}

/** Has the fixes of a plan's findings looked for, in this order; what was asked of an older plan is dropped. */
export function askFixes(plan: Plan, findings: readonly Finding[]): void {
  if (useKnown.getState().plan === plan && sentStock === stockNow()) return
  ticket += 1
  forgetCome()
  asked = { question: { ticket, plan, findingIds: findings.map(({ id }) => id) }, tries: 0 }
  useKnown.setState({ plan, byFinding: NOTHING.byFinding })
  send()
}

/** Nobody looks any more: the worker ends. */
export function endFixes(): void {
  worker?.terminate()
  worker = undefined
  asked = undefined
  forgetCome()
  useKnown.setState(NOTHING)
}

/**
 * The first fix of a finding of the open plan, once it is known; nothing where there is none, or where the plan has
 * changed meanwhile. The panels follow an edit a moment later: until they have asked, it waits for them.
 */
export function firstFix(plan: Plan, finding: Finding): Promise<Remedy | undefined> {
  return new Promise((resolve) => {
    const stops: (() => void)[] = []
    const look = (): void => {
      const known = useKnown.getState()
      const gone = usePlan.getState().plan !== plan
      const remedies = known.plan === plan ? known.byFinding.get(finding.id) : undefined
      if (!gone && !remedies) return
      for (const stop of stops) stop()
      resolve(gone ? undefined : remedies?.[0])
    }
    stops.push(useKnown.subscribe(look), usePlan.subscribe(look))
    look()
  })
}

/** Once what is dragged has been let go. */
const onDrop = (work: () => void): (() => void) => {
  const stop = usePlan.subscribe(({ dragFrom }) => {
    if (dragFrom) return
    stop()
    work()
  })
  return stop
}

/** The fixes of the findings in sight, looked for in a worker and never while a drag goes on. */
export function useFixes(
  plan: Plan,
  findings: readonly Finding[],
): (finding: Finding) => readonly Remedy[] | undefined {
  const known = useKnown()
  const open = useMemo(() => findings.filter(isOpen), [findings])
  useEffect(() => {
    const ask = () => askFixes(plan, open)
    if (usePlan.getState().dragFrom) return onDrop(ask)
    ask()
    return undefined
  }, [plan, open])
  useEffect(() => endFixes, [])
  return ({ id }) => (known.plan === plan ? known.byFinding.get(id) : undefined)
}
