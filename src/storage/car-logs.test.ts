import 'fake-indexeddb/auto'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { carsByJob, dueOf, type LogEvent, ownEvents, carOf, aboutOf } from '@/core/api/fit'
import { USUAL_BAY, type Plan } from '@/core/api/plan'
import { drawing } from '@/core/draw.testing'
import { someEvents } from '@/core/log/events.testing'
import { boatAndBox } from '@/demo/plans'
import { glimpseCarLogs, listCars, loadCarLogs, whoseIn } from './car-logs'
import { refusing } from './faults.testing'
import { saveEvents, loadEvents } from './log'
import { changePlan, savePlan } from './plans'
import { ALL_SHELVES, browserShelf, logShelf } from './database'
import { saveAllWaiting } from './waiting'

const CARS = ['car-a', 'car-b', 'car-c', 'car', 'constructor'] as const
const JOBS = ['job-1', 'job-2', 'job-3', 'job-4', 'constructor'] as const

const job = (id: string, car: Plan['car']): Plan => ({ ...boatAndBox, id, car })

/** Jobs of a few cars, some of whose entries stand under another car's name, as when a car was parted from another. */
async function made(seed: number): Promise<readonly Plan[]> {
  const pick = drawing(seed)
  const plans = JOBS.slice(0, 3 + pick(3)).map((id) =>
    job(id, { id: CARS[pick(CARS.length)]!, ...(pick(4) === 0 && { shared: true as const }) }),
  )
  for (const plan of plans) await savePlan(plan)
  const events = Array.from({ length: 24 }, (_, i): LogEvent => {
    const base = someEvents[pick(someEvents.length)]!
    const { jobId: _job, ...rest } = base
    return {
      ...rest,
      id: `entry-${i}`,
      turn: i + 1,
      vehicleId: CARS[pick(CARS.length)]!,
      ...(pick(3) > 0 && { jobId: JOBS[pick(JOBS.length)]! }),
    }
  })
  await saveEvents(events)
  await logShelf.setItem('car-a/2027-01-01T00:00:00Z/000099/torn', { kind: 'torn' })
  return plans
}

const wipe = () => Promise.all([...Object.values(ALL_SHELVES), browserShelf].map((shelf) => shelf.clear()))
beforeEach(wipe)
afterEach(() => {
  vi.restoreAllMocks()
})

const ids = (events: readonly LogEvent[]) => events.map(({ id }) => id)

describe('one car’s log, read alone', () => {
  it('has of every job and car what the whole log has of it', async () => {
    for (let seed = 1; seed <= 12; seed += 1) {
      await wipe()
      const plans = await made(seed)
      const all = await loadEvents()
      const cars = carsByJob(plans)
      for (const plan of plans) {
        const { events, jobs } = await loadCarLogs({ cars: [plan.car.id], jobs: [plan.id] })
        expect(ids(ownEvents(events, plan, carsByJob(jobs))), `seed ${seed}`).toEqual(
          ids(ownEvents(all, plan, cars)),
        )
      }
      for (const car of CARS) {
        const { events, jobs } = await loadCarLogs({ cars: [car], jobs: [] })
        const own = (of: readonly LogEvent[], by: ReadonlyMap<string, string>) =>
          ids(of.filter((event) => carOf(event, by) === car))
        expect(own(events, carsByJob(jobs)), `seed ${seed}`).toEqual(own(all, cars))
      }
    }
  })

  it('comes after all turns of this browser, also those of other cars', async () => {
    await made(3)
    expect((await loadCarLogs({ cars: ['car-a'], jobs: [] })).nextTurn).toBe(25)
  })

  it('reads no entry again but those of cars whose log went on', async () => {
    await made(5)
    await loadCarLogs({ cars: ['car-a'], jobs: [] })
    await saveEvents([{ ...someEvents[0]!, id: 'later', turn: 99, vehicleId: 'car-b' }])
    const all = vi.spyOn(IDBObjectStore.prototype, 'getAll')
    const { events, nextTurn } = await loadCarLogs({ cars: ['car-b'], jobs: [] })
    const read = all.mock.contexts.flatMap((store, i) =>
      (store as IDBObjectStore).name === 'log'
        ? [(all.mock.calls[i]![0] as IDBKeyRange).lower as string]
        : [],
    )
    // Once for what the log of that car comes to, once for what was asked; others only where they name its jobs.
    expect(read.filter((key) => key === 'car-b/')).toHaveLength(2)
    expect(read.every((key) => key.endsWith('/'))).toBe(true)
    expect(ids(events)).toContain('later')
    expect(nextTurn).toBe(100)
  })

  it('has what could not be stored, and finds it under its job too', async () => {
    await savePlan(job('job-1', { id: 'car-a' }))
    refusing('log', new DOMException('full', 'QuotaExceededError'))
    await saveEvents([{ ...someEvents[0]!, id: 'waits', vehicleId: 'car-b', jobId: 'job-1' }])
    expect(ids((await loadCarLogs({ cars: ['car-a'], jobs: [] })).events)).toEqual(['waits'])
    expect(ids((await loadCarLogs({ cars: ['car-c'], jobs: [] })).events)).toEqual([])
    vi.restoreAllMocks()
    await saveAllWaiting()
    expect(ids((await loadCarLogs({ cars: ['car-a'], jobs: [] })).events)).toEqual(['waits'])
  })

  it('is there at a glimpse as far as it stands under the car’s own name', async () => {
    const plans = await made(7)
    const [plan] = plans
    await loadCarLogs({ cars: [], jobs: [] })
    const { events, jobs } = await glimpseCarLogs([plan!.car.id])
    const all = await loadEvents()
    expect(ids(events)).toEqual(ids(all.filter(({ vehicleId }) => vehicleId === plan!.car.id)))
    expect(jobs).toContainEqual(aboutOf(plan!))
  })

  it('asks for the cars and jobs that entries from elsewhere name', () => {
    const whose = whoseIn([
      { ...someEvents[0]!, vehicleId: 'car-a', jobId: 'job-1' },
      { ...someEvents[0]!, vehicleId: 'car-a', jobId: 'job-2' },
    ])
    expect(whose).toEqual({ cars: ['car-a'], jobs: ['job-1', 'job-2'] })
  })
})

describe('the list of cars', () => {
  it('says of every car what the whole log says: how much is written, and what is due next', async () => {
    for (let seed = 20; seed < 28; seed += 1) {
      await wipe()
      const plans = await made(seed)
      const all = await loadEvents()
      const cars = carsByJob(plans)
      for (let again = 0; again < 2; again += 1)
        for (const { id, about, next, count } of await listCars(USUAL_BAY)) {
          const own = all.filter((event) => carOf(event, cars) === id)
          expect([id, count, next], `seed ${seed}`).toEqual([id, own.length, dueOf(own, USUAL_BAY)[0]?.on])
          expect(about?.car.id ?? id).toBe(id)
        }
      const listed = new Set((await listCars(USUAL_BAY)).map(({ id }) => id))
      for (const event of all) expect(listed).toContain(carOf(event, cars))
      for (const { car } of plans) expect(listed).toContain(car.id)
    }
  })

  it('goes by the rules of now, and by the jobs of now', async () => {
    await savePlan(job('job-1', { id: 'car-a' }))
    await saveEvents([
      {
        kind: 'fitted',
        id: 'f',
        at: '2026-03-01T10:00:00.000Z',
        vehicleId: 'car-a',
        jobId: 'job-1',
        rackId: 'r',
        what: 'Bars',
      },
    ])
    const next = async (months: number) =>
      (await listCars({ ...USUAL_BAY, thenMonths: months, firstCheckDays: 30 * months })).find(
        ({ id }) => id === 'car-a',
      )?.next
    const first = await next(1)
    expect(first).toBeDefined()
    expect(await next(2)).not.toBe(first)
    expect(await next(1)).toBe(first)
    await changePlan('job-1', (plan) => ({ ...plan, car: { id: 'car-b' } }))
    const cars = await listCars(USUAL_BAY)
    expect(cars.map(({ id, count }) => [id, count])).toEqual([['car-b', 1]])
  })
})
