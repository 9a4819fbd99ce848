import 'fake-indexeddb/auto'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { ALL_SHELVES, planShelf, settingsShelf, stockShelf } from './database'
import { transaction } from './database'

afterEach(async () => {
  vi.restoreAllMocks()
  await Promise.all(Object.values(ALL_SHELVES).map((shelf) => shelf.clear()))
})

const all = async () => ({
  plans: await planShelf.keys(),
  stock: await stockShelf.keys(),
  settings: await settingsShelf.keys(),
})

describe('what is done to several shelves in one go', () => {
  it('is all there afterwards, read by the shelves themselves', async () => {
    await planShelf.setItem('old', { a: 1 })
    await transaction(['plans', 'stock', 'settings'], async ({ put, remove, get }) => {
      expect(await get('plans', 'old')).toEqual({ a: 1 })
      put('plans', 'new', { b: 2 })
      put('stock', 'racks/x', { id: 'x' })
      remove('plans', 'old')
      await get('plans', 'new')
    })
    expect(await all()).toEqual({ plans: ['new'], stock: ['racks/x'], settings: [] })
    expect(await planShelf.getItem('new')).toEqual({ b: 2 })
  })

  it('is none of it where it throws in the middle, and says so', async () => {
    await planShelf.setItem('old', { a: 1 })
    const before = await all()
    await expect(
      transaction(['plans', 'stock'], async ({ put, get }) => {
        put('plans', 'new', {})
        await get('plans', 'new')
        throw new Error('no more')
      }),
    ).rejects.toThrow('no more')
    expect(await all()).toEqual(before)
  })

  it('waits for a slow store as long as it goes on answering', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout'] })
    await transaction(['plans'], async ({ get, put }) => {
      for (let asked = 0; asked < 6; asked += 1) {
        await get('plans', 'old')
        vi.advanceTimersByTime(10_000)
      }
      put('plans', 'new', {})
    })
    vi.useRealTimers()
    expect((await all()).plans).toEqual(['new'])
  })

  it('is none of it where any single call fails, whichever it is', async () => {
    await planShelf.setItem('old', { a: 1 })
    const before = await all()
    const put = IDBObjectStore.prototype.put
    for (let failing = 0; failing < 3; failing += 1) {
      let call = 0
      vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(function (this: IDBObjectStore, ...args) {
        if (call++ === failing) throw new DOMException('full', 'QuotaExceededError')
        return put.apply(this, args)
      })
      const done = transaction(['plans', 'stock', 'settings'], ({ put: write, remove }) => {
        remove('plans', 'old')
        write('plans', 'new', {})
        write('stock', 's', {})
        write('settings', 'z', {})
        return Promise.resolve()
      })
      await expect(done, `call ${failing}`).rejects.toThrow('full')
      vi.restoreAllMocks()
      expect(await all(), `call ${failing}`).toEqual(before)
    }
  })
})
