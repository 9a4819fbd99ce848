'use client'
import { createStore, useStore } from 'zustand'

/** A finding that somebody asked to see: its line opens, and the focus goes to its field or to it. */
export const wantedFindingStore = createStore<{ readonly id: string | undefined }>(() => ({ id: undefined }))

export const useWantedFinding = <Part>(part: (store: { readonly id: string | undefined }) => Part): Part =>
  useStore(wantedFindingStore, part)

export const showFinding = (id: string): void => wantedFindingStore.setState({ id })

export const findingShown = (): void => wantedFindingStore.setState({ id: undefined })
