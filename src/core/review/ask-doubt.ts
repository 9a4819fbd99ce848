import type { Doubt } from '../facts/judge-comparison'
import type { FactUse } from '../facts/comparison'
import { BASES } from '../kinds/basis'
import { PROVENANCES } from '../kinds/provenance'
import { keyWords } from '../plan/key-words'
import type { MassPoint } from '../survey/loads/mass-point'
import type { Survey } from '../survey/survey'
import { listed } from '../units/words'
import type { Ask } from './ask'
import { askMass } from './ask-mass'

/** What a doubt is about, in words, and the field that settles it. */
interface AskedDoubt {
  readonly about: string
  readonly what: string
  /** What to do, as a sentence. */
  readonly find: string
  readonly ask: Ask | undefined
}

const massOf = ({ masses }: Survey, { entry: { of, id, field } }: FactUse): MassPoint | undefined =>
  masses.find(({ from }) => from?.entry.of === of && from.entry.id === id && from.entry.field === field)

/** A figure of the vehicle's own papers that is in doubt. */
function ofVehicle({ entry: { field }, how }: FactUse): AskedDoubt {
  const words = keyWords(field.split('.')[0] ?? field)
  const known = how === 'unknown' ? 'not known' : PROVENANCES[how].word
  return {
    about: field,
    what: `the vehicle’s ${words}, ${known}`,
    find: `See the figure itself, on the plate or in the papers.`,
    ask: { where: 'label', label: `The vehicle’s ${words}`, target: { open: 'vehicle', at: field } },
  }
}

/** How a doubt about masses or the vehicle's figures is said and asked; nothing where what it is about is not on the plan. */
export function askDoubt(survey: Survey, { uses }: Doubt): AskedDoubt | undefined {
  const sorted = uses.toSorted((a, b) => Math.abs(b.per) * b.bracket - Math.abs(a.per) * a.bracket)
  const [first] = sorted
  if (!first) return undefined
  if (first.entry.of === 'vehicle') return ofVehicle(first)
  const masses = sorted.flatMap((use) => massOf(survey, use) ?? [])
  const [mass] = masses
  if (!mass) return undefined
  const names = listed([...new Set(masses.map(({ label }) => label))])
  const words = mass.basis === 'computed' ? 'computed' : BASES[mass.basis].doubt
  return {
    about: masses.length > 1 ? 'guesses' : mass.id,
    what: masses.length > 1 ? `${names}, which nobody weighed` : `${mass.label}, ${words}`,
    find: `Weigh ${names}.`,
    ask: askMass(mass),
  }
}
