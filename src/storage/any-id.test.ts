import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, it } from 'vitest'
import { type Plan, patchBetween } from '@/core/api/plan'
import { printBundle, printPlan, readBundle, readPlan } from '@/core/api/files'
import { someEvents } from '@/core/log/events.testing'
import { boatAndBox } from '@/demo/plans'
import { backupText, openBackup, previewRestore, restore } from './backup'
import { dropPlan } from './drop-plan'
import { saveEvents, loadEvents } from './log'
import { saveInStock } from './own-stock'
import { loadOwnStock } from './stock-lists'
import { makeBundle, importBundle } from './job-bundle'
import { savePicture, loadPicture } from './pictures'
import { savePlan, savePlanIfCurrent, loadPlans, openPlan } from './plans'
import { loadRemoved, restoreRemoved } from './removed'
import { ALL_SHELVES } from './database'

const wipe = () => Promise.all(Object.values(ALL_SHELVES).map((shelf) => shelf.clear()))
beforeEach(wipe)

/** Names that every object has, and that an id may be. */
const IDS = ['constructor', 'toString', 'valueOf', 'hasOwnProperty', 'isPrototypeOf']

/** A job of which everything that has an id is called so, and its car, and its picture. */
function called(id: string): Plan {
  const [first] = boatAndBox.placements
  const gear = boatAndBox.gear.find((each) => each.id === first?.gearId)
  if (!first || !gear) throw new Error('nothing stands on it')
  return {
    ...boatAndBox,
    id,
    car: { id },
    job: { ...boatAndBox.job, came: { pictures: [{ id, words: 'front' }] } },
    gear: [{ ...gear, id }],
    placements: [{ ...first, id, gearId: id, loads: [] }],
    measurements: [],
    clearances: [{ id, name: 'Door', heightMm: 2400 }],
  }
}
const PICTURE = 'data:image/png;base64,AAAA'

describe.each(IDS)('what is called %s', (id) => {
  const plan = called(id)
  const edited = { ...plan, job: { ...plan.job, name: 'Edited' } }
  const steps = [{ at: '2026-11-20T08:00:00.000Z', back: patchBetween(edited, plan) }]
  const events = [{ ...someEvents[0]!, id, vehicleId: id, jobId: id }]
  const gear = { ...plan.gear[0]!, id }

  async function kept() {
    await savePlan(plan)
    await savePlanIfCurrent({ plan: edited, over: 1, base: plan, steps })
    await saveEvents(events)
    await savePicture(id, PICTURE)
    await saveInStock('gear', gear)
  }
  async function isWhole() {
    expect(await openPlan(id)).toMatchObject({ stored: { ok: true, plan: edited }, steps })
    expect(await loadEvents()).toEqual(events)
    expect(await loadPicture(id)).toBe(PICTURE)
    expect((await loadOwnStock()).gear).toEqual([gear])
  }

  it('is read from its file as it was written', () => {
    expect(readPlan(JSON.parse(printPlan(plan)))).toEqual({ ok: true, plan })
  })

  it('is kept, taken away and taken back whole', async () => {
    await kept()
    await isWhole()
    await dropPlan(id)
    expect(await loadPlans()).toEqual([])
    await restoreRemoved((await loadRemoved())[0]!.id, '2026-11-30T10:00:00.000Z')
    await isWhole()
  })

  it('goes whole through a backup, merged and replaced, and through a second one (S4)', async () => {
    await kept()
    for (const way of ['merge', 'replace'] as const) {
      const opened = await openBackup(await backupText('2026-11-25T10:00:00Z'))
      if (!opened.ok) throw new Error(opened.reasons[0])
      await wipe()
      const { changes } = await previewRestore(opened.shelves, opened.pasts, way)
      expect(changes.map(({ added, changed }) => [added.length, changed.length])).toEqual([
        [1, 0],
        [1, 0],
        [0, 0],
        [1, 0],
        [1, 0],
      ])
      expect(await restore(opened.shelves, way, opened.pasts)).toEqual({ ok: true })
      await isWhole()
    }
  })

  it('goes whole in a job bundle', async () => {
    await kept()
    const made = await makeBundle(id, '2026-11-30T10:00:00.000Z', 'Ines')
    const read = readBundle(JSON.parse(printBundle(made!, '0'.repeat(64))))
    if (!read.ok) throw new Error(read.problems[0]?.text)
    const { bundle } = read
    await dropPlan(id)
    await Promise.all([ALL_SHELVES.log.clear(), ALL_SHELVES.pictures.clear()])
    const copy = { plan: bundle.plan, steps: bundle.steps }
    await importBundle({ ...bundle, id, name: 'x', over: undefined, copy })
    await isWhole()
  })
})

describe('an id that is none', () => {
  it.each([
    ['empty', ''],
    ['100 kB long', 'a'.repeat(100_000)],
    ['the name of what every object comes from', '__proto__'],
  ])('%s, is refused in words that name its field', (_, id) => {
    const raw = JSON.parse(printPlan(boatAndBox)) as { id: string; gear: { id: string }[] }
    const pathsOf = (given: unknown) => {
      const read = readPlan(given)
      return read.ok ? [] : read.problems.map(({ path }) => path)
    }
    expect(pathsOf({ ...raw, id })).toContain('id')
    const gear = raw.gear.map((each, i) => (i === 0 ? { ...each, id } : each))
    expect(pathsOf({ ...raw, gear }).some((path) => /^gear\b.*\bid$/.test(path))).toBe(true)
  })
})
