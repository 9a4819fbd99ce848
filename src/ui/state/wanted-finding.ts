'use client'
import { create } from 'zustand'

/** A finding that somebody asked to see: its line opens, and the focus goes to its field or to it. */
export const useWantedFinding = create<{ readonly id: string | undefined }>(() => ({ id: undefined }))

export const showFinding = (id: string): void => useWantedFinding.setState({ id })

export const findingShown = (): void => useWantedFinding.setState({ id: undefined })
