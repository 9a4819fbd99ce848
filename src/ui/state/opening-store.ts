'use client'
import { create } from 'zustand'

interface OpeningStore {
  /** The hatch, tailgate, sunroof or tent that is drawn opening on demand: an obstacle's id or a placement's. */
  readonly opening: string | undefined
  toggle(id: string): void
  close(): void
}

export const useOpening = create<OpeningStore>((set, get) => ({
  opening: undefined,
  toggle(id) {
    set({ opening: get().opening === id ? undefined : id })
  },
  close() {
    set({ opening: undefined })
  },
}))
