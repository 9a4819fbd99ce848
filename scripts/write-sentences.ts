import fc from 'fast-check'
import { writeFileSync } from 'node:fs'
import { madePlans } from '../src/core/plan/made-plans.testing'
import { CHECKS } from '../src/core/review/checks'
import { OUTCOME_WORD, OUTCOMES, type Outcome } from '../src/core/review/finding'
import { review } from '../src/core/review/review'
import { survey } from '../src/core/survey/survey'
import { phraseText } from '../src/core/units/phrase'
import { DEMO_PLANS } from '../src/demo/plans'
import { allSentences, sentencesCsv } from './sentences'

/**
 * Writes docs/sentences.csv, every text that a person may read, and docs/what-checks-say.md, of each check one sentence
 * for every outcome it came to, on the demo and on made plans.
 */

writeFileSync('docs/sentences.csv', sentencesCsv(allSentences('.')))

const MADE = 1500
const SEED = 31

const said = new Map<string, string>()
for (const plan of [...DEMO_PLANS, ...fc.sample(madePlans, { seed: SEED, numRuns: MADE })])
  for (const { rule, severity, sentence } of review(survey(plan)).findings) {
    const key = `${rule} ${severity}`
    if (severity !== 'nothing' && !said.has(key)) said.set(key, phraseText(sentence))
  }

const rowOf = (rule: string, outcome: Outcome): string[] => {
  const text = said.get(`${rule} ${outcome}`)
  return text === undefined ? [] : [`| ${OUTCOME_WORD[outcome]} | ${text.replaceAll('|', '\\|')} |`]
}

writeFileSync(
  'docs/what-checks-say.md',
  [
    '# What each check says',
    '',
    `One sentence of each check for every outcome it came to, on the demo's jobs and on ${MADE} plans made from the kinds (seed ${SEED}). The made ones have odd names. Written by \`npm run sentences\`.`,
    ...CHECKS.flatMap(({ id, title, question, nothing }) => [
      '',
      `## ${title}`,
      '',
      question,
      '',
      '| Outcome | Sentence |',
      '| --- | --- |',
      ...OUTCOMES.flatMap((outcome) => rowOf(id, outcome)),
      `| ${OUTCOME_WORD.nothing} | ${nothing} |`,
    ]),
    '',
  ].join('\n'),
)
