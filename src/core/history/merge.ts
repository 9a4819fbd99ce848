import { own } from '../units/own'
import type * as z from '../units/schema'
import { keyWords } from '../plan/key-words'
import { fieldMessages } from '../plan/schema/messages'
import type { Plan } from '../plan/schema/plan'
import { planSchema } from '../plan/schema/plan-schema'

type Raw = Readonly<Record<string, unknown>>

const isRaw = (value: unknown): value is Raw =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
const same = (a: unknown, b: unknown): boolean => a === b || JSON.stringify(a) === JSON.stringify(b)

type Named = Raw & { readonly id: string }
const allNamed = (list: readonly unknown[]): list is readonly Named[] =>
  list.every((each) => isRaw(each) && typeof each['id'] === 'string')

/** One place that two people set otherwise, in words of the plan: `gear.Long box.mass.kg`. */
export interface Clash {
  readonly path: string
  readonly mine: unknown
  readonly theirs: unknown
}

/** What two set otherwise, in words: whose it is by name, and what of it. */
export function clashWords({ gear, placements }: Plan, { path }: Clash): string {
  const [list = '', ...rest] = path.split('.')
  const words = keyWords(rest.at(-1) ?? list)
  const placed = list === 'placements' ? placements.find(({ id }) => id === rest[0]) : undefined
  const name = placed ? gear.find(({ id }) => id === placed.gearId)?.name : rest.length > 1 ? rest[0] : list
  return rest.length === 1 && placed ? `${name ?? ''}: whether it is there` : `${name ?? list}: ${words}`
}

/** What of one thing two set otherwise, in words: `mass: kg`. */
export const placeWords = ({ path }: Clash): string =>
  path
    .split('.')
    .map((key) => (/^[a-z][A-Za-z0-9]*$/.test(key) ? keyWords(key) : key))
    .join(': ')

/** What a person would call an entry of a list. */
const nameOf = ({ id, name }: Named): string => (typeof name === 'string' ? name : id)

class Merging {
  readonly clashes: Clash[] = []

  of(base: unknown, mine: unknown, theirs: unknown, path: string): unknown {
    if (same(mine, theirs) || same(base, mine)) return theirs
    if (same(base, theirs)) return mine
    if (isRaw(mine) && isRaw(theirs)) return this.ofGroup(isRaw(base) ? base : {}, mine, theirs, path)
    if (Array.isArray(mine) && Array.isArray(theirs) && allNamed(mine) && allNamed(theirs))
      return this.ofList(Array.isArray(base) && allNamed(base) ? base : [], mine, theirs, path)
    // How a figure was typed goes with the figure, which is asked itself.
    if (!/(^|\.)typed\./.test(path)) this.clashes.push({ path, mine, theirs })
    return mine
  }

  private ofGroup(base: Raw, mine: Raw, theirs: Raw, path: string): Raw {
    // Which of several kinds it is: parts of two kinds are no whole.
    for (const discriminator of ['kind', 'by', 'on', 'school', 'about', 'known'])
      if (
        typeof mine[discriminator] === 'string' &&
        typeof theirs[discriminator] === 'string' &&
        mine[discriminator] !== theirs[discriminator]
      ) {
        this.clashes.push({ path, mine, theirs })
        return mine
      }
    const keys = [...new Set([...Object.keys(theirs), ...Object.keys(mine)])]
    return Object.fromEntries(
      keys.flatMap((key) => {
        const value = this.of(
          own(base, key),
          own(mine, key),
          own(theirs, key),
          path === '' ? key : `${path}.${key}`,
        )
        return value === undefined ? [] : [[key, value] as const]
      }),
    )
  }

  /** Entries by their ids: in the order they have there, then what came here. What one took out and the other changed is asked. */
  private ofList(base: readonly Named[], mine: readonly Named[], theirs: readonly Named[], path: string) {
    const by = (list: readonly Named[]) => new Map(list.map((each) => [each.id, each]))
    const [was, here, there] = [by(base), by(mine), by(theirs)]
    const kept = theirs.flatMap((entry): unknown[] => {
      const before = was.get(entry.id)
      const own = here.get(entry.id)
      const at = `${path}.${nameOf(entry)}`
      if (own) return [this.of(before, own, entry, at)]
      if (!before) return [entry]
      if (same(before, entry)) return []
      this.clashes.push({ path: at, mine: undefined, theirs: entry })
      return []
    })
    const added = mine.flatMap((entry): unknown[] => {
      if (there.has(entry.id)) return []
      const before = was.get(entry.id)
      if (!before) return [entry]
      if (same(before, entry)) return []
      this.clashes.push({ path: `${path}.${nameOf(entry)}`, mine: entry, theirs: undefined })
      return [entry]
    })
    return [...kept, ...added]
  }
}

interface MergeConflict {
  readonly ok: false
  readonly clashes: readonly Clash[]
  readonly reason: string
}
export type Merged = { readonly ok: true; readonly plan: Plan } | MergeConflict

/**
 * Two states of one thing that come from a third: what each changed, in one. Where both set the same otherwise, or where
 * the two together do not read, nothing is decided and the places are named; or `mine` holds there, where that was said.
 */
export function mergeItems<T>(
  schema: z.ZodMiniType<T>,
  base: T,
  mine: T,
  theirs: T,
  holds: 'ask' | 'mine' = 'ask',
): { readonly ok: true; readonly item: T } | MergeConflict {
  const merging = new Merging()
  const whole = merging.of(base, mine, theirs, '')
  if (merging.clashes.length > 0 && holds === 'ask')
    return { ok: false, clashes: merging.clashes, reason: 'Both changed the same value differently.' }
  const read = schema.safeParse(whole)
  if (read.success) return { ok: true, item: read.data }
  const [first] = fieldMessages(read.error)
  return {
    ok: false,
    clashes: [],
    reason: `Together they are not valid: ${first?.text ?? 'they cannot be read.'}`,
  }
}

/** Two plans that come from one: what each changed, in one plan. */
export function mergePlans(base: Plan, mine: Plan, theirs: Plan): Merged {
  const merged = mergeItems<Plan>(planSchema, base, mine, theirs)
  return merged.ok ? { ok: true, plan: merged.item } : merged
}
