import type { State } from '../../units/scalars'
import { kg, missing, type Phrase, toSpare } from '../../units/phrase'
import { listed } from '../../units/words'
import type { Arrangement } from '../frame/arrangement'
import { whyUnknown, type Allowance } from './load-path'

/**
 * What may still be added in a state, spread evenly, and the link that says so: just so much, at least or at most so
 * much, or so much over already; or nobody knows. kg. `why` says what is not known.
 */
export type Left =
  | {
      readonly kind: 'known' | 'atLeast' | 'atMost' | 'over'
      readonly rackId: string
      readonly kg: number
      /** The link that says so; where several leave just as much, all of them. */
      readonly by: readonly string[]
      readonly why: string | undefined
    }
  | { readonly kind: 'unknown'; readonly rackId: string; readonly why: string }

/** What may still be added to one rack. */
export function leftOnRack(allowance: Allowance): Left {
  const { rackId, binding, alike } = allowance
  const why = allowance.kind === 'unknown' ? whyUnknown(allowance) : undefined
  const by = (binding ? [binding, ...alike] : []).map(({ layer }) => layer.name)
  const overKg = -(binding?.leftKg ?? 0)
  if (overKg > 0) return { kind: 'over', rackId, kg: overKg, by, why }
  if (allowance.kind !== 'unknown') return { kind: allowance.kind, rackId, kg: allowance.kg, by, why }
  return allowance.atMostKg === undefined
    ? { kind: 'unknown', rackId, why: why ?? '' }
    : { kind: 'atMost', rackId, kg: allowance.atMostKg, by, why }
}

/** How little an answer leaves: what is over most comes first, then what is not known at all. */
const rank = (left: Left): number =>
  left.kind === 'over' ? -left.kg : left.kind === 'unknown' ? Number.MIN_VALUE : left.kg

/** The one answer of a state: what may still be added over all its racks, that with least left; nothing without a rack that takes anything. */
export function leftIn(
  { allowances, racks }: Pick<Arrangement, 'racks'> & { readonly allowances: readonly Allowance[] },
  state: State,
): Left | undefined {
  const ladders = new Set(racks.flatMap(({ rack }) => (rack.kind === 'ladder' ? [rack.id] : [])))
  const all = allowances.filter((each) => each.state === state && !ladders.has(each.rackId)).map(leftOnRack)
  return all.reduce<Left | undefined>(
    (least, each) => (least && rank(least) <= rank(each) ? least : each),
    undefined,
  )
}

/** The links that leave least, by name: “Roof and Bars alike”. */
export const linksPhrase = (by: readonly string[]): string =>
  by.length < 2 ? (by[0] ?? '') : `${listed(by)} alike`

/** Which of them say what may be added: “Roof binds”, “Roof and Bars bind alike”. */
export const bindsWords = (by: readonly string[]): string =>
  by.length < 2 ? `${by[0] ?? ''} binds` : `${listed(by)} bind alike`

/** What is left, in words: “at most 39.5 kg left”. */
export function leftPhrase(left: Left): Phrase {
  switch (left.kind) {
    case 'known':
      return [toSpare(kg(left.kg)), ' left']
    case 'atLeast':
      return ['at least ', toSpare(kg(left.kg)), ' left']
    case 'atMost':
      return ['at most ', toSpare(kg(left.kg)), ' left']
    case 'over':
      return [missing(kg(left.kg)), ' over']
    case 'unknown':
      return ['what is left is not known']
  }
}
