import { availableParallelism } from 'node:os'
import { Worker } from 'node:worker_threads'
import type { ReviewAnswer, ReviewQuestion } from './review-messages'

/** A plan that takes longer than this holds up whoever comes after it. */
export const LONGEST_MS = 10_000
const WAITING_MOST = 32
const AT_ONCE = Math.max(1, availableParallelism() - 1)
const MEMORY_MB = 512

/** What came of a question: its answer, or why there is none. */
type QueueAnswer =
  | { readonly kind: 'answered'; readonly answer: ReviewAnswer }
  | { readonly kind: 'tooLong' }
  | { readonly kind: 'full' }
  | { readonly kind: 'gone' }
  | { readonly kind: 'failed' }

/** Starts the thread that answers a question. */
type StartThread = (question: ReviewQuestion) => Pick<Worker, 'on' | 'terminate'>

const startThread: StartThread = (question) =>
  new Worker(new URL('./review.worker.ts', import.meta.url), {
    workerData: question,
    resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB },
  })

/**
 * Reviews plans in threads of their own: so many at once, some waiting, none longer than the limit, none for somebody
 * who has gone. What cannot be answered says why; the page and other requests never wait for it.
 */
export function reviewQueue(start: StartThread = startThread, longestMs = LONGEST_MS, atOnce = AT_ONCE) {
  const waiting: (() => void)[] = []
  let running = 0
  const next = () => {
    running -= 1
    waiting.shift()?.()
  }

  const run = (question: ReviewQuestion, signal: AbortSignal): Promise<QueueAnswer> =>
    new Promise((resolve) => {
      running += 1
      let thread: ReturnType<StartThread>
      try {
        thread = start(question)
      } catch {
        resolve({ kind: 'failed' })
        next()
        return
      }
      let over = false
      const end = (reviewed: QueueAnswer) => {
        if (over) return
        over = true
        clearTimeout(timer)
        signal.removeEventListener('abort', onGone)
        void thread.terminate()
        resolve(reviewed)
        next()
      }
      const onGone = () => end({ kind: 'gone' })
      const timer = setTimeout(() => end({ kind: 'tooLong' }), longestMs)
      signal.addEventListener('abort', onGone)
      thread.on('message', (answer: ReviewAnswer) => end({ kind: 'answered', answer }))
      thread.on('error', () => end({ kind: 'failed' }))
      thread.on('exit', () => end({ kind: 'failed' }))
    })

  return async (question: ReviewQuestion, signal: AbortSignal): Promise<QueueAnswer> => {
    if (signal.aborted) return { kind: 'gone' }
    if (running < atOnce) return run(question, signal)
    if (waiting.length >= WAITING_MOST) return { kind: 'full' }
    return new Promise((resolve) => {
      const begin = () => {
        signal.removeEventListener('abort', leave)
        void run(question, signal).then(resolve)
      }
      const leave = () => {
        waiting.splice(waiting.indexOf(begin), 1)
        resolve({ kind: 'gone' })
      }
      signal.addEventListener('abort', leave)
      waiting.push(begin)
    })
  }
}
