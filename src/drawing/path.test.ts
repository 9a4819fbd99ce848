import { describe, expect, it } from 'vitest'
import { boxPath, ellipsePath, linePath, roundedPath } from './path'

describe('path data', () => {
  it('rounds each corner of a closed chain by the radius asked for when the sides are long', () => {
    expect(
      roundedPath(
        [
          [0, 0],
          [100, 0],
          [100, 100],
          [0, 100],
        ],
        10,
      ),
    ).toBe('M 0 10 Q 0 0 10 0 L 90 0 Q 100 0 100 10 L 100 90 Q 100 100 90 100 L 10 100 Q 0 100 0 90 Z')
  })

  it('never rounds a corner by more than 45 % of its shorter side', () => {
    expect(
      roundedPath(
        [
          [0, 0],
          [20, 0],
          [20, 100],
        ],
        50,
        false,
      ),
    ).toBe('M 0 0 L 11 0 Q 20 0 20 9 L 20 100')
  })

  it('draws boxes, ellipses and lines from their corners', () => {
    expect(boxPath(0, 1, 2, 3)).toBe('M 0 1 L 2 1 L 2 3 L 0 3 Z')
    expect(ellipsePath(10, 5, 4, 2)).toBe('M 6 5 A 4 2 0 1 0 14 5 A 4 2 0 1 0 6 5 Z')
    expect(
      linePath([
        [0.04, 0],
        [1.26, 2],
      ]),
    ).toBe('M 0 0 L 1.3 2')
  })
})
