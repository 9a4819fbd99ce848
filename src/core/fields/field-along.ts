import { listOf, rawOf } from './unknown-record'
import type { Field, Fields } from './field'

type Quantity = Extract<Field, { is: 'quantity' }>

/** The figure of a group of fields at a path, as `ranges.0.fromMm`; nothing where it is none with a unit. */
export function quantityAlong(fields: Fields, value: unknown, path: string): Quantity | undefined {
  const found = fieldAlong({ is: 'group', label: '', fields }, value, path.split('.'))
  return found?.is === 'quantity' ? found : undefined
}

/** The field of a thing at a path, as `attachments.0.riseMm`; nothing where there is none of its own. */
export function fieldAlong(
  field: Field | undefined,
  value: unknown,
  path: readonly string[],
): Field | undefined {
  const [key, ...rest] = path
  if (key === undefined || field === undefined) return field
  switch (field.is) {
    case 'group':
      return fieldAlong(field.fields[key], rawOf(value)[key], rest)
    case 'list':
      return fieldAlong(field.item, listOf(value)[Number(key)], rest)
    case 'variants': {
      const kind = rawOf(value)[field.by]
      return typeof kind === 'string' ? fieldAlong(field.groupOf(kind), value, path) : undefined
    }
    default:
      return undefined
  }
}
