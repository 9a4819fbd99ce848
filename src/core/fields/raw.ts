export type Raw = Readonly<Record<string, unknown>>

export const isRaw = (value: unknown): value is Raw =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
export const rawOf = (value: unknown): Raw => (isRaw(value) ? value : {})
export const listOf = (value: unknown): readonly unknown[] => (Array.isArray(value) ? value : [])
