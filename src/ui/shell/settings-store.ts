'use client'
import { create } from 'zustand'
import type { UnitChoice } from '@/core/units/format'
import type { UnitSystem } from '@/core/units/dimension'
import { EMPTY_STOCK, type StockLists } from '@/core/formats/stock-kinds'
import { loadOwnStock } from '@/storage/own-stock'
import { keepSettings, loadSettings, USUAL_SETTINGS, type Settings } from '@/storage/settings'
import { keepPlanIfMissing } from '@/storage/plans'
import { DEMO_PLANS } from '@/stock/plans'
import { today } from './today'
import { whyNotKept } from '@/storage/shelves'

interface SettingsStore {
  readonly ready: boolean
  readonly settings: Settings
  readonly own: StockLists
  /** Said once when this browser keeps nothing; the work goes on in memory. */
  readonly trouble: string | undefined
  start(demo: boolean): Promise<void>
  change(patch: Partial<Settings>): void
  reloadOwn(): Promise<void>
}

let started: Promise<void> | undefined

export const useSettings = create<SettingsStore>((set, get) => ({
  ready: false,
  settings: USUAL_SETTINGS,
  own: EMPTY_STOCK,
  trouble: undefined,
  start(demo) {
    started ??= (async () => {
      try {
        set({ settings: await loadSettings() })
        set({ own: await loadOwnStock() })
      } catch (error) {
        set({ trouble: whyNotKept(error) })
      }
      if (demo && !get().settings.seeded) {
        // Fetched by the one page that fills an empty browser, and by no other.
        const [{ demoLog }, { keepEventsIfMissing }] = await Promise.all([
          import('@/stock/demo-log'),
          import('@/storage/log'),
        ])
        const kept = await Promise.all([
          keepEventsIfMissing(demoLog(today())),
          // What is there already was perhaps worked on: the demo fills only what is missing.
          ...DEMO_PLANS.map(keepPlanIfMissing),
        ])
        // What was chosen meanwhile stays chosen.
        const settings = { ...get().settings, seeded: true }
        set({ settings })
        const failed = [...kept, await keepSettings(settings)].find((each) => !each.ok)
        if (failed) set({ trouble: failed.reason })
      }
      set({ ready: true })
    })()
    return started
  },
  change(patch) {
    const settings = { ...get().settings, ...patch }
    set({ settings })
    void keepSettings(settings).then((kept) => {
      if (!kept.ok) set({ trouble: kept.reason })
    })
  },
  async reloadOwn() {
    set({ own: await loadOwnStock() })
  },
}))

/** How this person wants numbers shown. */
export function useUnits(): UnitChoice {
  const show = useSettings((store) => store.settings.units)
  const denominator = useSettings((store) => store.settings.denominator)
  return { show, denominator }
}

/** The system that a bare typed number is read in. */
export function typingSystem(choice: UnitChoice): UnitSystem {
  return choice.show === 'us' ? 'us' : 'metric'
}
