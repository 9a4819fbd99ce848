'use client'
import type { Adapter, Compatible, Gear, Plan } from '@/core'
import { useEffect, useRef, useState } from 'react'
import type { FitAnswers, FitQuestion } from '@/workers/fit-messages'

type Answers = ReadonlyMap<string, Compatible>
const NONE: Answers = new Map()

/**
 * What of the shelf goes on a rack, judged in a worker: the last answers stand until the next ones come.
 */
export function useFit(
  plan: Plan,
  rackId: string | undefined,
  gear: readonly Gear[],
  adapters: readonly Adapter[],
): Answers {
  const [answers, setAnswers] = useState(NONE)
  const worker = useRef<Worker>(undefined)
  const ticket = useRef(0)
  useEffect(() => {
    const started = new Worker(new URL('../../../workers/fit.worker.ts', import.meta.url))
    worker.current = started
    started.addEventListener('message', ({ data }: MessageEvent<FitAnswers>) => {
      if (data.ticket === ticket.current) setAnswers(new Map(data.answers))
    })
    return () => {
      started.terminate()
      worker.current = undefined
    }
  }, [])
  useEffect(() => {
    if (rackId === undefined || !worker.current) return
    ticket.current += 1
    const question: FitQuestion = { ticket: ticket.current, plan, rackId, gear, adapters }
    worker.current.postMessage(question)
  }, [plan, rackId, gear, adapters])
  return answers
}
