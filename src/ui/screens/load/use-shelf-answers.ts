'use client'
import type { Adapter, Gear, Plan } from '@/core/api/plan'
import type { Compatible } from '@/core/api/assess'
import { useEffect, useRef, useState } from 'react'
import type { ShelfAnswers, ShelfQuestion } from '@/workers/shelf-messages'
import { useWorkerClient } from '@/ui/state/use-worker-client'
import { stoppedWords } from '@/workers/worker-client'
import { whenDropped } from '@/ui/state/when-dropped'

type Answers = ReadonlyMap<string, Compatible>
const NONE: Answers = new Map()

/** What of the shelf goes on a rack, judged in a worker: the last answers stand until the next ones come. */
export function useShelfAnswers(
  plan: Plan,
  rackId: string | undefined,
  gear: readonly Gear[],
  adapters: readonly Adapter[],
): { readonly answers: Answers; readonly stopped: string | undefined } {
  const [answers, setAnswers] = useState(NONE)
  const [stopped, setStopped] = useState<string>()
  const ticket = useRef(0)
  const client = useWorkerClient<ShelfQuestion, ShelfAnswers>(
    () => new Worker(new URL('../../../workers/shelf.worker.ts', import.meta.url)),
  )
  useEffect(() => {
    if (rackId === undefined) return
    ticket.current += 1
    const mine = ticket.current
    client.ask({
      question: () => ({ ticket: mine, plan, rackId, gear, adapters }),
      listener: (answer) => {
        if (answer.ticket !== mine) return 'older'
        whenDropped(() => {
          if (ticket.current !== mine) return
          setAnswers(new Map(answer.answers))
          setStopped(undefined)
        })
        return 'last'
      },
      failed: () => setStopped(stoppedWords('The trial of the shelf on this rack')),
    })
  }, [client, plan, rackId, gear, adapters])
  return { answers, stopped }
}
