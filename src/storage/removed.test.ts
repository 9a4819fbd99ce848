import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, it } from 'vitest'
import { someEvents } from '@/core/log/events.testing'
import type { Plan } from '@/core/api/plan'
import { seaBoat } from '@/demo/gear/cargo'
import { boatAndBox, ridgeTent } from '@/demo/plans'
import { squareBars, wingBars } from '@/demo/racks'
import { backupText, openBackup, readShelves, restore } from './backup'
import { dropFromStock, saveAllInStock, saveInStock } from './own-stock'
import { saveEvents, loadEvents, importEvents } from './log'
import { dropPlan } from './drop-plan'
import { savePlan, savePlanIfCurrent, loadPlan, openPlan } from './plans'
import { savePicture, loadPicture } from './pictures'
import { loadRemoved, restoreRemoved, tidyRemoved } from './removed'
import { ALL_SHELVES } from './database'

const NOW = '2026-11-26T12:00:00.000Z'
const now = () => Date.now()
const latest = async () => {
  const [first] = await loadRemoved()
  if (!first) throw new Error('nothing was removed')
  return first
}

beforeEach(async () => {
  await Promise.all(Object.values(ALL_SHELVES).map((shelf) => shelf.clear()))
  await savePlan(boatAndBox)
})

describe('what was removed', () => {
  it('a job: is named, comes back as it was, and who had it open does not write over it unasked', async () => {
    const { revision } = await openPlan(boatAndBox.id)
    await dropPlan(boatAndBox.id)
    expect(await loadPlan(boatAndBox.id)).toBeUndefined()
    const found = await latest()
    expect(found).toMatchObject({ what: `Job: ${boatAndBox.job.name}`, count: 1 })
    expect(await restoreRemoved(found.id, NOW)).toEqual({ ok: true })
    expect(await loadPlan(boatAndBox.id)).toEqual({ ok: true, plan: boatAndBox })
    expect(
      await savePlanIfCurrent({ plan: { ...boatAndBox, job: { name: 'Older' } }, over: revision }),
    ).toMatchObject({
      saved: 'stale',
    })
  })

  it('a list taken into stock: what it put over is there again, what it added is gone', async () => {
    await saveInStock('gear', { ...seaBoat, name: 'Own boat' })
    const before = await readShelves()
    await saveAllInStock([
      { kind: 'gear', item: seaBoat },
      { kind: 'racks', item: wingBars },
      { kind: 'racks', item: squareBars },
    ])
    const found = await latest()
    expect(found).toMatchObject({ what: '3 entries imported into stock', count: 3 })
    await restoreRemoved(found.id, NOW)
    expect(await readShelves()).toEqual(before)
    await dropFromStock('gear', seaBoat.id)
    expect((await latest()).what).toBe('From stock: Own boat')
  })

  it('a change of an entry is not put over what another tab has just made of it', async () => {
    const was = { ...seaBoat, name: 'Own boat' }
    await saveInStock('gear', was)
    const theirs = { ...was, name: 'Their boat' }
    expect(await saveInStock('gear', theirs, was)).toEqual({ ok: true })
    const late = await saveInStock('gear', { ...was, name: 'My boat' }, was)
    expect(late).toMatchObject({ ok: false, reason: expect.stringContaining('Another tab') })
    expect(Object.values((await readShelves()).stock)).toEqual([theirs])
    expect(await saveInStock('gear', { ...theirs, name: 'My boat' }, theirs)).toEqual({ ok: true })
  })

  it('the pictures of a job go with it for good, but for those that another job shows too', async () => {
    const withPictures = (id: string, ...pictures: string[]): Plan => ({
      ...boatAndBox,
      id,
      job: {
        ...boatAndBox.job,
        came: { pictures: pictures.map((each) => ({ id: each, words: 'front' })) },
      },
    })
    for (const id of ['front-1', 'side-2', 'lone-3']) await savePicture(id, 'data:image/png;base64,AAAA')
    await savePlan(withPictures('one', 'front-1', 'side-2'))
    await savePlan(withPictures('two', 'side-2'))
    await dropPlan('one')
    await loadRemoved()
    expect(await loadPicture('front-1')).toBeDefined()
    await tidyRemoved(now() + 31 * 86_400_000)
    await tidyRemoved(now() + 32 * 86_400_000)
    expect(await Promise.all(['front-1', 'side-2', 'lone-3'].map(loadPicture))).toEqual([
      undefined,
      expect.any(String),
      expect.any(String),
    ])
  })

  it('a log taken in: its entries are gone again and what was here stays, and they come back when that is taken back', async () => {
    await saveEvents([{ ...someEvents[0]!, id: 'here' }])
    await importEvents(someEvents, 'tablet.json')
    const ids = async () => (await loadEvents()).map(({ id }) => id).toSorted()
    const all = await ids()
    expect(all).toHaveLength(someEvents.length + 1)
    const found = await latest()
    expect(found).toMatchObject({ what: 'Log imported: tablet.json', count: someEvents.length })
    await restoreRemoved(found.id, NOW)
    expect(await ids()).toEqual(['here'])
    await restoreRemoved((await latest()).id, NOW)
    expect(await ids()).toEqual(all)
  })

  it.each(['merge', 'replace'] as const)(
    'a restore (%s): all is as before it, and as after it when that is taken back too',
    async (way) => {
      const text = await backupText(NOW)
      await savePlan({ ...boatAndBox, job: { name: 'Edited since' } })
      await savePlan(ridgeTent)
      const before = await readShelves()
      const backup = await openBackup(text)
      if (!backup.ok) throw new Error(backup.reasons[0])
      await restore(backup.shelves, way)
      const after = await readShelves()
      expect(after).not.toEqual(before)
      await restoreRemoved((await latest()).id, new Date().toISOString())
      expect(await readShelves()).toEqual(before)
      expect((await latest()).what).toMatch(/^Restored: /)
      await restoreRemoved((await latest()).id, new Date().toISOString())
      expect(await readShelves()).toEqual(after)
    },
  )

  it('is there for thirty days, and goes by two looks at the clock, a day apart', async () => {
    await dropPlan(boatAndBox.id)
    const days = (count: number) => now() + count * 86_400_000
    await tidyRemoved(days(29))
    await tidyRemoved(days(31))
    await tidyRemoved(days(31.5))
    expect(await loadRemoved()).toHaveLength(1)
    await tidyRemoved(days(32.1))
    expect(await loadRemoved()).toEqual([])
  })

  it('stays where the clock was wrong once, forty days ahead, however often it is looked at (S5)', async () => {
    await dropPlan(boatAndBox.id)
    const days = (count: number) => now() + count * 86_400_000
    await tidyRemoved(days(40))
    for (let day = 0; day <= 30; day += 1) {
      await tidyRemoved(days(day))
      expect(await loadRemoved()).toHaveLength(1)
    }
  })

  it('is not put over what is there again and was changed since, but when that is wanted (S6)', async () => {
    await dropPlan(boatAndBox.id)
    const { id } = await latest()
    const newer = { ...boatAndBox, job: { name: 'Begun again' } }
    await savePlan(newer)
    expect(await restoreRemoved(id, NOW)).toMatchObject({ ok: false, newer: true })
    expect(await loadPlan(boatAndBox.id)).toEqual({ ok: true, plan: newer })
    expect(await restoreRemoved(id, NOW, 'over')).toEqual({ ok: true })
    expect(await loadPlan(boatAndBox.id)).toEqual({ ok: true, plan: boatAndBox })
    await restoreRemoved((await latest()).id, NOW)
    expect(await loadPlan(boatAndBox.id)).toEqual({ ok: true, plan: newer })
  })

  it('cannot be taken back twice, and says so', async () => {
    await dropPlan(boatAndBox.id)
    const { id } = await latest()
    await restoreRemoved(id, NOW)
    expect(await restoreRemoved(id, NOW)).toMatchObject({
      ok: false,
      reason: expect.stringContaining('no longer there') as string,
    })
  })
})
