'use client'
import { EMPTY_STOCK, type StockLists } from '@/core/api/files'
import type { Plan, UnitChoice, UnitSystem } from '@/core/api/plan'
import { useMemo } from 'react'
import { createStore, useStore } from 'zustand'
import { loadOwnStock } from '@/storage/stock-lists'
import { changeSettings, loadSettings, USUAL_SETTINGS, type Settings } from '@/storage/settings'
import { onSaved } from '@/storage/saved-elsewhere'
import { savePlanIfMissing } from '@/storage/plans'
import type { Demo } from '@/demo/demo'
import { today } from './today'
import { whyNotSaved } from '@/storage/save-result'

interface SettingsStore {
  readonly ready: boolean
  readonly settings: Settings
  readonly own: StockLists
  /** The invented outfitter, where this browser shows the demo. */
  readonly demo: Demo | undefined
  /** Whether this copy is served to show the demo: there it stays. */
  readonly served: boolean
  /** Said once when this browser keeps nothing; the work goes on in memory. */
  readonly trouble: string | undefined
  start(demo: boolean): Promise<void>
  change(patch: Partial<Settings>): void
  /** Puts the demo's jobs and log into this browser, but for what is there already. */
  putDemo(): Promise<void>
  /** Takes them away again as one set; what is the shop's own stays. */
  removeDemo(): Promise<void>
  reloadOwn(): Promise<void>
}

/** Fetched by pages that show the demo, and by no other. */
export const fetchDemo = async (): Promise<Demo> => (await import('@/demo/demo')).DEMO

const FOLLOW_TRIES = 20
const AGAIN_AFTER_MS = 150

let started: Promise<void> | undefined
/** What was chosen here and is being kept: what another tab kept is read after it, never over it. */
let keeping: Promise<unknown> = Promise.resolve()

export const settingsStore = createStore<SettingsStore>((set, get) => {
  const follow = async () => {
    for (let tries = 0; tries < FOLLOW_TRIES; tries += 1) {
      const before = keeping
      await before
      const settings = await loadSettings().catch(() => undefined)
      // A page that makes a shelf shuts the others' for a moment.
      if (!settings) {
        await new Promise((resolve) => setTimeout(resolve, AGAIN_AFTER_MS))
        continue
      }
      // Chosen again meanwhile: what was read is old already.
      if (keeping !== before) continue
      set({ settings })
      return
    }
  }
  return {
    ready: false,
    settings: USUAL_SETTINGS,
    own: EMPTY_STOCK,
    demo: undefined,
    served: false,
    trouble: undefined,
    start(demo) {
      started ??= (async () => {
        set({ served: demo })
        // What another tab chooses, or puts in stock, holds here as well: heard before anything is read, so that nothing is missed.
        onSaved(({ shelf }) => {
          if (shelf === 'settings') void follow()
          if (shelf === 'stock') void get().reloadOwn()
        })
        try {
          set({ settings: await loadSettings() })
          set({ own: await loadOwnStock() })
        } catch (error) {
          set({ trouble: whyNotSaved(error) })
        }
        try {
          if (demo && !get().settings.seeded) await get().putDemo()
          else if (get().settings.seeded) set({ demo: await fetchDemo() })
        } catch {
          // The own jobs open all the same.
          set({ trouble: 'The demo could not be fetched. Load the page again for its stock.' })
        }
        set({ ready: true })
        const { tidyRemoved } = await import('@/storage/removed')
        await tidyRemoved(Date.now()).catch(() => undefined)
      })()
      return started
    },
    change(patch) {
      const was = get().settings
      set({ settings: { ...was, ...patch } })
      keeping = changeSettings(patch, was)
    },
    async putDemo() {
      const [demo, { saveEventsIfMissing }] = await Promise.all([fetchDemo(), import('@/storage/log')])
      const saved = await Promise.all([
        saveEventsIfMissing(demo.log(today())),
        // What is there already was perhaps worked on: the demo fills only what is missing.
        ...demo.plans.map(savePlanIfMissing),
      ])
      // What was chosen meanwhile stays chosen.
      const was = get().settings
      set({ settings: { ...was, seeded: true }, demo })
      await changeSettings({ seeded: true }, was)
      const failed = saved.find((each) => !each.ok)
      if (failed) set({ trouble: failed.reason })
    },
    async removeDemo() {
      const [demo, { dropDemo }] = await Promise.all([fetchDemo(), import('@/storage/drop-demo')])
      const dropped = await dropDemo(demo.plans)
      if (!dropped.ok) {
        set({ trouble: dropped.reason })
        return
      }
      const was = get().settings
      set({ settings: { ...was, seeded: false }, demo: undefined })
      await changeSettings({ seeded: false }, was)
    },
    async reloadOwn() {
      set({ own: await loadOwnStock() })
    },
  }
})

export const useSettings = <Part>(part: (store: SettingsStore) => Part): Part => useStore(settingsStore, part)

/** How this person wants numbers shown. */
export function useUnits(): UnitChoice {
  const show = useSettings((store) => store.settings.units)
  const denominator = useSettings((store) => store.settings.denominator)
  // The compiler passes this file by, and everything drawn is drawn anew where its units are another object.
  return useMemo(() => ({ show, denominator }), [show, denominator])
}

/** The system that a bare typed number is read in. */
export function typingSystem(choice: UnitChoice): UnitSystem {
  return choice.show === 'us' ? 'us' : 'metric'
}

/** Whether a job is one of the demo's own. Played devices write to nothing real: they are there for these alone. */
export const useIsDemo = ({ id }: Pick<Plan, 'id'>): boolean =>
  useSettings((store) => store.demo?.plans.some((plan) => plan.id === id) ?? false)
