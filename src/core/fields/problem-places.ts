import { draftOf, draftsOf, OTHERS, textOf, type Draft } from './draft'
import type { Field, Group, List, Variants } from './field'
import { FIGURE_LABELS, MORE_FIGURES } from './figures-fields'

/** Where a sheet shows that something is wrong: the path of a field, or of the group or list it belongs to. */
export interface ProblemPlace {
  readonly path: string
  /** The names on the way to it: `Front bar, Length overall`. Empty where it is of the whole sheet. */
  readonly name: string
  readonly problem: string
}

/** What an entry of a list is called: its kind, its own name, or its number. */
export function entryTitle(item: Group | Variants, draft: Draft | undefined, one: string, i: number): string {
  const texts = draftOf(draft)
  const kind = item.is === 'variants' ? textOf(texts[item.by]) : ''
  const words = item.is === 'variants' && item.choices.find(([each]) => String(each) === kind)?.[1]
  if (words) return words
  const name = [texts['name'], texts['title'], texts['question'], texts['thread']]
    .map((each) => textOf(each).trim())
    .find((each) => each !== '')
  return name ?? `${one.replace(/^an? /, '')} ${i + 1}`
}

interface Walked {
  readonly path: readonly string[]
  readonly names: readonly string[]
}

const named = (names: readonly string[], label: string) => (label === '' ? names : [...names, label])

/** As far along a path as the sheet shows anything. */
function walk(
  field: Field,
  draft: Draft | undefined,
  rest: readonly string[],
  { path, names }: Walked,
): Walked {
  const [key, ...further] = rest
  if (key === undefined) return { path, names }
  const here = { path: [...path, key], names }
  switch (field.is) {
    case 'group':
      return inGroup(field, draft, rest, { path, names })
    case 'variants': {
      if (key === field.by) return { ...here, names: named(names, field.label) }
      const kind = textOf(draftOf(draft)[field.by])
      return kind === '' ? { path, names } : inGroup(field.groupOf(kind), draft, rest, { path, names })
    }
    case 'list':
      return inList(field, draft, rest, { path, names })
    case 'split': {
      const part = field.parts[key]
      return part ? { ...here, names: named(names, part.label) } : { path, names }
    }
    case 'figures': {
      if (key === 'more') return walk(MORE_FIGURES, draftOf(draft)[key], further, here)
      const label = Object.entries(FIGURE_LABELS).find(([each]) => each === key)?.[1]
      return label === undefined ? { path, names } : { ...here, names: named(names, label) }
    }
    default:
      return { path, names }
  }
}

function inGroup(
  { fields }: Group,
  draft: Draft | undefined,
  [key = '', ...further]: readonly string[],
  { path, names }: Walked,
): Walked {
  const here = [...path, key]
  // Another figure for a field, by its path with colons.
  if (key === OTHERS) {
    const [of = '', ...end] = further
    const beside = walk({ is: 'group', label: '', fields }, draft, of.split(':'), { path, names })
    return { path: [...here, of, ...end], names: [...beside.names, 'another figure'] }
  }
  const field = fields[key]
  if (!field || field.is === 'kept' || field.is === 'marks') return { path, names }
  const label = field.is === 'variants' || field.is === 'list' || field.is === 'split' ? '' : field.label
  return walk(field, draftOf(draft)[key], further, { path: here, names: named(names, label) })
}

function inList(
  { item, one, label }: List,
  draft: Draft | undefined,
  [key = '', ...further]: readonly string[],
  { path, names }: Walked,
): Walked {
  const entry = draftsOf(draft)[Number(key)]
  if (entry === undefined) return { path, names: named(names, label) }
  const at = { path: [...path, key], names: named(names, entryTitle(item, entry, one, Number(key))) }
  return walk(item.is === 'group' ? { ...item, label: '' } : item, entry, further, at)
}

/** All that is wrong in a sheet as it is typed, each at the place that shows it, in the order it was found. */
export function problemPlaces(
  field: Group | Variants,
  draft: Draft,
  problems: Readonly<Record<string, string>>,
): readonly ProblemPlace[] {
  return Object.entries(problems).map(([path, problem]) => {
    const keys = path.split('.').filter((key) => key !== '')
    const found = walk(field, draft, keys, { path: [], names: [] })
    return { path: found.path.join('.'), name: found.names.join(', '), problem }
  })
}
