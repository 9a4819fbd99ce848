import { whose } from '../units/words'
import type { Moved } from '../facts/trials'
import type { LengthFact, MassFact, TriedFact } from '../facts/tried-fact'
import { howTraits } from '../kinds/provenance'
import { entryKey } from '../plan/schema/entry'
import { keyWords } from '../plan/key-words'
import { barsOf } from '../plan/schema/rack'
import type { Survey } from '../survey/survey'
import { kg, mm, type Phrase } from '../units/phrase'
import type { Ask } from './ask'
import { askMass } from './ask-mass'
import type { Finding } from './finding'
import { isStop } from './turns'

const isSkin = ({ entry }: TriedFact) => entry.field === 'roof.skinZMm' && entry.of === 'vehicle'

function lengthName(fact: LengthFact): string {
  if (isSkin(fact)) return 'the height of the roof’s skin'
  const { entry, name } = fact
  if (entry.field === 'centreZMm') return `how high ${whose(name)} own mass is`
  const key = entry.field.split('.').filter((each) => !/^\d+$/.test(each))
  const words = OWNED[key.join('.')] ?? [...new Set(key.map(keyWords))].reverse().join(' of its ')
  return entry.of === 'vehicle' ? `the vehicle’s ${words}` : `${whose(name)} ${words}`
}

/** What a length is called after the name of what has it. */
const OWNED: Readonly<Record<string, string>> = {
  riseMm: 'room under it',
  usableMm: 'usable width',
  'feetYMm.apart': 'distance from foot to foot',
  'profile.widthMm': 'profile width',
  'profile.heightMm': 'profile height',
  'deck.heightMm': 'deck thickness',
  'deck.lengthMm': 'deck length',
  'deck.widthMm': 'deck width',
  'roof.toXMm': 'roof’s rear end',
  'roof.crownMm': 'roof’s crown',
  gaugeMm: 'distance from side to side',
  'points.xMm': 'points along the vehicle',
  'doorPositions.xMm': 'door positions along the vehicle',
  'points.yMm': 'distance from point to point',
  'doorPositions.yMm': 'distance from door to door',
  xMm: 'place along the vehicle',
  topZMm: 'top over the ground',
}

const massName = ({ entry, name }: MassFact): string =>
  entry.of === 'vehicle' ? 'the vehicle’s kerb mass' : `what ${name} weighs`

/** A fact by what it belongs to and its field: “Bar 1’s usable width”, “what Box weighs”. */
const nameOf = (fact: TriedFact): string => (fact.in === 'kg' ? massName(fact) : lengthName(fact))

const isUnstatedHeight = ({ entry: { of, id, field } }: TriedFact, { plan }: Survey) =>
  of === 'rack' && field === 'centreZMm' && plan.racks.find((rack) => rack.id === id)?.centreZMm === undefined

const saysOf = (fact: TriedFact, survey: Survey): string =>
  isSkin(fact) && survey.plan.vehicle.roof.skinZMm === undefined
    ? 'taken as the vehicle’s height'
    : isUnstatedHeight(fact, survey)
      ? 'taken where its parts are'
      : (howTraits(fact.how).doubt ?? 'not measured')

/** The field that takes a length. */
function lengthTarget({ entry: { of, id, field } }: LengthFact, { plan }: Survey): Ask['target'] {
  const { vehicle, racks } = plan
  const at = (list: 'attachments' | 'obstacles') =>
    `${list}.${(vehicle[list] as readonly { readonly id: string }[]).findIndex((each) => each.id === id)}.${field}`
  switch (of) {
    case 'vehicle':
      return field === 'roof.skinZMm' ? { field: 'vehicle', name: 'skinZMm' } : { open: 'vehicle', at: field }
    case 'attachment':
      return { open: 'vehicle', at: at('attachments') }
    case 'obstacle':
      return { open: 'vehicle', at: at('obstacles') }
    case 'rack':
      return { open: 'rack', rackId: id, at: field }
    case 'bar': {
      const rack = racks.find((each) => barsOf(each).some((bar) => bar.id === id))
      const index = rack ? barsOf(rack).findIndex((bar) => bar.id === id) : 0
      return { open: 'rack', rackId: rack?.id ?? '', at: `bars.${index}.${field}` }
    }
    case 'gear':
      return { open: 'gear', gearId: id, at: field }
  }
}

/** Where a fact is put right. */
function askOf(fact: TriedFact, survey: Survey): Ask | undefined {
  if (fact.in === 'mm') return { where: 'tape', label: nameOf(fact), target: lengthTarget(fact, survey) }
  if (fact.entry.of === 'vehicle')
    return { where: 'label', label: nameOf(fact), target: { open: 'vehicle', at: fact.entry.field } }
  const mass = survey.masses.find(({ from }) => from && entryKey(from.entry) === entryKey(fact.entry))
  return mass && askMass(mass)
}

/** What is to be done about facts: weigh masses, measure lengths. */
function todo(facts: readonly TriedFact[]): string {
  const weigh = facts.some((fact) => fact.in === 'kg')
  const measure = facts.some((fact) => fact.in === 'mm')
  const it = facts.length === 1 ? 'it' : 'them'
  return weigh && measure ? `Weigh and measure ${it}.` : weigh ? `Weigh ${it}.` : `Measure ${it}.`
}

const whichWay = ({ fact, by }: Moved): string => {
  const less = by < 0
  return fact.in === 'kg' ? (less ? 'lighter' : 'heavier') : less ? 'less' : 'more'
}

/**
 * An answer that depends on facts that are so much off: a pass is found out, a Stop keeps the question beside it. `needs`
 * is how far the first of them must be off, in mm or kg.
 */
export function withDoubtWords(
  survey: Survey,
  finding: Finding,
  moved: readonly Moved[],
  needs: number,
): Finding {
  const [first] = moved
  if (!first) return finding
  const facts = moved.map(({ fact }) => fact)
  const ask = askOf(first.fact, survey)
  const stops = isStop(finding)
  // It was found by halves, from above: a tenth of a millimetre would be more than is known.
  const off = first.fact.in === 'kg' ? kg(needs) : mm(Math.ceil(needs))
  const what = facts.every((fact) => fact.in === 'kg')
    ? 'weights'
    : facts.every((fact) => fact.in === 'mm')
      ? 'lengths'
      : 'weights and lengths'
  const nobody =
    what === 'weights' ? 'nobody weighed' : what === 'lengths' ? 'nobody measured' : 'nobody took'
  const says: Phrase =
    facts.length > 1
      ? stops
        ? [` It depends on ${what} that ${nobody}: ${todo(facts).toLowerCase()}`]
        : [
            ` It depends on ${facts.length} ${what} that ${nobody}, all together: ${facts.map(nameOf).join(', ')}. ${todo(facts)}`,
          ]
      : [
          ` It depends on ${nameOf(first.fact)}, ${saysOf(first.fact, survey)}: `,
          off,
          ` ${whichWay(first)} would ${stops ? 'clear' : 'turn'} it. ${todo(facts)}`,
        ]
  return {
    ...finding,
    ...(stops ? {} : { severity: 'findOut' }),
    sentence: [...finding.sentence, ...says],
    ...(ask ? { ask } : {}),
  }
}
