import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { z } from 'zod'
import { UNIT, type Unit } from './meanings'

export type Span = readonly [start: number, end: number]

/** What a careful person takes from a text. */
export interface Item {
  readonly what: string
  readonly or: readonly string[]
  readonly value: number | string
  readonly unit: Unit | null
  readonly also?: { readonly value: number; readonly unit: Unit; readonly agrees: boolean }
  readonly at: Span
  readonly sure: boolean
  readonly optional: boolean
  readonly stateSaid: boolean
  readonly state?: string
  readonly per?: string
  readonly counts?: string
  readonly for?: string
  readonly upTo?: true
  readonly class: 'figure' | 'word' | 'source'
}

export interface Sheet {
  readonly id: string
  readonly level: 'easy' | 'middling' | 'nasty'
  readonly text: string
  readonly items: readonly Item[]
  /** Stretches that are no figure of the job. */
  readonly never: readonly { readonly words: string; readonly at: Span }[]
  /** Figures without a meaning here: neither asked for nor punished. */
  readonly free: readonly Span[]
}

const span = z.tuple([z.number(), z.number()])
const unit = z.enum(Object.keys(UNIT) as [Unit, ...Unit[]])
const shownItem = z.object({
  what: z.string(),
  or: z.array(z.string()).default([]),
  value: z.union([z.number(), z.string()]),
  unit: unit.nullable(),
  also: z.object({ value: z.number(), unit, agrees: z.boolean() }).optional(),
  at: z.array(span).min(1),
  sure: z.boolean(),
  optional: z.boolean().default(false),
  stateSaid: z.boolean().default(true),
  state: z.string().nullable().default(null),
  per: z.string().nullable().default(null),
  counts: z.string().nullable().default(null),
  for: z.string().nullable().default(null),
  upTo: z.unknown().optional(),
  class: z.enum(['figure', 'word', 'source']),
})
const shownSheet = z.object({
  level: z.enum(['easy', 'middling', 'nasty']),
  items: z.array(shownItem),
  never: z.array(z.object({ words: z.string(), at: span })),
  free: z.array(z.object({ at: span })),
})

const HERE = import.meta.dirname
const textOf = (folder: string, id: string): string => readFileSync(join(HERE, folder, `${id}.txt`), 'utf8')
const idsIn = (folder: string): string[] =>
  readdirSync(join(HERE, folder))
    .filter((file) => file.endsWith('.txt'))
    .map((file) => file.slice(0, -4))
    .toSorted()

function shown(id: string): Sheet {
  const sheet = shownSheet.parse(JSON.parse(readFileSync(join(HERE, 'shown', `${id}.json`), 'utf8')))
  const items = sheet.items.map(({ at, state, per, counts, for: gear, upTo, also, ...item }): Item => {
    const [first = [0, 0]] = at
    return {
      ...item,
      at: first,
      ...(also && { also }),
      ...(state !== null && { state }),
      ...(per !== null && { per }),
      ...(counts !== null && { counts }),
      ...(gear !== null && { for: gear }),
      ...(upTo !== null && upTo !== undefined && { upTo: true as const }),
    }
  })
  const free = sheet.free.map(({ at }) => at)
  return { id, level: sheet.level, text: textOf('shown', id), items, never: sheet.never, free }
}

/** Where the words stand; `#2` after them is their second place. */
function placeOf(id: string, text: string, words: string): { readonly words: string; readonly at: Span } {
  const [, plain = words, which = '1'] =
    /^(.*?)(?:#(\d))?$/s.exec(words.replaceAll(String.raw`\n`, '\n')) ?? []
  let start = -1
  for (let i = 0; i < Number(which); i += 1) start = text.indexOf(plain, start + 1)
  if (start < 0) throw new Error(`${id}: “${words}” does not stand in the text.`)
  return { words: plain, at: [start, start + plain.length] }
}

const amountOf = (said: string): { readonly value: number; readonly unit: Unit } | undefined => {
  const [, value, name = ''] = /^(\d+(?:\.\d+)?)\s*(\S+)$/.exec(said) ?? []
  const read = unit.safeParse(name)
  return value !== undefined && read.success ? { value: Number(value), unit: read.data } : undefined
}

function ownItem(id: string, text: string, line: string): Item {
  const [what = '', said = '', words = '', marks = ''] = line.split('\t')
  const all = marks.split(' ').filter((mark) => mark !== '')
  const given = (key: string) =>
    all.filter((mark) => mark.startsWith(`${key}=`)).map((mark) => mark.slice(key.length + 1))
  const amount = amountOf(said)
  const also = amountOf(given('also')[0] ?? '')
  const first = (key: 'per' | 'counts' | 'for') => {
    const [value] = given(key)
    return value === undefined ? {} : { [key]: value }
  }
  const state = /\.(road|trail|parked)$/.exec(what)?.[1]
  return {
    what,
    or: given('or'),
    value: amount?.value ?? said,
    unit: amount?.unit ?? null,
    ...(also && { also: { ...also, agrees: true } }),
    at: placeOf(id, text, words).at,
    sure: !all.includes('ask'),
    optional: all.includes('optional'),
    stateSaid: !all.includes('unsaid'),
    ...(state !== undefined && { state }),
    ...first('per'),
    ...first('counts'),
    ...first('for'),
    ...(given('upTo').length > 0 && { upTo: true as const }),
    class: amount ? 'figure' : what.startsWith('source.') ? 'source' : 'word',
  }
}

function own(id: string): Sheet {
  const text = textOf('own', id)
  const [head = '', ...lines] = readFileSync(join(HERE, 'own', `${id}.said`), 'utf8')
    .trimEnd()
    .split('\n')
  const level = shownSheet.shape.level.parse(head.split('\t')[0])
  const never = lines
    .filter((line) => line.startsWith('never\t'))
    .map((line) => placeOf(id, text, line.split('\t')[1] ?? ''))
  const items = lines.filter((line) => !line.startsWith('never\t')).map((line) => ownItem(id, text, line))
  return { id, level, text, items, never, free: [] }
}

/** The forty texts that were given, with what must, may and must never be read of each. */
export const shownSheets = (): Sheet[] => idsIn('shown').map(shown)
/** Texts of this project’s own, written before there was a reader; in `NAME.said` a line for each figure. */
export const ownSheets = (): Sheet[] => idsIn('own').map(own)
