export type UnknownRecord = Readonly<Record<string, unknown>>

export const isUnknownRecord = (value: unknown): value is UnknownRecord =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
export const rawOf = (value: unknown): UnknownRecord => (isUnknownRecord(value) ? value : {})
export const listOf = (value: unknown): readonly unknown[] => (Array.isArray(value) ? value : [])
