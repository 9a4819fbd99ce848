import 'fake-indexeddb/auto'
import { beforeEach, expect, it } from 'vitest'
import { DEMO } from '@/demo/demo'
import { dropDemo } from './drop-demo'
import { saveEvents, saveEventsIfMissing, loadEvents } from './log'
import { savePlan, savePlanIfMissing, loadPlan, loadPlans } from './plans'
import { loadRemoved, restoreRemoved } from './removed'
import { ALL_SHELVES } from './database'

const [first] = DEMO.plans
const own = { ...first!, id: 'own-job', job: { name: 'A job of the shop' } }
const note = {
  kind: 'weighed',
  id: 'own-note',
  at: '2026-11-20T09:00:00Z',
  turn: 900,
  targetId: 'box',
  what: 'Box',
  kg: 12,
} as const

beforeEach(async () => {
  await Promise.all(Object.values(ALL_SHELVES).map((shelf) => shelf.clear()))
  await Promise.all(DEMO.plans.map(savePlanIfMissing))
  await saveEventsIfMissing(DEMO.log('2026-11-27'))
  await savePlan(own)
  // The shop's own job goes on with a car of the demo.
  await saveEvents([{ ...note, vehicleId: first!.car.id, jobId: own.id }])
})

it('goes as one set, and leaves what is the shop’s', async () => {
  expect(await dropDemo(DEMO.plans)).toEqual({ ok: true })
  expect(await loadPlans()).toEqual([{ ok: true, plan: own }])
  expect((await loadEvents()).map(({ id }) => id)).toEqual(['own-note'])
})

it('comes back as it was, as one', async () => {
  const before = await loadEvents()
  await dropDemo(DEMO.plans)
  const [removed, ...others] = await loadRemoved()
  expect(others).toEqual([])
  expect(removed?.what).toBe('The demo')
  await restoreRemoved(removed!.id, '2026-11-27T12:00:00.000Z')
  expect(await loadPlans()).toHaveLength(DEMO.plans.length + 1)
  expect(await loadPlan(first!.id)).toEqual({ ok: true, plan: first })
  expect(await loadEvents()).toEqual(before)
})
