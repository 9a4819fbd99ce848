import type { Field } from './field'
import { listOf, rawOf } from './unknown-record'

/** A field as a person may ask for it, and where the sheet has it: as `attachments.0.riseMm`. */
export interface NamedField {
  readonly path: string
  readonly name: string
}

const named = (value: unknown): string | undefined => {
  const { name } = rawOf(value)
  return typeof name === 'string' && name !== '' ? name : undefined
}

/**
 * Every field that the sheet of a thing shows, called by the names on the way to it: `Rails, rise over the roof`. What
 * no form asks for has no name.
 */
export function fieldsByName(
  field: Field,
  value: unknown,
  path = '',
  way: readonly string[] = [],
): NamedField[] {
  const at = (key: string | number) => (path === '' ? String(key) : `${path}.${key}`)
  const under = (label: string | undefined) => (label === undefined || label === '' ? way : [...way, label])
  switch (field.is) {
    case 'kept':
    case 'marks':
      return []
    case 'group':
      return Object.entries(field.fields).flatMap(([key, inner]) =>
        fieldsByName(inner, rawOf(value)[key], at(key), path === '' ? way : under(field.label)),
      )
    case 'variants': {
      const kind = rawOf(value)[field.by]
      return typeof kind === 'string'
        ? fieldsByName({ ...field.groupOf(kind), label: '' }, value, path, way)
        : []
    }
    case 'list':
      return listOf(value).flatMap((item, i) =>
        fieldsByName(
          field.item.is === 'group' ? { ...field.item, label: '' } : field.item,
          item,
          at(i),
          under(named(item) ?? `${field.label} ${i + 1}`),
        ),
      )
    case 'split':
      return Object.values(field.parts)
        .slice(0, 1)
        .map(({ label }) => ({ path, name: [...way, label].join(', ') }))
    default:
      return field.label === '' ? [] : [{ path, name: [...way, field.label].join(', ') }]
  }
}
