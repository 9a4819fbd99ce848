import 'fake-indexeddb/auto'
import { afterEach, beforeEach, describe, expect, inject, it, vi } from 'vitest'
import { someEvents } from '@/core/log/events.testing'
import { seaBoat } from '@/demo/gear/cargo'
import { boatAndBox, ridgeTent } from '@/demo/plans'
import { squareBars, wingBars } from '@/demo/racks'
import { backupText, openBackup, restore } from './backup'
import { patchBetween } from '@/core/api/plan'
import { saveArchived } from './archive'
import { atCall, type Meanwhile } from './faults.testing'
import { loadCopy, importBundle } from './job-bundle'
import { dropDemo } from './drop-demo'
import { saveEvents, saveEventsIfMissing, importEvents } from './log'
import { dropFromStock, saveAllInStock, saveInStock } from './own-stock'
import { loadRemoved, restoreRemoved } from './removed'
import { dropPlan } from './drop-plan'
import { changePlan, savePlan, savePlanIfCurrent, openPlan } from './plans'
import { changeSettings, USUAL_SETTINGS } from './settings'
import { saveDraft } from './drafts'
import { savePicture } from './pictures'
import { allWaiting, saveAllWaiting } from './waiting'
import { ALL_SHELVES } from './database'

const wipe = () => Promise.all(Object.values(ALL_SHELVES).map((shelf) => shelf.clear()))

/** Everything that this browser keeps, as it lies. */
async function everything(): Promise<Record<string, unknown>> {
  const found: Record<string, unknown> = {}
  for (const [name, shelf] of Object.entries(ALL_SHELVES))
    await shelf.iterate((value, key) => {
      // An event's key has the turn in it, which goes on.
      found[`${name}/${name === 'log' ? key.replace(/\/\d{6}\//, '/') : key}`] = value
    })
  return found
}

const edited = { ...boatAndBox, job: { name: 'Edited' } }

/** Every operation that writes, on what two jobs, a stock and a log have left. */
const OLD = { ...wingBars, name: 'Old' }
const LATER = '2026-11-27T10:00:00.000Z'

/** Whether what fails is held until it can be kept, or told of and left to whoever asked for it. */
type Failing = 'waits' | 'told'
const SCRIPT: readonly (readonly [string, () => Promise<unknown>, Failing?])[] = [
  ['a new job kept', () => savePlan(ridgeTent), 'waits'],
  [
    'a job kept over its own writing',
    () => savePlanIfCurrent({ plan: edited, over: 1, base: boatAndBox }),
    'waits',
  ],
  ['a draft kept', () => saveDraft('gear/new', { lengthMm: '12' }), 'waits'],
  ['a picture kept', () => savePicture('front', 'data:image/png;base64,AAAA'), 'waits'],
  ['a job dropped', () => dropPlan(boatAndBox.id)],
  [
    'three things put in stock',
    () =>
      saveAllInStock([
        { kind: 'racks', item: wingBars },
        { kind: 'racks', item: squareBars },
        { kind: 'gear', item: seaBoat },
      ]),
  ],
  ['an entry of stock changed', () => saveInStock('racks', { ...wingBars, name: 'New' }, OLD)],
  ['an entry taken from stock', () => dropFromStock('racks', wingBars.id)],
  ['a job changed that is open nowhere', () => changePlan(boatAndBox.id, () => edited)],
  ['the demo taken away', () => dropDemo([boatAndBox])],
  ['a job put in the archive', () => saveArchived(boatAndBox.id, true, '2026-11-27')],
  ['what was removed taken back', async () => restoreRemoved((await loadRemoved())[0]!.id, LATER)],
  ['events logged', () => saveEvents(someEvents), 'waits'],
  ['a log put where none is', () => saveEventsIfMissing(someEvents)],
  ['a log taken in', () => importEvents(someEvents, 'tablet.json')],
  ['settings changed', () => changeSettings({ units: 'us' }, USUAL_SETTINGS), 'waits'],
  [
    'a job bundle taken in',
    async () => {
      const { plan, steps, revision } = (await loadCopy(boatAndBox.id))!
      const back = patchBetween(edited, plan)
      await importBundle({
        id: plan.id,
        name: plan.job.name,
        over: revision,
        copy: { plan: edited, steps: [...steps, { at: '2026-03-01T10:00:00.000Z', back }] },
        events: someEvents,
        pictures: { 'came-front': 'data:image/png;base64,AAAA' },
      })
    },
  ],
  ['a backup merged', async () => restore((await otherBackup()).shelves, 'merge')],
  ['everything replaced by a backup', async () => restore((await otherBackup()).shelves, 'replace')],
]

let text = ''
async function otherBackup() {
  const read = await openBackup(text)
  if (!read.ok) throw new Error(read.reasons[0])
  return read
}

beforeEach(async () => {
  await wipe()
  await savePlan(ridgeTent)
  await saveAllInStock([{ kind: 'gear', item: { ...seaBoat, name: 'From the backup' } }])
  text = await backupText('2026-11-25T10:00:00Z')
  await wipe()
  await savePlan(boatAndBox)
  await saveAllInStock([
    { kind: 'racks', item: OLD },
    { kind: 'racks', item: squareBars },
  ])
  await dropFromStock('racks', squareBars.id)
})
afterEach(() => {
  vi.restoreAllMocks()
})

const CALLS = ['get', 'put', 'delete'] as const
type Calls = readonly (typeof CALLS)[number][]

/** Each kind of death, at a call of any number. A write is not waited for by itself: what hangs is a reading. */
const DEATHS: readonly (readonly [string, Calls, Meanwhile])[] = [
  [
    'is refused',
    CALLS,
    () => {
      throw new DOMException('full', 'QuotaExceededError')
    },
  ],
  [
    'is the last thing the page does',
    CALLS,
    ({ transaction }) => {
      transaction.abort()
      return undefined
    },
  ],
  ['is never answered', ['get'], () => 'hangs'],
]

/** Puts the shelves as they were. */
async function asBefore(before: Readonly<Record<string, unknown>>): Promise<void> {
  await wipe()
  for (const [at, value] of Object.entries(before)) {
    const [name = '', ...key] = at.split('/')
    await ALL_SHELVES[name as keyof typeof ALL_SHELVES].setItem(key.join('/'), value)
  }
}

const LONGEST_MS = 60_000

/** Does something until it is done or the patience with the store is at its end. */
async function untilGivenUp(run: () => Promise<unknown>): Promise<void> {
  vi.useFakeTimers({ toFake: ['setTimeout'] })
  const ended = run().then(
    () => true,
    () => true,
  )
  const turn = new Promise<false>((resolve) => setImmediate(() => resolve(false)))
  // What the machine does beside it, as a check sum, takes as long as it is busy.
  const began = performance.now()
  while (!(await Promise.race([ended, turn]))) {
    if (performance.now() - began > LONGEST_MS) throw new Error('it waits for ever')
    await new Promise((resolve) => setImmediate(resolve))
    await vi.advanceTimersByTimeAsync(200)
  }
  vi.useRealTimers()
}

let places = 0
/** The gate fails every fourth call of an operation and its last, the deep run every call. */
const GATE_EVERY = 4

/** What another write, once the browser writes again, brings along: all that waited stands then. */
async function worksAgain(): Promise<Record<string, unknown>> {
  await saveArchived('another', true, '2026-11-28')
  await saveAllWaiting()
  expect([...allWaiting().keys()]).toEqual([])
  return everything()
}

describe('every operation that writes is all or nothing', () => {
  it.each(SCRIPT.map(([what, run, failing = 'told']) => ({ what, run, failing })))(
    '$what: whichever call fails, hangs or is never reached, all is as it was before, and stands when the store works again',
    async ({ run, failing }) => {
      const before = await everything()
      for (const [death, kinds, does] of DEATHS) {
        await asBefore(before)
        const counted = atCall(kinds, -1, () => undefined)
        await run()
        const calls = counted.calls()
        vi.restoreAllMocks()
        expect(await everything()).not.toEqual(before)
        if (failing === 'told') await asBefore(before)
        const again = await worksAgain()
        const tried = Array.from({ length: calls }, (_, number) => number).filter(
          (number) => inject('deep') || number === calls - 1 || number % GATE_EVERY === 0,
        )
        places += tried.length
        for (const number of tried) {
          await asBefore(before)
          atCall(kinds, number, does)
          await untilGivenUp(run)
          vi.restoreAllMocks()
          const at = `${kinds.join(' or ')} ${number} ${death}`
          expect(await everything(), at).toEqual(before)
          expect(await worksAgain(), `${at}, then works`).toEqual(again)
        }
      }
    },
  )

  it('that is many places', () => {
    console.log(`Places at which the store fails, and works again: ${places}.`)
    expect(places).toBeGreaterThan(inject('deep') ? 500 : 150)
  })

  it('a store that never answers is said not to, and leaves everything', async () => {
    const before = await everything()
    vi.useFakeTimers({ toFake: ['setTimeout'] })
    const open = vi.spyOn(indexedDB, 'open').mockReturnValue({} as IDBOpenDBRequest)
    const done = savePlan(edited)
    await vi.advanceTimersByTimeAsync(20_000)
    vi.useRealTimers()
    open.mockRestore()
    expect(await done).toMatchObject({
      ok: false,
      reason: expect.stringContaining('does not answer') as string,
    })
    expect(await everything()).toEqual(before)
    // The job that could not be kept is opened all the same, though the store answers nothing.
    const blocked = vi.spyOn(indexedDB, 'open').mockImplementation(() => {
      throw new DOMException('blocked', 'SecurityError')
    })
    expect((await openPlan(edited.id)).stored).toEqual({ ok: true, plan: edited })
    blocked.mockRestore()
    expect(allWaiting().size).toBe(1)
    // The job that could not be kept is here in memory, and is kept at the next try.
    expect(await savePlan(edited)).toEqual({ ok: true })
    expect(allWaiting().size).toBe(0)
  })
})
