import type * as z from '../../units/schema'

export interface FieldMessage {
  /** Where in the file: `racks[0].parts[1].count`. */
  readonly path: string
  readonly text: string
}

/** `['racks', 0, 'name']` as a person reads it: `racks[0].name`; the top of the file is `plan`. */
export function pathText(path: readonly PropertyKey[]): string {
  const text = path.reduce<string>(
    (node, key) =>
      typeof key === 'number' ? `${node}[${key}]` : node === '' ? String(key) : `${node}.${String(key)}`,
    '',
  )
  return text === '' ? 'plan' : text
}

function fix(issue: z.core.$ZodIssue): string {
  switch (issue.code) {
    case 'invalid_type':
      return issue.message.endsWith('received undefined')
        ? `is missing; it should be ${article(issue.expected)}.`
        : `should be ${article(issue.expected)}.`
    case 'unrecognized_keys':
      return `has ${issue.keys.map((key) => `"${key}"`).join(', ')}, which this format does not know; take it out or correct the spelling.`
    case 'invalid_value':
      return `should be ${issue.values.map((value) => JSON.stringify(value)).join(' or ')}.`
    case 'invalid_union':
      return 'discriminator' in issue && issue.discriminator !== undefined
        ? 'names no kind that this format knows.'
        : 'fits none of the forms allowed here.'
    case 'too_small':
      return issue.origin === 'string' || issue.origin === 'array'
        ? `is too short; at least ${String(issue.minimum)}.`
        : `is too small; it must be ${issue.inclusive === false ? 'more than' : 'at least'} ${String(issue.minimum)}.`
    case 'too_big':
      return issue.origin === 'string' || issue.origin === 'array'
        ? `is too long; at most ${String(issue.maximum)}.`
        : `is too large; it must be ${issue.inclusive === false ? 'less than' : 'at most'} ${String(issue.maximum)}.`
    default:
      return `is not right: ${issue.message}`
  }
}

function article(expected: string): string {
  if (expected === 'object' || expected === 'record') return 'a group of fields'
  if (expected === 'array') return 'a list'
  if (expected === 'string') return 'text'
  if (expected === 'boolean') return 'true or false'
  return expected === 'number' || expected === 'int' ? 'a number' : `a ${expected}`
}

/** What is wrong with one field, for whoever has it before him. */
export const issueText = (issue: z.core.$ZodIssue): string =>
  issue.code === 'custom' ? issue.message : `It ${fix(issue)}`

/** A schema's complaints as field and sentence, in the order of the file. */
export function fieldMessages(error: z.core.$ZodError): FieldMessage[] {
  return error.issues.map((issue) => {
    const path = pathText(issue.path)
    const text = issue.code === 'custom' ? `${path}: ${issue.message}` : `${path} ${fix(issue)}`
    return { path, text }
  })
}
