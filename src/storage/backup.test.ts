import 'fake-indexeddb/auto'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { someEvents } from '@/core/log/events.testing'
import { boatAndBox, ridgeTent } from '@/demo/plans'
import { wingBars } from '@/demo/racks'
import { patchBetween } from '@/core/api/plan'
import { backupText, openBackup, placeOf, previewRestore, readShelves, restore } from './backup'
import { refusing } from './faults.testing'
import { saveEvents, loadEvents } from './log'
import { saveInStock } from './own-stock'
import { savePlan, savePlanIfCurrent, openPlan } from './plans'
import { changeSettings, USUAL_SETTINGS } from './settings'
import { logShelf, planShelf, settingsShelf, stockShelf } from './database'

const shelves = [planShelf, stockShelf, settingsShelf, logShelf]
const wipe = () => Promise.all(shelves.map((each) => each.clear()))
afterEach(async () => {
  vi.restoreAllMocks()
  await wipe()
})

const MADE = '2026-11-25T10:00:00Z'

async function fill() {
  await savePlan(boatAndBox)
  await saveInStock('racks', wingBars)
  await changeSettings({ units: 'us' }, USUAL_SETTINGS)
  await saveEvents(someEvents)
  await planShelf.setItem('odd', { not: 'a plan' })
}

const opened = async (text: string) => {
  const backup = await openBackup(text)
  if (!backup.ok) throw new Error(backup.reasons[0])
  return backup
}

describe('the log', () => {
  it('comes back in the order it was written, by vehicle, and nothing is written over', async () => {
    await saveEvents(someEvents)
    expect(await loadEvents()).toEqual(someEvents)
    await saveEvents([{ ...someEvents[0]!, note: 'again' }])
    expect(await loadEvents()).toEqual(someEvents)
    expect((await loadEvents()).filter(({ vehicleId }) => vehicleId === 'another')).toEqual([])
  })

  it('keeps in memory what the browser refuses, and leaves what it cannot read', async () => {
    await logShelf.setItem('estate/rubbish', { kind: 'odd' })
    refusing('log', new DOMException('', 'QuotaExceededError'))
    expect(await saveEvents([someEvents[0]!])).toMatchObject({ ok: false })
    expect(await loadEvents()).toEqual([someEvents[0]])
    expect(await logShelf.getItem('estate/rubbish')).toEqual({ kind: 'odd' })
  })
})

describe('a backup', () => {
  it('backed up, wiped and restored is all as it was, what does not read included', async () => {
    await fill()
    const before = await readShelves()
    const text = await backupText(MADE)
    await wipe()
    const backup = await opened(text)
    const preview = await previewRestore(backup.shelves, backup.pasts, 'merge')
    expect(preview.changes.find(({ shelf }) => shelf === 'plans')).toMatchObject({
      added: [boatAndBox.id, 'odd'],
      unreadable: ['odd'],
    })
    expect(await restore(backup.shelves, 'merge')).toEqual({ ok: true })
    expect(await readShelves()).toEqual(before)
  })

  it('merged keeps what came since; replacing takes it away', async () => {
    await fill()
    const backup = await opened(await backupText(MADE))
    await savePlan(ridgeTent)
    await restore(backup.shelves, 'merge')
    expect(await planShelf.getItem(ridgeTent.id)).toEqual(ridgeTent)
    await restore(backup.shelves, 'replace')
    expect(await planShelf.getItem(ridgeTent.id)).toBeNull()
  })

  it('brings the past of its jobs back with them, and leaves newer work where it is said to', async () => {
    await fill()
    const edit = async (name: string) => {
      const { stored, revision } = await openPlan(boatAndBox.id)
      const before = stored!.ok ? stored!.plan : boatAndBox
      const after = { ...before, job: { ...before.job, name } }
      const step = { at: MADE, back: patchBetween(after, before) }
      await savePlanIfCurrent({
        plan: after,
        over: revision,
        steps: [...(await openPlan(boatAndBox.id)).steps, step],
      })
    }
    await edit('First')
    const backup = await opened(await backupText(MADE))
    await edit('Second')
    const { differing } = await previewRestore(backup.shelves, backup.pasts, 'merge')
    expect(differing.map(({ name, standing }) => [name, standing])).toEqual([['Second', 'older']])
    await restore(backup.shelves, 'merge', backup.pasts, new Set(differing.map(placeOf)))
    expect(await planShelf.getItem(boatAndBox.id)).toMatchObject({ job: { name: 'Second' } })
    await restore(backup.shelves, 'replace', backup.pasts)
    const { stored } = await openPlan(boatAndBox.id)
    expect(stored).toMatchObject({ plan: { job: { name: 'First' } } })
    expect((await openPlan(boatAndBox.id)).steps).toHaveLength(1)
  })

  it('that was changed by a hand is refused', async () => {
    await fill()
    const text = (await backupText(MADE)).replace('Long', 'Short')
    expect(await openBackup(text)).toMatchObject({
      ok: false,
      reasons: [expect.stringContaining('check sum')],
    })
    expect(await openBackup('nonsense')).toMatchObject({ ok: false })
  })

  it('that cannot be written whole leaves everything as it was', async () => {
    await fill()
    const backup = await opened(await backupText(MADE))
    await wipe()
    await savePlan(ridgeTent)
    const before = await readShelves()
    const spy = refusing('log', new DOMException('', 'QuotaExceededError'))
    expect(await restore(backup.shelves, 'replace')).toMatchObject({ ok: false })
    spy.mockRestore()
    expect(await readShelves()).toEqual(before)
  })
})
