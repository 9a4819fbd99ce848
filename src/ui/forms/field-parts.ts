import { type Draft, type Field, type Group, isEmpty } from '@/core/api/fields'
import { get } from 'react-hook-form'

/** How many of a part's fields say nothing, without those that are left out. */
export function openIn(
  fields: readonly (readonly [Field, unknown, path: string])[],
  leftOut: ReadonlySet<string>,
): number {
  return fields.reduce((sum, [field, drafted, path]) => {
    if (leftOut.has(path)) return sum
    const draft = drafted as Draft | undefined
    switch (field.is) {
      case 'kept':
      case 'marks':
      case 'list':
      case 'variants':
        return sum + (field.is === 'variants' && isEmpty(field, draft) ? 1 : 0)
      case 'group':
        return (
          sum +
          openIn(
            Object.entries(field.fields).map(([key, each]) => [each, get(draft, key), `${path}.${key}`]),
            leftOut,
          )
        )
      default:
        return sum + (isEmpty(field, draft) ? 1 : 0)
    }
  }, 0)
}

/** The path of a field within what stands at another. */
export const under = (at: string, key: string): string => (at === '' ? key : `${at}.${key}`)

/** The field of a group at a path. */
export function fieldAt(group: Group, path: string): Field | undefined {
  const [key = '', ...rest] = path.split('.')
  const field = group.fields[key]
  return rest.length === 0 || field?.is !== 'group' ? field : fieldAt(field, rest.join('.'))
}

/** Whether a field on the way to this one keeps its own word of how it is known, as a mass does. */
export function saysItself(group: Group, path: string): boolean {
  const [key = '', ...rest] = path.split('.')
  const field = group.fields[key]
  return rest.length > 0 && field?.is === 'group' && 'typed' in field.fields && !('known' in field.fields)
}
