import { draftOf, draftsOf, textOf, type Draft } from './draft'
import type { Field, Wording } from './field'
import { entriesOf } from './reading'

/** Every text of a sheet that names one of these. */
function* textsIn(field: Field, draft: Draft | undefined, of: Wording): Generator<string> {
  switch (field.is) {
    case 'text':
      if (field.names === of) yield textOf(draft)
      return
    case 'several':
      if (field.of.is === 'text' && field.of.names === of) yield* entriesOf(draft ?? '')
      return
    case 'split':
      for (const [key, part] of Object.entries(field.parts)) yield* textsIn(part, draftOf(draft)[key], of)
      return
    case 'group':
      for (const [key, each] of Object.entries(field.fields)) yield* textsIn(each, draftOf(draft)[key], of)
      return
    case 'variants': {
      const kind = textOf(draftOf(draft)[field.by])
      if (kind !== '') yield* textsIn(field.groupOf(kind), draft, of)
      return
    }
    case 'list':
      for (const each of draftsOf(draft)) yield* textsIn(field.item, each, of)
      return
    default:
  }
}

/** The words that sheets have for one thing, each once, by the alphabet: what differs by capitals alone is the same. */
export function wordsFor(
  of: Wording,
  sheets: readonly (readonly [Field, Draft | undefined])[],
): readonly string[] {
  const words = new Map<string, string>()
  for (const [field, draft] of sheets)
    for (const text of textsIn(field, draft, of)) {
      const word = text.trim()
      if (word !== '' && !words.has(word.toLowerCase())) words.set(word.toLowerCase(), word)
    }
  return [...words.values()].sort((a, b) => a.localeCompare(b, 'en'))
}

/** What one may choose for a field of several texts: each after those that stand there already. */
export function nextEntries(text: string, words: readonly string[]): readonly string[] {
  const entries = text.split(';').map((each) => each.trim())
  const before = entries.slice(0, -1).filter((each) => each !== '')
  const taken = new Set(before.map((each) => each.toLowerCase()))
  return words.filter((word) => !taken.has(word.toLowerCase())).map((word) => [...before, word].join('; '))
}
