import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { ROOT } from './project.mjs'

const MOST_WORDS = 80
const words = [...readFileSync(`${ROOT}/docs/glossary.md`, 'utf8').matchAll(/^\| ([a-z][^|]*?) +\| /gm)].map(
  ([, word]) => word ?? '',
)

it('the glossary has at most 80 words, each once', () => {
  expect(words.length).toBeLessThanOrEqual(MOST_WORDS)
  expect(words.length).toBeGreaterThan(0)
  expect(new Set(words).size).toBe(words.length)
})
