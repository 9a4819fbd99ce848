import type { UnitSystem } from '../units/dimension'
import { draftOf, isEmpty, textOf, type Draft } from './draft'
import type { Field, Group } from './field'
import { fieldAlong } from './field-along'
import { ASKED, CHOOSE, KEPT, parsed, type ParseContext } from './reading'

/** A text as it is kept for a value that is not whole yet; nothing where it cannot be kept so. */
function keptText(field: Field, draft: Draft | undefined, system: UnitSystem): string | undefined {
  const text = textOf(draft).trim()
  if (field.is !== 'quantity') return text.length > KEPT ? undefined : text
  const read = parsed(field, text, system)
  return 'problem' in read || read.typed === undefined || read.typed.length > KEPT ? undefined : read.typed
}

/** The texts of what is half known, by the path of each field; nothing where it holds more than texts. */
function keptTexts(
  field: Field,
  draft: Draft | undefined,
  path: string,
  system: UnitSystem,
): ReadonlyMap<string, string> | undefined {
  if (isEmpty(field, draft)) return new Map()
  const inner = field.is === 'group' ? field.fields : field.is === 'split' ? field.parts : undefined
  if (!inner) {
    if (field.is === 'list' || field.is === 'variants' || field.is === 'figures') return undefined
    const text = keptText(field, draft, system)
    return text === undefined || path.length > KEPT ? undefined : new Map([[path, text]])
  }
  const all = new Map<string, string>()
  for (const [key, each] of Object.entries(inner)) {
    const texts = keptTexts(each, draftOf(draft)[key], `${path}.${key}`, system)
    if (!texts) return undefined
    for (const [at, text] of texts) all.set(at, text)
  }
  return all
}

/** What is missing of a group, by its labels. */
function missingIn(field: Group, path: string, missing: readonly string[]): string {
  const labels = missing.flatMap((at) => {
    const found = fieldAlong(field, undefined, at.slice(path.length + 1).split('.'))
    return found && 'label' in found && found.label !== '' ? [`“${found.label}”`] : []
  })
  return labels.length === 0 ? 'the rest' : labels.join(', ')
}

/**
 * Keeps what is typed of a group of which something is missing: as texts of the thing it belongs to, so that nothing is
 * lost, while the group itself stays unknown to every sum and check. Whether it could be kept so; `found` are the
 * problems of this group.
 */
export function keepHalf(
  field: Group | Extract<Field, { is: 'split' }>,
  { draft, path, reading, owner }: ParseContext,
  found: readonly string[],
  /** What is wanted of a value that is given in parts. */
  wanted?: string,
): boolean {
  const { problems, system } = reading
  const isMissing = (at: string) => field.is === 'split' || problems[at] === ASKED || problems[at] === CHOOSE
  if (!owner.isKept || found.length === 0) return false
  if (!found.every(isMissing)) {
    // What cannot be read is wrong; what is missing beside it would be kept by half.
    for (const at of found) if (isMissing(at)) Reflect.deleteProperty(problems, at)
    return false
  }
  const { rel } = owner.shown
  const texts = keptTexts(field, draft, rel, system)
  if (!texts) return false
  for (const at of found) Reflect.deleteProperty(problems, at)
  for (const at of owner.typed.keys()) if (at.startsWith(`${rel}.`) && !texts.has(at)) owner.typed.delete(at)
  for (const [at, text] of texts) owner.typed.set(at, text)
  const more = field.is === 'group' ? `Missing: ${missingIn(field, path, found)}.` : (wanted ?? '')
  reading.halves[path] = `Kept as typed, and not used yet. ${more}`
  return true
}
