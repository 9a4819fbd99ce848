'use client'
import { type Chances, DRAWS } from '@/core/api/assess'
import type { Plan } from '@/core/api/plan'
import { useEffect, useRef, useState } from 'react'
import type { ChanceAnswer, ChanceQuestion } from '@/workers/chance-messages'
import { useWorkerClient } from '@/ui/state/use-worker-client'

/** Where the drawing of chances is: under way, answered, stopped by hand, or given up after its worker died too often. */
type ChanceRun =
  | { readonly at: 'running'; readonly done: number }
  | { readonly at: 'done'; readonly chances: Chances }
  | { readonly at: 'stopped' }
  | { readonly at: 'failed' }

interface Chance {
  readonly run: ChanceRun
  /** How often the worker died and was started again since the page opened. */
  readonly restarts: number
  readonly stop: () => void
  readonly again: () => void
}

/** Draws a plan's chances in a worker, again for every change of the plan; a worker that dies is started again. */
export function useChance(plan: Plan): Chance {
  const [run, setRun] = useState<ChanceRun>({ at: 'running', done: 0 })
  const [restarts, setRestarts] = useState(0)
  const [asked, setAsked] = useState(0)
  const ticket = useRef(0)
  const client = useWorkerClient<ChanceQuestion, ChanceAnswer>(
    () => new Worker(new URL('../../../workers/chance.worker.ts', import.meta.url)),
  )

  useEffect(() => {
    ticket.current += 1
    const mine = ticket.current
    client.ask({
      question: () => ({ ask: 'draw', ticket: mine, plan, draws: DRAWS }),
      listener: (answer) => {
        if (answer.ticket !== mine) return 'older'
        switch (answer.say) {
          case 'progress':
            setRun({ at: 'running', done: answer.done })
            return 'more'
          case 'done':
            setRun({ at: 'done', chances: answer.chances })
            return 'last'
          case 'stopped':
            setRun({ at: 'stopped' })
            return 'last'
        }
      },
      startedAgain: () => setRestarts((count) => count + 1),
      failed: () => setRun({ at: 'failed' }),
    })
    return () => client.end()
  }, [client, plan, asked])

  const stop = () => client.tell({ ask: 'stop' })
  const again = () => {
    setRun({ at: 'running', done: 0 })
    setAsked((count) => count + 1)
  }
  return { run, restarts, stop, again }
}
