import { EventEmitter } from 'node:events'
import { describe, expect, it, vi } from 'vitest'
import type { ReviewQuestion } from './review-messages'
import { reviewQueue } from './review-queue'

/** A thread that answers when it is told to, and remembers that it was ended. */
class Played extends EventEmitter {
  ended = 0
  constructor(readonly question: ReviewQuestion) {
    super()
  }
  answer(): void {
    this.emit('message', { status: 200, body: this.question.text })
  }
  terminate(): Promise<number> {
    this.ended += 1
    return Promise.resolve(0)
  }
}

function played(longestMs = 60_000, atOnce = 1) {
  const threads: Played[] = []
  const ask = reviewQueue(
    (question) => {
      const thread = new Played(question)
      threads.push(thread)
      return thread as never
    },
    longestMs,
    atOnce,
  )
  const of = (text: string, signal = new AbortController().signal) => ask({ text, fixes: false }, signal)
  return { threads, of }
}

describe('reviews in threads of their own', () => {
  it('run so many at once, the others wait their turn, and each is ended once', async () => {
    const { threads, of } = played(60_000, 2)
    const answers = ['a', 'b', 'c'].map((text) => of(text))
    expect(threads.map(({ question }) => question.text)).toEqual(['a', 'b'])
    threads[1]!.answer()
    expect(await answers[1]).toEqual({ kind: 'answered', answer: { status: 200, body: 'b' } })
    expect(threads.map(({ question }) => question.text)).toEqual(['a', 'b', 'c'])
    threads[2]!.answer()
    threads[0]!.answer()
    await Promise.all(answers)
    threads[0]!.emit('exit', 1)
    expect(threads.map(({ ended }) => ended)).toEqual([1, 1, 1])
  })

  it('are ended when they take too long, and the next one begins', async () => {
    const { threads, of } = played(5)
    const [slow, next] = [of('slow'), of('next')]
    expect(await slow).toEqual({ kind: 'tooLong' })
    expect(threads[0]!.ended).toBe(1)
    threads[1]!.answer()
    expect(await next).toMatchObject({ kind: 'answered' })
  })

  it('end with whoever asked, waiting or under way', async () => {
    const { threads, of } = played()
    const [first, second] = [new AbortController(), new AbortController()]
    const [running, waiting] = [of('a', first.signal), of('b', second.signal)]
    second.abort()
    expect(await waiting).toEqual({ kind: 'gone' })
    first.abort()
    expect(await running).toEqual({ kind: 'gone' })
    expect(threads.map(({ ended }) => ended)).toEqual([1])
    expect(await of('c', first.signal)).toEqual({ kind: 'gone' })
  })

  it('tell who would wait longer than fifteen seconds at once when to come again, and go on after one that failed', async () => {
    const { threads, of } = played()
    // Before any was seen one is taken to last half a second: thirty may wait.
    const asked = Array.from({ length: 31 }, (_, i) => of(`${i}`))
    expect(await of('one too many')).toEqual({ kind: 'full', againInS: 16 })
    threads[0]!.emit('error', new Error('out of memory'))
    expect(await asked[0]).toEqual({ kind: 'failed' })
    for (let i = 1; i < 31; i += 1) {
      threads[i]!.answer()
      expect(await asked[i]).toEqual({ kind: 'answered', answer: { status: 200, body: `${i}` } })
    }
  })

  it('let nobody wait for long behind heavy ones: by how long those last, or by the clock (S11)', async () => {
    vi.useFakeTimers()
    try {
      const { threads, of } = played(10_000, 2)
      const heavy = Array.from({ length: 6 }, (_, i) => of(`${i}`))
      await vi.advanceTimersByTimeAsync(9000)
      // Two are under way, four wait: two of them for more than fifteen seconds.
      expect(await of('late')).toEqual({ kind: 'full', againInS: 23 })
      await vi.advanceTimersByTimeAsync(6001)
      const done = await Promise.all(heavy.map((each) => Promise.race([each, Promise.resolve('not yet')])))
      expect(done).toEqual([
        { kind: 'tooLong' },
        { kind: 'tooLong' },
        'not yet',
        'not yet',
        { kind: 'full', againInS: 15 },
        { kind: 'full', againInS: 10 },
      ])
      expect(threads).toHaveLength(4)
    } finally {
      vi.useRealTimers()
    }
  })

  it('go on after a thread that could not be started', async () => {
    const threads: Played[] = []
    let broken = true
    const ask = reviewQueue(
      (question) => {
        if (broken) throw new Error('no threads left')
        const thread = new Played(question)
        threads.push(thread)
        return thread as never
      },
      60_000,
      1,
    )
    const { signal } = new AbortController()
    expect(await ask({ text: 'a', fixes: false }, signal)).toEqual({ kind: 'failed' })
    broken = false
    const answer = ask({ text: 'b', fixes: false }, signal)
    threads[0]!.answer()
    expect(await answer).toMatchObject({ kind: 'answered' })
  })
})
