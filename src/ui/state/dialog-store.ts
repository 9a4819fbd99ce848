'use client'
import { createStore, useStore } from 'zustand'

/** The dialogs of a job, which open over any of its screens. */
export type DialogName =
  'job' | 'clearances' | 'measure' | 'rules' | 'use' | 'keys' | 'palette' | 'settings' | 'delete' | 'history'

interface DialogStore {
  readonly dialog: DialogName | undefined
  show(dialog: DialogName): void
  /** Puts one away; by then another may be open, and stays. */
  close(dialog: DialogName): void
}

export const dialogStore = createStore<DialogStore>((set, get) => ({
  dialog: undefined,
  show: (dialog) => set({ dialog }),
  close: (dialog) => {
    if (get().dialog === dialog) set({ dialog: undefined })
  },
}))

export const useDialog = <Part>(part: (store: DialogStore) => Part): Part => useStore(dialogStore, part)
