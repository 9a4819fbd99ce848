import { afterEach, describe, expect, it, vi } from 'vitest'
import type * as Queue from '@/workers/review-queue'

type Ask = ReturnType<typeof Queue.reviewQueue>

const ask = vi.hoisted(() => vi.fn<Ask>())
vi.mock('@/workers/review-queue', () => ({ LONGEST_MS: 10_000, reviewQueue: () => ask }))

const { POST } = await import('./route')

const JSON_TYPE = { 'content-type': 'application/json' }
const post = (body: BodyInit, headers: Record<string, string> = JSON_TYPE, query = '') =>
  POST(new Request(`http://localhost/api/review${query}`, { method: 'POST', body, headers }))

describe('POST /api/review', () => {
  afterEach(() => {
    ask.mockReset()
    vi.useRealTimers()
  })

  it('hands the body on as it came, without the mark of its byte order, and fixes where they are asked for', async () => {
    ask.mockResolvedValue({ kind: 'answered', answer: { status: 200, body: '{"format":"ypsos-review"}' } })
    const response = await post('\uFEFF{"a":1}', JSON_TYPE, '?fixes=1')
    expect(response.status).toBe(200)
    expect(await response.json()).toEqual({ format: 'ypsos-review' })
    await post('{}')
    expect(ask.mock.calls.map(([question]) => question)).toEqual([
      { text: '{"a":1}', fixes: true },
      { text: '{}', fixes: false },
    ])
  })

  it.each([
    ['tooLong', 422],
    ['gone', 499],
    ['failed', 500],
  ] as const)('says of a plan that is %s: %d', async (kind, status) => {
    ask.mockResolvedValue({ kind })
    expect((await post('{}')).status).toBe(status)
  })

  it('says when to come again where too many wait', async () => {
    ask.mockResolvedValue({ kind: 'full', againInS: 16 })
    const response = await post('{}')
    expect([response.status, response.headers.get('retry-after')]).toEqual([503, '16'])
    expect(await response.text()).toContain('send it again in 16 s')
  })

  it('takes JSON alone, so that no other page can post from a visitor’s browser', async () => {
    expect((await post('{}', { 'content-type': 'text/plain' })).status).toBe(415)
    expect((await post('{}', { 'content-type': 'application/jsonp' })).status).toBe(415)
    expect(ask).not.toHaveBeenCalled()
  })

  it('answers 413 over 4 MB, whether the length is announced or not', async () => {
    const large = ' '.repeat(4 * 1024 * 1024 + 1)
    expect((await post(large)).status).toBe(413)
    const stream = new ReadableStream<Uint8Array>({
      start(controller) {
        for (let i = 0; i < 5; i += 1) controller.enqueue(new Uint8Array(1024 * 1024))
        controller.close()
      },
    })
    const init = { method: 'POST', body: stream, duplex: 'half', headers: JSON_TYPE } as RequestInit
    expect((await POST(new Request('http://localhost/api/review', init))).status).toBe(413)
    expect(ask).not.toHaveBeenCalled()
  })

  it('ends a body that does not come', async () => {
    vi.useFakeTimers()
    const init = {
      method: 'POST',
      body: new ReadableStream(),
      duplex: 'half',
      headers: JSON_TYPE,
    } as RequestInit
    const answer = POST(new Request('http://localhost/api/review', init))
    await vi.advanceTimersByTimeAsync(10_000)
    expect((await answer).status).toBe(408)
  })
})
