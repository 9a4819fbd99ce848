import 'fake-indexeddb/auto'
import { beforeEach, expect, it, vi } from 'vitest'
import { patchBetween, type Plan } from '@/core/api/plan'
import { printPlan } from '@/core/api/files'
import { boatAndBox } from '@/demo/plans'
import { changePlan, savePlan, savePlanIfCurrent, loadPlan, openPlan } from '@/storage/plans'
import { ALL_SHELVES } from '@/storage/database'
import { refusing } from '@/storage/faults.testing'
import { saveAllWaiting } from '@/storage/waiting'
import { useOpenFile } from './open-file'

const named = (plan: Plan, name: string): Plan => ({ ...plan, job: { ...plan.job, name } })
const opened = (plan: Plan) =>
  useOpenFile.getState().open(new File([printPlan(plan)], 'plan.ypsos.json', { type: 'application/json' }))
const steps = async (id: string) => (await openPlan(id)).steps

beforeEach(async () => {
  await Promise.all(Object.values(ALL_SHELVES).map((shelf) => shelf.clear()))
})

it('a file of a job that is here as it is opens that one, with its past', async () => {
  await savePlan(named(boatAndBox, 'Before'))
  const { revision } = await openPlan(boatAndBox.id)
  const back = patchBetween(boatAndBox, named(boatAndBox, 'Before'))
  await savePlanIfCurrent({
    plan: boatAndBox,
    over: revision,
    steps: [{ at: '2026-11-20T08:00:00.000Z', back }],
  })
  expect(await opened(boatAndBox)).toBe(boatAndBox.id)
  expect(await steps(boatAndBox.id)).toHaveLength(1)
})

it('a file of a job that is here otherwise is opened beside it, and leaves it', async () => {
  await savePlan(boatAndBox)
  const id = await opened(named(boatAndBox, 'Older'))
  expect(id).not.toBe(boatAndBox.id)
  expect(await loadPlan(boatAndBox.id)).toEqual({ ok: true, plan: boatAndBox })
  expect(await loadPlan(id!)).toMatchObject({ ok: true, plan: { job: { name: 'Older (from file)' } } })
})

it('a job that is open nowhere is changed as it is kept now, by one more step of its past', async () => {
  await savePlan(boatAndBox)
  await changePlan(boatAndBox.id, (plan) => named(plan, 'First'))
  await changePlan(boatAndBox.id, (plan) => named(plan, 'Second'))
  await changePlan(boatAndBox.id, () => undefined)
  await changePlan('not-here', (plan) => named(plan, 'Never'))
  expect(await loadPlan(boatAndBox.id)).toMatchObject({ plan: { job: { name: 'Second' } } })
  expect(await steps(boatAndBox.id)).toHaveLength(2)
  expect(await loadPlan('not-here')).toBeUndefined()
})

it('a file is opened though the browser is full: it waits in this page, and is kept when there is room (S9)', async () => {
  refusing('plans', new DOMException('full', 'QuotaExceededError'))
  const id = await opened(boatAndBox)
  expect(id).toBe(boatAndBox.id)
  expect(useOpenFile.getState().problem).toBeUndefined()
  expect(await loadPlan(boatAndBox.id)).toEqual({ ok: true, plan: boatAndBox })
  vi.restoreAllMocks()
  expect(await ALL_SHELVES.plans.length()).toBe(0)
  await saveAllWaiting()
  expect(await ALL_SHELVES.plans.getItem(boatAndBox.id)).toEqual(boatAndBox)
})
