import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { allSentences, sentencesCsv, sentencesIn } from './sentences'
import { ROOT } from './project.mjs'

const texts = (source: string, path = 'one.tsx') => sentencesIn(path, source).map(({ text }) => text)

describe('the texts of a source file', () => {
  it('are what a person reads: text, labels and templates', () => {
    expect(
      texts(
        'const Page = () => <p aria-label="The load" className="flex min-h-11">Nothing yet. {count} left</p>\n' +
          'const said = (name: string) => `${name} is too long`',
      ),
    ).toEqual(['The load', 'Nothing yet.', '{name} is too long'])
  })

  it('are no imports, types, comparisons, addresses, keys or class names', () => {
    expect(
      texts(
        "import { a } from 'A file'\ntype Of = 'One word'\nconst is = what === 'Two words'\n" +
          "const to = '/load'\nconst kind = 'gear'\nconst look = 'text-note flex gap-2'\nconst of = { 'Some key': 1 }",
      ),
    ).toEqual([])
  })

  it('have the declaration that holds them as their place', () => {
    expect(sentencesIn('one.ts', "export const WORDS = { say: 'Too long' }")).toEqual([
      { place: 'one.ts WORDS', text: 'Too long' },
    ])
  })

  it('keep commas and quotation marks in the file', () => {
    expect(sentencesCsv([{ place: 'a', text: 'One, "two"' }])).toBe('place,text\na,"One, ""two"""\n')
  })
})

it('docs/sentences.csv holds every text of today: npm run sentences writes it', () => {
  expect(readFileSync(`${ROOT}/docs/sentences.csv`, 'utf8')).toBe(sentencesCsv(allSentences(ROOT)))
})
