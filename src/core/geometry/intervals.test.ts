import { describe, expect, it } from 'vitest'
import { differences, holds, intersect, nearest, normal, subtract } from './intervals'

describe('intervals', () => {
  it('join where they meet and stay apart where they do not', () => {
    expect(
      normal([
        [5, 9],
        [0, 2],
        [2, 4],
      ]),
    ).toEqual([
      [0, 4],
      [5, 9],
    ])
  })
  it('share what lies in both, ends included', () => {
    expect(intersect([[0, 10]], [[10, 20]])).toEqual([[10, 10]])
    expect(
      intersect(
        [
          [0, 4],
          [6, 9],
        ],
        [[3, 7]],
      ),
    ).toEqual([
      [3, 4],
      [6, 7],
    ])
  })
  it('lose the insides of what is taken out and keep its ends', () => {
    expect(subtract([[0, 10]], [[3, 5]])).toEqual([
      [0, 3],
      [5, 10],
    ])
    expect(subtract([[0, 10]], [[0, 10]])).toEqual([
      [0, 0],
      [10, 10],
    ])
    expect(subtract([[0, 10]], [[12, 14]])).toEqual([[0, 10]])
  })
  it('give every difference of their values', () => {
    expect(differences([[300, 1500]], [[900, 2300]])).toEqual([[-600, 2000]])
  })
  it('hold a value within a hair, and know the nearest', () => {
    expect(
      holds(
        [
          [0, 1],
          [4, 5],
        ],
        4,
      ),
    ).toBe(true)
    expect(
      holds(
        [
          [0, 1],
          [4, 5],
        ],
        3,
      ),
    ).toBe(false)
    expect(
      nearest(
        [
          [0, 1],
          [4, 5],
        ],
        3,
      ),
    ).toBe(4)
    expect(nearest([], 3)).toBeUndefined()
  })
})
