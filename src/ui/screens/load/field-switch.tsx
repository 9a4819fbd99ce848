'use client'
import { Button } from '@/ui/kit/button'
import { createStore, useStore } from 'zustand'

interface FieldStore {
  /** Whether the plan view shows what each spot would still take. */
  readonly shown: boolean
  toggle(): void
}

export const fieldStore = createStore<FieldStore>((set, get) => ({
  shown: false,
  toggle() {
    set({ shown: !get().shown })
  },
}))

export const useField = <Part,>(part: (store: FieldStore) => Part): Part => useStore(fieldStore, part)

/** The switch for what each spot of the bars and decks still takes. */
export function FieldSwitch() {
  const shown = useField((store) => store.shown)
  return (
    <Button variant="quiet" pressed={shown} onClick={() => fieldStore.getState().toggle()}>
      Next kilo
    </Button>
  )
}
