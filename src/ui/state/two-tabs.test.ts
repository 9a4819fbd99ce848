import 'fake-indexeddb/auto'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { apply, type Command, patchBetween, type Plan } from '@/core/api/plan'
import { edited } from '@/core/plan/plans.testing'
import { boatAndBox } from '@/demo/plans'
import { savePlan, savePlanIfCurrent, loadPlan, openPlan } from '@/storage/plans'
import { ALL_SHELVES } from '@/storage/database'
import { pastOf } from './past'
import { planStore } from './plan-store'
import { lastOwnStep } from './whose-step'

const store = () => planStore.getState()
const saved = async (): Promise<Plan> => {
  const stored = await loadPlan(boatAndBox.id)
  if (!stored?.ok) throw new Error('it is gone')
  return stored.plan
}
/** What the other tab does: it has what is kept, edits it and keeps it. */
async function elsewhere(...commands: Command[]): Promise<void> {
  await savePlan(edited(await saved(), ...commands))
}
const move = (xMm: number): Command => ({ do: 'move', placementId: 'long-box', xMm, yMm: -220 })
const rename = (name: string): Command => ({ do: 'setJob', job: { ...boatAndBox.job, name } })
const boxX = (plan: Plan | undefined) => plan?.placements.find(({ id }) => id === 'long-box')?.xMm

beforeEach(async () => {
  await Promise.all(Object.values(ALL_SHELVES).map((shelf) => shelf.clear()))
  planStore.setState({
    plan: undefined,
    past: [],
    future: [],
    dragFrom: undefined,
    conflict: undefined,
    saving: { at: 'saved' },
  })
  await savePlan(boatAndBox)
  await store().open(boatAndBox.id)
})
afterEach(() => {
  vi.restoreAllMocks()
})

describe('one job in two tabs (S2)', () => {
  it('what each changed stands, though this one did not hear of the other', async () => {
    await elsewhere(rename('From there'))
    store().run(move(700))
    await store().saveNow()
    const now = await saved()
    expect([now.job.name, boxX(now)]).toEqual(['From there', 700])
    expect(store().plan).toEqual(now)
    expect(store().saving.at).toBe('saved')
  })

  it('undo takes back what was done here and leaves what was done there', async () => {
    store().run(move(700))
    await store().saveNow()
    await elsewhere(rename('From there'))
    store().run(move(650))
    await store().saveNow()
    store().undo()
    store().undo()
    await store().saveNow()
    expect([(await saved()).job.name, boxX(await saved())]).toEqual(['From there', 960])
  })

  it('undo leaves what came from there after what was done here, and is not offered for it alone', async () => {
    store().run(move(700))
    await store().saveNow()
    await elsewhere(rename('From there'))
    await store().follow(boatAndBox.id)
    await elsewhere({ do: 'setUse', use: { ...boatAndBox.use, roadKmH: 100 } })
    await store().follow(boatAndBox.id)
    const followed = store().plan
    store().undo()
    await store().saveNow()
    const now = await saved()
    expect([now.job.name, now.use.roadKmH, boxX(now)]).toEqual(['From there', 100, 960])
    expect(lastOwnStep(store().past)).toBe(-1)
    store().undo()
    expect(store().plan).toEqual(now)
    store().redo()
    expect(store().plan).toEqual(followed)
    store().undo()
    expect([store().plan?.job.name, boxX(store().plan)]).toEqual(['From there', 960])
  })

  it('undo is not offered where what came from there set the same anew', async () => {
    store().run(move(700))
    await store().saveNow()
    await elsewhere(move(650))
    await store().follow(boatAndBox.id)
    expect(lastOwnStep(store().past)).toBe(-1)
    store().undo()
    expect(boxX(store().plan)).toBe(650)
  })

  it('following another tab goes on from what is kept, and an edit after it writes over nothing', async () => {
    await elsewhere(move(800))
    await store().follow(boatAndBox.id)
    expect(boxX(store().plan)).toBe(800)
    store().run(rename('Here'))
    await store().saveNow()
    expect([(await saved()).job.name, boxX(await saved())]).toEqual(['Here', 800])
  })

  it('the past of the job stays whole when another tab is followed, with whose step that was', async () => {
    for (let i = 1; i <= 60; i += 1) store().run(move(600 + i))
    await store().saveNow()
    const { plan, revision } = store()
    const theirs = apply(plan!, rename('From there'))
    if (!theirs.ok) throw new Error(theirs.reason)
    const at = '2026-11-20T08:00:00.000Z'
    const back = patchBetween(theirs.plan, plan)
    await savePlanIfCurrent({ plan: theirs.plan, over: revision, steps: [{ at, by: 'Ines', back }] })
    await store().follow(boatAndBox.id)
    store().run(move(700))
    await store().saveNow()
    const steps = (await openPlan(boatAndBox.id)).steps
    expect(steps).toHaveLength(62)
    expect([steps[60]?.at, steps[60]?.by]).toEqual([at, 'Ines'])
    const states = [...pastOf(store().plan!, steps), store().plan!]
    expect(states[0]).toEqual(boatAndBox)
    expect(states.slice(1, 61).map(boxX)).toEqual(Array.from({ length: 60 }, (_, i) => 601 + i))
    expect(states.slice(-2).map(({ job }) => job.name)).toEqual(['From there', 'From there'])
  })

  it('the same set otherwise is asked: nothing is written over, and both are kept meanwhile', async () => {
    await elsewhere(move(800))
    store().run(move(700))
    await store().saveNow()
    expect(store().conflict?.clashes.map(({ path }) => path)).toEqual(['placements.long-box.xMm'])
    expect(boxX(await saved())).toBe(800)
    expect(boxX(store().plan)).toBe(700)
    // A reload asks it again: what was done here is still there.
    planStore.setState({ plan: undefined, conflict: undefined, past: [], saving: { at: 'saved' } })
    await vi.waitFor(async () => {
      await store().open(boatAndBox.id)
      expect(boxX(store().plan)).toBe(700)
    })
    expect(boxX(store().conflict?.theirs)).toBe(800)
  })

  it.each([
    ['mine', 700, 800],
    ['theirs', 800, 700],
  ] as const)('keeping %s leaves the other one step of undo away', async (holds, stands, other) => {
    await elsewhere(move(800))
    store().run(move(700))
    await store().saveNow()
    await store().settle(holds)
    expect(boxX(await saved())).toBe(stands)
    expect(store().conflict).toBeUndefined()
    store().undo()
    await store().saveNow()
    expect(boxX(await saved())).toBe(other)
  })

  it('a job deleted there is told here, and comes back only when that is chosen (S6)', async () => {
    const { dropPlan } = await import('@/storage/drop-plan')
    await dropPlan(boatAndBox.id)
    await store().follow(boatAndBox.id)
    expect(store().deleted).toBeDefined()
    store().run(move(700))
    await store().saveNow()
    expect(await loadPlan(boatAndBox.id)).toBeUndefined()
    expect([boxX(store().plan), store().saving.at]).toEqual([700, 'waiting'])
    // A reload asks again.
    planStore.setState({ plan: undefined, deleted: undefined, past: [], saving: { at: 'saved' } })
    await store().open(boatAndBox.id)
    expect([boxX(store().plan), store().deleted !== undefined]).toEqual([700, true])
    await store().putBack()
    expect(boxX(await saved())).toBe(700)
    expect([store().deleted, store().saving.at]).toEqual([undefined, 'saved'])
  })

  it('a job deleted there and left deleted here is closed, and edits of it go nowhere', async () => {
    const { dropPlan } = await import('@/storage/drop-plan')
    await dropPlan(boatAndBox.id)
    store().run(move(700))
    await store().saveNow()
    expect(store().deleted).toBeDefined()
    store().letGo(boatAndBox.id)
    expect(store().opened).toEqual({ at: 'missing', id: boatAndBox.id })
    await store().open(boatAndBox.id)
    expect(store().opened.at).toBe('missing')
    expect(await loadPlan(boatAndBox.id)).toBeUndefined()
  })

  it('a job deleted and taken back there is gone on with here', async () => {
    const { dropPlan } = await import('@/storage/drop-plan')
    const { loadRemoved, restoreRemoved } = await import('@/storage/removed')
    await dropPlan(boatAndBox.id)
    await store().follow(boatAndBox.id)
    await restoreRemoved((await loadRemoved())[0]!.id, new Date().toISOString())
    await store().follow(boatAndBox.id)
    expect(store().deleted).toBeUndefined()
    store().run(move(700))
    await store().saveNow()
    expect(boxX(await saved())).toBe(700)
  })
})

describe('the past of a job', () => {
  const reload = async () => {
    planStore.setState({
      plan: undefined,
      conflict: undefined,
      past: [],
      future: [],
      saving: { at: 'saved' },
    })
    await store().open(boatAndBox.id)
  }

  it('is there after a reload: undo goes back through it step by step', async () => {
    for (const x of [700, 750, 800]) store().run(move(x))
    store().run(rename('Renamed'))
    await store().saveNow()
    await reload()
    expect(store().past).toHaveLength(4)
    store().undo()
    expect([store().plan?.job.name, boxX(store().plan)]).toEqual([boatAndBox.job.name, 800])
    store().undo()
    expect(boxX(store().plan)).toBe(750)
    await store().saveNow()
    await reload()
    store().undo()
    store().undo()
    await store().saveNow()
    expect(await saved()).toEqual(boatAndBox)
  })

  it('leads on again after a reload: what was undone can be done again, step by step (S9)', async () => {
    for (const x of [700, 750, 800]) store().run(move(x))
    store().undo()
    store().undo()
    await store().saveNow()
    await reload()
    expect([boxX(store().plan), store().future.length]).toEqual([700, 2])
    store().redo()
    expect(boxX(store().plan)).toBe(750)
    store().redo()
    await store().saveNow()
    expect(boxX(await saved())).toBe(800)
    await reload()
    expect(store().future).toEqual([])
  })

  it('leads on beside what another tab did meanwhile, and not over it (S9)', async () => {
    store().run(move(700))
    await store().saveNow()
    store().undo()
    await store().saveNow()
    await elsewhere(rename('From there'))
    await store().follow(boatAndBox.id)
    store().redo()
    await store().saveNow()
    expect([(await saved()).job.name, boxX(await saved())]).toEqual(['From there', 700])
    store().undo()
    await store().saveNow()
    await elsewhere(move(650))
    await store().follow(boatAndBox.id)
    expect(store().future).toEqual([])
  })

  it('goes with a job that is deleted and taken back, and not with one that was written without it', async () => {
    store().run(move(700))
    await store().saveNow()
    const { dropPlan } = await import('@/storage/drop-plan')
    const { loadRemoved, restoreRemoved } = await import('@/storage/removed')
    await dropPlan(boatAndBox.id)
    const [removed] = await loadRemoved()
    await restoreRemoved(removed?.id ?? '', new Date().toISOString())
    await reload()
    store().undo()
    expect(boxX(store().plan)).toBe(960)
    await savePlan({ ...boatAndBox, job: { name: 'From a file' } })
    await reload()
    expect(store().past).toEqual([])
  })
})
