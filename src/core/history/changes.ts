import type { Dimension } from '../units/dimension'
import type { Phrase } from '../units/phrase'
import { keyWords } from '../plan/key-words'
import { patchBetween, type Patch } from './patch'
import type { Plan } from '../plan/schema/plan'

type Raw = Readonly<Record<string, unknown>>
const isRaw = (value: unknown): value is Raw => typeof value === 'object' && value !== null

const UNITS: readonly (readonly [RegExp, Dimension])[] = [
  [/Mm$/, 'length'],
  [/Kg$|^kg$/, 'mass'],
  [/Deg$/, 'angle'],
  [/KmH$/, 'speed'],
  [/Nm$/, 'torque'],
  [/MPa$/, 'stress'],
  [/KWh$/, 'energy'],
]

const named = (value: unknown): string | undefined =>
  isRaw(value) && typeof value['name'] === 'string' ? value['name'] : undefined

function child(value: unknown, key: string): unknown {
  if (Array.isArray(value))
    return (value as readonly unknown[]).find((each) => isRaw(each) && each['id'] === key)
  return isRaw(value) ? value[key] : undefined
}

const at = (value: unknown, path: readonly string[]): unknown => path.reduce(child, value)

/** One difference between two plans: what of the plan, and what became of it. */
export interface Change {
  readonly place: readonly string[]
  readonly words: Phrase
}

class ChangeWriter {
  constructor(
    private readonly before: Plan,
    private readonly after: Plan,
  ) {}

  /** What a person calls the entry of a list: by its name, a thing on the rack by its gear's. */
  private entry(list: unknown, key: string, path: readonly string[]): string {
    const value = child(list, key)
    const gearId = path[0] === 'placements' && isRaw(value) ? value['gearId'] : undefined
    const gear = [...this.after.gear, ...this.before.gear].find(({ id }) => id === gearId)
    return gear?.name ?? named(value) ?? key
  }

  /** The whole way to a place in words: whose it is, then what of it. */
  private place(path: readonly string[]): string {
    const words: string[] = []
    for (const [i, key] of path.entries()) {
      const above = path.slice(0, i)
      const list = at(this.after, above) ?? at(this.before, above)
      if (Array.isArray(list)) {
        // A list's own name says nothing once its entry is named.
        words.pop()
        words.push(this.entry(Array.isArray(child(list, key)) ? list : this.holding(above, key), key, path))
      } else words.push(i === 0 && key === 'vehicle' ? this.after.vehicle.name : keyWords(key))
    }
    return words.join(', ')
  }

  /** The list of the two that holds an entry. */
  private holding(above: readonly string[], key: string): unknown {
    const now = at(this.after, above)
    return child(now, key) === undefined ? at(this.before, above) : now
  }

  private value(key: string, value: unknown): Phrase {
    const unit = UNITS.find(([suffix]) => suffix.test(key))?.[1]
    if (typeof value === 'number' && unit) return [{ dimension: unit, value }]
    if (typeof value === 'boolean') return [value ? 'yes' : 'no']
    return [typeof value === 'string' || typeof value === 'number' ? String(value) : 'other']
  }

  private gone(path: readonly string[]): Change {
    const words = path[0] === 'placements' && path.length === 2 ? ': taken off' : ': taken away'
    return { place: path, words: [this.place(path), words] }
  }

  *of(one: Patch[number]): Iterable<Change> {
    const key = one.at.at(-1) ?? ''
    if ('gone' in one) yield this.gone(one.at)
    else if ('order' in one) {
      const was = at(this.before, one.at)
      const ids = Array.isArray(was) ? was.flatMap((each) => (isRaw(each) ? [String(each['id'])] : [])) : []
      const left = ids.filter((id) => !one.order.includes(id))
      for (const id of left) yield this.gone([...one.at, id])
      const stayed = ids.filter((id) => one.order.includes(id))
      const now = one.order.filter((id) => ids.includes(id))
      if (stayed.join('\n') !== now.join('\n'))
        yield { place: one.at, words: [`${this.place(one.at)}: in another order`] }
    } else {
      const was = at(this.before, one.at)
      const words = this.place(one.at)
      if (was === undefined && isRaw(one.is) && !Array.isArray(one.is))
        yield {
          place: one.at,
          words: [words, one.at[0] === 'placements' && one.at.length === 2 ? ': put on' : ': added'],
        }
      else if (isRaw(one.is) || isRaw(was)) yield { place: one.at, words: [words, ': changed'] }
      else if (was === undefined) yield { place: one.at, words: [words, ': ', ...this.value(key, one.is)] }
      else
        yield {
          place: one.at,
          words: [words, ': ', ...this.value(key, was), ' to ', ...this.value(key, one.is)],
        }
    }
  }
}

/** What is the plan's own and what only says how it was typed: that changes with every figure. */
const isShown = (path: readonly string[]) => !path.includes('typed')

/** What makes the second plan of the first, place by place, in words with their numbers; nothing where they say the same. */
export function changesBetween(before: Plan, after: Plan): readonly Change[] {
  const writer = new ChangeWriter(before, after)
  return patchBetween(before, after)
    .filter((one) => isShown(one.at))
    .flatMap((one) => [...writer.of(one)])
}
