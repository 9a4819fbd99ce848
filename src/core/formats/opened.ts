import type { FieldMessage } from '../plan/schema/messages'

/** Deeper than anything of ours: what reads it goes down level by level. */
const MOST_LEVELS = 1000

const isGroup = (value: unknown): value is object => typeof value === 'object' && value !== null

/** Whether groups and lists lie in each other more than so many levels deep. */
function deeper(raw: unknown): boolean {
  let level: readonly object[] = isGroup(raw) ? [raw] : []
  for (let depth = 0; level.length > 0; depth += 1) {
    if (depth > MOST_LEVELS) return true
    const next: object[] = []
    for (const each of level)
      for (const value of Object.values(each) as unknown[]) if (isGroup(value)) next.push(value)
    level = next
  }
  return false
}

/** Why a decoded file of any format is not read at all: nothing where it may be. `name` is what it is called in its messages. */
export function tooDeep(raw: unknown, name: string): FieldMessage | undefined {
  return deeper(raw)
    ? {
        path: name,
        text: `${name} is nested more than ${MOST_LEVELS} levels deep: no file of Ypsos is.`,
      }
    : undefined
}

/** The same of a file that says its version, of which the present one is read alone. */
export function unopened(raw: unknown, name: string, present: number): FieldMessage | undefined {
  const version = isGroup(raw) && 'version' in raw ? raw.version : undefined
  if (typeof version === 'number' && version > present)
    return {
      path: 'version',
      text: `version ${version} of ${name} is newer than this Ypsos reads (${present}); open it with a newer one.`,
    }
  return tooDeep(raw, name)
}
