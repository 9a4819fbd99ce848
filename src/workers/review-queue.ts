import { availableParallelism } from 'node:os'
import { Worker } from 'node:worker_threads'
import type { ReviewAnswer, ReviewQuestion } from './review-messages'

/** A plan that takes longer than this holds up whoever comes after it. */
export const LONGEST_MS = 10_000
/** Whoever would wait longer is told to come again, and when. */
const WAITS_MOST_MS = 15_000
/** Nor do more wait than this, however short each is: each holds its plan. */
const WAITING_MOST = 256
/** One review takes about so long, as long as none was seen here. */
const USUAL_MS = 500
/** So many of the last reviews say how long one takes. */
const REMEMBERED = 16
const AT_ONCE = Math.max(1, availableParallelism() - 1)
const MEMORY_MB = 512

/** What came of a question: its answer, or why there is none. */
type QueueAnswer =
  | { readonly kind: 'answered'; readonly answer: ReviewAnswer }
  | { readonly kind: 'tooLong' }
  | { readonly kind: 'full'; readonly againInS: number }
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
  const took: number[] = []
  const began = new Set<number>()
  let running = 0
  const next = () => {
    running -= 1
    waiting.shift()?.()
  }
  /** How long whoever comes now waits about: by how long the last ones took, and those under way at least as long as they do. ms. */
  const waitMs = () => {
    const usual = took.length === 0 ? USUAL_MS : took.reduce((sum, each) => sum + each, 0) / took.length
    const now = performance.now()
    const longest = Math.max(usual, ...[...began].map((since) => now - since))
    return (longest * (waiting.length + 1)) / atOnce
  }
  const comeAgain = (ms: number): QueueAnswer => ({
    kind: 'full',
    againInS: Math.max(1, Math.ceil(ms / 1000)),
  })

  const run = (question: ReviewQuestion, signal: AbortSignal): Promise<QueueAnswer> =>
    new Promise((resolve) => {
      running += 1
      const since = performance.now()
      let thread: ReturnType<StartThread>
      try {
        thread = start(question)
      } catch {
        resolve({ kind: 'failed' })
        next()
        return
      }
      began.add(since)
      let over = false
      const end = (reviewed: QueueAnswer) => {
        if (over) return
        over = true
        began.delete(since)
        if (reviewed.kind !== 'gone') took.splice(0, took.length - REMEMBERED + 1, performance.now() - since)
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
    const expected = waitMs()
    if (expected > WAITS_MOST_MS || waiting.length >= WAITING_MOST) return comeAgain(expected)
    return new Promise((resolve) => {
      const begin = () => {
        signal.removeEventListener('abort', onGone)
        clearTimeout(timer)
        void run(question, signal).then(resolve)
      }
      const leave = (answer: QueueAnswer) => {
        signal.removeEventListener('abort', onGone)
        clearTimeout(timer)
        waiting.splice(waiting.indexOf(begin), 1)
        resolve(answer)
      }
      const onGone = () => leave({ kind: 'gone' })
      // What is under way may take longer than was expected.
      const timer = setTimeout(() => leave(comeAgain(waitMs())), WAITS_MOST_MS)
      signal.addEventListener('abort', onGone)
      waiting.push(begin)
    })
  }
}
