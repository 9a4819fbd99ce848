import 'fake-indexeddb/auto'
import { beforeEach, expect, it, vi } from 'vitest'
import { someEvents } from '@/core/log/events.testing'
import { boatAndBox } from '@/demo/plans'
import type * as CarLogs from '@/storage/car-logs'
import { saveEvents } from '@/storage/log'
import { savePlan } from '@/storage/plans'
import { ALL_SHELVES, browserShelf } from '@/storage/database'
import { isLogHere, logStore } from './log-store'

vi.mock('@/storage/car-logs', async (original) => {
  const real = await original<typeof CarLogs>()
  return { ...real, loadCarLogs: vi.fn(real.loadCarLogs) }
})

const CAR = boatAndBox.car.id
const JOB = boatAndBox.id
const log = () => logStore.getState()
const own = someEvents.slice(0, 3).map((event) => ({ ...event, vehicleId: CAR, jobId: JOB }))

vi.stubGlobal('document', { addEventListener: () => undefined, visibilityState: 'visible' })
beforeEach(async () => {
  await Promise.all([...Object.values(ALL_SHELVES), browserShelf].map((shelf) => shelf.clear()))
  await savePlan(boatAndBox)
  await saveEvents(own)
})

it('has one car’s log, at a glimpse once its job was read before, and whole', async () => {
  const states: string[] = []
  const stop = logStore.subscribe(({ of, glimpsed, events }) => {
    const whole = isLogHere(of, { carId: CAR, jobId: JOB })
    states.push(`${whole ? 'whole' : glimpsed.includes(CAR) ? 'glimpsed' : 'none'} ${events.length}`)
  })
  const { loadAbouts } = await import('@/storage/job-abouts')
  await loadAbouts()
  await log().open({ carId: CAR, jobId: JOB })
  stop()
  expect(states).toEqual(['glimpsed 3', 'whole 3'])
})

it('keeps in sight what was written while an older reading was under way', async () => {
  const { loadCarLogs } = await import('@/storage/car-logs')
  const before = await loadCarLogs({ cars: [CAR], jobs: [JOB] })
  let end: () => void = () => undefined
  vi.mocked(loadCarLogs).mockReturnValueOnce(
    new Promise((resolve) => {
      end = () => resolve(before)
    }),
  )
  const reading = log().open({ carId: CAR, jobId: JOB })
  await vi.waitFor(() => {
    expect(vi.mocked(loadCarLogs)).toHaveBeenCalledTimes(3)
  })
  await log().add({ vehicleId: CAR, jobId: JOB }, [{ kind: 'checked', what: 'Clamps' }])
  end()
  await reading
  expect(log().events.map(({ kind }) => kind)).toContain('checked')
  // It comes after all that was here, whatever car's log that was in.
  expect(log().events.at(-1)?.turn).toBe(before.nextTurn)
})
