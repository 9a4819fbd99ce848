import { DEFAULT_HOUSE_RULES } from '@/core/api/plan'
import 'fake-indexeddb/auto'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { seaBoat } from '@/demo/gear/cargo'
import { boatAndBox, ridgeTent } from '@/demo/plans'
import { wingBars } from '@/demo/racks'
import { estate } from '@/demo/vehicles'
import { dropDraft, saveDraft, loadDraft } from './drafts'
import { saveInStock } from './own-stock'
import { loadOwnStock } from './stock-lists'
import { dropPlan } from './drop-plan'
import { savePlan, loadPlan, loadPlans } from './plans'
import { changeSettings, loadSettings, USUAL_SETTINGS } from './settings'
import { refusing } from './faults.testing'
import { planShelf, settingsShelf, stockShelf } from './database'
import { whyNotSaved } from './save-result'

afterEach(async () => {
  vi.restoreAllMocks()
  await Promise.all([planShelf.clear(), stockShelf.clear(), settingsShelf.clear()])
})

const full = () => refusing('plans', new DOMException('full', 'QuotaExceededError'))

describe('plans', () => {
  it('come back as they were kept, and are gone when dropped', async () => {
    expect(await savePlan(boatAndBox)).toEqual({ ok: true })
    expect(await loadPlan(boatAndBox.id)).toEqual({ ok: true, plan: boatAndBox })
    expect(await loadPlans()).toHaveLength(1)
    expect(await dropPlan(boatAndBox.id)).toEqual({ ok: true })
    expect(await loadPlan(boatAndBox.id)).toBeUndefined()
  })

  it('that no longer read are listed with what is wrong, and left as they are', async () => {
    const broken = { ...boatAndBox, vehicle: { ...boatAndBox.vehicle, lengthMm: 'long' } }
    await planShelf.setItem(boatAndBox.id, broken)
    const found = await loadPlan(boatAndBox.id)
    expect(found).toMatchObject({ ok: false, problems: [{ path: 'vehicle.lengthMm' }], raw: broken })
    expect((await loadPlans())[0]).toMatchObject({ ok: false, id: boatAndBox.id })
    expect(await planShelf.getItem(boatAndBox.id)).toEqual(broken)
  })

  it('that cannot be written stay in memory over what was stored before, which is untouched', async () => {
    await savePlan(boatAndBox)
    const edited = { ...boatAndBox, job: { name: 'Edited' } }
    const spy = full()
    expect(await savePlan(edited)).toEqual({ ok: false, reason: "This browser's storage is full." })
    expect(await loadPlan(boatAndBox.id)).toEqual({ ok: true, plan: edited })
    expect(await planShelf.getItem(boatAndBox.id)).toEqual(boatAndBox)
    expect(await loadPlans()).toEqual([{ ok: true, plan: edited }])
    spy.mockRestore()
    expect(await savePlan(edited)).toEqual({ ok: true })
    expect(await planShelf.getItem(boatAndBox.id)).toEqual(edited)
  })

  it('in memory can still be listed when the shelf cannot be read at all', async () => {
    full()
    await savePlan(ridgeTent)
    vi.spyOn(IDBObjectStore.prototype, 'getAllKeys').mockImplementation(() => {
      throw new Error('blocked')
    })
    expect(await loadPlans()).toEqual([{ ok: true, plan: ridgeTent }])
    await dropPlan(ridgeTent.id)
    await expect(loadPlans()).rejects.toThrow('blocked')
  })

  it('say why they could not be dropped', async () => {
    refusing('plans', new DOMException('no', 'InvalidStateError'), 'delete')
    expect(await dropPlan('x')).toMatchObject({
      ok: false,
      reason: expect.stringContaining('private window') as string,
    })
  })
})

describe("the shop's own stock", () => {
  it('keeps vehicles, racks and gear apart, replaces by id, and passes over what does not read', async () => {
    await saveInStock('vehicles', estate)
    await saveInStock('racks', wingBars)
    await saveInStock('gear', seaBoat)
    await saveInStock('gear', { ...seaBoat, name: 'Longer sea boat' })
    await stockShelf.setItem('gear/rubbish', { id: 'rubbish' })
    const stock = await loadOwnStock()
    expect(stock.vehicles).toEqual([estate])
    expect(stock.racks).toEqual([wingBars])
    expect(stock.gear.map((gear) => gear.name)).toEqual(['Longer sea boat'])
    expect(await stockShelf.getItem('gear/rubbish')).toEqual({ id: 'rubbish' })
  })

  it('says why a thing was not kept', async () => {
    refusing('stock', new Error('disk gone'))
    expect(await saveInStock('gear', seaBoat)).toEqual({
      ok: false,
      reason: 'This browser could not store it (disk gone).',
    })
  })
})

describe('settings', () => {
  it('start as usual, come back as kept, and survive rubbish field by field', async () => {
    expect(await loadSettings()).toEqual(USUAL_SETTINGS)
    const saved = {
      ...USUAL_SETTINGS,
      units: 'us' as const,
      denominator: 32 as const,
      house: DEFAULT_HOUSE_RULES,
    }
    await changeSettings(saved, USUAL_SETTINGS)
    expect(await loadSettings()).toEqual(saved)
    await settingsShelf.setItem('settings', {
      units: 'furlongs',
      denominator: 7,
      theme: 'night-bay',
      house: 'strict',
    })
    expect(await loadSettings()).toEqual({ ...USUAL_SETTINGS, theme: 'night-bay' })
    await settingsShelf.setItem('settings', 'rubbish')
    expect(await loadSettings()).toEqual(USUAL_SETTINGS)
  })
})

describe('drafts of forms', () => {
  it('come back until they are saved, and never stand in the way when storage fails', async () => {
    await saveDraft('vehicle/new', { name: 'Half' })
    expect(await loadDraft('vehicle/new')).toEqual({ name: 'Half' })
    await dropDraft('vehicle/new')
    expect(await loadDraft('vehicle/new')).toBeNull()
    vi.spyOn(settingsShelf, 'setItem').mockRejectedValue(new Error('no'))
    vi.spyOn(settingsShelf, 'getItem').mockRejectedValue(new Error('no'))
    await expect(saveDraft('x', {})).resolves.toBeUndefined()
    await expect(loadDraft('x')).resolves.toBeUndefined()
  })
})

describe('why nothing was kept', () => {
  it.each([
    [new DOMException('', 'QuotaExceededError'), 'full'],
    [new DOMException('', 'SecurityError'), 'does not let the page store'],
    [new Error(''), 'This browser could not store it.'],
    ['odd', 'This browser could not store it.'],
  ])('%s', (error, words) => {
    expect(whyNotSaved(error)).toContain(words)
  })
})
