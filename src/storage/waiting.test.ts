import 'fake-indexeddb/auto'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { someEvents } from '@/core/log/events.testing'
import { type Command, DEFAULT_HOUSE_RULES, type Plan } from '@/core/api/plan'
import { edited } from '@/core/plan/plans.testing'
import { boatAndBox, ridgeTent } from '@/demo/plans'
import { refusing } from './faults.testing'
import { ALL_SHELVES } from './database'
import { USUAL_SETTINGS } from './settings'

/** One tab: all that keeps things, with a memory of its own. */
async function newTab() {
  vi.resetModules()
  const [plans, log, settings, drafts, pictures, waiting, undecided, stock] = await Promise.all([
    import('./plans'),
    import('./log'),
    import('./settings'),
    import('./drafts'),
    import('./pictures'),
    import('./waiting'),
    import('./undecided'),
    import('./own-stock'),
  ])
  return { ...plans, ...log, ...settings, ...drafts, ...pictures, ...waiting, ...undecided, ...stock }
}
type Tab = Awaited<ReturnType<typeof newTab>>

const FULL = new DOMException('full', 'QuotaExceededError')
const full = (...shelves: string[]) => shelves.forEach((shelf) => refusing(shelf, FULL))
const move = (xMm: number): Command => ({ do: 'move', placementId: 'long-box', xMm, yMm: -220 })
const rename = (name: string): Command => ({ do: 'setJob', job: { ...boatAndBox.job, name } })
const boxX = (plan: Plan) => plan.placements.find(({ id }) => id === 'long-box')?.xMm

/** What a tab has open of the job, and keeps of it. */
async function opened(tab: Tab): Promise<{ plan: Plan; revision: number }> {
  const { stored, revision } = await tab.openPlan(boatAndBox.id)
  if (!stored?.ok) throw new Error('it is gone')
  return { plan: stored.plan, revision }
}
async function keepEdit(tab: Tab, ...commands: Command[]) {
  const { plan, revision } = await opened(tab)
  return tab.savePlanIfCurrent({ plan: edited(plan, ...commands), over: revision, base: plan })
}

/** A tab that moved the box and could not keep it, while another kept an edit of its own. */
async function refusedBeside(other: Command): Promise<Tab> {
  const tab = await newTab()
  const there = await newTab()
  await tab.savePlan(boatAndBox)
  full('plans')
  await keepEdit(tab, move(700))
  vi.restoreAllMocks()
  await keepEdit(there, other)
  return tab
}

beforeEach(async () => {
  await Promise.all(Object.values(ALL_SHELVES).map((shelf) => shelf.clear()))
})
afterEach(() => {
  vi.restoreAllMocks()
})

describe('what could not be kept', () => {
  it('is written with the next write that succeeds, whatever that is of (S1, S2)', async () => {
    const tab = await newTab()
    await tab.savePlan(boatAndBox)
    full('plans', 'log', 'settings', 'pictures')
    await keepEdit(tab, move(700))
    await tab.saveEvents(someEvents.slice(0, 1))
    await tab.saveEvents(someEvents.slice(1, 2))
    await tab.changeSettings({ fitter: 'Ines' }, USUAL_SETTINGS)
    await tab.changeSettings({ units: 'us' }, { ...USUAL_SETTINGS, fitter: 'Ines' })
    await tab.saveDraft('gear/box', { lengthMm: '12' })
    await tab.savePicture('front', 'data:image/png;base64,AAAA')
    expect([...tab.allWaiting().values()].map(({ what }) => what)).toEqual([
      'the job A boat and the long box',
      '2 entries of the log',
      'what was chosen under Settings',
      'the draft of a sheet',
      'a picture',
    ])
    // All of it holds in this page meanwhile.
    expect(boxX((await opened(tab)).plan)).toBe(700)
    expect(await tab.loadEvents()).toHaveLength(2)
    expect(await tab.loadSettings()).toMatchObject({ fitter: 'Ines', units: 'us' })
    expect(await tab.loadDraft('gear/box')).toEqual({ lengthMm: '12' })
    expect(await tab.loadPicture('front')).toContain('AAAA')

    vi.restoreAllMocks()
    await tab.saveInStock('racks', ridgeTent.racks[0]!)
    await vi.waitFor(() => expect(tab.allWaiting().size).toBe(0))
    const after = await newTab()
    expect(boxX((await opened(after)).plan)).toBe(700)
    expect(await after.loadEvents()).toEqual(someEvents.slice(0, 2))
    expect(await after.loadSettings()).toMatchObject({ fitter: 'Ines', units: 'us' })
    expect(await after.loadDraft('gear/box')).toEqual({ lengthMm: '12' })
    expect(await after.loadPicture('front')).toContain('AAAA')
  })

  it('gives way to what was typed after it and kept: an older draft is never shown again', async () => {
    const tab = await newTab()
    full('settings')
    await tab.saveDraft('gear/box', 'older')
    vi.restoreAllMocks()
    await tab.saveDraft('gear/box', 'newer')
    expect(await tab.loadDraft('gear/box')).toBe('newer')
    await tab.saveAllWaiting()
    expect(await (await newTab()).loadDraft('gear/box')).toBe('newer')
  })

  it('stays, as long as the browser goes on refusing', async () => {
    const tab = await newTab()
    full('log')
    await tab.saveEvents(someEvents.slice(0, 1))
    await tab.savePlan(boatAndBox)
    await new Promise((resolve) => setTimeout(resolve, 20))
    expect(tab.allWaiting().size).toBe(1)
    await tab.saveAllWaiting()
    expect(tab.allWaiting().size).toBe(1)
    expect(await (await newTab()).loadEvents()).toEqual([])
  })

  it('is merged with what another tab kept meanwhile, and never laid over it (S1)', async () => {
    const tab = await refusedBeside(rename('From there'))
    // It is opened as it stands here, over the writing that it comes from.
    expect(boxX((await opened(tab)).plan)).toBe(700)
    await tab.saveAllWaiting()
    const { plan } = await opened(await newTab())
    expect([plan.job.name, boxX(plan)]).toEqual(['From there', 700])
  })

  it('is asked when it cannot stand beside that: nothing is written over, and it is still there', async () => {
    const tab = await refusedBeside(move(800))
    await tab.saveAllWaiting()
    expect(tab.allWaiting().size).toBe(0)
    expect(boxX((await opened(tab)).plan)).toBe(800)
    expect(boxX((await tab.loadMine(boatAndBox.id))!.plan)).toBe(700)
  })

  it('keeps its past: the steps that lead to it are written with it', async () => {
    const tab = await newTab()
    await tab.savePlan(boatAndBox)
    const { plan, revision } = await opened(tab)
    const steps = [{ at: '2026-11-20T08:00:00.000Z', back: [] }]
    full('history')
    await tab.savePlanIfCurrent({ plan: edited(plan, move(700)), over: revision, base: plan, steps })
    vi.restoreAllMocks()
    await tab.saveAllWaiting()
    expect((await (await newTab()).openPlan(plan.id)).steps).toEqual(steps)
  })

  it('stands among what was removed where another tab deleted the job meanwhile', async () => {
    const tab = await newTab()
    await tab.savePlan(boatAndBox)
    full('plans')
    await keepEdit(tab, move(700))
    vi.restoreAllMocks()
    await newTab()
    const { dropPlan } = await import('./drop-plan')
    const { loadRemoved, restoreRemoved } = await import('./removed')
    await dropPlan(boatAndBox.id)
    await tab.saveAllWaiting()
    expect(tab.allWaiting().size).toBe(0)
    const changed = (await loadRemoved()).find(({ what }) => what.endsWith('changed after it was deleted'))
    await restoreRemoved(changed?.id ?? '', new Date().toISOString())
    expect(boxX((await opened(tab)).plan)).toBe(700)
  })

  it('is forgotten when the job is deleted', async () => {
    const tab = await newTab()
    await tab.savePlan(boatAndBox)
    full('plans')
    await keepEdit(tab, move(700))
    vi.restoreAllMocks()
    const { dropPlan } = await import('./drop-plan')
    await dropPlan(boatAndBox.id)
    await tab.saveAllWaiting()
    expect((await tab.openPlan(boatAndBox.id)).stored).toBeUndefined()
  })
})

describe('a version that waits to be decided', () => {
  it('belongs to its tab: another tab’s saving and deciding leaves it (S3)', async () => {
    const tab = await newTab()
    const other = await newTab()
    await tab.savePlan(boatAndBox)
    const mine = { base: boatAndBox, plan: edited(boatAndBox, move(700)) }
    await tab.saveMine(boatAndBox.id, mine)
    await keepEdit(other, move(800))
    await other.dropMine(boatAndBox.id)
    expect(await other.loadMine(boatAndBox.id)).toBeUndefined()
    expect(await tab.loadMine(boatAndBox.id)).toEqual(mine)
  })
})

describe('settings chosen in two tabs in one moment', () => {
  it('hold both, house rules one by one (S9)', async () => {
    const tab = await newTab()
    const other = await newTab()
    const was = USUAL_SETTINGS
    await Promise.all([
      tab.changeSettings({ house: { ...DEFAULT_HOUSE_RULES, spread: 'clear' } }, was),
      other.changeSettings(
        { house: { ...DEFAULT_HOUSE_RULES, gapsMm: { ...DEFAULT_HOUSE_RULES.gapsMm, hatch: 40 } } },
        was,
      ),
    ])
    const { house } = await tab.loadSettings()
    expect([house?.spread, house?.gapsMm.hatch, house?.gapsMm.between]).toEqual([
      'clear',
      40,
      DEFAULT_HOUSE_RULES.gapsMm.between,
    ])
  })
})
