/** Search parameters come once, several times or not at all; only one of each makes sense here. */
export type Search = Promise<Record<string, string | string[] | undefined>>

export function oneOf(value: string | string[] | undefined): string | undefined {
  return typeof value === 'string' && value !== '' ? value : undefined
}
