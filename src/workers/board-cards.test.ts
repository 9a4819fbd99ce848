import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { boatAndBox, DEMO_PLANS, hatchJob } from '@/demo/plans'
import { demoLog } from '@/demo/demo-log'
import { saveEvents } from '@/storage/log'
import { savePlan } from '@/storage/plans'
import { ALL_SHELVES, summaryShelf, planShelf } from '@/storage/database'
import { boardCards } from './board-cards'
import type { BoardCard } from './board-messages'

beforeEach(async () => {
  await Promise.all([...Object.values(ALL_SHELVES), summaryShelf].map((shelf) => shelf.clear()))
  for (const plan of DEMO_PLANS) await savePlan(plan)
})

/** What is told, in turn: how many cards, and how many are left. */
async function asked(assessedBy = 'now', unsaved = [] as readonly (typeof boatAndBox)[]) {
  const batches: (readonly [number, number])[] = []
  const cards: BoardCard[] = []
  await boardCards(assessedBy, unsaved, (some, left) => {
    batches.push([some.length, left])
    cards.push(...some)
  })
  return { told: batches, cards }
}
const all = DEMO_PLANS.length

describe('the cards of a board', () => {
  it('are worked out once, and afterwards only of what was written since', async () => {
    expect((await asked()).told).toEqual([
      [0, all],
      [all, 0],
    ])
    expect((await asked()).told).toEqual([[all, 0]])
    await savePlan({ ...boatAndBox, job: { ...boatAndBox.job, name: 'Another name' } })
    const { told: batches, cards } = await asked()
    expect(batches).toEqual([
      [all - 1, 1],
      [1, 0],
    ])
    expect(cards.some((card) => card.ok && card.summary.name === 'Another name')).toBe(true)
  })

  it('of few jobs are worked out from what is about them alone: no other job, no other car’s log', async () => {
    await saveEvents(demoLog('2026-11-01'))
    await asked()
    const other = { ...boatAndBox, id: 'another', car: { id: 'another-car' } }
    await savePlan(other)
    await saveEvents([
      { ...demoLog('2026-11-01')[0]!, id: 'own', vehicleId: 'another-car', jobId: 'another' },
    ])
    const [get, getAll] = [
      vi.spyOn(IDBObjectStore.prototype, 'get'),
      vi.spyOn(IDBObjectStore.prototype, 'getAll'),
    ]
    const { cards } = await asked()
    const of = (spy: typeof get | typeof getAll, shelf: string) =>
      spy.mock.contexts.flatMap((store, i) =>
        (store as IDBObjectStore).name === shelf ? [spy.mock.calls[i]![0]] : [],
      )
    expect([...new Set(of(get, 'plans'))]).toEqual(['another'])
    expect(of(getAll, 'plans')).toEqual([])
    expect([...new Set(of(getAll, 'log').map((range) => (range as IDBKeyRange).lower as string))]).toEqual([
      'another-car/',
    ])
    vi.restoreAllMocks()
    await summaryShelf.clear()
    const whole = (await asked()).cards
    const own = (list: readonly BoardCard[]) => list.find(({ id }) => id === 'another')
    expect(own(cards)).toEqual(own(whole))
  })

  it('say the same whether they were kept or worked out', async () => {
    const byId = (cards: readonly BoardCard[]) => cards.toSorted((a, b) => a.id.localeCompare(b.id))
    const first = byId((await asked()).cards)
    expect(byId((await asked()).cards)).toEqual(first)
    expect(first.map((card) => card.ok && card.summary.states.road.verdict)).toContain('stop')
  })

  it('are worked out anew by a program that judges otherwise, and where the log of their car has grown', async () => {
    await asked()
    expect((await asked('later')).told[0]).toEqual([0, all])
    const before = (await asked('later')).told
    expect(before).toEqual([[all, 0]])
    const events = demoLog('2026-11-01')
    await saveEvents(events)
    const touched = new Set(events.map(({ vehicleId }) => vehicleId))
    const jobs = DEMO_PLANS.filter(({ car }) => touched.has(car.id)).length
    expect(jobs).toBeGreaterThan(0)
    const { told: batches, cards } = await asked('later')
    expect(batches[0]).toEqual([all - jobs, jobs])
    expect(cards.some((card) => card.ok && card.backOn !== undefined)).toBe(true)
  })

  it('count what was written in another job of the same car, whatever car the log named then', async () => {
    const events = demoLog('2026-11-01')
    const fitted = events.find(({ kind, jobId }) => kind === 'fitted' && jobId !== undefined)!
    const plan = DEMO_PLANS.find(({ id }) => id === fitted.jobId)!
    const before = { ...plan, id: 'before', job: { name: 'An earlier job of that car' } }
    await savePlan(before)
    await saveEvents(events)
    const day = async () => {
      const card = (await asked('later')).cards.find(({ id }) => id === plan.id)
      return card?.ok ? card.backOn : undefined
    }
    const first = await day()
    const { id: jobId } = before
    const dated = { kind: 'dated' as const, what: 'Look at the seals', due: '2020-01-01' }
    const turn = events.length + 1
    await saveEvents([
      { ...dated, id: 'seals', at: '2026-10-30T08:00:00.000Z', turn, vehicleId: 'as-it-was-called', jobId },
    ])
    // Its own log has not grown: it is asked again by a program that judges otherwise.
    const card = (await asked('even later')).cards.find(({ id }) => id === plan.id)
    expect([first !== '2020-01-01', card?.ok && card.backOn]).toEqual([true, '2020-01-01'])
  })

  it('are there of what is in memory alone, before what is kept under that name, and kept of neither', async () => {
    const inMemory = { ...boatAndBox, job: { ...boatAndBox.job, name: 'In memory' } }
    const { cards } = await asked('now', [inMemory])
    expect(cards.filter(({ id }) => id === boatAndBox.id)).toHaveLength(1)
    expect(cards.some((card) => card.ok && card.summary.name === 'In memory')).toBe(true)
    expect(await summaryShelf.getItem(boatAndBox.id)).toBeNull()
  })

  it('say of a job that no longer reads what is wrong, and forget what is gone', async () => {
    await asked()
    await planShelf.setItem(hatchJob.id, { not: 'a plan' })
    await planShelf.removeItem(boatAndBox.id)
    const { cards } = await asked('later')
    expect(cards.find(({ id }) => id === hatchJob.id)).toMatchObject({ ok: false })
    expect(cards.some(({ id }) => id === boatAndBox.id)).toBe(false)
    expect(await summaryShelf.getItem(boatAndBox.id)).toBeNull()
  })

  it('stop being worked out where nobody waits any more', async () => {
    const batches: number[] = []
    await boardCards(
      'now',
      [],
      (some) => void batches.push(some.length),
      () => false,
    )
    expect(batches).toEqual([0])
  })
})
