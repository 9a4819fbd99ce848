import { describe, expect, it } from 'vitest'
import { any, leastBy, mostBy, moreThanOne } from './pick'
import { listed, plural } from './words'

const BOARDS = [
  { name: 'a', mm: 900 },
  { name: 'b', mm: 1200 },
  { name: 'c', mm: 1200 },
]

describe('picking from a list', () => {
  it('takes the one with most or least, and the first of equals', () => {
    expect(mostBy(BOARDS, ({ mm }) => mm)?.name).toBe('b')
    expect(leastBy(BOARDS, ({ mm }) => mm)?.name).toBe('a')
    expect(leastBy(BOARDS.slice(1), ({ mm }) => mm)?.name).toBe('b')
    expect(mostBy([], Number)).toBeUndefined()
  })

  it('tells one from several, and something from nothing', () => {
    expect([moreThanOne([]), moreThanOne([1]), moreThanOne([1, 2])]).toEqual([false, false, true])
    expect([any([]), any([1])]).toEqual([false, true])
  })

  it('writes names as a sentence has them', () => {
    expect([[], ['a'], ['a', 'b'], ['a', 'b', 'c']].map(listed)).toEqual(['', 'a', 'a and b', 'a, b and c'])
    expect([0, 1, 2].map((count) => plural(count, 'is', 'are'))).toEqual(['are', 'is', 'are'])
  })
})
