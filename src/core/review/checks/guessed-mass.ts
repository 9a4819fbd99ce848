import type { Survey } from '../../survey/survey'
import { BASES } from '../../kinds/basis'
import { askMass } from '../ask-mass'
import { cellParts, type Cell, type CellPart } from '../../survey/load-path/limit'
import type { MassPoint } from '../../survey/loads/mass-points'
import { check, practice } from '../check'
import { hangsOf, type Hang } from '../hangs'
import { cellFinding, holdsPhrase, limitPhrase } from '../layer-phrases'
import { kg, type Phrase } from '../../units/phrase'

const doubtOf = ({ basis }: MassPoint): string => (basis === 'computed' ? 'computed' : BASES[basis].doubt)

const names = (parts: readonly CellPart[]): string => {
  const list = [...new Set(parts.map(({ mass }) => mass.label))]
  return list.length > 1 ? `${list.slice(0, -1).join(', ')} and ${list.at(-1) ?? ''}` : (list[0] ?? 'it')
}

const weight = (parts: readonly CellPart[]): CellPart | undefined =>
  parts.toSorted((a, b) => b.countedKg - b.kg - (a.countedKg - a.kg))[0]

function sentenceOf(cell: Cell, hang: Extract<Hang, { on: 'mass' | 'guesses' }>): Phrase {
  const turned: Phrase =
    hang.on === 'guesses'
      ? [', with the margin on guesses; ', kg(cell.kg), ' without it, against ']
      : hang.part.mass.basis === 'unknown'
        ? [`, and nobody knows yet what ${hang.part.mass.label} weighs, against `]
        : [
            `, and it hangs on ${hang.part.mass.label}, ${doubtOf(hang.part.mass)}: it may be `,
            kg(hang.sumKg),
            ' against ',
          ]
  const weigh = hang.on === 'guesses' ? hang.parts : [hang.part]
  return [...holdsPhrase(cell), ...turned, ...limitPhrase(cell), `. Weigh ${names(weigh)}.`]
}

function* ofCell(cell: Cell, survey: Survey) {
  const { rules } = survey.plan
  const hangs = hangsOf(cell, survey)
  for (const hang of hangs) {
    if (hang.on !== 'mass' && hang.on !== 'guesses') continue
    // One guess alone is the same question as all guesses together, asked of one thing.
    if (hang.on === 'guesses' && hangs.some((each) => each.on === 'mass')) continue
    const of = hang.on === 'guesses' ? weight(hang.parts)?.mass : hang.part.mass
    if (!of) continue
    const ask = askMass(of)
    yield cellFinding('findOut', cell, sentenceOf(cell, hang), {
      about: hang.on === 'guesses' ? 'guesses' : of.id,
      ...(ask ? { ask } : {}),
    })
  }
  if (rules.guess.school !== 'weighIt' || !cell.layer.governs || cell.idle) return
  if (hangs.some(({ on }) => on === 'mass' || on === 'guesses')) return
  const guessed = cellParts(cell).filter(({ mass }) => mass.basis === 'guess' && mass.kg > 0)
  const [first] = guessed
  if (!first) return
  const ask = askMass(first.mass)
  yield cellFinding(
    'findOut',
    cell,
    [...holdsPhrase(cell), `, part of it guessed. The house rule is to weigh. Weigh ${names(guessed)}.`],
    { about: 'rule', ...(ask ? { ask } : {}) },
  )
}

/** Does a verdict hang on a weight that nobody has on a scale or a sheet? */
export const guessedMass = check({
  id: 'guessed-mass',
  title: 'The guess decides',
  question: 'Does any verdict hang on a weight that was guessed, told or filled in by a form?',
  formula:
    'the verdict at either end of what the weight may be: weighed 1 %, told 10 %, a starting value 25 %, a guess by the house’s margin, one at a time; and all guesses with the margin',
  source: practice('Weights quoted from memory are often far off. Common practice, no source.'),
  law: 'moreIsWorse',
  nothing: 'No verdict hangs on a weight that is not known well enough.',
  *run(survey) {
    for (const cell of survey.loadPath.cells) if (cell.limit.kind !== 'missing') yield* ofCell(cell, survey)
  },
})
