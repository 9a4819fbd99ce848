'use client'
import { useEffect, useRef, useState } from 'react'
import { NOTHING_READ, type ReadingOf, type SheetRead } from '@/core/api/files'
import { useWorkerClient } from '@/ui/state/use-worker-client'
import type { TextAnswer, TextQuestion } from '@/workers/text-messages'
import { stoppedWords } from '@/workers/worker-client'

/** A longer text is not read; that is said. */
export const MOST_LETTERS = 2_000_000
/** While a long text is typed into, it is not read at every letter. */
const LONG = 20_000
const WAIT_MS = 250
/** The longest text takes a slow phone so long, in one piece. */
const PATIENT = { silentMs: 180_000, tries: 2 }

/** How far the reading of a text is, with what was read of it last. */
export type TextRead =
  | { readonly is: 'empty' | 'tooLong' | 'reading' | 'read'; readonly read: SheetRead }
  | { readonly is: 'stopped'; readonly read: SheetRead; readonly words: string }

interface Answered {
  readonly text: string
  readonly of: ReadingOf | undefined
  readonly read: SheetRead
}

/** Reads a text in a worker whenever it changes. What was read of another text is never shown as of this one. */
export function useReadText(text: string, of: ReadingOf | undefined): TextRead {
  const [answered, setAnswered] = useState<Answered>()
  const [stopped, setStopped] = useState<{ readonly text: string; readonly words: string }>()
  const ticket = useRef(0)
  const client = useWorkerClient<TextQuestion, TextAnswer>(
    () => new Worker(new URL('../../../workers/text.worker.ts', import.meta.url)),
    PATIENT,
  )
  const isEmpty = text.trim() === ''
  const isTooLong = text.length > MOST_LETTERS
  useEffect(() => {
    if (isEmpty || isTooLong) return
    const mine = (ticket.current += 1)
    const ask = () =>
      client.ask({
        question: () => ({ ticket: mine, text, of }),
        listener: (answer) => {
          if (answer.ticket !== mine) return 'older'
          setAnswered({ text, of, read: answer.read })
          return 'last'
        },
        failed: () => setStopped({ text, words: stoppedWords('The reading of this text') }),
      })
    const wait = setTimeout(ask, text.length > LONG ? WAIT_MS : 0)
    return () => clearTimeout(wait)
  }, [client, text, of, isEmpty, isTooLong])
  if (isEmpty) return { is: 'empty', read: NOTHING_READ }
  if (isTooLong) return { is: 'tooLong', read: NOTHING_READ }
  if (stopped?.text === text) return { is: 'stopped', read: NOTHING_READ, words: stopped.words }
  const isOfThis = answered?.text === text && answered.of === of
  return isOfThis ? { is: 'read', read: answered.read } : { is: 'reading', read: NOTHING_READ }
}
