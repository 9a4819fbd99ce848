import { BEGUN, draftAt, draftOf, draftsOf, textOf, variantDraft, type Draft, type DraftOf } from './draft'
import { newEntry } from './new-entry'
import type { Field, Fields, Variants } from './field'

const SHOWN = { system: 'metric', typed: {}, rel: '' } as const

const fieldsOf = (fields: Fields, draft: Draft | undefined): DraftOf => ({
  ...draftOf(draft),
  ...Object.fromEntries(
    Object.entries(fields).flatMap(([key, field]) => {
      const next = grown(field, draftOf(draft)[key])
      return next === undefined ? [] : [[key, next] as const]
    }),
  ),
})

function grownVariant(field: Variants, draft: Draft | undefined): Draft {
  const kind = draftOf(draft)[field.by]
  const chosen = typeof kind === 'string' && kind !== '' ? kind : String(field.choices[0]?.[0] ?? '')
  const begun = variantDraft(field, { [field.by]: chosen }, SHOWN)
  return fieldsOf(field.groupOf(chosen).fields, { ...begun, ...draftOf(draft), [field.by]: chosen })
}

/** A sheet's draft with an entry of every kind more in each of its lists, and something in all that may be left out. */
export function grown(field: Field, draft: Draft | undefined): Draft | undefined {
  switch (field.is) {
    case 'group':
      return fieldsOf(field.fields, draft)
    case 'variants':
      return grownVariant(field, draft)
    case 'list': {
      const kinds = field.item.is === 'variants' ? field.item.choices.map(([kind]) => String(kind)) : ['']
      const more = kinds.map((kind, i) => {
        const { [BEGUN]: _, ...entry } = newEntry(field, 'metric', `new-${i}`, kind, [])
        return grown(field.item, entry) ?? entry
      })
      return [...draftsOf(draft), ...more]
    }
    default:
      return draft
  }
}

/** The path of every text that stands in a draft, or may stand there. */
export function textsIn(field: Field, draft: Draft | undefined, path: readonly string[] = []): string[][] {
  switch (field.is) {
    case 'kept':
    case 'marks':
      return []
    case 'group':
      return Object.entries(field.fields).flatMap(([key, each]) =>
        textsIn(each, draftOf(draft)[key], [...path, key]),
      )
    case 'variants': {
      const kind = draftOf(draft)[field.by]
      return typeof kind === 'string' && kind !== '' ? textsIn(field.groupOf(kind), draft, path) : []
    }
    case 'list':
      return draftsOf(draft).flatMap((entry, i) => textsIn(field.item, entry, [...path, String(i)]))
    case 'split':
      return Object.keys(field.parts).map((key) => [...path, key])
    case 'figures':
      return ['road', 'trail', 'parked', 'page'].map((key) => [...path, key])
    default:
      return [[...path]]
  }
}

/** A draft with another text at a path. */
export function withText(draft: Draft | undefined, [key, ...rest]: readonly string[], text: string): Draft {
  if (key === undefined) return text
  if (Array.isArray(draft))
    return (draft as readonly Draft[]).map((each, i) =>
      String(i) === key ? withText(each, rest, text) : each,
    )
  const here = draftOf(draft)
  return { ...here, [key]: withText(here[key], rest, text) }
}

const SAMPLE: Readonly<Record<string, string>> = {
  length: '100 mm',
  mass: '5 kg',
  torque: '300 Nm',
  speed: '80 km/h',
  angle: '5°',
  stress: '160 MPa',
}

/** A text that reads well in the field of a draft at a path. */
export function sampleText(
  field: Field | undefined,
  draft: Draft | undefined,
  path: readonly string[],
): string {
  const [key = '', ...rest] = path
  switch (field?.is) {
    case 'group':
      return sampleText(field.fields[key], draftOf(draft)[key], rest)
    case 'variants':
      return sampleText(field.groupOf(draftOf(draft)[field.by] as string), draft, path)
    case 'list':
      return sampleText(field.item, draftsOf(draft)[Number(key)], rest)
    case 'split':
      return sampleText(field.parts[key], undefined, [])
    case 'figures':
      return key === 'page' ? 'p. 3' : '5 kg'
    case 'several':
      return sampleText(field.of, undefined, [])
    case 'quantity':
      return SAMPLE[field.dimension] ?? '5'
    case 'number':
      return '5'
    case 'flag':
      return 'yes'
    case 'choice':
      return typeof field.choices === 'string' ? 'a' : String(field.choices[0]?.[0] ?? '')
    case 'day':
      return '2026-11-02'
    case 'pairs':
      return '10 mm / 20 mm; 30 mm / 40 mm; 50 mm / 10 mm'
    default:
      return 'some words'
  }
}

/** The text of a draft at a path. */
export const textAt = (draft: Draft | undefined, path: readonly string[]): string =>
  textOf(draftAt(draft, path))
