'use client'
import { createStore, useStore } from 'zustand'

interface OpeningStore {
  /** The hatch, tailgate, sunroof or tent that is drawn opening on demand: an obstacle's id or a placement's. */
  readonly opening: string | undefined
  toggle(id: string): void
  close(): void
}

export const openingStore = createStore<OpeningStore>((set, get) => ({
  opening: undefined,
  toggle(id) {
    set({ opening: get().opening === id ? undefined : id })
  },
  close() {
    set({ opening: undefined })
  },
}))

export const useOpening = <Part>(part: (store: OpeningStore) => Part): Part => useStore(openingStore, part)
