import { cellParts, type Cell } from '../../survey/limit'
import { check, practice } from '../check'
import { cellFinding, holdsPhrase, judge, limitPhrase } from '../layer-phrases'
import { kg, type Phrase } from '../phrase'
import { lightenLayer } from '../remedies/lighten'

function guesses(cell: Cell): string[] {
  const names = cellParts(cell)
    .filter(({ mass }) => mass.basis === 'guess' && mass.kg > 0)
    .map(({ mass }) => mass.label.toLowerCase())
  return [...new Set(names)]
}

const weigh = (names: readonly string[]): string =>
  `Weigh ${names.length > 1 ? `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}` : (names[0] ?? 'it')}.`

/** Does a verdict hang on a weight that somebody guessed? */
export const guessedMass = check({
  id: 'guessed-mass',
  title: 'The guess decides',
  question: 'Does any verdict hang on a weight that was guessed?',
  formula: 'sum with the house margin on guesses > figure ≥ sum without it',
  source: practice('Weights quoted from memory are often far off. Common practice, no source.'),
  nothing: 'No verdict hangs on a guess.',
  *run({ loadPath, plan }) {
    for (const cell of loadPath.cells) {
      if (cell.idle || cell.limit.kind === 'missing') continue
      if (judge(cell) === 'overByGuess') {
        const without: Phrase = [', with the margin on guesses; ', kg(cell.kg), ' without it, against ']
        yield cellFinding('guessed-mass', 'findOut', cell, [
          ...holdsPhrase(cell),
          ...without,
          ...limitPhrase(cell),
          `. ${weigh(guesses(cell))}`,
        ])
      } else if (plan.rules.guess.school === 'weighIt' && cell.layer.governs && guesses(cell).length > 0)
        yield cellFinding('guessed-mass', 'findOut', cell, [
          ...holdsPhrase(cell),
          `, part of it guessed. The house rule is to weigh. ${weigh(guesses(cell))}`,
        ])
    }
  },
  remedies: lightenLayer,
})
