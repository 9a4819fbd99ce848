import 'fake-indexeddb/auto'
import { inject, describe, expect, it, vi } from 'vitest'
import { drawing } from '@/core/draw.testing'
import { boatAndBox } from '@/demo/plans'
import { ALL_SHELVES } from '@/storage/database'

const ID = boatAndBox.id

/** One tab of a browser: the open job and all that keeps it, with a memory of its own. */
async function newTab() {
  vi.resetModules()
  const [{ planStore }, waiting, removed, dropped] = await Promise.all([
    import('./plan-store'),
    import('@/storage/waiting'),
    import('@/storage/removed'),
    import('@/storage/drop-plan'),
  ])
  await planStore.getState().open(ID)
  return { store: () => planStore.getState(), ...waiting, ...removed, ...dropped }
}
type Tab = Awaited<ReturnType<typeof newTab>>

/** A store that refuses to write for a while, wherever it is asked. */
function flaky() {
  let refuses = 0
  const real = IDBObjectStore.prototype.put
  vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(function (
    this: IDBObjectStore,
    ...args: Parameters<typeof real>
  ) {
    if (refuses > 0) {
      refuses -= 1
      throw new DOMException('full', 'QuotaExceededError')
    }
    return real.apply(this, args)
  })
  return { refuse: (writes: number) => (refuses = writes) }
}

/** Everything that is kept of the job: as it stands, its past, what was removed, and what waits to be decided. */
async function everythingSaved(): Promise<string> {
  const found: unknown[] = []
  for (const shelf of ['plans', 'history', 'removed', 'settings'] as const)
    await ALL_SHELVES[shelf].iterate((value) => void found.push(value))
  return JSON.stringify(found)
}

interface Count {
  edits: number
  saved: number
  refused: number
  asked: number
}

/** So many actions of two people in two tabs on a store that fails now and then. */
async function played(actions: number, seed: number): Promise<Count> {
  await Promise.all(Object.values(ALL_SHELVES).map((shelf) => shelf.clear()))
  await ALL_SHELVES.plans.setItem(ID, boatAndBox)
  const pick = drawing(seed)
  const tabs: Tab[] = [await newTab(), await newTab()]
  const disk = flaky()
  const made: string[][] = [[], []]
  const saved = new Set<string>()
  const count: Count = { edits: 0, saved: 0, refused: 0, asked: 0 }

  /** What was typed in a tab and is called saved there is kept from then on. */
  const note = (i: number) => {
    const { plan, saving, conflict, deleted } = tabs[i]!.store()
    if (!plan || saving.at !== 'saved' || conflict || deleted || tabs[i]!.allWaiting().size > 0) return
    const text = JSON.stringify(plan)
    for (const mark of made[i]!) if (text.includes(`"${mark}"`)) saved.add(mark)
    made[i] = []
  }
  const act = async (i: number): Promise<void> => {
    const tab = tabs[i]!
    const { plan, conflict, deleted, opened } = tab.store()
    if (conflict) {
      count.asked += 1
      await tab.store().settle(pick(2) === 0 ? 'mine' : 'theirs')
      return
    }
    if (deleted) {
      count.asked += 1
      if (pick(3) > 0) await tab.store().putBack()
      else tab.store().letGo(ID)
      return
    }
    if (!plan) {
      const [last] = (await tab.loadRemoved()).filter(({ what }) => what.startsWith('Job:'))
      if (opened.at === 'missing' && last) await tab.restoreRemoved(last.id, new Date().toISOString())
      await tab.store().open(ID)
      return
    }
    switch (pick(12)) {
      case 0:
        disk.refuse(1 + pick(4))
        count.refused += 1
        return
      case 1:
        return tab.store().follow(ID)
      case 2:
        if (pick(6) > 0) return
        if ((await tab.dropPlan(ID)).ok) tab.store().letGo(ID)
        return
      case 3:
        // A reload asks first where something is in memory alone.
        if (tab.allWaiting().size > 0 || tab.store().saving.at !== 'saved') return
        tabs[i] = await newTab()
        return
      case 4:
        return tab.saveAllWaiting()
      default: {
        const mark = `mark-${count.edits}`
        const own = pick(5) > 0 ? `${i}` : 'shared'
        const clearance = { id: `${own}-${pick(6)}`, name: mark, heightMm: 2000 + pick(500) }
        if (!tab.store().run({ do: 'setClearance', clearance })) return
        count.edits += 1
        made[i]!.push(mark)
        await tab.store().saveNow()
      }
    }
  }
  for (let n = 0; n < actions; n += 1) {
    const i = pick(2)
    await act(i)
    note(i)
  }
  disk.refuse(0)
  for (const i of [0, 1]) {
    for (let round = 0; round < 4; round += 1) {
      const { conflict, deleted, plan } = tabs[i]!.store()
      if (conflict) await tabs[i]!.store().settle('mine')
      else if (deleted) await tabs[i]!.store().putBack()
      else if (plan) await tabs[i]!.store().saveNow()
      await tabs[i]!.saveAllWaiting()
    }
    note(i)
  }
  vi.restoreAllMocks()
  const everything = await everythingSaved()
  const lost = [...saved].filter((mark) => !everything.includes(`"${mark}"`))
  expect(lost, `seed ${seed}`).toEqual([])
  count.saved = saved.size
  return count
}

describe('two tabs and a store that fails now and then', () => {
  const deep = inject('deep')
  const first = inject('seed')
  const seeds = Array.from({ length: deep ? 20 : 1 }, (_, i) => first + i)

  it.each(seeds)(
    'lose no edit that was called saved: it stands in the job, its past or what was removed (seed %i)',
    async (seed) => {
      const count = await played(deep ? 1000 : 80, seed)
      console.log(
        `Two tabs, seed ${seed}: ${count.edits} edits, ${count.saved} called saved, the store refused ${count.refused} times, asked ${count.asked} times.`,
      )
      expect(count.saved).toBeGreaterThan(count.edits / 2)
      expect(count.refused).toBeGreaterThan(3)
    },
  )
})
