'use client'
import { useEffect, useRef, useState } from 'react'
import { onSaved } from '@/storage/saved-elsewhere'
import { unsavedPlans } from '@/storage/plans'
import type { BoardAnswer, BoardCard, BoardQuestion } from '@/workers/board-messages'
import { useWorkerClient } from '@/ui/state/use-worker-client'
import { stoppedWords } from '@/workers/worker-client'

export type BoardState =
  | { readonly at: 'loading' }
  | { readonly at: 'failed'; readonly reason: string }
  | { readonly at: 'there'; readonly cards: readonly BoardCard[]; readonly left: number }

/** So many changes elsewhere within this are one. ms. */
const TOGETHER_MS = 120

/** So often a board of which cards still come is shown again. ms. */
const SHOWN_EVERY_MS = 400

/** Every job's card, read and judged in a worker; again whenever `again` changes or another tab keeps a job. */
export function useBoard(ready: boolean, again: unknown): BoardState {
  const [board, setBoard] = useState<BoardState>({ at: 'loading' })
  const client = useWorkerClient<BoardQuestion, BoardAnswer>(
    () => new Worker(new URL('../../../workers/board.worker.ts', import.meta.url)),
  )
  const ticket = useRef(0)
  const [elsewhere, setElsewhere] = useState(0)
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined
    const stop = onSaved(({ shelf }) => {
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
    ticket.current += 1
    const mine = ticket.current
    let cards: readonly BoardCard[] = []
    let shownAt = -Infinity
    client.ask({
      question: () => ({ ticket: mine, unsaved: unsavedPlans() }),
      listener: (answer) => {
        if (answer.ticket !== mine) return 'older'
        if (answer.say === 'failed') {
          setBoard({ at: 'failed', reason: answer.reason })
          return 'last'
        }
        cards = [...cards, ...answer.cards]
        const heard = answer.left > 0 ? 'more' : 'last'
        // Each look costs the order of all of them: not more often than anybody reads.
        const now = performance.now()
        if (!answer.whole || (answer.left > 0 && now - shownAt < SHOWN_EVERY_MS)) return heard
        shownAt = now
        const shown = cards
        const { left } = answer
        // What stands stays until its place is taken: a board that is read again does not blink.
        setBoard((before) =>
          left > 0 && before.at === 'there' && before.cards.length > shown.length
            ? before
            : { at: 'there', cards: shown, left },
        )
        return heard
      },
      startedAgain: () => {
        cards = []
      },
      failed: () => setBoard({ at: 'failed', reason: stoppedWords('The reading of the jobs') }),
    })
  }, [client, ready, again, elsewhere])
  return board
}
