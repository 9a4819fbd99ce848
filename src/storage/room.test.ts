import { afterEach, describe, expect, it, vi } from 'vitest'
import { roomLeft, roomWords } from './room'

const store = (over: Partial<StorageManager>) => vi.stubGlobal('navigator', { storage: over })
afterEach(() => {
  vi.unstubAllGlobals()
})

const estimate = (usage: number, quota: number) => () => Promise.resolve({ usage, quota })

describe('the room that a browser gives', () => {
  it('is asked for once to stay, and told with what is taken', async () => {
    const persist = vi.fn(() => Promise.resolve(true))
    store({ persisted: () => Promise.resolve(false), persist, estimate: estimate(2_400_000, 500_000_000) })
    const room = await roomLeft()
    expect(persist).toHaveBeenCalledTimes(1)
    expect(roomWords(room)).toEqual({
      words: '2.4 MB of 500 MB are taken. The browser keeps the data until somebody clears it.',
      scarce: false,
    })
    store({ persisted: () => Promise.resolve(true), persist, estimate: estimate(1, 2) })
    await roomLeft()
    expect(persist).toHaveBeenCalledTimes(1)
  })

  it('is scarce from four fifths on, and not promised where the browser refuses', async () => {
    const refuses = { persisted: () => Promise.resolve(false), persist: () => Promise.resolve(false) }
    store({ ...refuses, estimate: estimate(79_000_000, 100_000_000) })
    expect(roomWords(await roomLeft()).scarce).toBe(false)
    store({ ...refuses, estimate: estimate(80_000_000, 100_000_000) })
    const { words, scarce } = roomWords(await roomLeft())
    expect(scarce).toBe(true)
    expect(words).toContain('80 MB of 100 MB are taken. Storage is nearly full')
    expect(words).toContain('may clear the data')
  })

  it('is not known where the browser does not say, or has no such thing', async () => {
    vi.stubGlobal('navigator', {})
    expect(roomWords(await roomLeft())).toMatchObject({
      scarce: false,
      words: expect.stringContaining('does not say') as string,
    })
  })
})
