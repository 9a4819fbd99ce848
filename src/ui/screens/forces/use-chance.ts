'use client'
import { type Chances, DRAWS, type Plan } from '@/core'
import { useCallback, useEffect, useRef, useState } from 'react'
import type { ChanceAnswer, ChanceQuestion } from '@/workers/chance-messages'

/** Where the drawing of chances is: under way, answered, stopped by hand, or given up after its worker died too often. */
type ChanceRun =
  | { readonly at: 'running'; readonly done: number }
  | { readonly at: 'done'; readonly chances: Chances }
  | { readonly at: 'stopped' }
  | { readonly at: 'failed' }

/** A worker that says nothing for so long is dead. */
const SILENT_MS = 4000
/** After so many deaths in a row it is not started again. */
const TRIES = 3

interface Chance {
  readonly run: ChanceRun
  /** How often the worker died and was started again since the page opened. */
  readonly restarts: number
  readonly stop: () => void
  readonly again: () => void
}

/** Draws a plan's chances in a worker, anew for every change of the plan; a worker that dies is started again. */
export function useChance(plan: Plan): Chance {
  const [run, setRun] = useState<ChanceRun>({ at: 'running', done: 0 })
  const [restarts, setRestarts] = useState(0)
  const [asked, setAsked] = useState(0)
  const worker = useRef<Worker>(undefined)
  const ticket = useRef(0)

  useEffect(() => {
    let silent: ReturnType<typeof setTimeout> | undefined
    let deaths = 0
    const end = () => {
      clearTimeout(silent)
      worker.current?.terminate()
      worker.current = undefined
    }
    const died = () => {
      end()
      deaths += 1
      if (deaths >= TRIES) {
        setRun({ at: 'failed' })
        return
      }
      setRestarts((count) => count + 1)
      begin()
    }
    const listen = () => {
      clearTimeout(silent)
      silent = setTimeout(died, SILENT_MS)
    }
    const begin = () => {
      ticket.current += 1
      const mine = ticket.current
      const started = new Worker(new URL('../../../workers/chance.worker.ts', import.meta.url))
      worker.current = started
      started.addEventListener('error', (event) => {
        event.preventDefault()
        died()
      })
      started.addEventListener('message', ({ data }: MessageEvent<ChanceAnswer>) => {
        if (data.ticket !== mine) return
        if (data.say === 'progress') {
          listen()
          setRun({ at: 'running', done: data.done })
          return
        }
        clearTimeout(silent)
        setRun(data.say === 'done' ? { at: 'done', chances: data.chances } : { at: 'stopped' })
      })
      listen()
      const question: ChanceQuestion = { ask: 'draw', ticket: mine, plan, draws: DRAWS }
      started.postMessage(question)
    }
    begin()
    return end
  }, [plan, asked])

  const stop = useCallback(() => {
    const question: ChanceQuestion = { ask: 'stop' }
    worker.current?.postMessage(question)
  }, [])
  const again = useCallback(() => {
    setRun({ at: 'running', done: 0 })
    setAsked((count) => count + 1)
  }, [])
  return { run, restarts, stop, again }
}
