import 'fake-indexeddb/auto'
import { afterEach, expect, it } from 'vitest'
import { boatAndBox, ridgeTent } from '@/demo/plans'
import { loadArchived, saveArchived } from './archive'
import { loadDraft, saveDraft, textKey } from './drafts'
import { dropPlan } from './drop-plan'
import { refusing } from './faults.testing'
import { savePlan, loadPlan } from './plans'
import { loadRemoved, restoreRemoved } from './removed'
import { changeSettings, loadSettings, USUAL_SETTINGS } from './settings'
import { planShelf, removedShelf, settingsShelf } from './database'

afterEach(async () => {
  await Promise.all([planShelf.clear(), settingsShelf.clear(), removedShelf.clear()])
})

it('keeps what is put away beside the settings, and the job as it is', async () => {
  await savePlan(boatAndBox)
  await changeSettings({ units: 'us' }, USUAL_SETTINGS)
  expect(await saveArchived(boatAndBox.id, true, '2026-11-01')).toEqual({ ok: true })
  await saveArchived(ridgeTent.id, true, '2026-11-02')
  expect(await loadArchived()).toEqual(new Set([boatAndBox.id, ridgeTent.id]))
  expect(await loadPlan(boatAndBox.id)).toEqual({ ok: true, plan: boatAndBox })
  await saveArchived(boatAndBox.id, false, '2026-11-03')
  expect(await loadArchived()).toEqual(new Set([ridgeTent.id]))
  expect((await loadSettings()).units).toBe('us')
})

it('goes and comes back with a job that is deleted', async () => {
  await savePlan(boatAndBox)
  await saveArchived(boatAndBox.id, true, '2026-11-01')
  await dropPlan(boatAndBox.id)
  expect(await loadArchived()).toEqual(new Set())
  const [gone] = await loadRemoved()
  await restoreRemoved(gone?.id ?? '', new Date().toISOString())
  expect(await loadArchived()).toEqual(new Set([boatAndBox.id]))
  expect(await loadPlan(boatAndBox.id)).toEqual({ ok: true, plan: boatAndBox })
})

it('takes the text of a job away with it, and gives it back', async () => {
  await savePlan(boatAndBox)
  const key = textKey(boatAndBox.id)
  await saveDraft(key, 'A letter of the customer')
  await dropPlan(boatAndBox.id)
  expect(await loadDraft(key)).toBeNull()
  const [gone] = await loadRemoved()
  await restoreRemoved(gone?.id ?? '', new Date().toISOString())
  expect(await loadDraft(key)).toBe('A letter of the customer')
})

it('says when it could not be kept', async () => {
  refusing('settings', new DOMException('full', 'QuotaExceededError'))
  expect(await saveArchived(boatAndBox.id, true, '2026-11-01')).toMatchObject({ ok: false })
})
