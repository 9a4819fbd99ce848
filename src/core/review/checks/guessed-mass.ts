import { moreThanOne } from '../../units/pick'
import { listed } from '../../units/words'
import type { Survey } from '../../survey/survey'
import { BASES } from '../../kinds/basis'
import { askMass } from '../ask-mass'
import { cellParts, type Cell } from '../../survey/load-path/limit'
import { weighs, type MassPoint } from '../../survey/loads/mass-point'
import type { Doubt } from '../../facts/judge-comparison'
import { linkVerdict, massOfEntry, unsettledLinks, type LinkDoubt, type LinkVerdict } from '../../facts/links'
import { check, practice, type FindingDraft } from '../check'
import { cellFinding, holdsPhrase, limitPhrase } from '../layer-phrases'
import { kg, type Phrase } from '../../units/phrase'

const doubtOf = ({ basis }: MassPoint): string => (basis === 'computed' ? 'computed' : BASES[basis].doubt)

const names = (masses: readonly MassPoint[]): string =>
  listed([...new Set(masses.map(({ label }) => label))]) || 'it'

/** The masses that a doubt is about, those that change the sum most first. */
function massesOf(cell: Cell, { uses }: Doubt): readonly MassPoint[] {
  return uses
    .toSorted((a, b) => Math.abs(b.per) * b.bracket - Math.abs(a.per) * a.bracket)
    .flatMap(({ entry }) => massOfEntry(cell, entry) ?? [])
}

/** How a mass of which several may be meant is spoken of: of a set one. */
const oneOf = ({ from, label }: MassPoint): string => (from && from.times !== 1 ? `one of ${label}` : label)

function sentenceOf(cell: Cell, { verdict }: LinkVerdict, doubt: LinkDoubt): Phrase {
  const masses = massesOf(cell, doubt)
  const { comparison } = doubt
  const [first] = masses
  const sumKg = comparison.limit + doubt.overBy
  const over = verdict.is === 'over'
  const turned: Phrase = moreThanOne(masses)
    ? [
        `, and it depends on ${names(masses)}, which nobody weighed: together they may make it `,
        kg(sumKg),
        ' against ',
      ]
    : first?.basis === 'unknown'
      ? [`, and nobody knows yet what ${first.label} weighs, against `]
      : [
          `, and it depends on ${first?.label ?? 'one weight'}, ${first ? doubtOf(first) : 'not weighed'}: it may be `,
          kg(sumKg),
          ' against ',
        ]
  const needs: Phrase =
    doubt.needs === undefined || !first
      ? []
      : [`; ${oneOf(first)} `, kg(doubt.needs), over ? ' lighter would turn it' : ' heavier would turn it']
  return [
    ...holdsPhrase(cell, comparison),
    ...turned,
    ...limitPhrase(cell, comparison),
    ...needs,
    `. Weigh ${names(masses)}.`,
  ]
}

function* ofCell(cell: Cell, result: LinkVerdict, { plan: { rules } }: Survey): Iterable<FindingDraft> {
  const asked = new Set<string>()
  for (const doubt of result.doubts) {
    const [of] = massesOf(cell, doubt)
    if (!of) continue
    const together = moreThanOne(doubt.uses)
    const about = together ? 'guesses' : of.id
    if (asked.has(about)) continue
    asked.add(about)
    const ask = askMass(of)
    yield cellFinding('findOut', cell, sentenceOf(cell, result, doubt), {
      about,
      ...(!together && { concerns: { massId: of.id } }),
      comparison: doubt.comparison,
      ...(ask ? { ask } : {}),
    })
  }
  if (rules.guess.school !== 'weighIt' || !cell.layer.governs || cell.idle || asked.size !== 0) return
  const guessed = cellParts(cell).flatMap(({ mass }) =>
    mass.basis === 'guess' && weighs(mass) ? [mass] : [],
  )
  const [first] = guessed
  if (!first) return
  const ask = askMass(first)
  yield cellFinding(
    'findOut',
    cell,
    [...holdsPhrase(cell), `, part of it guessed. The house rule is to weigh. Weigh ${names(guessed)}.`],
    { about: 'rule', ...(ask ? { ask } : {}) },
  )
}

/** Does a verdict depend on a weight that nobody has on a scale or a sheet? */
export const guessedMass = check({
  id: 'guessed-mass',
  title: 'The guess decides',
  question: 'Does any verdict depend on a weight that was guessed, told or filled in by a form?',
  formula:
    'the verdict at either end of what the weight may be: weighed 1 %, told 10 %, one at a time; a guess by the house’s margin or a tenth and a starting value 25 %, all of them together',
  source: practice('Weights quoted from memory are often far off. Common practice, no source.'),
  law: 'moreIsWorse',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: {},
  nothing: 'No verdict depends on an uncertain weight.',
  *run(survey) {
    const links = unsettledLinks(survey)
    const all = survey.plan.rules.guess.school === 'weighIt' ? survey.loadPath.cells : links.keys()
    for (const cell of all) {
      const result = linkVerdict(cell, survey)
      if (result && cell.limit.kind !== 'missing') yield* ofCell(cell, result, survey)
    }
  },
})
