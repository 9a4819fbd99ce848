import * as z from '../../units/schema'
import { describe, expect, it } from 'vitest'
import { fieldMessages, pathText } from './messages'

const says = (schema: z.ZodMiniType, value: unknown) => {
  const read = schema.safeParse(value)
  return read.success ? [] : fieldMessages(read.error).map((message) => message.text)
}

describe('where a fault is', () => {
  it.each([
    [[], 'plan'],
    [['job', 'name'], 'job.name'],
    [['racks', 0, 'parts', 12, 'eachKg'], 'racks[0].parts[12].eachKg'],
    [[3], '[3]'],
  ])('%j reads as %s', (path, text) => {
    expect(pathText(path)).toBe(text)
  })
})

describe('what to do about it', () => {
  const thing = z.strictObject({
    name: z.string().check(z.minLength(2), z.maxLength(5)),
    kg: z.number().check(z.gte(0), z.lte(10)),
    over: z.number().check(z.positive()),
    under: z.number().check(z.lt(3)),
    list: z.array(z.string()).check(z.minLength(1), z.maxLength(2)),
    side: z.enum(['left', 'right']),
    on: z.boolean(),
  })
  const good = { name: 'box', kg: 1, over: 1, under: 1, list: ['a'], side: 'left', on: true }

  it.each<[string, unknown, string]>([
    ['name', undefined, 'name is missing; it should be text.'],
    ['name', 5, 'name should be text.'],
    ['name', 'x', 'name is too short; at least 2.'],
    ['name', 'toolong', 'name is too long; at most 5.'],
    ['kg', '1', 'kg should be a number.'],
    ['kg', -1, 'kg is too small; it must be at least 0.'],
    ['kg', 11, 'kg is too large; it must be at most 10.'],
    ['over', 0, 'over is too small; it must be more than 0.'],
    ['under', 3, 'under is too large; it must be less than 3.'],
    ['list', 'a', 'list should be a list.'],
    ['list', [], 'list is too short; at least 1.'],
    ['side', 'up', 'side should be "left" or "right".'],
    ['on', 'yes', 'on should be true or false.'],
  ])('%s as %j', (field, value, text) => {
    expect(says(thing, { ...good, [field]: value })).toEqual([text])
  })

  it('names a field that is not known, a kind that is not known, and a rule of our own', () => {
    expect(says(thing, { ...good, colour: 1 })).toEqual([
      'plan has "colour", which this format does not know; take it out or correct the spelling.',
    ])
    const union = z.discriminatedUnion('kind', [
      z.object({ kind: z.literal('a') }),
      z.object({ kind: z.literal('b') }),
    ])
    expect(says(union, { kind: 'c' })).toEqual(['kind names no kind that this format knows.'])
    expect(says(z.union([z.string(), z.boolean()]), 5)).toEqual(['plan fits none of the forms allowed here.'])
    expect(says(z.number().check(z.refine((n) => n % 2 === 0, 'It must be even.')), 3)).toEqual([
      'plan: It must be even.',
    ])
    expect(says(z.iso.date(), 'soon')[0]).toMatch(/^plan is not right: /)
    expect(says(z.array(z.object({ n: z.number() })), [{ n: 1 }, { n: null }])).toEqual([
      '[1].n should be a number.',
    ])
  })
})
