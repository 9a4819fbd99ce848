import { describe, expect, it } from 'vitest'
import { fastenerSchema, type Fastener } from '../plan/schema/fastening'
import { toDraft, draftOf } from './draft'
import type { Group } from './field'
import { FASTENERS } from './joint-fields'
import { readDraft } from './read-draft'

const FIELD = FASTENERS.item as Group
const problemsOf = (places: readonly (number | undefined)[], count: number) => {
  const was: Fastener = {
    thread: 'M8',
    count: 1,
    places: places.map((each, i) => ({
      name: `Place ${i + 1}`,
      ...(each === undefined ? {} : { count: each }),
    })),
  }
  const draft = {
    ...draftOf(toDraft(FIELD, was, { system: 'metric', typed: {}, rel: '' })),
    count: String(count),
  }
  return readDraft(FIELD, fastenerSchema, draft, was, 'metric').problems
}

describe('the bolts of a joint', () => {
  it('are as many as its places have, where each place says how many', () => {
    expect(problemsOf([2, 4], 6)).toEqual({})
    expect(problemsOf([2, 4], 8)).toEqual({
      count: 'Its places have 6 bolts. Make this the same, or change a place.',
    })
  })
  it('are at least as many as those places that say so', () => {
    expect(problemsOf([2, undefined], 6)).toEqual({})
    expect(problemsOf([4, undefined], 3)).toHaveProperty('count')
    expect(problemsOf([], 5)).toEqual({})
  })
})

describe('where a torque was read', () => {
  const fastener: Fastener = { thread: 'M6', count: 4, torqueNm: { from: 5, to: 5 } }
  const read = (typed: Readonly<Record<string, string>>) => {
    const draft = {
      ...draftOf(toDraft(FIELD, fastener, { system: 'metric', typed: {}, rel: '' })),
      torqueFrom: typed,
    }
    return readDraft(FIELD, fastenerSchema, draft, fastener, 'metric')
  }

  it('may be another rack, which is named and never counts', () => {
    expect(read({ kind: 'otherRack', page: 'Sibling rack' }).value?.torqueFrom).toEqual({
      kind: 'otherRack',
      rack: 'Sibling rack',
    })
    expect(read({ kind: 'otherRack' }).value?.torqueFrom).toEqual({ kind: 'otherRack', rack: 'another rack' })
    expect(read({ kind: 'sheet', page: '3' }).value?.torqueFrom).toEqual({ kind: 'sheet', page: '3' })
  })

  it('keeps no other rack’s name as its page once it was read on its own sheet', () => {
    const carried: Fastener = { ...fastener, torqueFrom: { kind: 'otherRack', rack: 'another rack' } }
    const draft = draftOf(toDraft(FIELD, carried, { system: 'metric', typed: {}, rel: '' }))
    const now = { ...draft, torqueFrom: { ...draftOf(draft['torqueFrom']), kind: 'sheet' } }
    expect(readDraft(FIELD, fastenerSchema, now, carried, 'metric').value?.torqueFrom).toEqual({
      kind: 'sheet',
    })
  })
})
