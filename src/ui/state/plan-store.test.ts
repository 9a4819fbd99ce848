import 'fake-indexeddb/auto'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { boatAndBox, frameJob } from '@/demo/plans'
import { savePlan, loadPlan } from '@/storage/plans'
import { refusing } from '@/storage/faults.testing'
import { planShelf } from '@/storage/database'
import { nudge, setOnEdge, turnNext } from '@/ui/state/edits'
import { assessmentOf } from './assessment'
import { refused, planStore } from './plan-store'

const store = () => planStore.getState()
const box = () => store().plan?.placements.find((each) => each.id === 'long-box')
const survey = () => assessmentOf(store().plan!).survey

beforeEach(async () => {
  await planShelf.clear()
  planStore.setState({ plan: undefined, past: [], future: [], dragFrom: undefined, saving: { at: 'saved' } })
  await savePlan(boatAndBox)
  await store().open(boatAndBox.id)
})
afterEach(() => {
  vi.restoreAllMocks()
})

describe('opening', () => {
  it('says when a job is missing or cannot be read', async () => {
    await store().open('none')
    expect(store().opened).toEqual({ at: 'missing', id: 'none' })
    await planShelf.setItem('torn', { format: 'ypsos-plan', version: 1 })
    await store().open('torn')
    expect(store().opened.at).toBe('unreadable')
    expect(store().plan).toBeUndefined()
  })

  it('of the job that is open already keeps what is picked and can be undone', async () => {
    store().run({ do: 'turn', placementId: 'long-box', turn: 180 })
    store().pick({ kind: 'thing', id: 'long-box' })
    await store().open(boatAndBox.id)
    expect(store().picked).toEqual({ kind: 'thing', id: 'long-box' })
    expect(store().past).toHaveLength(1)
    expect(box()?.turn).toBe(180)
  })
})

describe('editing', () => {
  it('undoes and redoes edit by edit, and forgets what was undone at the next edit', () => {
    store().run({ do: 'turn', placementId: 'long-box', turn: 180 })
    store().run({ do: 'takeOff', placementId: 'cradles' })
    store().undo()
    store().undo()
    expect(store().plan).toEqual(boatAndBox)
    store().undo()
    store().redo()
    expect(box()?.turn).toBe(180)
    store().run({ do: 'turn', placementId: 'long-box', turn: 0 })
    store().redo()
    expect(store().plan?.placements).toHaveLength(3)
    expect(store().future).toEqual([])
  })

  it('keeps the plan and says why when an edit is refused', () => {
    expect(store().run({ do: 'turn', placementId: 'long-box', turn: 90 })).toBe(false)
    expect(store().plan).toEqual(boatAndBox)
    expect(store().refusal).toContain('cannot lie turned')
    expect(refused(false)).toBe(store().refusal)
    expect(refused(true)).toBeUndefined()
    store().run({ do: 'turn', placementId: 'long-box', turn: 180 })
    expect(store().refusal).toBeUndefined()
  })

  it('takes a whole drag as one step, each move from where it began', () => {
    for (const x of [900, 870, 860]) store().drag({ do: 'move', placementId: 'long-box', xMm: x, yMm: -220 })
    expect(box()?.xMm).toBe(860)
    expect(store().past).toHaveLength(0)
    store().drop()
    expect(store().past).toHaveLength(1)
    expect(store().dragFrom).toBeUndefined()
    store().undo()
    expect(box()?.xMm).toBe(960)
    store().drop()
    expect(store().past).toHaveLength(0)
  })

  it('saves within a moment, and says when it could not', async () => {
    store().run({ do: 'turn', placementId: 'long-box', turn: 180 })
    expect(store().saving.at).toBe('waiting')
    await vi.waitFor(() => {
      expect(store().saving.at).toBe('saved')
    })
    const stored = await loadPlan(boatAndBox.id)
    expect(stored?.ok && stored.plan.placements[0]?.turn).toBe(180)
    refusing('plans', new DOMException('full', 'QuotaExceededError'))
    store().run({ do: 'turn', placementId: 'long-box', turn: 0 })
    await store().saveNow()
    expect(store().saving).toEqual({ at: 'failed', reason: "This browser's storage is full." })
    vi.restoreAllMocks()
    await store().saveNow()
    expect(store().saving.at).toBe('saved')
  })
})

describe('keys', () => {
  const metric = { show: 'metric', denominator: 16 } as const

  it('nudge by 5 mm or a quarter inch, ten times that when coarse; bars only along', () => {
    nudge(survey(), { kind: 'thing', id: 'long-box' }, 1, 0, false, metric)
    expect(box()?.xMm).toBe(965)
    nudge(survey(), { kind: 'thing', id: 'long-box' }, 0, -1, true, metric)
    expect(box()?.yMm).toBe(-270)
    nudge(survey(), { kind: 'thing', id: 'long-box' }, -1, 0, false, { show: 'us', denominator: 16 })
    expect(box()?.xMm).toBeCloseTo(965 - 6.35, 9)
    nudge(survey(), { kind: 'bar', id: 'wing-front' }, 1, 0, true, metric)
    expect(survey().bars[0]?.bar.xMm).toBe(480)
    const before = store().plan
    nudge(survey(), { kind: 'bar', id: 'wing-front' }, 0, 1, false, metric)
    nudge(survey(), { kind: 'thing', id: 'gone' }, 1, 0, false, metric)
    expect(store().plan).toBe(before)
  })

  it('turn to the next way a thing may lie, and stand it on edge only when it may', async () => {
    turnNext(survey().things[0]!)
    expect(box()?.turn).toBe(180)
    turnNext(survey().things[0]!)
    expect(box()?.turn).toBe(0)
    const before = store().plan
    setOnEdge(survey().things[0]!)
    expect(store().plan).toBe(before)
    await savePlan(frameJob)
    await store().open(frameJob.id)
    setOnEdge(survey().things[0]!)
    expect(store().plan?.placements[0]?.onEdge).toBe(true)
  })
})

describe('judging', () => {
  it('surveys and reviews a plan once', () => {
    const plan = store().plan!
    expect(assessmentOf(plan)).toBe(assessmentOf(plan))
    expect(assessmentOf(plan).review).toBe(assessmentOf(plan).review)
    expect(assessmentOf({ ...plan })).not.toBe(assessmentOf(plan))
  })
})
