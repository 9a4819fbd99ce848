import { draftOf, draftsOf, textOf, type Draft, type DraftOf } from './draft'
import type { Field } from './field'

/** The figures with a unit that stand in a part of a form, by their path in it. */
export function figuresIn(field: Field, draft: Draft | undefined, path = ''): readonly string[] {
  const at = (key: string) => (path === '' ? key : `${path}.${key}`)
  switch (field.is) {
    case 'several':
      return figuresIn(field.of, draft, path)
    case 'quantity':
      return textOf(draft).trim() === '' ? [] : [path]
    case 'group':
      // What keeps marks of its own says them itself.
      return 'known' in field.fields
        ? []
        : Object.entries(field.fields).flatMap(([key, each]) => figuresIn(each, draftOf(draft)[key], at(key)))
    case 'variants': {
      const kind = textOf(draftOf(draft)[field.by])
      return kind === '' ? [] : figuresIn(field.groupOf(kind), draft, path)
    }
    case 'split':
      return Object.entries(field.parts).flatMap(([key, each]) =>
        figuresIn(each, draftOf(draft)[key], at(key)),
      )
    case 'list':
      return draftsOf(draft).flatMap((each, i) => figuresIn(field.item, each, at(String(i))))
    default:
      return []
  }
}

/** The marks of a thing once an entry of one of its lists is gone: those of later entries move up. */
export function marksWithout(marks: DraftOf, list: string, i: number): DraftOf {
  const stem = `${list.replaceAll('.', ':')}:`
  return Object.fromEntries(
    Object.entries(marks).flatMap(([key, mark]) => {
      const [number = '', ...rest] = key.startsWith(stem) ? key.slice(stem.length).split(':') : []
      const at = Number(number)
      if (number === '' || at < i) return [[key, mark] as const]
      return at === i ? [] : [[`${stem}${[String(at - 1), ...rest].join(':')}`, mark] as const]
    }),
  )
}
