import { PROVENANCES, READ_FROM } from '../kinds/provenance'
import { GEAR_KINDS } from '../kinds/gear-kind'
import { choicesOf } from '../kinds/kind'
import { inUse, type Rating } from '../plan/schema/rating'
import { STATES, type State } from '../units/scalars'
import { choice, day, group, ID, mass, speed, list, MARKS, text, type FieldsOf } from './field'

/** Where figures are read, in words. */
export const SOURCE_CHOICES = READ_FROM.map((how) => [how, PROVENANCES[how].readFrom] as const)

/** How a figure is known, as whoever typed it may say; the first says nothing. */
export const HOW_CHOICES: readonly (readonly [string, string])[] = [
  ['', PROVENANCES.told.word],
  ...choicesOf(PROVENANCES, ({ word }) => word).filter(
    ([how]) => how !== 'told' && !('made' in PROVENANCES[how]),
  ),
]

export const SOURCE_FIELD = group('Where it was read', {
  kind: { ...choice('Read', SOURCE_CHOICES), source: true },
  text: text('In words'),
  page: text('On page'),
  on: day('On the day'),
})

export const PER_CHOICES = [
  ['set', 'the set'],
  ['each', 'each one'],
] as const
export const COUNTS_CHOICES = [
  ['load', 'Only its load'],
  ['everything', 'Rack and parts included'],
] as const

/** What stands in the inputs of figures by state, and what they have in common. */
export const FIGURE_LABELS = {
  road: 'Road',
  trail: 'Trail',
  parked: 'Parked',
  per: 'For',
  counts: 'Counts',
  by: 'Read',
  page: 'Page',
} as const

/** A figure that is not one of the three by state: for one kind of gear, up to a speed, or on other terms. */
export const RATING_FIELD = group('Another figure', {
  id: ID,
  state: choice('State', [
    ['road', 'Road'],
    ['trail', 'Trail'],
    ['parked', 'Parked'],
  ]),
  kg: mass('Figure'),
  per: choice('For', PER_CHOICES),
  counts: choice('Counts', COUNTS_CHOICES),
  gearKind: choice(
    'For one kind of gear',
    choicesOf(GEAR_KINDS, ({ many }) => many),
  ),
  upToKmH: speed('Up to a speed of'),
  source: SOURCE_FIELD,
  unused: text('Not in use, because', 'If another figure is in use instead'),
  typed: MARKS,
} satisfies FieldsOf<Rating>)

export const MORE_FIGURES = list('More figures', 'a figure', RATING_FIELD, {
  hint: 'For one kind of gear, up to a speed, or on other terms',
  start: (id) => ({ id, state: 'road', per: 'set' }),
})

/** What the three figures by state have in common. */
const termsOf = ({ per, counts, source }: Rating): string =>
  [per, counts ?? '', source.kind, source.page ?? ''].join(' ')

/** Which rating is shown as the figure of each state: the first general one, on the same terms as the others. */
export function byState(ratings: readonly Rating[]): ReadonlyMap<State, Rating> {
  const general = inUse(ratings).filter(
    ({ gearKind, upToKmH }) => gearKind === undefined && upToKmH === undefined,
  )
  const [first] = general
  if (!first) return new Map()
  const alike = general.filter((each) => termsOf(each) === termsOf(first))
  return new Map(
    STATES.flatMap((state) => {
      const found = alike.find((each) => each.state === state)
      return found ? [[state, found] as const] : []
    }),
  )
}
