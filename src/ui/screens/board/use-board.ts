'use client'
import { useEffect, useRef, useState } from 'react'
import { whenKept } from '@/storage/kept-elsewhere'
import { unkeptPlans } from '@/storage/plans'
import type { BoardAnswer, BoardCard, BoardQuestion } from '@/workers/board-messages'

export type BoardState =
  | { readonly at: 'loading' }
  | { readonly at: 'failed'; readonly reason: string }
  | { readonly at: 'there'; readonly cards: readonly BoardCard[]; readonly left: number }

/** So many changes elsewhere within this are one. ms. */
const TOGETHER_MS = 120

/** So often a board of which cards still come is shown anew. ms. */
const SHOWN_EVERY_MS = 400

/** Every job's card, read and judged in a worker; anew whenever `again` changes or another tab keeps a job. */
export function useBoard(ready: boolean, again: unknown): BoardState {
  const [board, setBoard] = useState<BoardState>({ at: 'loading' })
  const worker = useRef<Worker>(undefined)
  const ticket = useRef(0)
  const [elsewhere, setElsewhere] = useState(0)
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined
    const stop = whenKept(({ shelf }) => {
      if (shelf !== 'plans' && shelf !== 'log') return
      clearTimeout(timer)
      timer = setTimeout(() => setElsewhere((count) => count + 1), TOGETHER_MS)
    })
    return () => {
      clearTimeout(timer)
      stop()
    }
  }, [])
  useEffect(() => {
    if (!ready) return
    const started = new Worker(new URL('../../../workers/board.worker.ts', import.meta.url))
    worker.current = started
    started.addEventListener('error', (event) => {
      event.preventDefault()
      setBoard({ at: 'failed', reason: 'What reads the jobs beside the page has stopped.' })
    })
    return () => {
      started.terminate()
      worker.current = undefined
    }
  }, [ready])
  useEffect(() => {
    const asked = worker.current
    if (!ready || !asked) return
    ticket.current += 1
    const mine = ticket.current
    let cards: readonly BoardCard[] = []
    let shownAt = -Infinity
    const hear = ({ data }: MessageEvent<BoardAnswer>) => {
      if (data.ticket !== mine) return
      if (data.say === 'failed') {
        setBoard({ at: 'failed', reason: data.reason })
        return
      }
      cards = [...cards, ...data.cards]
      // Each look costs the order of all of them: not more often than anybody reads.
      const now = performance.now()
      if (!data.whole || (data.left > 0 && now - shownAt < SHOWN_EVERY_MS)) return
      shownAt = now
      const so = cards
      const { left } = data
      // What stands stays until its place is taken: a board that is read again does not blink.
      setBoard((before) =>
        left > 0 && before.at === 'there' && before.cards.length > so.length
          ? before
          : { at: 'there', cards: so, left },
      )
    }
    asked.addEventListener('message', hear)
    const question: BoardQuestion = { ticket: mine, unkept: unkeptPlans() }
    asked.postMessage(question)
    return () => asked.removeEventListener('message', hear)
  }, [ready, again, elsewhere])
  return board
}
