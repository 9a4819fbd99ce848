import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { WorkerClient } from './worker-client'

/** A worker that does what the test says. */
class PlayedWorker extends EventTarget {
  readonly sent: string[] = []
  ended = false
  postMessage(message: string) {
    this.sent.push(message)
  }
  terminate() {
    this.ended = true
  }
  says(data: string) {
    this.dispatchEvent(new MessageEvent('message', { data }))
  }
  dies() {
    const event = new Event('error', { cancelable: true })
    this.dispatchEvent(event)
    return event
  }
}

let workers: PlayedWorker[] = []
const client = (tries = 3) =>
  new WorkerClient<string, string>(
    () => {
      const worker = new PlayedWorker()
      workers.push(worker)
      return worker as unknown as Worker
    },
    { silentMs: 1000, tries },
  )

/** Asks a question whose last answer is “end”, and writes down what came of it. */
const asked = (of: WorkerClient<string, string>, question = 'what') => {
  const came: string[] = []
  of.ask({
    question: (justStarted) => (justStarted ? `${question}, all of it` : question),
    listener: (answer) => {
      if (answer === 'old') return 'older'
      came.push(answer)
      return answer === 'end' ? 'last' : 'more'
    },
    startedAgain: () => came.push('started again'),
    failed: () => came.push('failed'),
  })
  return came
}

beforeEach(() => {
  workers = []
  vi.useFakeTimers()
})
afterEach(() => vi.useRealTimers())

it('starts one worker for all questions, and tells a new one everything', () => {
  const of = client()
  asked(of)
  workers[0]!.says('end')
  asked(of, 'and now')
  expect(workers.map(({ sent }) => sent)).toEqual([['what, all of it', 'and now']])
})

it('asks a worker again that died, and says so', () => {
  const came = asked(client())
  workers[0]!.says('one')
  expect(workers[0]!.dies().defaultPrevented).toBe(true)
  expect(workers[0]!.ended).toBe(true)
  workers[1]!.says('end')
  expect(workers[1]!.sent).toEqual(['what, all of it'])
  expect(came).toEqual(['one', 'started again', 'end'])
})

it('takes a worker for dead that owes an answer and is silent, and only then', () => {
  const came = asked(client())
  vi.advanceTimersByTime(900)
  workers[0]!.says('one')
  vi.advanceTimersByTime(900)
  expect(workers).toHaveLength(1)
  // An answer to an older question is no sign of work at this one.
  workers[0]!.says('old')
  vi.advanceTimersByTime(100)
  expect(workers).toHaveLength(2)
  workers[1]!.says('end')
  vi.advanceTimersByTime(60_000)
  expect(workers).toHaveLength(2)
  expect(came).toEqual(['one', 'started again', 'end'])
})

it('gives up after three deaths at one question, though each time it answered in between, and starts anew for the next', () => {
  const of = client()
  const came = asked(of)
  for (let i = 0; i < 3; i += 1) {
    workers[i]!.says('one')
    workers[i]!.dies()
  }
  expect(workers).toHaveLength(3)
  expect(came).toEqual(['one', 'started again', 'one', 'started again', 'one', 'failed'])
  const next = asked(of, 'next')
  workers[3]!.says('end')
  expect(next).toEqual(['end'])
})

it('does not start again what may be tried once', () => {
  const came = asked(client(1))
  workers[0]!.dies()
  expect(workers).toHaveLength(1)
  expect(came).toEqual(['failed'])
})

it('starts anew for the next question where the worker died while nobody waited', () => {
  const of = client()
  const came = asked(of)
  workers[0]!.says('end')
  workers[0]!.dies()
  expect([workers.length, came]).toEqual([1, ['end']])
  asked(of, 'next')
  expect(workers[1]!.sent).toEqual(['next, all of it'])
})

it('hears nothing more after its end', () => {
  const of = client()
  const came = asked(of)
  of.end()
  workers[0]!.says('one')
  workers[0]!.dies()
  vi.advanceTimersByTime(60_000)
  expect([workers[0]!.ended, workers.length, came]).toEqual([true, 1, []])
  of.tell('stop')
  expect(workers[0]!.sent).toEqual(['what, all of it'])
})

it('drops the question before: only the newest is asked again', () => {
  const of = client()
  const first = asked(of, 'first')
  const second = asked(of, 'second')
  workers[0]!.dies()
  expect(workers[1]!.sent).toEqual(['second, all of it'])
  workers[1]!.says('end')
  expect([first, second]).toEqual([[], ['started again', 'end']])
})
