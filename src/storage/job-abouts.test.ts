import 'fake-indexeddb/auto'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { aboutOf } from '@/core/api/fit'
import type { Plan } from '@/core/api/plan'
import { boatAndBox, DEMO_PLANS } from '@/demo/plans'
import { dropPlan } from './drop-plan'
import { refusing } from './faults.testing'
import { savedAbouts, jobNames, loadAbouts } from './job-abouts'
import { changePlan, savePlan, loadPlans } from './plans'
import { ALL_SHELVES, browserShelf, planShelf } from './database'

const named = (plan: Plan, name: string): Plan => ({ ...plan, job: { ...plan.job, name } })

/** What every job says, when all are read whole. */
const plainly = async () => (await loadPlans()).flatMap((each) => (each.ok ? [aboutOf(each.plan)] : []))
const byId = (list: readonly { readonly id: string }[]) => list.toSorted((a, b) => (a.id < b.id ? -1 : 1))

/** Which jobs are read from their shelf while something is done. */
async function readMeanwhile(work: () => Promise<unknown>): Promise<readonly unknown[]> {
  const get = vi.spyOn(IDBObjectStore.prototype, 'get')
  const all = vi.spyOn(IDBObjectStore.prototype, 'getAll')
  await work()
  const of = (spy: typeof get | typeof all) =>
    spy.mock.contexts.flatMap((store, i) =>
      (store as IDBObjectStore).name === 'plans' ? [spy.mock.calls[i]?.[0]] : [],
    )
  const found = [...of(get), ...of(all)]
  vi.restoreAllMocks()
  return found
}

beforeEach(async () => {
  await Promise.all([...Object.values(ALL_SHELVES), browserShelf].map((shelf) => shelf.clear()))
})
afterEach(() => {
  vi.restoreAllMocks()
})

it('what jobs say of themselves is what the jobs say, after every change of them', async () => {
  for (const plan of DEMO_PLANS.slice(0, 5)) await savePlan(plan)
  const holds = async () => expect(byId((await loadAbouts()).jobs)).toEqual(byId(await plainly()))
  await holds()
  await changePlan(boatAndBox.id, (plan) => ({ ...named(plan, 'Renamed'), car: { id: 'another-car' } }))
  await holds()
  expect((await loadAbouts()).jobs.find(({ id }) => id === boatAndBox.id)?.car.id).toBe('another-car')
  await dropPlan(boatAndBox.id)
  await holds()
  await savePlan(named(boatAndBox, 'Here again'))
  await holds()
})

it('reads again only the jobs that were written since, and none where none was', async () => {
  const few = DEMO_PLANS.slice(0, 5)
  for (const plan of few) await savePlan(plan)
  expect(await readMeanwhile(loadAbouts)).toHaveLength(few.length)
  expect(await readMeanwhile(loadAbouts)).toEqual([])
  await changePlan(boatAndBox.id, (plan) => named(plan, 'Renamed'))
  expect(await readMeanwhile(loadAbouts)).toEqual([boatAndBox.id])
  expect(await readMeanwhile(loadAbouts)).toEqual([])
})

it('counts what does not read, lifts what is older, and takes what waits in memory', async () => {
  await planShelf.setItem('torn', { format: 'ypsos-plan' })
  await savePlan(boatAndBox)
  expect(await loadAbouts()).toMatchObject({ unread: 1, jobs: [{ id: boatAndBox.id }] })
  refusing('plans', new DOMException('full', 'QuotaExceededError'))
  await savePlan({ ...boatAndBox, id: 'waits' })
  vi.restoreAllMocks()
  expect((await loadAbouts()).jobs.map(({ id }) => id)).toEqual(['waits', boatAndBox.id])
  await dropPlan('waits')
})

it('is gathered anew where what was gathered cannot be kept, or is not what it was', async () => {
  await savePlan(boatAndBox)
  refusing('browser', new DOMException('full', 'QuotaExceededError'))
  expect((await loadAbouts()).jobs).toHaveLength(1)
  vi.restoreAllMocks()
  expect(await savedAbouts()).toEqual([])
  await browserShelf.setItem('jobs', [null, 7, { id: 'gone', revision: 3 }])
  expect((await loadAbouts()).jobs.map(({ id }) => id)).toEqual([boatAndBox.id])
  expect(await jobNames()).toEqual([
    { id: boatAndBox.id, name: expect.stringContaining(boatAndBox.job.name) as string },
  ])
})
