import type { Around, Choices, Wording } from '@/core/api/fields'
import type { UnitSystem } from '@/core/api/plan'
import { createContext, useContext } from 'react'

/** What the fields of one sheet share. */
export interface SheetOf {
  readonly system: UnitSystem
  /** How what is typed here is known where a field does not say otherwise; nothing: nobody has said. */
  readonly from: string
  /** What there is to choose from around the thing: what holds a rack, other questions. */
  readonly around: Readonly<Partial<Record<Around, Choices>>>
  /** What else follows when one of the sheet's choices is made, by its path. */
  readonly chosen: Readonly<Record<string, (value: string) => void>>
  /** Choices that are narrower here than everywhere, by their path. */
  readonly only: Readonly<Record<string, readonly string[]>>
  /** What a new entry of a list starts as on this thing, by the list's path. */
  readonly starts: Readonly<Record<string, (id: string, kind: string) => unknown>>
  /** What of the shop's stock may be taken into a list, by the list's path. */
  readonly stock: Readonly<Record<string, readonly { readonly id: string; readonly name: string }[]>>
  /** What is kept by half, by the path of its group, and what stands in for an empty figure, by its path. */
  readonly notes: Readonly<Record<string, string>>
  /** Whether fields that are unlikely for their kind are shown too. */
  readonly all: boolean
  /** The kind of attachment that the rack of the sheet stands on. */
  readonly standsOn: string | undefined
  /** What other sheets, and other fields of this one, call such a thing. */
  readonly wordings: (of: Wording) => readonly string[]
  /** The field that somebody was sent to. */
  readonly sentTo: string | undefined
}

const SheetContext = createContext<SheetOf | undefined>(undefined)
export const SheetProvider = SheetContext.Provider

export function useSheetOf(): SheetOf {
  const sheet = useContext(SheetContext)
  if (!sheet) throw new Error('A field stands outside of a sheet.')
  return sheet
}

/** The paths of fields that are left out here, for they are unlikely and say nothing. */
const LeftOutContext = createContext<ReadonlySet<string>>(new Set())
export const LeftOutProvider = LeftOutContext.Provider
export const useLeftOut = (): ReadonlySet<string> => useContext(LeftOutContext)

/** The thing whose marks say how the fields below are known: its path, where it keeps such marks. */
const OwnerContext = createContext<string | undefined>(undefined)
export const OwnerProvider = OwnerContext.Provider
export const useOwner = (): string | undefined => useContext(OwnerContext)

function besideFigure(owner: string, at: string, what: '?' | '!'): string {
  const rel = owner === '' ? at : at.slice(owner.length + 1)
  return `${owner === '' ? '' : `${owner}.`}${what}.${rel.replaceAll('.', ':')}`
}

/** The path of a mark: that of its field within its owner, with colons. */
export const markPath = (owner: string, at: string): string => besideFigure(owner, at, '?')

/** The path of the other figures of a field. */
export const othersPath = (owner: string, at: string): string => besideFigure(owner, at, '!')
